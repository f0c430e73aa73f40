import { lampSuits, reachOf } from '@core/light/spectrum'
import { coatSolutes } from '@core/process/orderRules'
import { startingChoices } from '@core/process/plan'
import { coatReaches } from './spectrum'
import { processes } from './index'

const reachOfProcess = (id: string) => {
  const definition = processes[id]!
  const coat = coatSolutes(definition, startingChoices(definition))
  return reachOf(coat.map(({ substanceId }) => substanceId), coatReaches)
} // prettier-ignore

describe('what of a coat sees the light', () => {
  it.each([
    ['classic-cyanotype', 'iron salts'],
    ['van-dyke', 'iron salts'],
    ['kallitype', 'iron salts'],
    ['platinum-palladium', 'iron salts'],
    ['salted-paper', 'silver chloride'],
    ['albumen-type', 'silver chloride'],
    ['gum-over', 'dichromate'],
  ])('%s: %s', (id, name) => expect(reachOfProcess(id)?.name).toBe(name))

  it('is known for every process', () => {
    for (const id of Object.keys(processes)) expect([id, reachOfProcess(id)?.name]).not.toContain(undefined)
  })
})

// Facts of the trade, common practice: black light prints all of them; violet diodes print iron well and silver slowly.
it.each([
  ['classic-cyanotype', 395, 'well'],
  ['salted-paper', 365, 'well'],
  ['salted-paper', 405, 'slow'],
  ['salted-paper', 450, 'hardly'],
  ['gum-over', 405, 'well'],
] as const)('%s under %d nm prints %s', (id, peak, suits) =>
  expect(lampSuits(peak, reachOfProcess(id)!)).toBe(suits),
)
