import { v4 as uuid } from 'uuid'
import { RegisterCheck } from '@core/schema/register'
import { db } from '../../storage/db'

/** Keeps a register check with its sheet. @returns its id. */
export async function addRegisterCheck(check: Omit<RegisterCheck, 'id' | 'at'>): Promise<string> {
  const id = uuid()
  await db.registerChecks.add(RegisterCheck.parse({ ...check, id, at: Date.now() }))
  return id
}

export const undoRegisterCheck = (id: string) => db.registerChecks.update(id, { takenBackAt: Date.now() })
