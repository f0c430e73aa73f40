import { formatSize, formatSpan, type UnitChoice } from '@core/quantity/format'
import { writtenNumber } from '@core/quantity/number'
import type { DraftRoom } from './sheet.draft'
import type { SheetDraft } from './newSheet'

/**
 * What the draft of a sheet starts from where the chart of a calibration is to be printed on it: title, size, paper, light and
 * exposure, as the address has them.
 *
 * @param query of the address; what is not there or not known here is left out.
 */
export function chartDraft(
  { chart, width, height, paper, light, seconds }: Readonly<Record<string, unknown>>,
  { papers, lights }: Pick<DraftRoom, 'papers' | 'lights'>,
  length: UnitChoice['length'],
): Partial<SheetDraft> {
  const [widthMillimetres, heightMillimetres] = [writtenNumber(String(width)), writtenNumber(String(height))]
  if (typeof chart !== 'string' || !(widthMillimetres > 0) || !(heightMillimetres > 0)) return {}
  const stock = papers.find((one) => one.id === paper)
  const exposure = writtenNumber(String(seconds))
  return {
    title: chart.slice(0, 200),
    subject: '',
    pieceId: '',
    sheets: '1',
    size: formatSize({ widthMillimetres, heightMillimetres }, { length, temperature: 'degC' }),
    ...(stock && {
      paperName: stock.name,
      paperWeight: stock.gramsPerM2 ? String(stock.gramsPerM2) : '',
    }),
    ...(lights.some((one) => one.id === light) && { light: String(light) }),
    ...(exposure > 0 && { exposure: formatSpan(exposure) }),
  }
}
