import { cautionsFor } from '@core/process/trays'
import { standingsOf } from '@core/simulate/virtualProcess'
import { planNotes } from '../../words/planNotes'
import { stepNotes } from '../../words/stepNotes'
import { useMarginNotes } from '../../state/margin.store'
import type { Practice } from './usePractice'
import { texts } from './words'

/** What the margin says of a practice print: its lesson, then what it says of the real step, cautions and all. */
export function usePracticeNotes({
  process,
  lesson,
  step,
  realStep,
  definition,
  choices,
  hidden,
  form,
}: Practice): void {
  useMarginNotes(() => {
    const real = realStep.value
    return [
      ...(lesson.value && step.value !== 'sheet'
        ? [{ title: lesson.value.title, lines: [lesson.value.before] }]
        : []),
      ...(!lesson.value && hidden.value.length && step.value !== 'sheet'
        ? [
            {
              title: 'Hidden faults',
              lines: [hidden.value.length === 1 ? texts.hiddenFault : texts.hiddenFaults],
            },
          ]
        : []),
      { title: 'Only in numbers', lines: [texts.cautionsHold, texts.figuresAre(standingsOf(process.value))] },
      ...(step.value === 'sheet'
        ? planNotes(definition.value, choices.value, form.paper === 'chalk' ? 'yes' : 'no')
        : stepNotes(
            definition.value,
            real && { ...real, cautions: cautionsFor(definition.value, real, choices.value) },
          )),
    ]
  })
}
