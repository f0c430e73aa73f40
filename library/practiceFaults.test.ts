import { drawFaults, filmOf, leftAfter, spoiltBy, stepsOf } from '@core/simulate/practiceFault'
import { milkOf, waterColour } from '@core/simulate/practiceWater'
import { negativeOnSheet } from '@core/simulate/printLooks'
import { printPicture } from '@core/simulate/printPicture'
import { bestDose, workWell } from '@core/simulate/virtualPrint'
import { UNTOUCHED, USUAL_CONDITIONS, USUAL_FILM, type SheetWork } from '@core/simulate/virtualProcess'
import { practiceNegative } from '@core/simulate/practiceNegative'
import type { PracticeFault } from '@core/simulate/practiceFault'
import { seededRandom } from '@core/quantity/random'
import { faults } from './faults'
import { practiceFaults, practiceProcesses, practiceSteps } from './practice'
import { faultsOf } from './practice.fixture'
import { processes } from '.'

const kallitype = practiceProcesses.find(({ processId }) => processId === 'kallitype')!
const cyanotype = practiceProcesses.find(({ processId }) => processId === 'classic-cyanotype')!
/** A quarter as wide and high as on screen: quicker, and the same scene. */
const drawn = practiceNegative()
const [WIDE, HIGH] = [drawn.width / 4, drawn.height / 4]
const INK = { width: WIDE, height: HIGH, data: Float32Array.from({ length: WIDE * HIGH }, (_, i) => drawn.data[4 * Math.floor(i / WIDE) * drawn.width + 4 * (i % WIDE)] ?? 0) } // prettier-ignore

/** A finished kallitype with so much wrong with it; grey of its pixels, 0 to 255. */
function print(wrong: readonly PracticeFault[], work: SheetWork = workWell(kallitype, bestDose(kallitype, USUAL_CONDITIONS))) {
  const looks = wrong.flatMap(({ look }) => (look ? [look] : []))
  const negative = negativeOnSheet(INK, filmOf(USUAL_FILM, wrong), looks)
  const { rgba } = printPicture(negative, kallitype, spoiltBy(USUAL_CONDITIONS, kallitype, wrong), work)
  return (x: number, y: number) => {
    const at = 4 * (Math.floor(y) * WIDE + Math.floor(x))
    return (rgba[at]! + rgba[at + 1]! + rgba[at + 2]!) / 3
  }
} // prettier-ignore
const SOUND = print([])
const faultOf = (causeId: string) => practiceFaults.filter((fault) => fault.causeId === causeId)
const places = Array.from({ length: WIDE * HIGH }, (_, i) => [i % WIDE, Math.floor(i / WIDE)] as const)

describe.each(practiceFaults.map((fault) => [fault.causeId, fault] as const))('the hidden fault %s', (causeId, fault) => {
  const cause = faults.causes.find(({ id }) => id === causeId)

  it('is a cause of the book, which shows the look that it is drawn with', () => {
    expect(cause).toBeDefined()
    if (!fault.look) return
    const shown = faults.symptoms.find(({ id }) => (cause?.shows[id] ?? 0) >= 0.7)
    expect(shown?.drawing).toBe(fault.look)
  })

  it('changes the print, in places or all over, and can be hidden in some process', () => {
    const spoilt = print([fault])
    const changed = places.filter(([x, y]) => Math.abs(spoilt(x, y) - SOUND(x, y)) > 4)
    expect(changed.length).toBeGreaterThan(fault.look ? 40 : 5000)
    expect(practiceProcesses.some(({ processId }) => faultsOf(processId).some((one) => one.causeId === causeId))).toBe(true)
  })
}) // prettier-ignore

