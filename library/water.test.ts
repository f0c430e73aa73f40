import { waterAdvice, type TapWater } from '@core/judge/water'
import { startingChoices } from '@core/process/plan'
import { processes } from './index'

const water = (changes: Partial<TapWater> = {}): TapWater => ({
  alkaline: 'unknown',
  hard: 'unknown',
  chlorine: 'unknown',
  ...changes,
})
const advice = (
  id: string,
  tap: Partial<TapWater>,
  stepId?: string,
  choices: Record<string, string> = {},
) => {
  const definition = processes[id]!
  const step = definition.steps.find((one) => one.id === stepId) ?? null
  return waterAdvice(
    definition,
    { choices: { ...startingChoices(definition), ...choices } },
    step,
    water(tap),
  )
}

describe('what the tap means', () => {
  // Common practice: alkaline water fixes iron in the paper; the first water is soured.
  it('is a little acid in the first water of iron processes, where it is alkaline', () => {
    expect(advice('van-dyke', { alkaline: 'yes' })).toEqual(['acidFirstWater'])
    expect(advice('van-dyke', { alkaline: 'yes' }, 'water')).toEqual(['acidFirstWater'])
    expect(advice('van-dyke', { alkaline: 'no' })).toEqual([])
    expect(advice('van-dyke', {})).toEqual([])
  })
  it('is nothing more where the first water is acid already, or has a tray', () => {
    expect(advice('van-dyke', { alkaline: 'yes' }, undefined, { firstWater: 'acid' })).toEqual([])
    expect(advice('kallitype', { alkaline: 'yes' })).toEqual([])
    expect(advice('salted-paper', { alkaline: 'yes' })).toEqual([])
  })
  it('is salt where there is no chlorine to show the silver', () => {
    expect(advice('salted-paper', { chlorine: 'no' }, 'wash')).toEqual(['saltForMilk'])
    expect(advice('salted-paper', { chlorine: 'yes' }, 'wash')).toEqual([])
    expect(advice('classic-cyanotype', { chlorine: 'no' })).toEqual([])
  })
  it('is a short wash for blues, which alkali bleaches', () => {
    expect(advice('classic-cyanotype', { alkaline: 'yes' }, 'wash')).toEqual(['acidFirstWater', 'shortWash'])
  })
  it('is distilled water for mixing where it is hard', () => {
    expect(advice('classic-cyanotype', { hard: 'yes' }, 'mix')).toEqual(['distilledForMixing'])
    expect(advice('classic-cyanotype', { hard: 'no' }, 'mix')).toEqual([])
  })
})
