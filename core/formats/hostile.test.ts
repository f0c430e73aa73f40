import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { CoreError } from '../errors'
import { mutated, mutatedJson } from '../fixtures/mutations'
import { samples } from '../fixtures/samples'
import { workroom } from '../fixtures/workroom'
import { T0 } from '../fixtures/logs'
import { readLine } from '../instrument/protocol'
import { readProcessFile, writeProcessFile } from '../process/processFile'
import { replay } from '../run/run'
import { unknownProcess } from '../process/unknownProcess'
import { writeArchive } from '../archive/archive'
import { readArchive } from '../archive/archiveReading'
import { eventsIn } from '../archive/logs'
import { Holdings } from '../schema/records'
import { readReadings } from './chartText'
import { colourHint } from './colourHint'
import { pictureKind } from './pictureKind'
import { tiffPages } from './tiffTags'
import { tiffOf } from '../fixtures/tiffMaker'
import { matrixProfile } from './icc'
import { withWords } from './pictureWords'

/** Runs a reader over spoilt input: it may take it or refuse it in words, and nothing else. */
function outcomes(count: number, read: (seed: number) => unknown): { taken: number; refused: number } {
  let [taken, refused] = [0, 0]
  for (let seed = 0; seed < count; seed++)
    try {
      read(seed)
      taken++
    } catch (error) {
      if (!(error instanceof CoreError)) throw new Error(`seed ${seed}: ${String(error)}`, { cause: error })
      expect([seed, error.refusal.problem.length > 3, error.refusal.remedy.length > 3]).toEqual([
        seed,
        true,
        true,
      ])
      refused++
    }
  return { taken, refused }
}

const archive = writeArchive(workroom(), 'Test', T0)

