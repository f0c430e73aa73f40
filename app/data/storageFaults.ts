import { CoreError } from '@core/errors'

/** Names under which a browser says that a write did not fit, or that its storage went away. */
const named = (thrown: unknown): string[] => {
  const one = thrown as { name?: string; inner?: unknown; failures?: unknown[] } | null
  if (typeof one !== 'object' || one === null) return []
  return [one.name ?? '', ...(one.inner ? named(one.inner) : []), ...(one.failures ?? []).flatMap(named)]
}

/**
 * What a browser's storage error means for whoever works here, or `null` for any other error.
 *
 * Whatever was to be written then has not been: the transaction is all or nothing.
 */
export function storageFault(thrown: unknown): CoreError | null {
  const names = named(thrown)
  const is = (...wanted: string[]) => wanted.some((name) => names.includes(name))
  if (is('QuotaExceededError'))
    return new CoreError({
      code: 'disk-full',
      field: 'storage',
      problem: 'The disk, or this browser’s share of it, is full: this was not written down.',
      remedy:
        'Free some space (empty the bin, export and remove large photographs, or clear the disk), then try again.',
    })
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
      problem: 'The browser has closed this workroom’s storage: this was not written down.',
      remedy: 'Reload this window; what was written before is still there.',
    })
  return null
}
