import { v4 as uuid } from 'uuid'
import { copyProcess, readProcessFile } from '@core/process/processFile'
import { ProcessDefinition } from '@core/schema/definition'
import { OwnProcess } from '@core/schema/records'
import { processes, substances, treatments } from '@library/index'
import { db } from '../../storage/db'

const SUBSTANCE_IDS = new Set(Object.keys(substances))

async function takenIds(): Promise<Set<string>> {
  const own = await db.ownProcesses.toArray()
  return new Set([
    ...Object.keys(processes),
    ...Object.keys(treatments),
    ...own.map((one) => one.definition.id),
  ])
}

const write = async (definition: ProcessDefinition): Promise<string> => {
  const id = uuid()
  await db.ownProcesses.add(OwnProcess.parse({ id, definition, changedAt: Date.now() }))
  return id
}

/** Copies a process under a name of its own. @returns the record's id and the copy. */
export async function copyOwn(
  definition: ProcessDefinition,
  name: string,
): Promise<{ id: string; definition: ProcessDefinition }> {
  const copy = copyProcess(definition, name, await takenIds())
  return { id: await write(copy), definition: copy }
}

/**
 * Takes a shared process in, under an id that is free here.
 *
 * @throws CoreError with the path of what is wrong.
 */
export async function takeInProcess(text: string): Promise<{ id: string; definition: ProcessDefinition }> {
  const read = readProcessFile(text, SUBSTANCE_IDS)
  const taken = await takenIds()
  const definition = taken.has(read.id)
    ? { ...copyProcess(read, read.name, taken), copyOf: read.copyOf ?? read.id }
    : read
  return { id: await write(definition), definition }
}

/** Keeps a changed process as its next version: sheets that were begun keep the plan in their own logs. */
export async function changeOwn(id: string, definition: ProcessDefinition): Promise<void> {
  const next = ProcessDefinition.parse({ ...definition, version: definition.version + 1 })
  await db.ownProcesses.update(id, { definition: next, changedAt: Date.now() })
}

/** Removes a copy; the caller has made sure that no sheet is made by it. @returns a way to have it back. */
export async function removeOwn(id: string): Promise<() => Promise<unknown>> {
  const record = await db.ownProcesses.get(id)
  await db.ownProcesses.delete(id)
  return async () => record && db.ownProcesses.add(record)
}
