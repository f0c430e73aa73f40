import 'fake-indexeddb/auto'
import { begun, SHEET, uuid } from '@core/fixtures/logs'
import { someOf } from '@core/fixtures/samples'
import { nextMove } from '@core/run/nextMove'
import { replay } from '@core/run/run'
import type { Happening } from '@core/schema/event'
import { seededRandom } from '@core/quantity/random'
import type * as database from './db'
import type * as log from './log'
import type * as standings from './runStates'

// The workroom asks the page which one it is, so there has to be a page before it is loaded.
Object.assign(globalThis, { document: { querySelector: () => null, addEventListener: () => undefined } })

type Window = typeof database & typeof log & typeof standings

/** The modules of a window of its own: its own connection to the one workroom that is on the disk. */
async function opened(): Promise<Window> {
  let found: Window | null = null
  await jest.isolateModulesAsync(async () => {
    found = { ...(await import('./db')), ...(await import('./log')), ...(await import('./runStates')) }
  })
  return found as unknown as Window
}

const SHEETS = [SHEET, uuid(201), uuid(202)]

describe('a session in two windows', () => {
  it.each(someOf(1, [1, 2, 3]))('leaves whole logs, whoever presses what, order %i', async (seed) => {
    const windows = [await opened(), await opened()] as const
    const [first, second] = windows
    expect(first.db === second.db).toBe(false)
    await Promise.all(first.db.tables.map((table) => table.clear()))
    const random = seededRandom(seed)
    const any = <Item>(list: readonly Item[]) => list[Math.floor(random() * list.length)] as Item
    let [written, refused] = [0, 0]

    for (let round = 0; round < 40; round++) {
      // Both look, and then both press, each what it takes to be the next thing: of two the second may be too late.
      const presses = Array.from({ length: 3 }, async () => {
        const [window, sheetId, chance] = [any(windows), any(SHEETS), random()]
        const state = await window.stateIn(window.db, sheetId)
        if (state?.length && chance < 0.12) return window.undo(sheetId)
        const noted: Happening = { type: 'noted', text: `round ${round}` }
        const move = !state?.begunAt ? begun : chance < 0.25 ? noted : nextMove(state, Date.now())
        return window.append(sheetId, move ?? noted)
      })
      for (const outcome of await Promise.allSettled(presses))
        if (outcome.status === 'fulfilled') written++
        else {
          expect(outcome.reason).toMatchObject({ name: 'CoreError' })
          refused++
        }
    }

    expect(refused).toBeGreaterThan(0)
    let lines = 0
    for (const sheetId of SHEETS) {
      const [mine, theirs] = await Promise.all(windows.map((window) => window.logOf(sheetId)))
      expect(mine).toEqual(theirs)
      expect(mine!.map((event) => event.index)).toEqual(mine!.map((_, i) => i))
      for (const window of windows)
        expect(await window.stateIn(window.db, sheetId)).toEqual(replay(sheetId, mine!))
      lines += mine!.length
    }
    expect(lines).toBe(written)
    for (const window of windows) window.db.close()
  })
})
