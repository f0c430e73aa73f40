import { useSessionStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { USUAL_UPTAKE } from '@core/chemistry/saltBalance'
import { bathCondition, passesOf, bathsForTray, useOf, type BathCondition } from '@core/process/baths'
import { type Pass } from '@core/process/bathCapacity'
import { schoolStocks, startingChoices } from '@core/process/plan'
import { stepInHand, wordsIdOf } from '@core/run/runState'
import { silverLaid } from '@core/process/silverOnPaper'
import { exchangeOf } from '@core/process/trayExchange'
import { trayOf } from '@core/process/trays'
import type { Figure } from '@core/quantity/figure'
import type { Bath } from '@core/schema/bath'
import type { Happening } from '@core/schema/event'
import type { BathDefinition, ComponentDefinition, ProcessDefinition } from '@core/schema/definition'
import { substances } from '@library/index'
import { db } from '../storage/db'
import { whichWorkroom } from '../storage/whichWorkroom'
import { useLiveQuery } from './useLiveQuery'
import { useNow } from './useNow'
import { useWorkroom, type SheetInRoom } from './workroom.store'

/** The solutions that are in trays, and how each of them is. */
export const useBaths = defineStore('baths', () => {
  const [workroom, now] = [useWorkroom(), useNow()]
  const rows = useLiveQuery(() => db.baths.toArray(), null)
  const all = computed(() => rows.value ?? [])
  const isReady = computed(() => rows.value !== null)
  /** The bath that is in use in each tray where several stand for it, by its id; the freshest until one is chosen. */
  const inUse = useSessionStorage<Record<string, string>>(`ember-sheet/${whichWorkroom()}/baths`, {})
  // Nothing about a bath need be asked more often than this.
  const minute = computed(() => Math.floor(now.now / 20_000) * 20_000)

  /** What the tray holds by the chosen school. */
  const solutesOf = (
    definition: ProcessDefinition,
    solution: BathDefinition | ComponentDefinition,
    choices: Readonly<Record<string, string>>,
  ) => schoolStocks(definition, choices)[solution.id] ?? solution.stock.solutes

  /** Baths that stand for this tray, the one in use first. */
  function standingFor(
    definition: ProcessDefinition,
    solution: BathDefinition | ComponentDefinition,
    choices: Readonly<Record<string, string>>,
  ): Bath[] {
    const standing = bathsForTray(
      all.value,
      solution.id,
      solutesOf(definition, solution, choices),
      definition.id,
    )
    const isFirst = (bath: Bath) => bath.id === inUse.value[solution.id]
    return [...standing.filter(isFirst), ...standing.filter((bath) => !isFirst(bath))]
  }
  const standing = (...tray: Parameters<typeof standingFor>): Bath | null => standingFor(...tray)[0] ?? null
  /** The next print goes into this bath, although others stand beside it. */
  const use = ({ id, bath }: Pick<Bath, 'id' | 'bath'>) => (inUse.value[bath] = id)

  /** The solution of the step that a sheet is at; with `isIn`, only where it has gone in. */
  function solutionOf({ definition, state, sheet }: SheetInRoom, isIn: boolean) {
    const step = stepInHand(state)
    const words = step && definition.steps.find((one) => one.id === wordsIdOf(step.planned))
    if (!step || !words || (isIn && step.status === 'waiting')) return null
    return trayOf(definition, words, sheet.choices)
  }
  /** The bath that a sheet is in at this moment. */
  function bathUnder(one: SheetInRoom): Bath | null {
    const solution = solutionOf(one, true)
    return solution && standing(one.definition, solution, one.sheet.choices)
  }

  /** A sheet that leaves a tray says which bath it lay in. */
  function withBath(one: SheetInRoom | null, next: Happening): Happening {
    const bath = one && next.type === 'stepFinished' ? bathUnder(one) : null
    return bath && next.type === 'stepFinished' ? { ...next, bathId: bath.id } : next
  }

  /** Silver that the next sheet brings into a fixer: as the last one did, or as the newest sheet of its process will. */
  function silverOf(bath: Bath, passes: readonly Pass[]): Figure {
    const last = passes.at(-1)?.sheetId
    const one =
      (last && workroom.find(last)) ||
      workroom.sheets.find(({ definition }) => definition.id === bath.processId)
    const definition = one?.definition ?? workroom.definitionOf(bath.processId)
    const planned = one?.sheet ?? {
      choices: startingChoices(definition),
      coats: 1,
      coverageMillilitresPerM2: definition.coverage?.millilitresPerM2 ?? USUAL_UPTAKE.brushMillilitresPerM2,
      parts: {},
    }
    return silverLaid(definition, planned, substances)
  }

  const standings = computed(() => {
    const weights = new Map(workroom.papers.map(({ id, gramsPerM2 }) => [id, gramsPerM2]))
    const under = new Map(workroom.sheets.map((one) => [one.sheet.id, bathUnder(one)?.id]))
    return new Map<string, BathCondition>(
      all.value.map((bath) => {
        const { use, keepsSeconds } = useOf(workroom.definitionOf(bath.processId), bath.bath)
        const passes = passesOf(bath.id, workroom.everySheet, {
          inIt: (sheetId) => under.get(sheetId) === bath.id,
          silverPerM2: use?.silver && ((one) => silverLaid(one.definition, one.sheet, substances).value),
          exchange: (one, step) =>
            exchangeOf(one, step, bath, substances, weights.get(one.sheet.paperId ?? '')),
        })
        const fixer = use?.silver && {
          isFirstOfTwo: all.value.some((other) => other.bath === use.followedBy && !other.ended),
          silverPerM2: silverOf(bath, passes),
        }
        return [bath.id, bathCondition(bath, use, passes, keepsSeconds, minute.value, fixer)]
      }),
    )
  })
  const standingOf = (bath: Bath): BathCondition | null => standings.value.get(bath.id) ?? null
  return { isReady, all, solutesOf, standing, standingFor, use, standingOf, solutionOf, bathUnder, withBath }
})
