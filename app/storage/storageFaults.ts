import { CoreError } from '@core/errors'

/** What a browser says went wrong, with every error that it wraps. */
const saidOf = (thrown: unknown): { name: string; message: string }[] => {
  const one = thrown as {
    name?: string
    message?: string
    inner?: unknown
    failures?: unknown[]
  } | null
  if (typeof one !== 'object' || one === null) return []
  return [
    { name: one.name ?? '', message: String(one.message ?? '') },
    ...(one.inner ? saidOf(one.inner) : []),
    ...(one.failures ?? []).flatMap(saidOf),
  ]
}

const diskFull = () =>
  new CoreError({
    code: 'disk-full',
    field: 'storage',
    problem: 'The disk, or this browser’s share of it, is full: this is not saved yet.',
    remedy: 'Keep this window open, free some space on the disk, then save again.',
  })

/**
 * What a browser's storage error means for whoever works here, or `null` for any other error.
 *
 * Nothing of what was to be written has been: the transaction is all or nothing.
 */
export function storageFault(thrown: unknown): CoreError | null {
  const said = saidOf(thrown)
  const is = (...wanted: string[]) => said.some(({ name }) => wanted.includes(name))
  // A really full disk: the browser stops the transaction, and says why in its message only.
  if (
    is('QuotaExceededError', 'AbortError') ||
    said.some(({ message }) => /NO_SPACE|IO error|disk/i.test(message) && is('UnknownError'))
  )
    return diskFull()
  if (is('VersionError'))
    return new CoreError({
      code: 'old-version',
      field: 'storage',
      problem: 'This workroom was opened by a newer Ember Sheet, and this window still runs an older one.',
      remedy: 'Reload this window. Nothing is lost.',
    })
  if (is('DatabaseClosedError', 'InvalidStateError', 'UnknownError'))
    return new CoreError({
      code: 'storage-gone',
      field: 'storage',
      problem: 'The browser has closed this workroom’s storage: this is not saved yet.',
      remedy:
        'Keep this window open and save again. If that fails, reload: what was saved before is still there.',
    })
  return null
}
