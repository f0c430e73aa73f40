import type { DBCore, DBCoreMutateRequest, DBCoreTable, Middleware } from 'dexie'
import { CoreError } from '@core/errors'
import { refusalOfRecord } from '@core/archive/recordFaults'
import { RECORD_SCHEMAS } from '@core/schema/records'

/**
 * Every record goes through its schema on its way into the database, whichever window, page or action writes it. What the
 * schema refuses is not written, and its transaction is undone: so nothing is stored that a backup could not bring back.
 *
 * Upgrades of older databases are left out, since they pass through the shapes of older versions.
 */
export const recordGuard: Middleware<DBCore> = {
  stack: 'dbcore',
  name: 'recordGuard',
  create: (core) => ({
    ...core,
    table(name): DBCoreTable {
      const table = core.table(name)
      if (!Object.hasOwn(RECORD_SCHEMAS, name)) return table
      const kind = name as keyof typeof RECORD_SCHEMAS
      return {
        ...table,
        mutate: (request) => {
          const refused = firstRefused(kind, request)
          return refused ? Promise.reject(refused) : table.mutate(request)
        },
      }
    },
  }),
}

function firstRefused(kind: keyof typeof RECORD_SCHEMAS, request: DBCoreMutateRequest): CoreError | null {
  if (request.type !== 'add' && request.type !== 'put') return null
  if ((request.trans as unknown as { mode?: string }).mode === 'versionchange') return null
  for (const value of request.values) {
    const refusal = refusalOfRecord(kind, value)
    if (refusal) return new CoreError(refusal)
  }
  return null
}
