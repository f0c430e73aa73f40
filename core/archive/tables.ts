import Papa from 'papaparse'
import { isCoatKnown, threadFacts } from '../judge/threadFacts'
import { exposureOf, secondsGiven, type PrintRecord } from '../judge/printRecord'
import { densityAt, DRY } from '../tone/measured'
import { effectiveEvents } from '../run/history'
import { placeOf, verdictOf } from '../run/place'
import { storyOf } from '../run/story'
import type { SheetEvent } from '../schema/event'

/**
 * A spreadsheet takes a cell that begins like this for a formula. A quote in front makes it text again; the reader sees it.
 *
 * @see OWASP, CSV injection; common practice
 */
const harmless = (cell: string): string =>
  /^[=+\-@\t\r]/.test(cell) && !/^[+-]?\d+(?:[.,]\d+)?(?:e[+-]?\d+)?$/.test(cell) ? `'${cell}` : cell

const csv = (fields: readonly string[], rows: readonly (readonly (string | number | null)[])[]): string =>
  Papa.unparse(
    {
      fields: [...fields],
      data: rows.map((row) => row.map((cell) => (typeof cell === 'string' ? harmless(cell.replace(/[\u00a0\u202f\u2009]/g, ' ')) : cell))), // prettier-ignore
    },
    { newline: '\r\n' },
  ) + '\r\n'

const iso = (at: number | null | undefined) =>
  at === null || at === undefined ? '' : new Date(at).toISOString()

const round = (value: number) => Math.round(10 * value) / 10

/** Seconds that a print was exposed, as counted, or as planned where it is still to be. */
function exposedSeconds({ state, sheet }: PrintRecord): number | null {
  const given = secondsGiven(exposureOf(state))
  const seconds = given ?? (exposureOf(state)?.skipped ? null : sheet.exposureSeconds)
  return seconds === null || seconds === undefined ? null : round(seconds)
}

/**
 * The collection for a spreadsheet, one print a row: what it is, what it was made with, what came out. Dates are ISO 8601 in
 * UTC, durations are seconds.
 *
 * @see RFC 4180
 */
export function printsCsv(records: readonly PrintRecord[]): string {
  const of = (record: PrintRecord, kind: string) =>
    threadFacts(record)
      .filter((one) => one.kind === kind)
      .map((one) => one.said)
      .join('; ')
  /** All baths of one kind together. */
  const seconds = (record: PrintRecord, kind: string) => {
    const values = threadFacts(record).flatMap((one) => (one.kind === kind && typeof one.value === 'number' ? [one.value] : [])) // prettier-ignore
    return values.length ? round(values.reduce((sum, value) => sum + value, 0)) : null
  }
  return csv(
    ['sheet', 'title', 'portfolio', 'edition', 'process', 'begun', 'place', 'verdict', 'width mm', 'height mm', 'paper', 'light', 'exposure s', 'dose mJ/cm2', 'coverage ml/m2', 'bottles', 'develop s', 'clear s', 'tone s', 'fix s', 'wash s', 'black D', 'white D', 'subject'],
    records.map((record) => {
      const { sheet, state, definition } = record
      return [
        sheet.number,
        sheet.title,
        sheet.portfolio,
        sheet.edition ? `${sheet.edition.isProof ? 'proof ' : ''}${sheet.edition.number}${sheet.edition.of ? ` of ${sheet.edition.of}` : ''}` : '',
        definition.name,
        iso(state.begunAt),
        placeOf(state),
        verdictOf(state) ?? '',
        sheet.widthMillimetres,
        sheet.heightMillimetres,
        record.paper?.name ?? '',
        record.light?.name ?? '',
        exposedSeconds(record),
        exposureOf(state)?.dose?.millijoulesPerCm2 ?? null,
        isCoatKnown(state) ? sheet.coverageMillilitresPerM2 : null,
        of(record, 'bottle'),
        seconds(record, 'develop'),
        seconds(record, 'clear'),
        seconds(record, 'tone'),
        seconds(record, 'fix'),
        seconds(record, 'wash'),
        densityAt(state, 'black', DRY),
        densityAt(state, 'white', DRY),
        sheet.subject,
      ]
    }),
  ) // prettier-ignore
}

/** Every log told in lines, one line a row: what happened to which sheet and when; what was undone is left out. */
export function logCsv(
  records: readonly Pick<PrintRecord, 'sheet' | 'definition'>[],
  logs: ReadonlyMap<string, readonly SheetEvent[]>,
): string {
  return csv(
    ['sheet', 'title', 'at', 'what', 'detail'],
    records.flatMap(({ sheet, definition }) => {
      const log = logs.get(sheet.id) ?? []
      return effectiveEvents(log).length
        ? storyOf(sheet.id, log, definition).map((line) => [
            sheet.number,
            sheet.title,
            iso(line.at),
            line.what,
            line.detail,
          ])
        : []
    }),
  )
}
