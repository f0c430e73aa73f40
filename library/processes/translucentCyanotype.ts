import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { classicCyanotype } from './classicCyanotype'
import { bath, exposing, hanging, HOUR, mixing, practice, spreading } from './blocks'

const byId = (id: string): StepDefinition =>
  classicCyanotype.steps.find((step) => step.id === id) as StepDefinition

const DRY = [{ choice: 'laid', is: ['dry'] }]
const WET = [{ choice: 'laid', is: ['wet'] }]

/** Two prints from one exposure: a translucent sheet over a heavier one, both coated. */
export const translucentCyanotype: ProcessDefinition = {
  ...classicCyanotype,
  id: 'translucent-cyanotype',
  name: 'Cyanotype, translucent upper sheet',
  summary:
    'A thin handmade sheet over a heavier one, both coated: one exposure gives two prints, the lower one filtered by the upper.',
  tools: ['brush'],
  version: 2,
  choices: [
    ...classicCyanotype.choices.filter((choice) => ['strengths', 'exposure', 'finish'].includes(choice.id)),
    {
      id: 'laid',
      name: 'Thin sheet',
      startsWith: 'dry',
      options: [
        {
          id: 'dry',
          name: 'Coated and dried apart',
          reason: 'Each sheet can be coated again if it fails. Default because dry sheets do not stick.',
          standing: 'practice',
        },
        {
          id: 'wet',
          name: 'Laid on the wet coat',
          reason:
            'It is coated in place and both are exposed damp: no gap between them, but only one try, and no glass.',
          standing: 'practice',
        },
      ],
    },
  ],
  baths: classicCyanotype.baths.filter(({ id }) => id === 'peroxide'),
  mixes: [
    {
      id: 'sensitizer',
      name: 'For both sheets',
      coats: 2,
      parts: [
        { component: 'iron', parts: 1 },
        { component: 'ferricyanide', parts: 1 },
      ],
    },
  ],
  steps: [
    {
      ...mixing,
      doing: 'Count both into one small glass, then stir. The mix is enough for both sheets.',
      keeps: {
        mostSeconds: 4 * HOUR,
        standing: 'practice',
        source: 'Mixed sensitizer can be used for a few hours in the dark; common practice, from memory',
      },
      cautions: ['ferricyanide', 'iron'],
    },
    {
      ...spreading,
      id: 'spread-lower',
      perCoat: false,
      title: 'Coat the lower sheet',
      doing: 'Coat the heavy sheet with half of the mix, as usual.',
      cautions: ['iron'],
    },
    {
      ...spreading,
      id: 'spread-upper',
      perCoat: false,
      title: 'Coat the thin sheet',
      doing: 'Clip it to a plastic support; brush lightly in one direction with the rest.',
      why: 'A wet translucent sheet tears at a touch. The plastic supports it.',
      cautions: ['iron'],
      when: DRY,
    },
    {
      ...spreading,
      id: 'lay-upper',
      perCoat: false,
      title: 'Lay the thin sheet on the wet coat',
      meanwhile: 'being laid',
      doing:
        'Lower it from one edge, so that no air stays under it. Brush the rest of the mix over it in place, lightly, from the middle out.',
      why: 'Wet on wet, both sheets lie without a gap: the lower picture stays sharp.',
      cautions: ['iron'],
      press: { start: 'Lay it on', finish: 'Flat and even' },
      habit: 'A side that stands up takes no colour: press it down with the brush.',
      endpoint: {
        good: 'No bubble, no raised side, one even shine.',
        doubt: 'A crease: lift that corner while it is wet, and lay it again.',
        swatch: [],
      },
      when: WET,
    },
    {
      ...byId('dry'),
      perCoat: false,
      doing: 'Dry both in the dark, the thin one on its plastic.',
      when: DRY,
    },
    {
      ...exposing,
      id: 'expose-damp',
      title: 'Expose both sheets, damp',
      doing:
        'No glass: the negative in a clear sleeve on the damp sheets, clipped to a board on all sides against wind. Start when you uncover it.',
      why: 'The upper sheet filters the light: expose for as long as the lower sheet needs.',
      habit: undefined,
      looks: byId('expose').looks,
      endpoint: byId('expose').endpoint,
      when: WET,
    },
    {
      ...bath,
      id: 'peel',
      title: 'Peel the sheets apart',
      meanwhile: 'being peeled apart',
      doing:
        'In a tray of water, slide plastic under a corner of the thin sheet and peel it off slowly onto it. Cover the lower sheet against light while the upper one is washed.',
      why: 'Wet, the thin sheet tears at a touch; uncovered, the lower one goes on printing.',
      time: { ...practice },
      press: { start: 'Start at a corner', finish: 'Apart: wash' },
      when: WET,
    },
    {
      ...exposing,
      title: 'Expose both sheets',
      when: DRY,
      doing: 'Negative, thin sheet, heavy sheet, in this order. Start when you uncover the frame.',
      why: 'The upper sheet filters the light: expose for as long as the lower sheet needs.',
      looks: byId('expose').looks,
      endpoint: byId('expose').endpoint,
    },
    {
      ...byId('wash'),
      doing: 'Wash the heavy sheet as usual. Rinse the thin one on its plastic by pouring gently.',
      habit:
        'Pour beside the image, not on it; it dries on its plastic too. These are two prints: enter the lower one as a sheet of its own that came in finished.',
    },
    byId('peroxide'),
    byId('rinse'),
    hanging,
  ],
}
