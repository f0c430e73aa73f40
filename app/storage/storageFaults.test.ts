import { storageFault } from './storageFaults'

const thrown = (name: string, message = '') => Object.assign(new Error(message), { name })
const codeOf = (error: unknown) => storageFault(error)?.code

describe('what a browser says of its storage', () => {
  it.each([
    ['a full quota', thrown('QuotaExceededError'), 'disk-full'],
    ['a transaction that a full disk stopped', thrown('AbortError', 'The transaction was aborted'), 'disk-full'],
    // As Chromium words it; seen with a small disk.
    ['a full disk', thrown('UnknownError', 'Connection is closing because of: IO error: 000003.log: FILE_ERROR_NO_SPACE'), 'disk-full'],
    ['a full disk at the start', thrown('UnknownError', 'Encountered full disk while opening backing store for indexedDB.open.'), 'disk-full'],
    ['a full disk, wrapped by the storage library', { name: 'BulkError', inner: null, failures: [thrown('QuotaExceededError')] }, 'disk-full'],
    ['a closed connection', thrown('InvalidStateError'), 'storage-gone'],
    ['a storage that went away', thrown('DatabaseClosedError'), 'storage-gone'],
    ['something it does not name', thrown('UnknownError', 'Internal error.'), 'storage-gone'],
    ['a newer version', thrown('VersionError'), 'old-version'],
    ['another fault', thrown('TypeError', 'the disk is not defined'), undefined],
    ['nothing', null, undefined],
  ])('%s', (_, error, code) => expect(codeOf(error)).toBe(code))
}) // prettier-ignore