describe('faults that show in places', () => {
  it('are where they should be: half a sheet with chalk, one corner with less light, the picture mirrored', () => {
    const half = print(faultOf('half-treated'))
    expect(half(50, 2)).toBe(SOUND(50, 2))
    expect(half(225, 2)).toBeGreaterThan(SOUND(225, 2) + 15)
    const corner = print(faultOf('light-uneven'))
    expect(corner(245, 50)).toBeGreaterThan(SOUND(245, 50) + 4)
    expect(Math.abs(corner(15, 125) - SOUND(15, 125))).toBeLessThan(4)
    const mirrored = print(faultOf('mirror'))
    expect(places.filter(([x, y]) => mirrored(WIDE - 1 - x, y) !== SOUND(x, y))).toEqual([])
  })

  it('put two on one sheet without losing either', () => {
    const both = print([...faultOf('half-treated'), ...faultOf('dust')])
    expect(both(225, 2)).toBeGreaterThan(SOUND(225, 2) + 15)
    const specks = places.filter(([x, y]) => x < WIDE / 2 && both(x, y) > SOUND(x, y) + 30)
    expect(specks.length).toBeGreaterThan(0)
  })

  it('leave grain of metal dark and dust light', () => {
    const [metal, dust] = [print(faultOf('metal')), print(faultOf('dust'))]
    expect(places.filter(([x, y]) => metal(x, y) > SOUND(x, y))).toEqual([])
    expect(places.filter(([x, y]) => dust(x, y) < SOUND(x, y))).toEqual([])
  })
})

describe('hidden faults', () => {
  const possible = faultsOf('classic-cyanotype')
  it('are drawn by level, and all that are possible come up', () => {
    const random = seededRandom(3)
    expect(drawFaults('none', possible, random)).toEqual([])
    const seen = new Set<string>()
    for (let i = 0; i < 400; i++) {
      const [one, other] = drawFaults('two', possible, random)
      expect([one?.level, other?.level]).toEqual([1, 2])
      seen.add(one!.causeId).add(other!.causeId)
      expect(drawFaults('plain', possible, random).map(({ level }) => level)).toEqual([1])
      expect(drawFaults('depth', possible, random).map(({ level }) => level)).toEqual([2])
    }
    expect(seen.size).toBe(possible.length)
  })

  it('are those that a process can have: no chalk fault on paper that bears chalk, no developer bubbles without one', () => {
    expect(possible.map(({ causeId }) => causeId)).toContain('chalk')
    expect(possible.map(({ causeId }) => causeId)).not.toContain('bubbles')
    expect(faultsOf('salted-paper').map(({ causeId }) => causeId)).not.toContain('chalk')
    expect(faultsOf('kallitype').map(({ causeId }) => causeId)).toContain('bubbles')
  })

  it('are gone after a test that the book says takes them away, and not after another', () => {
    const [chalk] = faultOf('chalk')
    const [otherPaper, moreLight] = ['other-paper', 'more-light'].map((id) => faults.tests.find((test) => test.id === id)!)
    expect(leftAfter([chalk!], otherPaper!.cures)).toEqual([])
    expect(leftAfter([chalk!], moreLight!.cures)).toEqual([chalk])
  }) // prettier-ignore
})

describe('steps of a practice print', () => {
  it.each(practiceProcesses.map((process) => [process.processId, process] as const))('of %s are steps of the real process', (id, process) => {
    const steps = stepsOf(process, true).filter((step) => step !== 'judged')
    for (const step of steps) {
      const real = processes[id]?.steps.find((one) => one.id === practiceSteps[id]?.[step])
      expect([step, real?.kind]).toEqual([step, step === 'light' ? 'expose' : step === 'dry' ? 'hang' : 'bath'])
    }
    // A toner that is left out is no step.
    expect(stepsOf(process, false)).not.toContain('tone')
  }) // prettier-ignore
})

describe('milk in the first water', () => {
  const salted = practiceProcesses.find(({ processId }) => processId === 'salted-paper')!
  const after = (cleared: number | null) => ({ ...UNTOUCHED, cleared })
  it('goes with the silver, and never shows without chlorine or silver', () => {
    const row = [0, 60, 200, 600].map((cleared) => milkOf(salted, after(cleared), true))
    expect(row[0]).toBe(1)
    expect([...row].sort((a, b) => b - a)).toEqual(row)
    expect(row[3]).toBeLessThan(0.01)
    expect(milkOf(salted, after(0), false)).toBe(0)
    expect(milkOf(salted, after(null), true)).toBe(0)
    expect(milkOf(cyanotype, after(0), true)).toBe(0)
    expect(waterColour(1)[0]).toBeGreaterThan(waterColour(0.2)[0] + 60)
  })
})
