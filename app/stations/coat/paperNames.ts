import { paperKinds, type PaperKind } from '@library/papers'
import type { Paper } from '@core/schema/records'

/** Papers that can be named for a sheet: those of the drawer first, then usual kinds. */
export const paperNames = (papers: readonly Paper[]): string[] => [
  ...new Set([...papers, ...paperKinds].map(({ name }) => name)),
]

/** The paper of the drawer, or the usual kind, that a name means. */
export const paperNamed = (name: string, papers: readonly Paper[]): Paper | PaperKind | undefined =>
  [...papers, ...paperKinds].find((one) => one.name === name.trim())
