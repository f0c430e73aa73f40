import { outlineOf } from '@core/process/plan'
import { replay } from '@core/run/run'
import { emptyRun } from '@core/run/runState'
import { placeOf } from '@core/run/place'
import type { Bath } from '@core/schema/bath'
import type { SheetEvent } from '@core/schema/event'
import { logsBySheet } from '@core/archive/logs'
import type { DayPlan } from '@core/schema/plan'
import type { Sheet, WorkroomRecords } from '@core/schema/records'
import type { RegisterCheck } from '@core/schema/register'
import { sessionOf, type SheetToPlan } from '@core/schedule/session'
import { bookingsOf, movesOf } from '@core/schedule/bookings'
import { solved } from '@core/schedule/reasons'
import { seededUuid } from '@core/quantity/random'
import { processes } from '@library/index'
import { carryOn } from './sheetStory'
import { sheetWithLog, type OtherSheet } from './drawerStory'
import type { DemoShelf } from './shelf'

const MINUTE = 60_000
const DAY = 1440 * MINUTE

type Story = Pick<WorkroomRecords, 'sheets' | 'events' | 'baths' | 'registerChecks'>

/** The wet side of the scenario: baths that have served before, a kallitype in its acid, and a print in two layers. */
export function wetStory(shelf: DemoShelf, random: () => number, now: number): Story {
  const id = () => seededUuid(random)
  const bath = (
    key: string,
    name: string,
    contents: Bath['contents'],
    days: number,
    celsius: number,
  ): Bath => ({
    id: id(),
    processId: 'kallitype',
    bath: key,
    name,
    contents,
    millilitres: 1000,
    celsius,
    madeAt: Math.round(now - days * DAY),
    manner: 'reused',
    replenished: [],
    filtered: [],
    note: '',
    changedAt: Math.round(now - days * DAY),
  })
  const baths = [
    bath('citrate', 'Citrate developer', [{ substanceId: 'sodium-citrate', percent: 20 }], 38, 21),
    bath('clearing', 'Citric acid', [{ substanceId: 'citric-acid', percent: 3 }], 0.2, 20),
    bath('selenium', 'Selenium toner', [{ substanceId: 'selenium-toner', percent: 1.95 }], 12, 20),
    bath('hypo', 'Plain hypo', [{ substanceId: 'sodium-thiosulfate', percent: 10 }], 0.2, 20),
  ]
  const [citrate, clearing, selenium] = baths.map((one) => one.id)
  const story: Story = { sheets: [], events: [], baths, registerChecks: [] }
  const add = (entry: OtherSheet, later: readonly [number, string][] = []): Sheet => {
    const { sheet, events } = sheetWithLog(entry, shelf, random, now)
    for (const [daysAfter, note] of later)
      carryOn(
        events,
        sheet.id,
        (events.at(-1) as SheetEvent).at + daysAfter * DAY,
        { type: 'judged', moment: daysAfter < 10 ? 'dry' : 'settled', verdict: 'keep', note },
        random,
      )
    story.sheets.push(sheet)
    story.events.push(...events)
    return sheet
  }
  const earlier = (number: number, title: string, days: number, notes: [string, string]) =>
    add(
      {
        number, title, process: 'kallitype', paper: 'rag', exposureSeconds: 330,
        at: { step: 'hang', ago: days * DAY, isRunning: true },
        baths: { citrate: citrate ?? '', selenium: selenium ?? '' },
      },
      [[1.05, notes[0]], [14.3, notes[1]]],
    ) // prettier-ignore
  earlier(13, 'Boiler fronts', 36, ['The rivets stand.', 'Held. Warm as it was.'])
  earlier(14, 'Boiler fronts, closer', 35.8, ['Better than the first.', 'Held.'])
  add({
    number: 36, title: 'Governor wheel', process: 'kallitype', paper: 'rag', exposureSeconds: 330,
    at: { step: 'clear', ago: 0.7 * MINUTE, isRunning: true }, baths: { citrate: citrate ?? '', clearing: clearing ?? '' },
  }) // prettier-ignore

  // A salted print, toned in gold, under a layer of gum.
  const base = add(
    {
      number: 12, title: 'Signal mast', process: 'salted-paper', tool: 'cotton', paper: 'laid', exposureSeconds: 720,
      at: { step: 'hang', ago: 40 * DAY, isRunning: true },
    },
    [[1.1, 'Soft. It wants a darker foot.'], [14.2, 'Held.']],
  ) // prettier-ignore
  const gum = add(
    {
      number: 12, title: 'Signal mast', process: 'gum-over', tool: 'brush', paper: 'laid', exposureSeconds: 150,
      at: { step: 'hang', ago: 20 * DAY, isRunning: true }, over: base.id,
    },
    [[1.2, 'The foot is there. A blue rim on the left of the mast.'], [14.4, 'Held.']],
  ) // prettier-ignore
  story.registerChecks.push(registerCheck(id(), gum.id, Math.round(now - 18.7 * DAY)))
  return story
}

/** A layer of gum that lay a little to the right, on a sheet that had shrunk in its baths. */
function registerCheck(id: string, sheetId: string, at: number): RegisterCheck {
  const places: [number, number][] = [
    [13, -132],
    [106.6, 13],
    [13, 132],
    [-106.6, 13],
  ]
  const round = (value: number) => Math.round(value * 100) / 100
  return {
    id,
    sheetId,
    at,
    picture: 'Signal mast, two layers.png',
    marks: places.map(([x, y]) => ({
      lower: [x, y],
      upper: [round(x * 1.003 + 0.34), round(y * 1.0012 - 0.11)],
    })),
  }
}

const ROOM = {
  hands: 1,
  frames: 2,
  underOneLight: 1,
  sheetsInATray: 1,
  rinseTrays: 2,
  washPlaces: 4,
  dryingPlaces: 8,
}

/** The plan of the day: everything under way and what is only planned, as it was made just now. */
export function planStory(records: WorkroomRecords, random: () => number, now: number): DayPlan[] {
  const logs = logsBySheet(records.events)
  const covered = new Set(records.sheets.flatMap((sheet) => sheet.over ?? []))
  const sheets: (SheetToPlan & { sheet: Sheet })[] = records.sheets.flatMap((sheet) => {
    const log = logs.get(sheet.id)
    const state = log ? replay(sheet.id, log) : emptyRun(sheet.id)
    const definition = processes[sheet.process.id]
    const isAtWork = ['planned', 'coat', 'light', 'wet'].includes(placeOf(state))
    if (!definition || !isAtWork || covered.has(sheet.id)) return []
    const paper = records.papers.find((one) => one.id === sheet.paperId)
    const outline = state.begunAt === null ? outlineOf(definition, sheet, paper?.gramsPerM2) : []
    return [{ sheet, definition, state, outline }]
  })
  const from = Math.round(now / MINUTE) * MINUTE
  const input = { sheets, room: ROOM, from, pins: [] }
  const found = solved(input, { seed: 1, tries: 250, nodes: 0 })
  if (!found.times) return []
  const session = sessionOf(input)
  const hands = bookingsOf(session, found.times)[0]?.spans ?? []
  return [
    {
      id: seededUuid(random),
      madeAt: from,
      startsAt: from,
      sheetIds: sheets.map((one) => one.sheet.id),
      room: ROOM,
      pins: [],
      moves: movesOf(session, found.times),
      hands: hands.map(({ sheetId, stepId, from: begins, to }) => ({ sheetId, stepId, from: begins, to })),
      endsAt: from + found.length * 1000,
      boundAt: from + found.bound * 1000,
      isProven: found.isProven,
      changedAt: from,
    },
  ]
}
