import { CoreError } from '../errors'
import { RECORD_VERSION } from './records'

/** Takes the records of one version, as parsed JSON, to the next. It may not look at the clock or invent identities. */
export type Migration = (records: unknown) => unknown

/** Migration at place n takes version n + 1 to n + 2. */
export const MIGRATIONS: readonly Migration[] = []

/**
 * Takes records of any earlier version up to the current one.
 *
 * @param records parsed JSON, not yet checked.
 * @param version the version they were written in.
 * @param migrations and `current` are arguments so that the path can be tested before there is a second version.
 * @throws CoreError `newer-version` or `unknown-version`.
 */
export function migrate(
  records: unknown,
  version: number,
  migrations: readonly Migration[] = MIGRATIONS,
  current: number = RECORD_VERSION,
): unknown {
  if (version > current)
    throw new CoreError({
      code: 'newer-version',
      field: 'version',
      problem: `It was written by a newer Ember Sheet: records of version ${version}, and this one reads up to ${current}.`,
      remedy: 'Update this Ember Sheet, then try again.',
    })
  if (!Number.isInteger(version) || version < 1)
    throw new CoreError({
      code: 'unknown-version',
      field: 'version',
      problem: `“${version}” is not a version of Ember Sheet's records.`,
      remedy: 'Choose an archive that Ember Sheet wrote.',
    })
  return migrations.slice(version - 1, current - 1).reduce((older, step) => step(older), records)
}
