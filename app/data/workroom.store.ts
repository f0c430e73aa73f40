import { defineStore } from 'pinia'
import { computed } from 'vue'
import { processes, treatments } from '@library/index'
import { takenByBottle } from '@core/chemistry/lots'
import { emptyRun, type RunState } from '@core/process/run'
import { coveredIds, stackOf } from '@core/process/layers'
import { unknownProcess } from '@core/process/unknown'
import type { ProcessDefinition } from '@core/record/definition'
import type { PaperRun, Sheet } from '@core/record/records'
import { db } from './db'
import { useLiveQuery } from './useLiveQuery'

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

/** What the workroom holds. Stores no sums: everything that can be computed is asked of core. */
export const useWorkroom = defineStore('workroom', () => {
  const rows = useLiveQuery(
    async () => ({
      sheets: await db.sheets.orderBy('number').reverse().toArray(),
      paperRuns: await db.paperRuns.orderBy('number').reverse().toArray(),
      standings: await db.standings.toArray(),
    }),
    null,
  )
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
  const isReady = computed(() => rows.value !== null && shelf.value !== null && own.value !== null)

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

  const standings = computed(() => new Map(rows.value?.standings.map((row) => [row.sheetId, row.state])))
  const stateOf = (id: string) => standings.value.get(id) ?? emptyRun(id)
  /** Newest number first. */
  const sheets = computed<SheetInRoom[]>(() =>
    (rows.value?.sheets ?? []).map((sheet) => ({
      sheet,
      state: stateOf(sheet.id),
      definition: definitionOf(sheet.process.id),
    })),
  )
  /** Newest number first. */
  const treatmentRuns = computed<TreatmentInRoom[]>(() =>
    (rows.value?.paperRuns ?? []).map((run) => ({
      run,
      state: stateOf(run.id),
      definition: definitionOf(run.process.id),
    })),
  )
  const everyState = computed(() => [
    ...sheets.value.map((one) => one.state),
    ...treatmentRuns.value.map((one) => one.state),
  ])
  /** Sheets that a further layer lies over: what is still to be done with them is done with the upper layer. */
  const covered = computed(() => coveredIds(sheets.value))
  const states = computed(() => everyState.value.filter((state) => !covered.value.has(state.sheetId)))
  const byId = computed(() => new Map(sheets.value.map((one) => [one.sheet.id, one])))
  const treatmentById = computed(() => new Map(treatmentRuns.value.map((one) => [one.run.id, one])))
  const nextNumber = computed(() => (sheets.value[0]?.sheet.number ?? 0) + 1)
  const portfolios = computed(() => [
    ...new Set(sheets.value.map((one) => one.sheet.portfolio).filter(Boolean)),
  ])
  /** What has been taken from each bottle so far. */
  const taken = computed(() => takenByBottle(everyState.value, takings.value))

  const find = (id: string): SheetInRoom | undefined => byId.value.get(id)
  /** Every layer of a sheet of paper, lowest first. */
  const stack = (id: string): SheetInRoom[] => stackOf(sheets.value, id).flatMap((each) => find(each) ?? [])
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
  return {
    isReady,
    sheets,
    treatmentRuns,
    states,
    covered,
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
    portfolios,
    taken,
    find,
    findTreatment,
    work,
  }
})

const pick = ({ state, definition }: Pick<WorkInRoom, 'state' | 'definition'>) => ({ state, definition })
