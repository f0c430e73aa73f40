import type { ComputedRef } from 'vue'
import { isAcidTreated } from '@core/process/acidTreated'
import type { StepState } from '@core/run/runState'
import type { StepDefinition } from '@core/schema/definition'
import type { Paper } from '@core/schema/records'
import { substances, tools } from '@library/index'
import { useMarginNotes, type MarginNote } from '../../state/margin.store'
import { useWorkroom, type SheetInRoom } from '../../state/workroom.store'
import { usePreferences } from '../../state/preferences.store'
import { waterNotes } from '../../words/waterNotes'
import { chalkNotes, roomNotes } from '../../words/planNotes'
import { stepNotes } from '../../words/stepNotes'

interface Coating {
  inHand: ComputedRef<SheetInRoom | null>
  step: ComputedRef<StepState | null>
  stepWords: ComputedRef<StepDefinition | null>
  /** The step with which work will begin. */
  firstStep: ComputedRef<StepDefinition | undefined>
  hasMovedOn: ComputedRef<boolean>
  isCounting: ComputedRef<boolean>
  paper: ComputedRef<Paper | undefined>
}

/** What the margin says while a sheet is coated: paper, room, tool, and what is in hand. */
export function useCoatNotes({ inHand, step, stepWords, firstStep, hasMovedOn, isCounting, paper }: Coating) {
  const [workroom, preferences] = [useWorkroom(), usePreferences()]
  useMarginNotes((): MarginNote[] => {
    if (!inHand.value) return []
    const { definition, sheet } = inHand.value
    // A process that is floated has no tool to get ready.
    const tool = definition.tools.length
      ? [{ title: `The ${tools[sheet.tool].name.toLowerCase()}`, lines: [tools[sheet.tool].prepare] }]
      : []
    if (!step.value) {
      const chosen = definition.choices.flatMap((choice) =>
        choice.options.filter((option) => option.id === sheet.choices[choice.id]),
      )
      return [
        ...chalkNotes(
          definition,
          paper.value?.buffered,
          isAcidTreated(sheet, workroom.treatmentRuns, substances),
        ),
        ...stepNotes(definition, firstStep.value ?? null),
        ...tool,
        ...roomNotes(definition),
        ...(chosen.length
          ? [{ title: 'Your recipe', lines: chosen.map((option) => `${option.name}. ${option.reason}`) }]
          : []),
      ]
    }
    if (hasMovedOn.value) return roomNotes(definition)
    const isLaying = step.value.planned.kind === 'act'
    return [
      ...(stepWords.value ? waterNotes(definition, sheet, stepWords.value, preferences.chosen.water) : []),
      ...stepNotes(definition, stepWords.value),
      ...(isCounting.value ? [...tool, ...roomNotes(definition).slice(0, 1)] : []),
      ...(isLaying ? tool.map((note) => ({ ...note, lines: [tools[sheet.tool].lay] })) : []),
    ]
  })
}
