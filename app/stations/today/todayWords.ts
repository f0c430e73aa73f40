import { placeOf } from '@core/run/place'
import type { NextThing } from '@core/schedule/nextThing'
import type { SheetInRoom, WorkInRoom } from '../../state/workroom.store'

/** The day's headline: what deserves the hands next. */
export function headline(thing: NextThing, find: (id: string) => WorkInRoom | undefined): string {
  if (thing.kind === 'nothing') return 'Nothing needs you now'
  const found = find(thing.sheetId)
  const sheet = found?.name.toLowerCase() ?? ''
  const step =
    'wordsId' in thing ? found?.definition.steps.find((one) => one.id === thing.wordsId) : undefined
  switch (thing.kind) {
    case 'over':
      return step?.kind === 'expose'
        ? `${capital(sheet)}: exposure done`
        : `Check ${sheet}: ${step?.title.toLowerCase() ?? ''}`
    case 'counting':
      return `Count the drops for ${sheet}`
    case 'ready':
      return step?.kind === 'expose'
        ? `${capital(sheet)} is ready to expose`
        : `${capital(sheet)}: ${step?.press.start.toLowerCase() ?? ''}`
    case 'look':
      if (thing.lookId === 'later') return `Check how ${sheet} has kept`
      return thing.lookId === 'settled' ? `Two-week check of ${sheet}` : `Dry check of ${sheet}`
    case 'wait':
      return `Wait: ${sheet} is ${step?.meanwhile ?? 'busy'}`
    case 'begin':
      return `Coat ${sheet}`
  }
}

const capital = (text: string) => (text[0]?.toUpperCase() ?? '') + text.slice(1)

/** How many are in progress, in words. */
export function dayLine(sheets: readonly SheetInRoom[]): string {
  const places = sheets.map((one) => placeOf(one.state))
  const count = (...wanted: string[]) => places.filter((place) => wanted.includes(place)).length
  const parts = [
    [count('coat', 'light', 'wet'), 'in progress'],
    [count('line'), 'drying'],
    [count('planned'), 'planned'],
  ] as const
  const said = parts.filter(([n]) => n > 0).map(([n, what]) => `${n} ${what}`)
  return said.length ? said.join(', ') : 'no sheet in progress'
}
