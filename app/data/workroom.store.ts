import { defineStore } from 'pinia'
import { computed } from 'vue'
import { processes } from '@library/index'
import { emptyRun, type RunState } from '@core/process/run'
import type { ProcessDefinition } from '@core/record/definition'
import type { Sheet } from '@core/record/records'
import { db } from './db'
import { useLiveQuery } from './useLiveQuery'

/** A sheet with what its log amounts to. */
export interface SheetInRoom {
  sheet: Sheet
  state: RunState
  definition: ProcessDefinition
}

/** What the workroom holds. Stores no sums: everything that can be computed is asked of core. */
export const useWorkroom = defineStore('workroom', () => {
  const rows = useLiveQuery(
    async () => ({
      sheets: await db.sheets.orderBy('number').reverse().toArray(),
      standings: await db.standings.toArray(),
    }),
    null,
  )
  const shelf = useLiveQuery(
    async () => ({
      papers: await db.papers.toArray(),
      bottles: await db.bottles.toArray(),
      lights: await db.lights.toArray(),
    }),
    null,
  )
  const papers = computed(() => shelf.value?.papers ?? [])
  const bottles = computed(() => shelf.value?.bottles ?? [])
  const lights = computed(() => shelf.value?.lights ?? [])

  const isReady = computed(() => rows.value !== null && shelf.value !== null)
  /** Newest number first. */
  const sheets = computed<SheetInRoom[]>(() => {
    const states = new Map(rows.value?.standings.map((row) => [row.sheetId, row.state]))
    return (rows.value?.sheets ?? []).map((sheet) => ({
      sheet,
      state: states.get(sheet.id) ?? emptyRun(sheet.id),
      definition: definitionOf(sheet),
    }))
  })
  const states = computed(() => sheets.value.map((one) => one.state))
  const byId = computed(() => new Map(sheets.value.map((one) => [one.sheet.id, one])))
  const nextNumber = computed(() => (sheets.value[0]?.sheet.number ?? 0) + 1)
  const portfolios = computed(() => [
    ...new Set(sheets.value.map((one) => one.sheet.portfolio).filter(Boolean)),
  ])

  const find = (id: string): SheetInRoom | undefined => byId.value.get(id)

  return { isReady, sheets, states, papers, bottles, lights, nextNumber, portfolios, find }
})

/** The process a sheet is made by. Only processes of the library can have been chosen. */
function definitionOf(sheet: Sheet): ProcessDefinition {
  const definition = processes[sheet.process.id]
  if (!definition) throw new Error(`no process is called ${sheet.process.id}`)
  return definition
}
