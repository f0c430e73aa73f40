import { v4 as uuid } from 'uuid'
import { Base, Light, Tablet, TabletPrint } from '@core/schema/light'
import { db } from '../../storage/db'

/** Adds a light, or writes one with what was changed. @returns the record as it was saved. */
export async function saveLight(light: Omit<Light, 'changedAt'>): Promise<Light> {
  const saved = Light.parse({ ...light, changedAt: Date.now() })
  await db.lights.put(saved)
  return saved
}

/** Puts a light back as it was. */
export const restoreLight = (before: Light) => db.lights.put(before)

/** Keeps a base exposure. @returns its id. */
export async function addBase(base: Omit<Base, 'id' | 'at'>): Promise<string> {
  const id = uuid()
  await db.bases.add(Base.parse({ ...base, id, at: Date.now() }))
  return id
}

export const undoBase = (id: string) => db.bases.update(id, { takenBackAt: Date.now() })

/** Keeps a step tablet of the user's own. @returns its id. */
export async function addTablet(tablet: Omit<Tablet, 'id' | 'changedAt'>): Promise<string> {
  const id = uuid()
  await db.tablets.add(Tablet.parse({ ...tablet, id, changedAt: Date.now() }))
  return id
}

/** Keeps a printed step tablet. @returns its id. */
export async function addTabletPrint(print: Omit<TabletPrint, 'id' | 'at'>): Promise<string> {
  const id = uuid()
  await db.tabletPrints.add(TabletPrint.parse({ ...print, id, at: Date.now() }))
  return id
}

export const undoTabletPrint = (id: string) => db.tabletPrints.update(id, { takenBackAt: Date.now() })
