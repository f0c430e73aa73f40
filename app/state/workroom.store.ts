import { defineStore } from 'pinia'
import { computed } from 'vue'
import { processes, treatments } from '@library/index'
import { takenByBottle } from '@core/chemistry/lots'
import type { SheetOfClock } from '@core/run/rowClocks'
import { emptyRun, stepInHand, type RunState } from '@core/run/runState'
import { coveredIds, stacksOf } from '@core/run/layers'
import { isOpen } from '@core/run/place'
import { unknownProcess } from '@core/process/unknownProcess'
import { numbersSaid } from '@core/quantity/numbers'
import type { ProcessDefinition } from '@core/schema/definition'
import type { PaperRun, Sheet } from '@core/schema/records'
import { db } from '../storage/db'
import { useLiveQuery } from './useLiveQuery'
import { runStatesOf } from '../storage/runStates'
import { useUnsaved } from './unsaved.store'
import { rowsOf } from '../storage/rows'
import { useRowsById } from './useRowsById'
import { BY_NUMBER } from '../storage/workroomDb'

/** A sheet that was touched since stays among the open ones: a day and a half. */
const LATELY_MS = 36 * 3_600_000

/** A sheet with what its log amounts to. */
export interface SheetInRoom {
  sheet: Sheet
  state: RunState
  definition: ProcessDefinition
}

/** A treatment of paper with what its log amounts to. */
export interface TreatmentInRoom {
  run: PaperRun
  state: RunState
  definition: ProcessDefinition
}

/** Anything that has a log and clocks: a sheet, or a treatment of paper. */
export interface WorkInRoom {
  id: string
  /** What it is called where there is little room, such as `Sheet 12`. */
  name: string
  title: string
  state: RunState
  definition: ProcessDefinition
}

async function sheetRevisions(): Promise<[id: string, changedAt: number][]> {
  const keys = (await db.sheets.orderBy(BY_NUMBER).keys()) as unknown as [number, string, number][]
  return keys.map(([, id, changedAt]) => [id, changedAt])
}

