import { finishingFor } from '@core/judge/finishing'
import { traitsOf } from '@core/judge/traits'
import { startingChoices } from '@core/process/plan'
import { finishings } from './finishing'
import { cautionOf, processes } from './index'

const said = (finishingId: string, processId: string) => {
  const definition = processes[processId]!
  const traits = traitsOf(definition, { choices: startingChoices(definition) })
  return finishingFor(
    finishings.find(({ id }) => id === finishingId)!,
    traits,
  ).join(' ')
}

describe('what is done with a dry print', () => {
  // Facts of the trade, common practice: alkali fades iron blue; platinum leaves its ghost on what lies against it.
  it.each([
    ['mount', 'classic-cyanotype', /unbuffered/],
    ['mount', 'platinum-palladium', /ghost/],
    ['mount', 'salted-paper', /activity test/],
    ['flatten', 'classic-cyanotype', /press it cold/],
    ['store', 'new-cyanotype', /comes back in the dark/],
  ])('%s, %s', (finishing, process, expected) => expect(said(finishing, process)).toMatch(expected))

  it('says nothing of blue to a print that is not blue', () => {
    for (const { id } of finishings) expect(said(id, 'salted-paper')).not.toMatch(/blue/i)
  })

  it('points at cautions that there are, and records something', () => {
    for (const { cautions, done, doing } of finishings) {
      expect(cautions.filter((id) => !cautionOf(id))).toEqual([])
      expect([done, doing.length > 0]).toEqual([expect.stringMatching(/^[A-Z].*\.$/), true])
    }
  })
})
