import { belongs } from '@core/judge/faultBook'
import { traitsOf } from '@core/judge/traits'
import { startingChoices } from '@core/process/plan'
import { cautionOf, processes } from './index'
import { permanenceTests } from './permanence'

const testsOf = (id: string) => {
  const definition = processes[id]!
  const traits = traitsOf(definition, { choices: startingChoices(definition) })
  return permanenceTests.filter(({ needs }) => belongs(needs, traits)).map((test) => test.id)
}

// Facts of the trade, common practice: silver and hypo are left by fixed silver, iron by every iron process.
it.each([
  ['classic-cyanotype', ['iron', 'fade']],
  ['salted-paper', ['silver', 'hypo', 'fade']],
  ['kallitype', ['silver', 'hypo', 'iron', 'fade']],
  ['iron-silver', ['silver', 'hypo', 'iron', 'fade']],
  ['platinum-palladium', ['iron', 'fade']],
  ['gum', ['fade']],
])('%s is tested for what its baths may leave', (id, tests) => {
  expect(testsOf(id)).toEqual(tests)
})

it('tests carry cautions that the library has', () => {
  for (const { id, cautions } of permanenceTests)
    for (const caution of cautions) expect([id, cautionOf(caution)?.title]).toEqual([id, expect.any(String)])
})
