import { tonerDose } from '@core/chemistry/tonerDose'
import { digits, formatQuantity } from '@core/quantity/format'
import { heatOf } from '@core/process/bathHeat'
import { cautionsFor } from '@core/process/trays'
import { strengthOff } from '@core/process/baths'
import { substances } from '@library/index'
import { metalUptakes } from '@library/uptake'
import { texts } from './words'
import { computed, type Ref } from 'vue'
import { slipsOf } from '@core/run/timing'
import { wordsIdOf } from '@core/run/runState'
import type { Bath } from '@core/schema/bath'
import type { StepDefinition } from '@core/schema/definition'
import type { SheetInRoom } from '../../state/workroom.store'
import { orderNotes } from '../../words/planNotes'
import { useMarginNotes, type MarginNote } from '../../state/margin.store'
import { cautionNotes, stepNotes } from '../../words/stepNotes'
import { useBaths } from '../../state/baths.store'
import { usePreferences } from '../../state/preferences.store'
import { waterNotes } from '../../words/waterNotes'
import { meetsLines, slipLine } from '../../words/bathWords'

interface AtTheTrays {
  inHand: Readonly<Ref<SheetInRoom | null>>
  here: Readonly<Ref<readonly SheetInRoom[]>>
  stepWords: Readonly<Ref<StepDefinition | null>>
  isWaiting: Readonly<Ref<boolean>>
  hasMovedOn: Readonly<Ref<boolean>>
  /** The present moment, to the second. */
  second: Readonly<Ref<number>>
}

/** From this share off its strength on, a bath is said to be another one. */
const NOTABLE = 0.2

/** What the margin says at the trays: what came early or late, who is in the tray, what it meets, what comes next. */
export function useWetNotes({ inHand, here, stepWords, isWaiting, hasMovedOn, second }: AtTheTrays): void {
  const [baths, preferences] = [useBaths(), usePreferences()]
  const slips = computed(() =>
    inHand.value ? slipsOf(inHand.value.state, inHand.value.definition, second.value) : [],
  )
  useMarginNotes(() => {
    const one = inHand.value
    if (!one || hasMovedOn.value) return []
    const titleOf = (id: string) => one.definition.steps.find((words) => words.id === id)?.title ?? id
    const happened: MarginNote[] = slips.value.length
      ? [
          {
            title: 'What to know about this print',
            lines: slips.value.map((slip) => slipLine(titleOf(slip.wordsId), slip)),
            tone: 'caution',
          },
        ]
      : []
    return [
      ...happened,
      ...orderNotes(one.definition, one.sheet.choices, (id) => standingIn(one, id)),
      ...takenNotes(one),
      ...(stepWords.value
        ? waterNotes(one.definition, one.sheet, stepWords.value, preferences.chosen.water)
        : []),
      ...stepNotes(one.definition, inWords(one, stepWords.value)),
      ...bathNotes(one),
      ...aheadNotes(one),
    ]
  })

  /** The words of a step, with the cautions of what is really in its tray. */
  function inWords({ definition, sheet }: SheetInRoom, step: StepDefinition | null) {
    return step && { ...step, cautions: cautionsFor(definition, step, sheet.choices) }
  }

  /** What really is in the tray of a solution, where it is filled. */
  function standingIn({ definition, sheet }: SheetInRoom, id: string): Bath['contents'] | undefined {
    const solution = [...definition.baths, ...definition.components].find((known) => known.id === id)
    return solution && baths.standing(definition, solution, sheet.choices)?.contents
  }

  /** Sheets that are in the solution that this one waits for. */
  function takenNotes(one: SheetInRoom): MarginNote[] {
    const solution = isWaiting.value ? baths.solutionOf(one, false) : null
    if (!solution) return []
    const bath = baths.standing(one.definition, solution, one.sheet.choices)
    const lying = here.value.filter((other) => {
      if (other.sheet.id === one.sheet.id || baths.solutionOf(other, true)?.id !== solution.id) return false
      return bath ? baths.bathUnder(other)?.id === bath.id : other.definition.id === one.definition.id
    })
    if (!lying.length) return []
    const names = lying.map((other) => `Sheet ${other.sheet.number}`).join(' and ')
    return [
      {
        title: 'Tray occupied',
        lines: [texts.printsInTray({ names, prints: lying.length })],
        tone: 'caution',
      },
    ]
  }

  function bathNotes(one: SheetInRoom): MarginNote[] {
    const solution = baths.solutionOf(one, false)
    if (!solution) return []
    const bath = baths.standing(one.definition, solution, one.sheet.choices)
    const standing = bath && baths.standingOf(bath)
    if (!bath || !standing)
      return [
        {
          title: 'This tray is not filled',
          lines: [texts.pressLineBelowTrayFill],
        },
      ]
    const lines = meetsLines(bath, standing)
    const heat = stepWords.value?.role === 'develop' ? heatOf(bath, baths.all) : null
    if (heat) lines.push(heat.says === 'differs' ? texts.developerDiffers(heat) : texts.measureDeveloper)
    const dose = stepWords.value?.role === 'tone' ? doseFor(one, bath.contents) : null
    if (dose) lines.push(texts.tonerDose(dose))
    const planned = baths.solutesOf(one.definition, solution, one.sheet.choices)
    const isOff = strengthOff(bath, planned) > NOTABLE
    if (isOff)
      lines.push(
        texts.anotherStrength({
          held: bath.contents.map(({ percent }) => `${digits(percent)} %`).join(' + '),
          planned: planned.map(({ percentWv }) => `${digits(percentWv)} %`).join(' + '),
        }),
      )
    return [
      {
        title: isWaiting.value ? 'Next bath' : 'This bath',
        lines,
        ...(isOff && { tone: 'caution' as const }),
      },
    ]
  }

  /** Metal that this picture takes up in a toner, and how much of the toner holds it. */
  function doseFor({ sheet }: SheetInRoom, contents: Bath['contents']) {
    const area = (sheet.widthMillimetres * sheet.heightMillimetres) / 1e6
    const dose = tonerDose(contents, area, substances, metalUptakes)
    return (
      dose && {
        name: dose.name,
        least: digits(dose.least.value, 2),
        most: digits(dose.most.value, 2),
        volume: formatQuantity(dose.millilitres.value, 'volume'),
      }
    )
  }

  /** The caution that comes with the next tray, while there is time to put gloves on. */
  function aheadNotes(one: SheetInRoom): MarginNote[] {
    const ahead = one.state.steps[one.state.current + 1]
    const words = ahead && one.definition.steps.find((known) => known.id === wordsIdOf(ahead.planned))
    const now = inWords(one, stepWords.value)?.cautions
    const fresh = inWords(one, words ?? null)?.cautions.filter((id) => !now?.includes(id)) ?? []
    return fresh
      .flatMap((id) => cautionNotes(one.definition, id))
      .map((note) => ({ ...note, title: `Next, ${words?.title.toLowerCase()}` }))
  }
}