/** What the workroom holds. Stores no sums: everything that can be computed is asked of core. */
export const useWorkroom = defineStore('workroom', () => {
  const sheetRows = useRowsById(rowsOf(db.sheets, sheetRevisions))
  const standings = useRowsById(runStatesOf(db))
  const paperRuns = useLiveQuery(() => db.paperRuns.orderBy('number').reverse().toArray(), null)
  const shelf = useLiveQuery(
    async () => ({
      papers: await db.papers.toArray(),
      pieces: await db.pieces.toArray(),
      bottles: await db.bottles.toArray(),
      takings: await db.takings.toArray(),
      wastes: await db.wastes.toArray(),
      droppers: await db.droppers.toArray(),
      lights: await db.lights.toArray(),
    }),
    null,
  )
  const own = useLiveQuery(() => db.ownProcesses.toArray(), null)
  const papers = computed(() => shelf.value?.papers ?? [])
  const pieces = computed(() => shelf.value?.pieces ?? [])
  const bottles = computed(() => shelf.value?.bottles ?? [])
  const takings = computed(() => shelf.value?.takings ?? [])
  const wastes = computed(() => shelf.value?.wastes ?? [])
  const droppers = computed(() => shelf.value?.droppers ?? [])
  const lights = computed(() => shelf.value?.lights ?? [])
  const isReady = computed(() =>
    [sheetRows, standings, paperRuns, shelf, own].every((one) => one.value !== null),
  )

  const ownProcesses = computed(() => own.value ?? [])
  const ownById = computed(
    () => new Map(ownProcesses.value.map((one) => [one.definition.id, one.definition])),
  )
  /** The process or treatment of this id; a stand-in without words where it is not here. */
  const definitionOf = (id: string): ProcessDefinition =>
    processes[id] ?? ownById.value.get(id) ?? treatments[id] ?? unknownProcess(id)
  /** Every process a sheet can be made by, the library's first. */
  const allProcesses = computed(() => [
    ...Object.values(processes),
    ...[...ownById.value.values()].filter((one) => one.kind === 'process'),
  ])

  const unsaved = useUnsaved()
  /** What has been written of a sheet, and what is still to be. */
  const known = (id: string) => unsaved.stateOf(id) ?? standings.value?.get(id)
  const stateOf = (id: string) => known(id) ?? emptyRun(id)
  /** What has not changed stays the same object, so that what is shown of it need not be drawn again. */
  let shown = new Map<string, SheetInRoom>()
  /** Every sheet, those in the bin too, newest number first. */
  const everySheet = computed<SheetInRoom[]>(() => {
    const next = new Map<string, SheetInRoom>()
    for (const sheet of sheetRows.value?.values() ?? []) {
      const [state, definition, before] = [
        known(sheet.id),
        definitionOf(sheet.process.id),
        shown.get(sheet.id),
      ]
      const isSame =
        before?.sheet === sheet &&
        before.definition === definition &&
        before.state === (state ?? before.state)
      next.set(sheet.id, isSame ? before : { sheet, state: state ?? emptyRun(sheet.id), definition })
    }
    shown = next
    return [...next.values()].sort((a, b) => b.sheet.number - a.sheet.number)
  })
  /** Newest number first. */
  const sheets = computed(() => everySheet.value.filter((one) => one.sheet.binnedAt === undefined))
  const binned = computed(() => everySheet.value.filter((one) => one.sheet.binnedAt !== undefined))
  /** Newest number first. */
  const treatmentRuns = computed<TreatmentInRoom[]>(() =>
    (paperRuns.value ?? []).map((run) => ({
      run,
      state: stateOf(run.id),
      definition: definitionOf(run.process.id),
    })),
  )
  /** Sheets under another layer: what is still to be done with them is done with the upper layer. */
  const covered = computed(() => coveredIds(sheets.value))
  /** Layers of one sheet of paper, lowest first, by the id of each; only of sheets that have more than one. */
  const layered = computed(() => {
    const idsOf = stacksOf(sheets.value)
    // Each stack once, however many layers ask for it.
    const ids = new Set(
      sheets.value.filter((one) => one.sheet.over !== undefined).map((one) => idsOf(one.sheet.id)),
    )
    const stacks = [...ids].map((each) => each.flatMap((id) => byId.value.get(id) ?? []))
    return new Map(stacks.flatMap((each) => each.map((one) => [one.sheet.id, each])))
  })
  /** Sheets that something is still to come of, or that were in hand lately: those that clocks and lists of the day ask. */
  const open = computed(() => {
    const now = Date.now()
    return sheets.value.filter(({ state }) => state.lastAt > now - LATELY_MS || isOpen(state, now))
  })
  /** What the logs of open work amount to, uppermost layers only. */
  const states = computed(() =>
    [...open.value.map((one) => one.state), ...treatmentRuns.value.map((one) => one.state)].filter(
      (state) => !covered.value.has(state.sheetId),
    ),
  )
  const byId = computed(() => new Map(everySheet.value.map((one) => [one.sheet.id, one])))
  const treatmentById = computed(() => new Map(treatmentRuns.value.map((one) => [one.run.id, one])))
  const nextNumber = computed(() => (everySheet.value[0]?.sheet.number ?? 0) + 1)
  const portfolios = computed(() => [
    ...new Set(sheets.value.map((one) => one.sheet.portfolio).filter(Boolean)),
  ])
  /** What has been taken from each bottle so far. */
  const taken = computed(() =>
    takenByBottle(
      [...everySheet.value, ...treatmentRuns.value].map((one) => one.state),
      takings.value,
    ),
  )

  const find = (id: string): SheetInRoom | undefined => byId.value.get(id)
  /** Every layer of a sheet of paper, lowest first. */
  const stack = (id: string): SheetInRoom[] =>
    layered.value.get(id) ?? [byId.value.get(id)].filter((one) => one !== undefined)
  const findTreatment = (id: string): TreatmentInRoom | undefined => treatmentById.value.get(id)
  /** Whatever has this id and a log. */
  function work(id: string): WorkInRoom | undefined {
    const sheet = find(id)
    if (sheet) return { id, name: `Sheet ${sheet.sheet.number}`, title: sheet.sheet.title, ...pick(sheet) }
    const treatment = findTreatment(id)
    if (!treatment) return undefined
    const { run, definition } = treatment
    return { id, name: `Paper ${run.number}`, title: definition.name, ...pick(treatment) }
  }
  /** What is known of a sheet whose clock runs, for showing a row as one. */
  function ofClock(id: string): SheetOfClock {
    const one = find(id)
    const batch = one?.sheet.batch
    return {
      rowId: batch?.isAlone ? undefined : batch?.id,
      isWaiting: one !== undefined && stepInHand(one.state)?.planned.kind === 'wait',
    }
  }
  /** One thing with a log, or the sheets of a row, as they are called where there is little room. */
  function nameOf(ids: readonly string[]): string {
    const numbers = ids.flatMap((id) => find(id)?.sheet.number ?? [])
    return ids.length > 1 ? `Sheets ${numbersSaid(numbers)}` : (work(ids[0] ?? '')?.name ?? '')
  }
  return {
    isReady,
    sheets,
    open,
    binned,
    everySheet,
    treatmentRuns,
    states,
    covered,
    layered,
    stack,
    papers,
    pieces,
    bottles,
    takings,
    wastes,
    droppers,
    lights,
    ownProcesses,
    allProcesses,
    definitionOf,
    nextNumber,
    ofClock,
    nameOf,
    portfolios,
    taken,
    find,
    findTreatment,
    work,
  }
})

const pick = ({ state, definition }: Pick<WorkInRoom, 'state' | 'definition'>) => ({ state, definition })