describe('spoilt files', () => {
  it('archives: each refused with a reason, or sound to the last record', () => {
    const { refused } = outcomes(samples(140, 700), (seed) => {
      const { records } = readArchive(mutated(archive, seed))
      expect(Holdings.parse(records)).toEqual(records)
    })
    expect(refused).toBeGreaterThan(samples(100, 500))
  })

  it('archives with honest checksums and records that are not: what is wrong is noted and kept as it was', () => {
    const files = unzipSync(archive)
    const records = JSON.parse(strFromU8(files['records.json']!)) as unknown
    const manifest = JSON.parse(strFromU8(files['manifest.json']!)) as { files: Record<string, unknown> }
    let noted = 0
    const { taken, refused } = outcomes(samples(80, 400), (seed) => {
      const text = strToU8(JSON.stringify(mutatedJson(records, seed)))
      const listed = { bytes: text.length, sha256: bytesToHex(sha256(text)) }
      const spoilt = zipSync({
        ...files,
        'records.json': text,
        'manifest.json': strToU8(
          JSON.stringify({ ...manifest, files: { ...manifest.files, 'records.json': listed } }),
        ),
      })
      const { records: sound, notes } = readArchive(spoilt)
      expect(Holdings.parse(sound)).toEqual(sound)
      if (notes.length) noted++
      const changed = notes.filter(({ outcome }) => outcome === 'repaired' || outcome === 'setAside')
      expect(sound.setAside.length).toBeGreaterThanOrEqual(Math.min(1, changed.length))
    })
    expect(noted + refused).toBeGreaterThan(samples(50, 250))
    expect(taken + refused).toBe(samples(80, 400))
  })

  it('archives with honest checksums and logs that are not: what comes in replays, and no line is lost', () => {
    const files = unzipSync(archive)
    const path = 'logs/0001.jsonl'
    const lines = strFromU8(files[path]!).trim().split('\n')
    const manifest = JSON.parse(strFromU8(files['manifest.json']!)) as { files: Record<string, unknown> }
    let noted = 0
    const { taken, refused } = outcomes(samples(80, 400), (seed) => {
      const at = seed % lines.length
      // Every other time the bytes of a line are spoilt, and not what they say.
      const line =
        seed % 2
          ? JSON.stringify(mutatedJson(JSON.parse(lines[at]!), seed))
          : strFromU8(mutated(strToU8(lines[at]!), seed), true)
      const text = strToU8(lines.map((one, i) => (i === at ? line : one)).join('\n'))
      const listed = { bytes: text.length, sha256: bytesToHex(sha256(text)) }
      const spoilt = zipSync({
        ...files,
        [path]: text,
        'manifest.json': strToU8(
          JSON.stringify({ ...manifest, files: { ...manifest.files, [path]: listed } }),
        ),
      })
      const { logs, notes, records: sound } = readArchive(spoilt)
      for (const [id, log] of logs) expect(JSON.stringify(replay(id, eventsIn(log)))).toBe(log.standing)
      if (notes.length) noted++
      const kept = [...[...logs.values()].map((log) => log.lines), ...sound.setAside.filter((one) => one.kind === 'log').map((one) => one.original)] // prettier-ignore
      expect(kept.flatMap((one) => one.split('\n')).sort()).toEqual(strFromU8(text).split('\n').sort())
    })
    expect(noted).toBeGreaterThan(samples(30, 150))
    expect([taken, refused]).toEqual([samples(80, 400), 0])
  })

  const cgats = 'CGATS.17\nNUMBER_OF_FIELDS 2\nBEGIN_DATA_FORMAT\nSAMPLE_ID D_VIS\nEND_DATA_FORMAT\nNUMBER_OF_SETS 3\nBEGIN_DATA\nA1 0.05\nA2 0.71\nA3 1.42\nEND_DATA\n' // prettier-ignore
  const csv = 'id,density\r\nA1,0.05\r\n"A2",0.71\r\nA3,"1,42"\r\n'

  it.each([
    ['CGATS', cgats],
    ['CSV', csv],
  ])('tables as %s: numbers or a refusal, never a number out of nothing', (_, text) => {
    outcomes(samples(100, 250), (seed) => {
      const spoilt = strFromU8(mutated(strToU8(text), seed), true)
      for (const { density } of readReadings(spoilt, 'density')) expect(Number.isFinite(density)).toBe(true)
    })
  })

  it('process files: a whole process or a refusal', () => {
    const written = writeProcessFile({ ...unknownProcess('mine'), name: 'Mine' })
    const json = JSON.parse(written) as unknown
    outcomes(samples(100, 300), (seed) => {
      const text =
        seed % 2 ? JSON.stringify(mutatedJson(json, seed)) : strFromU8(mutated(strToU8(written), seed), true)
      readProcessFile(text, new Set())
    })
  })

  it('200 lines of instruments: a reading within its bounds, or noise', () => {
    for (let seed = 0; seed < 200; seed++) {
      const line = readLine(strFromU8(mutated(strToU8('DENS 1.25E+00'), seed), true))
      if (line.kind === 'reading') expect(Math.abs(line.value)).toBeLessThan(1e5)
    }
  })

  it('100 colour profiles and 100 pictures that are given words: no crash', () => {
    const profile = new Uint8Array(400).fill(7)
    outcomes(100, (seed) => matrixProfile(mutated(profile, seed)))
    const page = { width: 3, height: 2, data: [1, 2, 3, 4, 5, 6], channels: 1, photometric: 1 }
    for (const isBig of [false, true])
      outcomes(200, (seed) => tiffPages(mutated(tiffOf([page, { ...page, below: page }], { isBig }), seed)))
    for (const kind of ['jpeg', 'png', 'webp'] as const)
      outcomes(100, (seed) =>
        colourHint(
          kind,
          mutated(
            Uint8Array.from({ length: 90 }, (_, i) => i),
            seed,
          ),
        ),
      )
    outcomes(100, (seed) => pictureKind(mutated(new Uint8Array(64).fill(0x49), seed)))
    const jpeg = Uint8Array.from([0xff, 0xd8, 0xff, 0xe0, 0, 16, ...new Array<number>(14).fill(1), 0xff, 0xda, 1, 2, 3, 0xff, 0xd9]) // prettier-ignore
    outcomes(100, (seed) =>
      withWords(mutated(jpeg, seed), { title: 'x', description: '', createdAt: null, offsetMinutes: 0 }),
    )
  })
})
