import type { Trait } from '@core/judge/faultBook'

/** How a finished print wants to be kept, by what it is made of. Common practice. */
export const care: readonly { needs: readonly Trait[]; text: string }[] = [
  {
    needs: ['ferricyanide'],
    text: 'Alkali bleaches the blue: mount and store with unbuffered board and paper, and never wash it in hard alkaline water. What long light has paled comes back in the dark within days.',
  },
  {
    needs: ['silver'],
    text: 'Silver yellows and fades by sulfur, damp and poor board: keep it cool, dry and dark in board that passed a photographic activity test.',
  },
  {
    needs: ['noble'],
    text: 'Its metals are as lasting as its paper, which they may turn brown beside them: interleave with plain rag paper so that no ghost prints through.',
  },
  {
    needs: ['pigment'],
    text: 'Pigment lies in a gum that swells when damp: keep it from wet hands and from glass that touches it.',
  },
  {
    needs: [],
    text: 'Hold it by its borders with clean dry hands. Hang it out of direct sun, behind a mat that keeps it off the glass.',
  },
]
