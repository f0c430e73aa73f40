import { stepInHand, wordsIdOf } from '@core/process/run'
import { dueLooks, placeOf, verdictOf } from '@core/process/standing'
import type { SheetInRoom } from '../data/workroom.store'
import { momentSaid } from '../shell/moments'

const VERDICT = { keep: 'dry, kept', again: 'to be printed again', undecided: 'dry, not decided' } as const

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
      if (due) return due.id === 'settled' ? 'due for its settled look' : 'due for a dry look'
      const next = dueLooks(state).find((look) => look.id !== 'wet')
      const verdict = verdictOf(state)
      const dry = state.judgements.some((judged) => judged.moment !== 'wet')
      return `${dry && verdict ? VERDICT[verdict] : 'on the line'}, look again ${next ? momentSaid(next.dueAt, now) : ''}`
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

/** Whether a sheet has all the searched words anywhere in what is known of it. */
export function matches(
  one: SheetInRoom,
  words: string,
  extra: readonly (string | undefined)[],
  now: number,
): boolean {
  const { sheet, state, definition } = one
  const thread = [
    `sheet ${sheet.number}`,
    sheet.title,
    sheet.portfolio,
    sheet.subject,
    definition.name,
    standingWords(one, now),
    ...extra,
    ...state.notes.map((note) => note.text),
    ...state.judgements.map((judged) => `${judged.verdict} ${judged.note}`),
    state.setAside?.reason,
  ]
    .join(' ')
    .toLowerCase()
  return words
    .toLowerCase()
    .split(/\s+/)
    .filter(Boolean)
    .every((word) => thread.includes(word))
}
