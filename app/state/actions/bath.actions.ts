import { v4 as uuid } from 'uuid'
import { Bath } from '@core/schema/bath'
import { Taking, Waste } from '@core/schema/records'
import type { WasteClass } from '@core/schema/substance'
import { db } from '../../storage/db'

export interface Fill extends Omit<
  Bath,
  'id' | 'madeAt' | 'replenished' | 'filtered' | 'changedAt' | 'note'
> {
  /** Bottle of the shelf it was poured from, and how much; the rest is water. */
  from?: { bottleId: string; millilitres: number } | undefined
}

/** Fills a tray, and takes what was poured off its bottle: both or nothing. */
export async function fillTray({ from, ...bath }: Fill): Promise<string> {
  const [id, at] = [uuid(), Date.now()]
  await db.transaction('rw', [db.baths, db.takings], async () => {
    await db.baths.add(
      Bath.parse({ ...bath, id, madeAt: at, replenished: [], filtered: [], note: '', changedAt: at }),
    )
    if (from) await db.takings.add(taking(from.bottleId, from.millilitres, id, at))
  })
  return id
}

/** A tray that was filled by mistake: it was never there, and what went into it is in its bottle again. */
export async function undoFill(id: string): Promise<void> {
  const at = Date.now()
  await db.transaction('rw', [db.baths, db.takings], async () => {
    await db.baths.update(id, { ended: { at, why: 'undone' }, changedAt: at })
    await db.takings.filter((one) => one.forId === id).modify({ takenBackAt: at })
  })
}

export interface Replenishing {
  bath: Bath
  millilitres: number
  bottleId: string | undefined
  /** What no longer fits the tray and goes into its waste jar. */
  poured: { wasteClass: WasteClass; millilitres: number } | null
}

/** Adds to a tray; returns the waste that was poured off first, if any. */
export async function replenish({
  bath,
  millilitres,
  bottleId,
  poured,
}: Replenishing): Promise<string | null> {
  const [at, wasteId] = [Date.now(), poured ? uuid() : null]
  await db.transaction('rw', [db.baths, db.takings, db.wastes], async () => {
    if (poured && wasteId) await db.wastes.add(wasteFrom(bath, { id: wasteId, at, ...poured }))
    const now = await db.baths.get(bath.id)
    const replenished = [...(now?.replenished ?? []), { at, millilitres }]
    await db.baths.put(Bath.parse({ ...bath, ...now, replenished, changedAt: at }))
    if (bottleId) await db.takings.add(taking(bottleId, millilitres, bath.id, at))
  })
  return wasteId
}

/** Takes the last replenishing back, and what was poured off for it. */
export async function undoReplenish(bathId: string, wasteId: string | null): Promise<void> {
  await db.transaction('rw', [db.baths, db.takings, db.wastes], async () => {
    if (wasteId) await db.wastes.update(wasteId, { takenBackAt: Date.now() })
    const bath = await db.baths.get(bathId)
    const last = bath?.replenished.at(-1)
    if (!bath || !last) return
    const at = Date.now()
    await db.baths.update(bathId, { replenished: bath.replenished.slice(0, -1), changedAt: at })
    await db.takings.filter((one) => one.forId === bathId && one.at === last.at).modify({ takenBackAt: at })
  })
}

/** Filters a bath: it is in its tray again, without what floated in it. */
export async function filterBath(id: string): Promise<void> {
  const at = Date.now()
  await db.baths
    .where('id')
    .equals(id)
    .modify((bath: Bath) => {
      bath.filtered = [...bath.filtered, at]
      bath.changedAt = at
    })
}

/** Takes the last filtering back. */
export async function undoFilter(id: string): Promise<void> {
  await db.baths
    .where('id')
    .equals(id)
    .modify((bath: Bath) => {
      bath.filtered = bath.filtered.slice(0, -1)
      bath.changedAt = Date.now()
    })
}

/** Saves how long a test strip took to clear in a fixer. @throws ZodError for no time at all. */
export async function testFixer(id: string, seconds: number): Promise<void> {
  await db.transaction('rw', db.baths, async () => {
    const bath = await db.baths.get(id)
    if (!bath) return
    const at = Date.now()
    await db.baths.put(
      Bath.parse({ ...bath, clearing: [...(bath.clearing ?? []), { at, seconds }], changedAt: at }),
    )
  })
}

/** Removes the last test of a fixer. */
export async function undoTestFixer(id: string): Promise<void> {
  const bath = await db.baths.get(id)
  if (bath) await db.baths.update(id, { clearing: (bath.clearing ?? []).slice(0, -1), changedAt: Date.now() })
}

export const setTemperature = (id: string, celsius: number): Promise<number> =>
  db.baths.update(id, { celsius, changedAt: Date.now() })

export interface Discard {
  bath: Bath
  /** What was left in the tray. */
  millilitres: number
  wasteClass: WasteClass
  /** The bath that takes its place: it moves to this tray and keeps what it has been through. */
  next: Bath | null
}

/** Pours a bath into its waste jar; where a second one stands, it moves up. */
export async function discardBath({ bath, millilitres, wasteClass, next }: Discard): Promise<string> {
  const [wasteId, at] = [uuid(), Date.now()]
  await db.transaction('rw', [db.baths, db.wastes], async () => {
    // Sheets may have carried everything away.
    if (millilitres > 0) await db.wastes.add(wasteFrom(bath, { id: wasteId, at, wasteClass, millilitres }))
    await db.baths.update(bath.id, { ended: { at, why: 'discarded' }, changedAt: at })
    if (next) await db.baths.update(next.id, { bath: bath.bath, name: bath.name, changedAt: at })
  })
  return wasteId
}

/** The bath is in its tray again, its waste was never there, and what had moved up has moved back. */
export async function undoDiscard({ bath, next }: Discard, wasteId: string): Promise<void> {
  const at = Date.now()
  await db.transaction('rw', [db.baths, db.wastes], async () => {
    await db.wastes.update(wasteId, { takenBackAt: at })
    await db.baths.where('id').equals(bath.id).modify(standAgain(at))
    if (next) await db.baths.update(next.id, { bath: next.bath, name: next.name, changedAt: at })
  })
}

const wasteFrom = (
  { name, contents }: Bath,
  { millilitres, ...rest }: { id: string; at: number; wasteClass: WasteClass; millilitres: number },
) => Waste.parse({ ...rest, amount: millilitres, unit: 'ml', what: name, contents })

const standAgain = (at: number) => (bath: Bath) => {
  delete bath.ended
  bath.changedAt = at
}

const taking = (bottleId: string, amount: number, forId: string, at: number) =>
  Taking.parse({ id: uuid(), bottleId, amount, at, why: 'bath', forId, note: '' })
