import type { Trait } from '@core/judge/faultBook'

/** How a finished print wants to be kept, by what it is made of. Common practice. */
export const care: readonly { needs: readonly Trait[]; text: string }[] = [
  {
    needs: ['ferricyanide'],
    text: 'Alkali bleaches the blue: mount and store the print with unbuffered board and paper, and never wash it in hard alkaline water. Blue that faded in light returns in the dark within days.',
  },
  {
    needs: ['silver'],
    text: 'Sulfur, damp and poor board make silver yellow and fade: keep the print cool, dry and dark in board that passed a photographic activity test.',
  },
  {
    needs: ['noble'],
    text: 'The metals last as long as the paper, but can turn facing paper brown: interleave with plain rag paper.',
  },
  {
    needs: ['pigment'],
    text: 'The pigment is in gum that swells when damp: keep the print away from wet hands and from glass.',
  },
  {
    needs: [],
    text: 'Hold the print by its borders with clean, dry hands. Hang it away from direct sun, with a mat that keeps it off the glass.',
  },
]
