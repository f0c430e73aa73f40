import {
  Inflate,
  Unzip,
  zipSync,
  type AsyncFlateStreamHandler,
  type UnzipDecoder,
  type Zippable,
} from 'fflate'
import { CoreError, refusalAt } from '../errors'

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
/** The end of a ZIP whose counts or sizes are too large for the plain record: it comes before that, with a pointer to it between. */
const LARGE_END = [0x50, 0x4b, 0x06, 0x06]
const [LARGE_END_BYTES, POINTER_BYTES] = [56, 20]
/** An end record is 22 bytes and may carry a comment of up to 65 535; a large one comes before it. */
export const END_SEARCH = LARGE_END_BYTES + POINTER_BYTES + 22 + 65_535

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

/** A file of a ZIP as it is there: its own bytes, or packed ones. */
export interface ZipEntry {
  bytes: Uint8Array
  isPacked: boolean
}

/** Takes packed bytes as they come: what is large is unpacked later, and elsewhere. */
class AsItLies implements UnzipDecoder {
  static compression = 8
  ondata: AsyncFlateStreamHandler = () => undefined
  push(chunk: Uint8Array<ArrayBuffer>, final: boolean): void {
    this.ondata(null, chunk, final)
  }
}

/**
 * Lists the files of a ZIP that may be broken or meant to harm, as its bytes come in. Nothing is unpacked.
 */
export class ZipLister {
  private readonly open = new Set<string>()
  private readonly seen = new Set<string>()
  private readonly promised: number
  private readonly unzip: Unzip

  /**
   * @param head the first bytes of the file, two at least.
   * @param tail its end, of `END_SEARCH` bytes where it has as many.
   * @param take hears each entry when all of it has come in.
   * @throws CoreError `not-a-zip` or `truncated`.
   */
  constructor(
    head: Uint8Array,
    tail: Uint8Array,
    take: (path: string, entry: ZipEntry) => void,
    limits: ZipLimits = LIMITS,
  ) {
    if (head[0] !== 0x50 || head[1] !== 0x4b)
      throw refuse('not-a-zip', 'This file is not a ZIP archive.', 'Choose a file that Ember Sheet exported.')
    this.promised = entriesPromised(tail)
    this.unzip = new Unzip((file) => {
      checkPath(file.name)
      if (this.seen.has(file.name))
        throw refuse(
          'twice',
          `“${file.name}” is in the archive twice.`,
          'It was not written by Ember Sheet; choose another file.',
        )
      if (this.seen.size >= limits.entries) throw tooLarge(`more than ${limits.entries} files`)
      this.seen.add(file.name)
      this.open.add(file.name)
      const chunks: Uint8Array[] = []
      let size = 0
      file.ondata = (error, chunk, final) => {
        if (error) throw cannotUnpack(file.name)
        size += chunk.length
        if (chunk.length) chunks.push(chunk)
        if (!final) return
        this.open.delete(file.name)
        take(file.name, { bytes: join(chunks, size), isPacked: file.compression === 8 })
      }
      file.start()
    })
    this.unzip.register(AsItLies)
  }

  /**
   * Takes the next bytes.
   *
   * @throws CoreError `truncated`, `unsafe-path`, `twice`, `too-large` or `damaged`.
   */
  push(bytes: Uint8Array, isLast: boolean): void {
    try {
      for (let at = 0; at < bytes.length; at += SLICE)
        this.unzip.push(bytes.subarray(at, at + SLICE), isLast && at + SLICE >= bytes.length)
    } catch (error) {
      if (error instanceof CoreError) throw error
      throw refuse(
        'damaged',
        'The archive is damaged and cannot be unpacked.',
        'Export it again, or use an older copy.',
      )
    }
    if (isLast && (this.open.size || this.seen.size !== this.promised))
      throw refuse('truncated', 'The archive is incomplete: files are missing.', 'Copy or export it again.')
  }
}

/** Lists the files of a small ZIP, by path. @throws CoreError those of `ZipLister`. */
export function listZip(bytes: Uint8Array, limits?: ZipLimits): Map<string, ZipEntry> {
  const entries = new Map<string, ZipEntry>()
  new ZipLister(bytes, bytes, (path, entry) => entries.set(path, entry), limits).push(bytes, true)
  return entries
}

/** Small, since the library calls itself once for every entry of a slice, and an empty one takes some 40 bytes. */
const SLICE = 64 * 1024
/** So much is unpacked at a time, so that a bomb is noticed before the whole of it is in memory. */
const PACKED_SLICE = 64 * 1024

/**
 * Unpacks one file of a ZIP. Counts what really comes out, whatever the headers claim, and stops at the first byte over
 * a limit.
 *
 * @throws CoreError `too-large` or `damaged`.
 */
export function unpackEntry(
  path: string,
  { bytes, isPacked }: ZipEntry,
  limits: ZipLimits = LIMITS,
): Uint8Array {
  let size = 0
  const count = (more: number) => {
    size += more
    if (size > limits.entryBytes) throw tooLarge(`“${path}” expands to more than ${limits.entryBytes} bytes`)
    if (size > 2 ** 20 && size > limits.ratio * bytes.length)
      throw tooLarge(`“${path}” expands more than ${limits.ratio} times`)
  }
  if (!isPacked || !bytes.length) {
    count(bytes.length)
    return bytes
  }
  const chunks: Uint8Array[] = []
  let isWhole = false
  const inflate = new Inflate((chunk, final) => {
    count(chunk.length)
    chunks.push(chunk)
    isWhole ||= final
  })
  try {
    for (let at = 0; at < bytes.length; at += PACKED_SLICE)
      inflate.push(bytes.subarray(at, at + PACKED_SLICE), at + PACKED_SLICE >= bytes.length)
  } catch (error) {
    throw error instanceof CoreError ? error : cannotUnpack(path)
  }
  if (!isWhole) throw cannotUnpack(path)
  return join(chunks, size)
}

/** Counts what comes out of all files of one archive. @throws CoreError `too-large`, from what is returned. */
export function unpackedTotal(limits: ZipLimits = LIMITS): (bytes: number) => void {
  let total = 0
  return (bytes) => {
    total += bytes
    if (total > limits.totalBytes) throw tooLarge(`it expands to more than ${limits.totalBytes} bytes`)
  }
}

const cannotUnpack = (path: string) =>
  refuse('damaged', `“${path}” cannot be unpacked.`, 'Export it again, or use an older copy.')

function entriesPromised(bytes: Uint8Array): number {
  const isAt = (at: number, sign: readonly number[]) => sign.every((byte, i) => bytes[at + i] === byte)
  for (let at = bytes.length - 22; at >= Math.max(0, bytes.length - END_SEARCH); at--)
    if (isAt(at, END_OF_DIRECTORY)) {
      const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
      const count = view.getUint16(at + 10, true)
      const large = at - POINTER_BYTES - LARGE_END_BYTES
      // All ones: the count is in the large record.
      return count === 0xffff && large >= 0 && isAt(large, LARGE_END)
        ? Number(view.getBigUint64(large + 32, true))
        : count
    }
  throw refuse(
    'truncated',
    'The archive is incomplete.',
    'The end of the file is missing. Copy or export it again.',
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
  // What was stored and not packed mostly comes in one piece, which is in the archive and need not be copied.
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

const refuse = refusalAt('archive')

const tooLarge = (what: string) =>
  refuse(
    'too-large',
    `The archive is not safe to open: ${what}.`,
    'Do not open this file; it was not written by Ember Sheet.',
  )
