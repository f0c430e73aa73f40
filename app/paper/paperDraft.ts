import { CoreError, type Refusal } from '@core/errors'
import { gramsPerM2 } from '@core/paper/amounts'
import { parseSize, type Size } from '@core/quantity/parse'
import type { Paper } from '@core/record/records'

/** A paper as it is written on its page. */
export interface PaperDraft {
  name: string
  size: string
  weight: string
  sheets: string
  buffered: string
  side: string
  price: string
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
  note: paper?.note ?? '',
})

const POUNDS = /^([\d.,]+)\s*(?:lb|lbs|pound|pounds|#)$/i

/**
 * Weight of a paper in g/m², from grams or from the basis weight on its label (`140 lb`, of a ream of 22 x 30 in).
 *
 * @throws CoreError `unreadable`.
 */
export function readWeight(text: string): number {
  const pounds = POUNDS.exec(text.trim())
  if (pounds) return Math.round(gramsPerM2(Number(pounds[1]?.replace(',', '.'))).value)
  const grams = Number(
    text
      .replace(/g\/m[²2]|gsm|g\b/i, '')
      .replace(',', '.')
      .trim(),
  )
  if (grams > 0 && grams <= 2000) return grams
  throw new CoreError({
    code: 'unreadable',
    field: 'weight',
    problem: `“${text}” is not a paper weight.`,
    remedy: 'Write grams for a square metre, such as 300, or 140 lb.',
  })
}

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
    throw wrong('name', 'The paper has no name.', 'Call it what you call it.')
  })
  const size = attempt('size', (): Size => parseSize(draft.size, { field: 'size', bareUnit: lengthUnit }))
  const weight = attempt('weight', () => readWeight(draft.weight))
  const sheets = attempt('sheets', () => {
    const count = Number(draft.sheets)
    if (Number.isInteger(count) && count >= 0) return count
    throw wrong('sheets', `“${draft.sheets}” is not a number of sheets.`, 'Write it like 5.')
  })
  const price = attempt('price', () => {
    const value = Number(draft.price.replace(',', '.'))
    if (value >= 0) return value
    throw wrong('price', `“${draft.price}” is not a price.`, 'Write it like 6.50.')
  })
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
      note: draft.note.trim(),
    },
  }
}
