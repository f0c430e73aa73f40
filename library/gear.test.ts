import { gearFor } from '@core/shelf/gear'
import { startingChoices } from '@core/process/plan'
import { gear } from './gear'
import { processes } from './index'
import { classicCyanotype } from './processes/classicCyanotype'
import { kallitype } from './processes/kallitype'
import { albumen } from './processes/albumen'

const of = (definition: typeof kallitype) => gearFor(definition, startingChoices(definition), gear)

describe('gear', () => {
  it('for a cyanotype is a brush, glass and one tray of water; no jar for silver', () => {
    const { toTry, trays } = of(classicCyanotype)
    expect(trays).toBe(1)
    expect(toTry.join()).toMatch(/brush.*glass with clips/)
    expect(toTry.join()).not.toMatch(/silver/)
  })
  it('for a kallitype has a tray for every bath beside the water, and a jar for its silver', () => {
    const { toTry, trays } = of(kallitype)
    expect(trays).toBeGreaterThan(3)
    expect(toTry.join()).toMatch(/silver/)
  })
  it('for a floated paper has no brush', () => {
    expect(of(albumen).toTry.join()).not.toMatch(/brush/)
  })
  it('names no thing twice, and something for every process on both levels', () => {
    for (const definition of Object.values(processes)) {
      const { toTry, toDoWell } = of(definition)
      expect(new Set([...toTry, ...toDoWell]).size).toBe(toTry.length + toDoWell.length)
      expect(Math.min(toTry.length, toDoWell.length)).toBeGreaterThan(2)
    }
  })
})
