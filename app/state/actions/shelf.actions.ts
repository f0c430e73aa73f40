import { v4 as uuid } from 'uuid'
import { Bottle, Dropper, Taking, Waste } from '@core/schema/records'
import { db } from '../../storage/db'

type NewBottle = Omit<Bottle, 'id' | 'changedAt' | 'note'> & { note?: string }
type NewTaking = Pick<Taking, 'bottleId' | 'amount' | 'why'> & { note?: string }

/** Puts a bottle on the shelf, with what was taken from others for it: all of it or nothing. */
export async function putOnShelf(bottle: NewBottle, takings: readonly NewTaking[] = []): Promise<string> {
  const id = uuid()
  const at = Date.now()
  await db.transaction('rw', [db.bottles, db.takings], async () => {
    await db.bottles.add(Bottle.parse({ note: '', ...bottle, id, changedAt: at }))
    await db.takings.bulkAdd(
      takings.map((one) => Taking.parse({ note: '', ...one, id: uuid(), at, forId: id })),
    )
  })
  return id
}

/** Puts several bottles on the shelf that came together: all of them or none. */
export async function putKitOnShelf(bottles: readonly NewBottle[]): Promise<string[]> {
  const at = Date.now()
  const all = bottles.map((bottle) => Bottle.parse({ note: '', ...bottle, id: uuid(), changedAt: at }))
  await db.bottles.bulkAdd(all)
  return all.map(({ id }) => id)
}

/** Takes the making of a bottle back: it leaves the shelf, and what went into it is in its jars again. */
export async function undoBottle(id: string): Promise<void> {
  const at = Date.now()
  await db.transaction('rw', [db.bottles, db.takings], async () => {
    await db.bottles.update(id, { ended: { at, why: 'undone' }, changedAt: at })
    await db.takings.filter((one) => one.forId === id).modify({ takenBackAt: at })
  })
}

/** Takes something out of a bottle; below 0 when a count found more than was thought. */
export async function takeOut(taking: NewTaking): Promise<string> {
  const id = uuid()
  await db.takings.add(Taking.parse({ note: '', ...taking, id, at: Date.now() }))
  return id
}

export const undoTakeIn = (id: string): Promise<number> => db.takings.update(id, { takenBackAt: Date.now() })

/** Empties a bottle into its waste jar. */
export async function throwAway(
  bottle: Bottle,
  waste: Pick<Waste, 'wasteClass' | 'amount' | 'unit' | 'what' | 'contents'>,
): Promise<string> {
  const [id, at] = [uuid(), Date.now()]
  await db.transaction('rw', [db.bottles, db.wastes], async () => {
    await db.wastes.add(Waste.parse({ ...waste, id, bottleId: bottle.id, at }))
    await db.bottles.update(bottle.id, { ended: { at, why: 'discarded' }, changedAt: at })
  })
  return id
}

/** The bottle is on its board again, and its waste was never there. */
export async function undoThrowAway(bottleId: string, wasteId: string): Promise<void> {
  const at = Date.now()
  await db.transaction('rw', [db.bottles, db.wastes], async () => {
    await db.wastes.update(wasteId, { takenBackAt: at })
    await db.bottles
      .where('id')
      .equals(bottleId)
      .modify((bottle) => {
        delete bottle.ended
        bottle.changedAt = at
      })
  })
}

/** An empty bottle leaves the shelf. */
export const endBottle = (id: string): Promise<number> =>
  db.bottles.update(id, { ended: { at: Date.now(), why: 'empty' }, changedAt: Date.now() })

export const changeBottle = (id: string, change: Partial<Bottle>): Promise<number> =>
  db.bottles.update(id, { ...change, changedAt: Date.now() })

export async function addWaste(waste: Omit<Waste, 'id' | 'at'>): Promise<string> {
  const id = uuid()
  await db.wastes.add(Waste.parse({ ...waste, id, at: Date.now() }))
  return id
}

export const undoWaste = (id: string): Promise<number> => db.wastes.update(id, { takenBackAt: Date.now() })

/** A jar was handed over to the licensed service. */
export async function handOver(ids: readonly string[]): Promise<void> {
  const at = Date.now()
  await db.wastes.bulkUpdate(ids.map((key) => ({ key, changes: { handedOverAt: at } })))
}

/** Keeps a weighed dropper; the one that was changed last is used. @returns its id. */
export async function addDropper(dropper: Omit<Dropper, 'id' | 'changedAt'>): Promise<string> {
  const id = uuid()
  await db.droppers.add(Dropper.parse({ ...dropper, id, changedAt: Date.now() }))
  return id
}

export const removeDropper = (id: string) => db.droppers.delete(id)

/** Makes a dropper the one that is used. */
export const chooseDropper = (id: string) => db.droppers.update(id, { changedAt: Date.now() })
