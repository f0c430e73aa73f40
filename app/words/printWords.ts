import { stepInHand, wordsIdOf } from '@core/run/runState'
import { dueLooks, placeOf, verdictOf } from '@core/run/place'
import type { ProcessDefinition, SecondLookDefinition } from '@core/schema/definition'
import type { Edition, LookMoment } from '@core/schema/judgement'
import type { SheetInRoom } from '../state/workroom.store'
import { momentSaid } from './moments'

const DUE = {
  wet: 'wet check due',
  dry: 'dry check due',
  settled: 'two-week check due',
  later: 'next check due',
} as const
const VERDICT = { keep: 'dry, kept', again: 'to be printed again', undecided: 'dry, not decided' } as const

/** What to look for, and why: the process's own words, or for any later look these. */
export type LookWords = Omit<SecondLookDefinition, 'id' | 'dueAfterSeconds'> & { id: LookMoment }

const LATER: LookWords = {
  id: 'later',
  title: 'Later check',
  lookFor:
    'Compare with a print kept in the dark, in the same light. Has the white yellowed, or has the deepest tone become lighter?',
  why: 'A print that was not fully fixed, cleared or washed changes within months or years, first in its whites.',
}

export const lookWords = (definition: ProcessDefinition, id: LookMoment): LookWords | null =>
  id === 'later' ? LATER : (definition.secondLooks.find((each) => each.id === id) ?? null)

/** How a print stands, in a few words under its picture. */
export function standingWords({ state, definition }: SheetInRoom, now: number): string {
  if (state.setAside) return 'set aside'
  switch (placeOf(state)) {
    case 'planned':
      return 'planned'
    case 'finished':
      return VERDICT[verdictOf(state) ?? 'undecided']
    case 'line': {
      const due = dueLooks(state).findLast((look) => look.id !== 'wet' && look.dueAt <= now)
      if (due) return DUE[due.id]
      const next = dueLooks(state).find((look) => look.id !== 'wet')
      const verdict = verdictOf(state)
      const dry = state.judgements.some((judged) => judged.moment !== 'wet')
      return `${dry && verdict ? VERDICT[verdict] : 'drying'}, check ${next ? momentSaid(next.dueAt, now) : ''}`
    }
    default: {
      const step = stepInHand(state)
      const words = definition.steps.find((one) => one.id === (step && wordsIdOf(step.planned)))
      return step?.status === 'waiting' ? `waiting: ${words?.title.toLowerCase()}` : (words?.meanwhile ?? '')
    }
  }
}

/** Whether a print wants to be looked at now. */
export const wantsLook = ({ state }: SheetInRoom, now: number): boolean =>
  dueLooks(state).some((look) => look.id !== 'wet' && look.dueAt <= now)

/** Colour of the drawn sheet where there is no photograph: how it looks at this stage. */
export function sheetColour({ state, definition }: SheetInRoom): string | null {
  const { colours } = definition
  const place = placeOf(state)
  if (place === 'planned' || state.begunAt === null) return null
  const step = stepInHand(state)?.planned
  if (place === 'coat') return (step?.kind === 'wait' ? colours.dryCoat : colours.wetCoat) ?? null
  if (place === 'light') return colours.dryCoat ?? null
  if (place === 'wet') return colours.exposed ?? null
  return colours.print ?? null
}

/** Place in an edition, as it is pencilled under a print: `1/7`, `proof 2`. */
export const editionSaid = ({ number, of, isProof }: Edition): string =>
  `${isProof ? 'proof ' : ''}${number}${of ? `/${of}` : ''}`
