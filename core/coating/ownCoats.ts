import type { RunState, StepState } from '../run/runState'
import type { Sheet } from '../schema/records'
import type { JudgedCoat } from './coverage'

/** A sheet with what its log amounts to. */
export interface CoatedSheet {
  sheet: Sheet
  state: RunState
}

/**
 * Every coat that was laid and judged, oldest first, for learning the coverage of a hand and a tool.
 *
 * @param processId only coats of this process.
 */
export function ownCoats(sheets: readonly CoatedSheet[], processId: string): JudgedCoat[] {
  return [...sheets]
    .filter(({ sheet }) => sheet.process.id === processId)
    .sort((a, b) => a.sheet.number - b.sheet.number)
    .flatMap(({ sheet, state }) => {
      const areaSquareCentimetres = (sheet.widthMillimetres * sheet.heightMillimetres) / 100
      return state.coatsJudged.map(({ coat, said, byMillilitres }) => ({
        tool: sheet.tool,
        areaSquareCentimetres,
        millilitres: laidIn(sheet, makerOf(sheet, sheets) ?? state, coat, areaSquareCentimetres),
        said,
        ...(byMillilitres !== undefined && { byMillilitres }),
      }))
    })
}

/** The log of the sheet for which the glass was counted that a sheet was coated from; its own where it is in no row. */
const makerOf = ({ batch }: Sheet, sheets: readonly CoatedSheet[]): RunState | undefined =>
  batch && sheets.find(({ sheet }) => sheet.batch?.id === batch.id && sheet.batch.place === 1)?.state

/** Millilitres of one coat on one sheet: its share of what was really counted, or what was planned where it came from another's glass. */
function laidIn(sheet: Sheet, state: RunState, coat: number, areaSquareCentimetres: number): number {
  const spread = state.steps.findIndex((step) => step.planned.coat === coat)
  const counted = state.steps.slice(0, spread).findLast((step) => step.planned.kind === 'count')
  if (!counted || dropsIn(counted) === 0)
    return (areaSquareCentimetres / 10_000) * sheet.coverageMillilitresPerM2
  const coats = Math.max(1, ...state.steps.map((step) => step.planned.coat ?? 1))
  return dropsIn(counted) / sheet.dropsPerMillilitre / coats / (sheet.batch?.of ?? 1)
}

const dropsIn = (step: StepState) => Object.values(step.drops).reduce((sum, drops) => sum + drops, 0)
