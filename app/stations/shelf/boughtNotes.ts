import type { SoluteDefinition } from '@core/schema/definition'
import { substances } from '@library/index'
import type { MarginNote } from '../../state/margin.store'
import { hazardNotes } from '../../words/stepNotes'

/** What to know before bottles are opened that hold these: the usual cautions, each once, and how they are kept. */
export function boughtNotes(solutes: readonly SoluteDefinition[]): MarginNote[] {
  const held = [...new Set(solutes.map(({ substanceId }) => substanceId))].flatMap(
    (id) => substances[id] ?? [],
  )
  if (!held.length) return []
  return [
    ...hazardNotes('Before you open it', [...new Set(held.map(({ caution }) => caution))]),
    { title: 'Storage', lines: [...new Set(held.map(({ name, storage }) => `${name}: ${storage}`))] },
  ]
}
