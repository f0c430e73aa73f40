import type { Paper } from '@core/schema/records'

/** A paper by the name that people use for its kind, for whoever knows no more of it. */
export type PaperKind = Required<Pick<Paper, 'name' | 'gramsPerM2' | 'buffered'>>

/**
 * Usual papers without makers. Weights are the commonest of each kind, common practice; whether chalk is in it is said only
 * where the kind settles it.
 */
export const paperKinds: readonly PaperKind[] = [
  { name: 'Watercolour paper, heavy', gramsPerM2: 300, buffered: 'unknown' },
  { name: 'Watercolour paper, medium', gramsPerM2: 200, buffered: 'unknown' },
  { name: 'Rag paper without buffer', gramsPerM2: 310, buffered: 'no' },
  { name: 'Printmaking paper', gramsPerM2: 250, buffered: 'unknown' },
  { name: 'Bristol board', gramsPerM2: 250, buffered: 'unknown' },
  { name: 'Drawing paper', gramsPerM2: 160, buffered: 'unknown' },
  { name: 'Sketch paper, thin', gramsPerM2: 120, buffered: 'unknown' },
  { name: 'Kozo paper, very thin', gramsPerM2: 40, buffered: 'unknown' },
]
