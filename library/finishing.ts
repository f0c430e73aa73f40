import type { Finishing } from '@core/judge/finishing'

const memory = { standing: 'memory', source: 'From memory of the literature, not checked' } as const
const practice = { standing: 'practice', source: 'Common practice' } as const

/** What is done with a dry print, in the order in which it is done. */
export const finishings: readonly Finishing[] = [
  {
    id: 'flatten',
    name: 'Flatten',
    doing: [
      'Mist the back with distilled water until it is limp, and lay it face down between clean dry blotters.',
      'A flat board and about 5 kg on top; change the blotters after an hour, then leave it for a night.',
      'In a warm press: between two clean boards, 80 °C at most, a minute, then cold under a weight.',
    ],
    materials: [
      { needs: ['ferricyanide'], says: 'Blue loses colour in heat and gets it back in a day or two: press it cold.' },
      { needs: ['pigment'], says: 'Gum is soft while damp: release paper against the face, and no heat.' },
    ],
    done: 'Flattened.',
    cautions: [],
    ...practice,
  },
  {
    id: 'spot',
    name: 'Spot',
    doing: [
      'Watercolour mixed to the tone beside the spot, tried on a scrap of the same print.',
      'The finest brush, nearly dry: dots, not strokes, lightest tones first, and lighter than you think.',
      'On a glossy coat (albumen, collodion) a little gum arabic in the water gives the same shine.',
    ],
    materials: [
      { needs: ['noble'], says: 'Neutral tint with a touch of burnt umber comes near platinum; ivory black is too cold.' },
      { needs: ['ferricyanide'], says: 'Prussian blue watercolour is the same pigment as the print.' },
    ],
    done: 'Spotted.',
    cautions: [],
    ...practice,
  },
  {
    id: 'wax',
    name: 'Wax',
    doing: [
      'Paste: 1 part of beeswax melted in a warm water bath into 3 parts of lavender oil by weight; stir until it is cold.',
      'Away from flames and sparks, window open. Warm a little, rub it in thinly in circles with a soft cloth.',
      'Polish with a clean cloth until it no longer drags. It deepens the shadows; let the smell go before it is framed.',
    ],
    materials: [{ needs: ['pigment'], says: 'On gum only when it has hardened for days, and lightly.' }],
    done: 'Waxed.',
    cautions: ['wax'],
    ...memory,
  },
  {
    id: 'mount',
    name: 'Mount',
    doing: [
      'Two hinges of thin kozo paper along the upper edge, with wheat starch paste; no tape, no spray, no dry mount.',
      'A window mat keeps the face off the glass; the print hangs free.',
    ],
    materials: [
      {
        needs: ['ferricyanide'],
        says: 'Iron blue fades against alkaline board: unbuffered cotton board, pH 7, on both sides.',
      },
      {
        needs: ['silver'],
        says: 'Buffered or unbuffered cotton board that passes a photographic activity test (ISO 18916).',
      },
      {
        needs: ['noble'],
        says: 'Buffered cotton board: the metal lasts, its paper turns acid. A sheet against the face takes a ghost of the picture.',
      },
    ],
    done: 'Mounted.',
    cautions: [],
    ...memory,
  },
  {
    id: 'store',
    name: 'Store',
    doing: [
      'Face against smooth photographic tissue, in a closed box of board without acid, flat, in the dark.',
      'Cool and even: below 21 °C, at 30 to 50 % humidity. No attic, no cellar, no fresh paint, no rubber bands.',
    ],
    materials: [
      {
        needs: ['ferricyanide'],
        says: 'A blue that has faded in the light comes back in the dark with air. Buffered tissue does not suit it.',
      },
      { needs: ['silver'], says: 'Silver fades by sulfur and peroxides: not beside wool, felt, rubber or new wood.' },
    ],
    done: 'Stored in the dark.',
    cautions: [],
    ...memory,
  },
] // prettier-ignore
