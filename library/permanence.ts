import type { PermanenceTest } from '@core/judge/permanence'

const memory = { standing: 'memory', source: 'From memory of the literature, not checked' } as const

/** Drops on a damp margin that will be trimmed, and a half that is left in the light. */
export const permanenceTests: readonly PermanenceTest[] = [
  {
    id: 'silver',
    name: 'Silver left',
    needs: ['silver'],
    uses: '0.2 % sodium sulfide, made for the day',
    doing: 'One drop on a damp, unexposed margin; blot it after three minutes.',
    clean: 'No colour, or the faintest cream.',
    stain: 'Brown: silver was left by the fixer. It will darken in the light.',
    remedy:
      'Fix it again in a fresh bath, wash it as long as the first time, and test again. The fixer was spent or too short.',
    cautions: ['sulfide'],
    ...memory,
  },
  {
    id: 'hypo',
    name: 'Hypo left',
    needs: ['silver'],
    uses: '1 % silver nitrate in 3 % acetic acid',
    doing: 'One drop on a damp margin, in subdued light; rinse it off after two minutes with salt water.',
    clean: 'No colour.',
    stain: 'Yellow to brown: fixer is left. It will fade the print within years.',
    remedy: 'Hypo clear, then wash as long again, and test again. The wash was too short or too cold.',
    cautions: ['silver', 'acid'],
    ...memory,
  },
  {
    id: 'iron',
    name: 'Iron left',
    needs: ['iron'],
    uses: '1 % citric acid, then 1 % potassium ferricyanide',
    doing:
      'A drop of the acid on a damp white margin, after half a minute a drop of the other; wait a minute.',
    clean: 'It stays yellow, and rinses off.',
    stain: 'Blue or green: iron is left. The whites will turn yellow or pink.',
    remedy: 'Clear it again in a fresh bath, wash, and test again. The clearing bath was spent or too short.',
    cautions: ['acid', 'ferricyanide'],
    ...memory,
  },
  {
    id: 'fade',
    name: 'Fading',
    needs: [],
    uses: 'A strip of the print, half of it under black card',
    doing: 'Lay it in a window or under the lamp, and record the days or the dose when you take it in.',
    clean: 'No difference along the edge of the card.',
    stain: 'The open half is lighter or yellower: it fades.',
    remedy: 'Keep prints of this kind from bright light, tone the next one, or wash it longer.',
    cautions: ['uv'],
    ...memory,
  },
]
