import { texts } from './words'
import { parsePaperWeight } from '@core/paper/weight'
import { formatSpan } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import { parseNumber } from '@core/quantity/number'
import { CoreError, type Refusal } from '@core/errors'
import { parseSize, type Size } from '@core/quantity/size'
import type { Paper } from '@core/schema/records'

/** A paper as it is written on its page. */
export interface PaperDraft {
  name: string
  size: string
  weight: string
  sheets: string
  buffered: string
  side: string
  price: string
  /** Time until a drop has sunk in. */
  drop: string
  /** How long a scrap was soaked, and what became of it. */
  soak: string
  soakHeld: string
  note: string
}

export const draftOfPaper = (paper: Paper | null, size: string): PaperDraft => ({
  name: paper?.name ?? '',
  size,
  weight: paper?.gramsPerM2 === undefined ? '' : String(paper.gramsPerM2),
  sheets: paper?.sheets === undefined ? '' : String(paper.sheets),
  buffered: paper?.buffered ?? 'unknown',
  side: paper?.side ?? '',
  price: paper?.price === undefined ? '' : String(paper.price),
  drop: paper?.dropSeconds === undefined ? '' : formatSpan(paper.dropSeconds),
  soak: paper?.soaked ? formatSpan(paper.soaked.seconds) : '',
  soakHeld: paper?.soaked?.held === false ? 'tore' : 'held',
  note: paper?.note ?? '',
})

/** Reads a paper; `null` where something is wrong, which `faults` names. */
export function readPaperDraft(
  draft: PaperDraft,
  lengthUnit: string,
): { read: Omit<Paper, 'id' | 'changedAt'> | null; faults: Partial<Record<keyof PaperDraft, Refusal>> } {
  const faults: Partial<Record<keyof PaperDraft, Refusal>> = {}
  const attempt = <Value>(field: keyof PaperDraft, read: () => Value): Value | undefined => {
    if (!draft[field].trim() && field !== 'name') return undefined
    try {
      return read()
    } catch (error) {
      if (!(error instanceof CoreError)) throw error
      faults[field] = error.refusal
      return undefined
    }
  }
  const wrong = (field: string, problem: string, remedy: string) =>
    new CoreError({ code: 'unreadable', field, problem, remedy })
  const name = attempt('name', () => {
    if (draft.name.trim()) return draft.name.trim()
    throw wrong('name', 'The paper has no name.', texts.enterNameYouUseFor)
  })
  const size = attempt('size', (): Size => parseSize(draft.size, { field: 'size', bareUnit: lengthUnit }))
  const weight = attempt('weight', () => parsePaperWeight(draft.weight))
  const sheets = attempt('sheets', () =>
    parseNumber(draft.sheets, { field: 'sheets', isWhole: true, min: 0, example: '5' }),
  )
  const price = attempt('price', () => parseNumber(draft.price, { field: 'price', min: 0, example: '6.50' }))
  const time = (field: 'drop' | 'soak', most: number) =>
    attempt(field, () => {
      const seconds = parseQuantity(draft[field], 'time', { field, bareUnit: field === 'drop' ? 's' : 'min' })
      if (seconds > 0 && seconds <= most) return seconds
      throw wrong(field, `“${draft[field]}” is no time of this test.`, `Enter up to ${formatSpan(most)}.`)
    })
  const drop = time('drop', 3600)
  const soak = time('soak', 172_800)
  if (name === undefined || Object.keys(faults).length) return { read: null, faults }
  return {
    faults,
    read: {
      name,
      ...size,
      ...(weight !== undefined && { gramsPerM2: weight }),
      ...(sheets !== undefined && { sheets }),
      buffered: draft.buffered as Paper['buffered'],
      ...(draft.side.trim() && { side: draft.side.trim() }),
      ...(price !== undefined && { price }),
      ...(drop !== undefined && { dropSeconds: drop }),
      ...(soak !== undefined && { soaked: { seconds: soak, held: draft.soakHeld !== 'tore' } }),
      note: draft.note.trim(),
    },
  }
}
