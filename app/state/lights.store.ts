import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { v4 as uuid } from 'uuid'
import { isBelow, meterJump, type MeterJump } from '@core/light/liveLight'
import type { LightCourse, Sample } from '@core/run/dose'
import { historyOf, type LightHistory } from '@core/light/lightLedger'
import { courseUnder, expectedLight, sunSceneOf } from '@core/light/lightNow'
import { sunLightAt } from '@core/sun/irradiance'
import { stepInHand, type RunState } from '@core/run/runState'
import type { LightEntry } from '@core/schema/light'
import { db } from '../storage/db'
import { useLiveQuery } from './useLiveQuery'
import { useNow } from './useNow'
import { useWorkroom } from './workroom.store'
import { useInstruments } from './instruments.store'
import { useNotice } from './notice.store'

/** Readings closer together than this are left out of a trace: the light does not change so fast. */
const LEAST_STEP = 200
/** A trace is recorded so often; a crash loses no more, and the gap is bridged. */
const WRITE_EVERY = 2000
const TRACE_KEPT = 86_400_000
const NO_SAMPLES: Sample[] = []

/** Lights with their ledgers, and the light that each sheet is under now. */
export const useLights = defineStore('lights', () => {
  const [workroom, now, instruments, notice] = [useWorkroom(), useNow(), useInstruments(), useNotice()]
  const rows = useLiveQuery(
    async () => ({
      entries: await db.lightEntries.toArray(),
      bases: await db.bases.toArray(),
      tablets: await db.tablets.toArray(),
      prints: await db.tabletPrints.toArray(),
    }),
    null,
  )
  const entries = computed(() => rows.value?.entries ?? [])
  const bases = computed(() => (rows.value?.bases ?? []).filter((one) => one.takenBackAt === undefined))
  const tablets = computed(() => rows.value?.tablets ?? [])
  const tabletPrints = computed(() =>
    (rows.value?.prints ?? []).filter((one) => one.takenBackAt === undefined),
  )

  // Ledgers are read by the minute; nothing in them need be asked at every beat.
  const minute = computed(() => Math.floor(now.now / 60_000) * 60_000)
  const histories = computed(() => {
    const sheets = workroom.everySheet.map(({ sheet, state }) => ({ lightId: sheet.lightId, state }))
    return new Map(
      workroom.lights.map((light) => [
        light.id,
        historyOf(light, entries.value, rows.value?.bases ?? [], sheets, minute.value),
      ]),
    )
  })
  const history = (lightId: string | undefined): LightHistory | null =>
    (lightId && histories.value.get(lightId)) || null

  /** Which light the meter is under; the one that a sheet in the light has, unless the user says. */
  const meterAt = shallowRef<string | null>(null)
  const isExposing = (state: RunState) => {
    const step = stepInHand(state)
    return step?.planned.kind === 'expose' && step.startedAt !== undefined
  }
  const exposing = computed(() => workroom.open.filter((one) => !one.state.setAside && isExposing(one.state)))
  const isUnderMeter = (lightId: string | undefined) => meterAt.value === null || meterAt.value === lightId

  // Not reactive: ten readings a second need no redraw, the beat of the clocks asks for one.
  const traces = new Map<string, Sample[]>()
  const unwritten = new Map<string, Sample[]>()
  const loading = new Set<string>()

  // A trace that was begun before a reload is taken up again.
  watch(
    () => exposing.value.map((one) => one.sheet.id),
    async (ids) => {
      for (const id of ids) {
        if (traces.has(id) || loading.has(id)) continue
        loading.add(id)
        const stored = (await db.traces.where('sheetId').equals(id).toArray()).flatMap((row) => row.samples)
        // Readings that came in meanwhile may be among the stored ones already.
        const all = new Map([...stored, ...(traces.get(id) ?? [])])
        traces.set(
          id,
          [...all].sort((a, b) => a[0] - b[0]),
        )
        const jump = meterJump(traces.get(id) ?? [], expectedNow(workroom.find(id)?.sheet.lightId))
        if (jump && !doubts.value.has(id)) setDoubt(id, jump, false)
        loading.delete(id)
      }
    },
    { immediate: true },
  )

  // A trace serves the running clock, and for a day an undo; then what it came to is in the record.
  void db.traces.filter((row) => (row.samples.at(-1)?.[0] ?? 0) < now.now - TRACE_KEPT).delete()

  instruments.listen(({ quantity, value, at }) => {
    if (quantity !== 'irradiance') return
    for (const { sheet, state } of exposing.value) {
      if (!isUnderMeter(sheet.lightId) || stepInHand(state)?.status !== 'running') continue
      const trace = traces.get(sheet.id) ?? []
      if (at - (trace.at(-1)?.[0] ?? -Infinity) < LEAST_STEP) continue
      const sample: Sample = [at, value]
      const last = trace.at(-1)
      const jump =
        last && !doubts.value.has(sheet.id) ? meterJump([last, sample], expectedNow(sheet.lightId)) : null
      trace.push(sample)
      traces.set(sheet.id, trace)
      const doubt = doubts.value.get(sheet.id)
      if (jump) setDoubt(sheet.id, jump, false)
      // Once it reads as before, it counts again.
      else if (doubt && isBelow(value, doubt.jump)) doubt.before.push(sample)
      unwritten.set(sheet.id, [...(unwritten.get(sheet.id) ?? []), sample])
    }
    if (at - writtenAt >= WRITE_EVERY) writeTraces(at)
  })
  let writtenAt = 0
  function writeTraces(at: number): void {
    writtenAt = at
    const pending = [...unwritten].map(([sheetId, samples]) => ({ id: uuid(), sheetId, samples }))
    if (!pending.length) return
    unwritten.clear()
    // What could not be written waits in front of what came in meanwhile, for the next try.
    void db.traces.bulkAdd(pending).catch((error: unknown) => {
      for (const { sheetId, samples } of pending)
        unwritten.set(sheetId, [...samples, ...(unwritten.get(sheetId) ?? [])])
      notice.refuse(error, 'the readings of the meter')
    })
  }
  document.addEventListener('visibilitychange', () => writeTraces(Date.now()))

  /** Readings in doubt, by sheet, and whether the user has said that they are right. */
  const doubts = shallowRef<ReadonlyMap<string, { jump: MeterJump; isRight: boolean; before: Sample[] }>>(
    new Map(),
  )
  const setDoubt = (sheetId: string, jump: MeterJump, isRight: boolean): void => {
    const before = (traces.get(sheetId) ?? []).filter(([at, value]) => at < jump.at || isBelow(value, jump))
    doubts.value = new Map([...doubts.value, [sheetId, { jump, isRight, before }]])
  }
  /** The readings that count: those after a jump do once the user has said that they are right. */
  function samplesOf(sheetId: string): Sample[] {
    const doubt = doubts.value.get(sheetId)
    return doubt && !doubt.isRight ? doubt.before : (traces.get(sheetId) ?? NO_SAMPLES)
  }
  const doubtOf = (sheetId: string): MeterJump | null => {
    const doubt = doubts.value.get(sheetId)
    return doubt && !doubt.isRight ? doubt.jump : null
  }
  /** The user has looked at the meter: it reads right. */
  function believeMeter(sheetId: string): void {
    const doubt = doubts.value.get(sheetId)
    if (doubt) setDoubt(sheetId, doubt.jump, true)
  }

  /** A sun's curve is long to work out and the same for a whole exposure. */
  const cache = new Map<string, { key: string; samples: Sample[]; course: LightCourse | null }>()
  function courseOf(state: RunState): LightCourse | null {
    const found = workroom.find(state.sheetId)
    const step = stepInHand(state)
    const told = history(found?.sheet.lightId)
    if (!found || !told || !step || step.planned.kind !== 'expose' || step.startedAt === undefined)
      return null
    const samples = samplesOf(state.sheetId)
    // A meter's course reads its samples where they are, so it need not be made again for each.
    const key = [
      step.startedAt,
      step.milliwattsPerCm2,
      told.light.changedAt,
      told.entries.length,
      samples.length > 0,
    ].join('/')
    const known = cache.get(state.sheetId)
    // After a reload the trace on disk takes the place of what came in before it was read.
    if (known?.key === key && known.samples === samples) return known.course
    const course = courseUnder(told, {
      startedAt: step.startedAt,
      milliwattsPerCm2: step.milliwattsPerCm2,
      samples,
    })
    cache.set(state.sheetId, { key, samples, course })
    return course
  }

  /** The light at a frame now: as a meter reads it, else as it is expected; `null` where neither says. */
  function lightNow(lightId: string | undefined): { milliwattsPerCm2: number; by: 'meter' | 'model' } | null {
    if (instruments.irradiance && isUnderMeter(lightId))
      return { milliwattsPerCm2: instruments.irradiance.value, by: 'meter' }
    const expected = expectedNow(lightId)
    return expected === null ? null : { milliwattsPerCm2: expected, by: 'model' }
  }
  /** What a light should give now, by its ledger or the model of the sun; `null` where neither says. */
  function expectedNow(lightId: string | undefined): number | null {
    const told = history(lightId)
    const expected = told && expectedLight(told, now.now)
    return expected && expected.value > 0 ? expected.value : null
  }

  /** Writes something into a light's ledger. @returns its identity, for taking it back. */
  async function tell(lightId: string, what: LightEntry['what'], note = ''): Promise<string> {
    const id = uuid()
    await db.lightEntries.add({ id, lightId, at: Date.now(), what, note })
    return id
  }
  /** Writes a reading into a light's ledger; of a sun with what the model had computed for that moment. */
  function tellReading(
    lightId: string,
    milliwattsPerCm2: number,
    by: 'meter' | 'typed',
    at: number,
  ): Promise<string> {
    const told = history(lightId)
    const sun = told && sunSceneOf(told, at)
    const reckoned = sun ? sunLightAt(sun.scene.place, at, sun.scene.sky, sun.scene.facing).total : 0
    return tell(lightId, {
      type: 'read',
      milliwattsPerCm2,
      by,
      ...(reckoned > 0.01 && { reckonedMilliwattsPerCm2: reckoned }),
    })
  }
  const undoLast = (id: string) => db.lightEntries.update(id, { takenBackAt: Date.now() })

  const isReady = computed(() => rows.value !== null)

  return {
    isReady,
    minute,
    entries,
    bases,
    tablets,
    tabletPrints,
    histories,
    history,
    meterAt,
    samplesOf,
    courseOf,
    lightNow,
    expectedNow,
    writeTraces,
    tell,
    tellReading,
    doubtOf,
    believeMeter,
    undoLast,
  }
})
