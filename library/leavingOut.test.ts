import { sheet } from '@core/fixtures/workroom'
import { leftOutConsequence } from '@core/process/leavingOut'
import { outlineOf, startingChoices } from '@core/process/plan'
import type { ProcessDefinition } from '@core/schema/definition'
import { incompatibilities, processes, substances } from './index'
import { classicCyanotype } from './processes/classicCyanotype'
import { withHandwork } from './processes/handwork'
import { kallitype } from './processes/kallitype'
import { albumen } from './processes/albumen'

function of(definition: ProcessDefinition, stepId: string, changes: Record<string, string> = {}) {
  const choices = { ...startingChoices(definition), ...changes }
  const steps = outlineOf(definition, { ...sheet, choices, batch: undefined }, 200)
  const planned = steps.find(({ id }) => id === stepId)
  return planned && leftOutConsequence(definition, choices, steps, planned, substances, incompatibilities)
}

describe('leaving out a step', () => {
  it('says what it would mean for the print, for every step that can be left out', () => {
    for (const definition of Object.values(processes)) {
      const choices = startingChoices(definition)
      const steps = outlineOf(definition, { ...sheet, choices, batch: undefined }, 200)
      for (const { id, kind } of steps) {
        const found = of(definition, id)
        if (kind === 'hang') expect(found).toBeNull()
        else expect([id, found?.means]).toEqual([id, expect.stringMatching(/\w{3}/)])
      }
    }
  })
  // Common practice: without hypo clear a print on fibre paper washes for an hour.
  it('of hypo clear has the final wash take longer', () => {
    expect(of(kallitype, 'hypo-clear')?.makesUp).toMatch(/“Final wash” then takes at least 1.h/)
  })
  it('of a water between acid and fixer says what would meet', () => {
    const dangers = Object.values(processes).flatMap((definition) => {
      const choices = startingChoices(definition)
      const steps = outlineOf(definition, { ...sheet, choices, batch: undefined }, 200)
      return steps.flatMap(({ id }) => of(definition, id)?.findings ?? [])
    })
    expect(dangers.some(({ code }) => code === 'must-not-meet')).toBe(true)
    // A cyanotype has no two baths that could meet.
    expect(of(classicCyanotype, 'wash')?.findings).toEqual([])
  })
})

describe('steps of handwork', () => {
  const idsOf = (changes: Record<string, string>) =>
    outlineOf(
      withHandwork(classicCyanotype),
      {
        ...sheet,
        choices: { ...startingChoices(withHandwork(classicCyanotype)), ...changes },
        batch: undefined,
      },
      200,
    ).map(({ id }) => id)

  it('are done before the mix is counted, and only where they are asked for', () => {
    expect(idsOf({})[0]).toBe('mix')
    expect(idsOf({ edges: 'masked', outline: 'pencil' }).slice(0, 3)).toEqual(['outline', 'mask', 'mix'])
  })
  it('are not offered for a paper that is floated', () => {
    expect(withHandwork(albumen)).toBe(albumen)
  })
})
