import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { leftIn, takenByBottle } from '@core/chemistry/lots'
import type * as database from '../../storage/db'
import type * as archives from '../../workers/archives'
import type * as baths from './bath.actions'
import type * as shelf from './shelf.actions'

// The workroom asks the page which one it is, so there has to be a page before it is loaded.
Object.assign(globalThis, { document: { querySelector: () => null, addEventListener: () => undefined } })

let db: typeof database.db
let act: typeof baths & typeof shelf & typeof archives

beforeAll(async () => {
  ;({ db } = await import('../../storage/db'))
  act = {
    ...(await import('../../workers/archives')),
    ...(await import('./shelf.actions')),
    ...(await import('./bath.actions')),
  }
})
beforeEach(async () => {
  setActivePinia(createPinia())
  await act.clearWorkroom()
})

const fill: baths.Fill = {
  processId: 'kallitype',
  bath: 'citrate',
  name: 'Citrate developer',
  contents: [{ substanceId: 'sodium-citrate', percent: 20 }],
  millilitres: 800,
  manner: 'reused',
}
const bottle = () =>
  act.putOnShelf({
    label: 'CD-1', name: 'Citrate developer', kind: 'solution', contents: [{ substanceId: 'sodium-citrate', percent: 20 }], amount: 1000,
  }) // prettier-ignore
const left = async (id: string) => {
  const found = await db.bottles.get(id)
  return found && leftIn(found, takenByBottle([], await db.takings.toArray()))
}
const only = async () => (await db.baths.toArray())[0]!

describe('a tray', () => {
  it('is filled from a bottle, and both are as before when that is taken back', async () => {
    const bottleId = await bottle()
    const id = await act.fillTray({ ...fill, from: { bottleId, millilitres: 800 } })
    expect(await left(bottleId)).toBe(200)
    expect(await only()).toMatchObject({ millilitres: 800, replenished: [] })
    await act.undoFill(id)
    expect(await left(bottleId)).toBe(1000)
    expect((await only()).ended?.why).toBe('undone')
  })

  it('is not filled with nothing, and then nothing is taken either', async () => {
    const bottleId = await bottle()
    await expect(
      act.fillTray({ ...fill, millilitres: 0, from: { bottleId, millilitres: 800 } }),
    ).rejects.toThrow()
    expect(await db.baths.count()).toBe(0)
    expect(await left(bottleId)).toBe(1000)
  })

  it('is replenished, more than once, and the last of it taken back', async () => {
    const bottleId = await bottle()
    await act.fillTray({ ...fill, millilitres: 400, from: { bottleId, millilitres: 400 } })
    const poured = { wasteClass: 'silver' as const, millilitres: 180 }
    const wasteId = await act.replenish({ bath: await only(), millilitres: 200, bottleId, poured })
    const none = await act.replenish({
      bath: await only(),
      millilitres: 100,
      bottleId: undefined,
      poured: null,
    })
    expect(await db.wastes.toArray()).toMatchObject([{ id: wasteId, amount: 180, what: 'Citrate developer' }])
    expect((await only()).replenished.map((one) => one.millilitres)).toEqual([200, 100])
    expect(await left(bottleId)).toBe(400)
    await act.undoReplenish((await only()).id, none)
    expect((await only()).replenished.map((one) => one.millilitres)).toEqual([200])
    await act.undoReplenish((await only()).id, wasteId)
    expect(await left(bottleId)).toBe(600)
    expect((await db.wastes.toArray())[0]?.takenBackAt).toBeDefined()
    await act.undoReplenish((await only()).id, null)
    expect((await only()).replenished).toEqual([])
  })

  it('is diluted with water, which its bottle does not give', async () => {
    const bottleId = await bottle()
    await act.fillTray({ ...fill, millilitres: 600, from: { bottleId, millilitres: 200 } })
    expect(await left(bottleId)).toBe(800)
  })

  it('is filtered, and that is undone', async () => {
    const id = await act.fillTray(fill)
    await act.filterBath(id)
    await act.filterBath(id)
    expect((await only()).filtered).toHaveLength(2)
    await act.undoFilter(id)
    expect((await only()).filtered).toHaveLength(1)
  })

  it('has a temperature', async () => {
    await act.fillTray(fill)
    await act.setTemperature((await only()).id, 21)
    expect((await only()).celsius).toBe(21)
  })

  it('is poured into its jar, the second bath moving up, and all of it can be had back', async () => {
    const first = await act.fillTray({ ...fill, bath: 'hypo', name: 'Plain hypo' })
    const second = await act.fillTray({ ...fill, bath: 'hypo-2', name: 'Plain hypo, second bath' })
    const what = {
      bath: (await db.baths.get(first))!,
      millilitres: 760,
      wasteClass: 'silver' as const,
      next: (await db.baths.get(second))!,
    }
    const waste = await act.discardBath(what)
    expect(await db.wastes.get(waste)).toMatchObject({
      wasteClass: 'silver',
      amount: 760,
      what: 'Plain hypo',
    })
    expect((await db.baths.get(first))?.ended?.why).toBe('discarded')
    expect(await db.baths.get(second)).toMatchObject({ bath: 'hypo', name: 'Plain hypo' })
    await act.undoDiscard(what, waste)
    expect((await db.baths.get(first))?.ended).toBeUndefined()
    expect(await db.baths.get(second)).toMatchObject({ bath: 'hypo-2', name: 'Plain hypo, second bath' })
    expect((await db.wastes.get(waste))?.takenBackAt).toBeDefined()
  })
})

it('a fixer keeps its clearing times, and the last can be undone', async () => {
  const id = await act.fillTray(fill)
  await act.testFixer(id, 40)
  await act.testFixer(id, 85)
  expect((await only()).clearing?.map(({ seconds }) => seconds)).toEqual([40, 85])
  await expect(act.testFixer(id, 0)).rejects.toThrow()
  await act.undoTestFixer(id)
  expect((await only()).clearing?.map(({ seconds }) => seconds)).toEqual([40])
})
