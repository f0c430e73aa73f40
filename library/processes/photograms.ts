import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'

/** Through what a sheet is printed: a negative in the frame, or things laid on the sheet. */
export const subjectChoice: ProcessDefinition['choices'][number] = {
  id: 'subject',
  name: 'Printed through',
  startsWith: 'negative',
  options: [
    {
      id: 'negative',
      name: 'A negative',
      reason: 'Printed side on the coat in the frame. A check through the split back shows the picture.',
      standing: 'practice',
    },
    {
      id: 'photogram',
      name: 'Leaves or objects',
      reason: 'Flat objects print sharp, raised ones blur. Judge by the bare coat beside them.',
      standing: 'practice',
    },
  ],
}

const OBJECTS: Partial<StepDefinition> = {
  id: 'expose-objects',
  title: 'Expose',
  doing:
    'Lay the objects flat with glass on top and clips against wind. Start the clock when you uncover them.',
  habit: 'Flat objects print sharp, raised ones blur. Thin leaves pass light and give half-tones.',
  when: [{ choice: 'subject', is: ['photogram'] }],
}

/**
 * An exposure through a negative, and beside it the one through objects. Things laid on the sheet hide the picture while it
 * forms, so the bare coat beside them is what the eye follows.
 *
 * @param bare what the bare coat looks like at half the time, at three quarters, and when it is done.
 */
export function throughEither(
  expose: StepDefinition,
  bare: { half: string; most: string; done: string },
): [StepDefinition, StepDefinition] {
  return [
    { ...expose, when: [{ choice: 'subject', is: ['negative'] }] },
    {
      ...expose,
      ...OBJECTS,
      looks: [
        { share: 0.5, lookFor: bare.half },
        { share: 0.75, lookFor: bare.most },
      ],
      endpoint: {
        good: bare.done,
        doubt:
          'Still too light: expose longer. Do not lift a leaf to check: it will not go back to the same place.',
        swatch: expose.endpoint?.swatch ?? [],
      },
    },
  ]
}

/** Objects on a paper that shows the picture as it prints: the bare coat goes past what is wanted in the end. */
export const objectsOnPrintingOut = (tone: string) => ({
  half: `The bare coat around the objects has turned ${tone}.`,
  most: `The bare coat is deep ${tone}.`,
  done: `Bare coat clearly darker than the ground you want: the baths lighten it.`,
})
