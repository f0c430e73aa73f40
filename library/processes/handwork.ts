import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { practice } from './blocks'

/** Choices of habit that every coated process has: they change no chemistry, so they are asked last. */
export const HANDWORK = ['edges', 'outline'] as const

const choices: ProcessDefinition['choices'] = [
  {
    id: 'edges',
    name: 'Edges',
    startsWith: 'brushed',
    options: [
      {
        id: 'brushed',
        name: 'Brushed',
        reason: 'The strokes show around the picture. Default because it needs no tape.',
        standing: 'practice',
      },
      {
        id: 'masked',
        name: 'Masked',
        reason: 'Low-tack tape keeps the coat inside a straight edge.',
        standing: 'practice',
      },
    ],
  },
  {
    id: 'outline',
    name: 'Outline of the negative',
    startsWith: 'none',
    options: [
      { id: 'none', name: 'None', reason: 'Coat by eye, a little over the picture.', standing: 'practice' },
      {
        id: 'pencil',
        name: 'In pencil',
        reason: 'Four faint corners show how far to coat, and a cross tells the coated side in the dark.',
        standing: 'practice',
      },
    ],
  },
]

const act: Pick<StepDefinition, 'station' | 'place' | 'kind' | 'cautions' | 'begins' | 'time'> = {
  station: 'coat',
  place: 'bench',
  kind: 'act',
  cautions: [],
  begins: 'press',
  time: { ...practice },
}
const outline: StepDefinition = {
  ...act,
  id: 'outline',
  title: 'Outline the negative',
  meanwhile: 'being marked',
  doing:
    'Lay the negative on the sheet, mark its corners faintly in pencil, and draw a small cross in a corner of the side you will coat.',
  why: 'In dim light a dry coat is hard to see: the cross tells the coated side, the corners where to put the negative.',
  endpoint: {
    good: 'Corners and cross can just be seen.',
    doubt: 'A hard line: it shows in the print. Rub it out before you coat.',
    swatch: [],
  },
  press: { start: 'Start marking', finish: 'Marked' },
  when: [{ choice: 'outline', is: ['pencil'] }],
}
const mask: StepDefinition = {
  ...act,
  id: 'mask',
  title: 'Mask the edges',
  meanwhile: 'being masked',
  doing:
    'Tape around the picture with low-tack tape and press its inner edge down. When the coat is dry, pull it off slowly at a low angle, about 45°, away from the picture.',
  why: 'Solution creeps under tape that is not pressed down.',
  endpoint: {
    good: 'The inner edge is flat all round.',
    doubt: 'Tape that lifts, or that tore fibres on a scrap: use a weaker one.',
    swatch: [],
  },
  press: { start: 'Start masking', finish: 'Masked' },
  when: [{ choice: 'edges', is: ['masked'] }],
}

/** A process whose coat is laid by hand, with steps that one can turn on: an outline of the negative, and masked edges. */
export function withHandwork(definition: ProcessDefinition): ProcessDefinition {
  const preparing = new Set(definition.mixes.filter(({ preparesPaper }) => preparesPaper).map(({ id }) => id))
  const first = definition.steps.findIndex(
    ({ kind, mix, station }) => station === 'coat' && kind === 'count' && !preparing.has(mix ?? ''),
  )
  if (!definition.tools.length || first < 0) return definition
  return {
    ...definition,
    choices: [...definition.choices, ...choices],
    steps: definition.steps.toSpliced(first, 0, outline, mask),
  }
}
