import { Unzip, UnzipInflate, zipSync, type Zippable } from 'fflate'
import { CoreError } from '../errors'

/** Sizes beyond which a file cannot be an honest archive of ours. */
export interface ZipLimits {
  entries: number
  /** Bytes of one entry, unpacked. */
  entryBytes: number
  /** Bytes of all entries together, unpacked. */
  totalBytes: number
  /** Unpacked over packed size of one entry; our JSON stays under 40. */
  ratio: number
}

export const LIMITS: ZipLimits = {
  entries: 50_000,
  entryBytes: 256 * 2 ** 20,
  totalBytes: 2 ** 31,
  ratio: 400,
}

const END_OF_DIRECTORY = [0x50, 0x4b, 0x05, 0x06]
/** An end record is 22 bytes and may carry a comment of up to 65 535. */
const END_SEARCH = 22 + 65_535

/**
 * Packs files into one ZIP.
 *
 * @param files bytes by path; entries named in `stored` (pictures, packed already) are not packed again.
 * @param at moment written into every entry, in milliseconds.
 */
export function packZip(
  files: ReadonlyMap<string, Uint8Array>,
  stored: (path: string) => boolean,
  at: number,
): Uint8Array {
  const tree: Zippable = {}
  for (const [path, bytes] of files) tree[path] = [bytes, { level: stored(path) ? 0 : 6, mtime: at }]
  return zipSync(tree)
}

/**
 * Unpacks a ZIP that may be broken or meant to harm. Counts what really comes out, whatever the headers claim, and stops
 * at the first byte over a limit.
 *
 * @returns bytes by path.
 * @throws CoreError `not-a-zip`, `truncated`, `unsafe-path`, `twice`, `too-large` or `damaged`.
 */
export function unpackZip(bytes: Uint8Array, limits: ZipLimits = LIMITS): Map<string, Uint8Array> {
  if (bytes[0] !== 0x50 || bytes[1] !== 0x4b)
    throw refuse('not-a-zip', 'This file is not a ZIP archive.', 'Choose a file that Ember Sheet exported.')
  const promised = entriesPromised(bytes)

  const files = new Map<string, Uint8Array>()
  const open = new Set<string>()
  let total = 0
  // The library catches what its callback throws and calls it again with that as the error, so the first cause is kept.
  let cause: CoreError | null = null
  const stop = (refusal: CoreError): never => {
    cause ??= refusal
    throw cause
  }
  const unzip = new Unzip((entry) => {
    checkPath(entry.name)
    if (files.has(entry.name) || open.has(entry.name))
      throw refuse(
        'twice',
        `“${entry.name}” is in the archive twice.`,
        'It was not written by Ember Sheet; choose another file.',
      )
    if (files.size + open.size >= limits.entries) throw tooLarge(`more than ${limits.entries} files`)
    open.add(entry.name)
    const chunks: Uint8Array[] = []
    let size = 0
    entry.ondata = (error, chunk, final) => {
      if (error)
        stop(
          refuse('damaged', `“${entry.name}” cannot be unpacked.`, 'Export it again, or use an older copy.'),
        )
      size += chunk.length
      total += chunk.length
      if (size > limits.entryBytes)
        stop(tooLarge(`“${entry.name}” unpacks to more than ${limits.entryBytes} bytes`))
      if (total > limits.totalBytes) stop(tooLarge(`it unpacks to more than ${limits.totalBytes} bytes`))
      if (size > 2 ** 20 && size > limits.ratio * (entry.size ?? bytes.length))
        stop(tooLarge(`“${entry.name}” swells more than ${limits.ratio} times`))
      chunks.push(chunk)
      if (final) {
        files.set(entry.name, join(chunks, size))
        open.delete(entry.name)
      }
    }
    entry.start()
  })
  unzip.register(UnzipInflate)
  try {
    // In slices, so that a bomb is noticed before the whole of it lies in memory.
    for (let at = 0; at < bytes.length; at += SLICE)
      unzip.push(bytes.subarray(at, at + SLICE), at + SLICE >= bytes.length)
  } catch (error) {
    if (error instanceof CoreError) throw error
    throw refuse(
      'damaged',
      'The archive is damaged and cannot be unpacked.',
      'Export it again, or use an older copy.',
    )
  }
  if (open.size || files.size !== promised)
    throw refuse(
      'truncated',
      'The archive is not whole: files are missing from it.',
      'Copy or export it again.',
    )
  return files
}

const SLICE = 64 * 1024

function entriesPromised(bytes: Uint8Array): number {
  for (let at = bytes.length - 22; at >= Math.max(0, bytes.length - END_SEARCH); at--)
    if (END_OF_DIRECTORY.every((byte, i) => bytes[at + i] === byte))
      return (bytes[at + 10] as number) | ((bytes[at + 11] as number) << 8)
  throw refuse(
    'truncated',
    'The archive stops before its end.',
    'Copy or export it again; the end of the file is missing.',
  )
}

function checkPath(path: string): void {
  const unsafe =
    path.startsWith('/') ||
    path.includes('\\') ||
    path.includes(':') ||
    path.includes('\0') ||
    path.endsWith('/') ||
    path.split('/').some((part) => part === '..' || part === '.' || part === '')
  if (unsafe)
    throw refuse(
      'unsafe-path',
      `“${path}” points outside the archive.`,
      'Do not open this file; it was not written by Ember Sheet.',
    )
}

function join(chunks: readonly Uint8Array[], size: number): Uint8Array {
  // What was stored and not packed mostly comes in one piece, which lies in the archive and need not be copied.
  const [only] = chunks
  if (only && chunks.length === 1) return only
  const whole = new Uint8Array(size)
  let at = 0
  for (const chunk of chunks) {
    whole.set(chunk, at)
    at += chunk.length
  }
  return whole
}

const refuse = (code: string, problem: string, remedy: string) =>
  new CoreError({ code, field: 'archive', problem, remedy })

const tooLarge = (what: string) =>
  refuse(
    'too-large',
    `The archive is not an honest one: ${what}.`,
    'Do not open this file; it was not written by Ember Sheet.',
  )
