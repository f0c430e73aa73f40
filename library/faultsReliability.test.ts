import { diagnose, type Observed } from '@core/judge/diagnosis'
import { belongs, shareOf, type Cause } from '@core/judge/faultBook'
import { traitsOf } from '@core/judge/traits'
import { startingChoices } from '@core/process/plan'
import { seededRandom } from '@core/quantity/random'
import { faults } from './faults'
import { processes } from './index'

const PROCESSES = ['classic-cyanotype', 'van-dyke', 'kallitype', 'salted-paper', 'platinum-palladium', 'gum']
const PRINTS = 1200
/** People pick most of what they see, and the record knows some of what is true. */
const [PICKED, KNOWN] = [0.8, 0.25]

/** One drawn out of the list, by weight. */
function draw(causes: readonly Cause[], random: () => number): Cause {
  let at = random() * causes.reduce((sum, one) => sum + one.weight, 0)
  return causes.find((one) => (at -= one.weight) < 0) ?? causes[0]!
}

/**
 * A print that went wrong, drawn by chance: a cause, what it shows, what is picked of that, and which facts are known. A
 * diagnosis never sees how it was drawn; whether its probabilities hold is counted.
 */
function drawn(random: () => number) {
  const process = processes[PROCESSES[Math.floor(random() * PROCESSES.length)]!]!
  const traits = traitsOf(
    process,
    { choices: { ...startingChoices(process), subject: 'negative' } },
    { kind: random() < 0.2 ? 'sun' : 'uvBox' },
  )
  const cause = draw(
    faults.causes.filter(({ needs }) => belongs(needs, traits)),
    random,
  )
  const symptoms = faults.symptoms
    .filter(({ needs }) => belongs(needs, traits))
    .filter(({ id, base }) => random() < (cause.shows[id] ?? base / 4) && random() < PICKED)
    .map(({ id }) => id)
  const observed = faults.facts
    .filter(({ needs, moment }) => belongs(needs, traits) && !moment)
    .filter(() => random() < KNOWN)
    .map((fact): Observed => ({
      factId: fact.id,
      is: random() < shareOf(fact, cause, traits),
      said: fact.id,
    }))
  return { cause, symptoms, ranked: diagnose(faults, { traits, symptoms, observed, confirmed: [] }) }
}

describe('probabilities of causes', () => {
  const random = seededRandom(84)
  const prints = Array.from({ length: PRINTS }, () => drawn(random)).filter(
    ({ symptoms }) => symptoms.length > 0,
  )
  const edges = [0, 0.2, 0.4, 0.6, 0.8, 1.01]
  const table = edges.slice(1).map((to, i) => {
    const rows = prints.filter(
      ({ ranked }) => ranked[0]!.probability >= edges[i]! && ranked[0]!.probability < to,
    )
    const said = rows.reduce((sum, { ranked }) => sum + ranked[0]!.probability, 0) / rows.length
    const held = rows.filter(({ ranked, cause }) => ranked[0]!.cause.id === cause.id).length / rows.length
    return { from: edges[i]!, count: rows.length, said, held }
  })

  it('hold as often as they say, in five classes', () => {
    process.stdout.write(
      `Reliability of the first cause (prints, said, held): ${table
        .map(({ count, said, held }) => `${count}: ${said.toFixed(2)} ${held.toFixed(2)}`)
        .join('; ')}\n`,
    )
    for (const { from, count, said, held } of table)
      if (count > 40) expect([from, Math.abs(said - held) < 0.12]).toEqual([from, true])
  })

  it('are better than the commonest cause, and no better than certainty', () => {
    const brier = prints.reduce(
      (sum, { ranked, cause }) =>
        sum +
        ranked.reduce((all, one) => all + (one.probability - (one.cause.id === cause.id ? 1 : 0)) ** 2, 0),
      0,
    )
    // Knowing nothing gives nearly 1.
    expect(brier / prints.length).toBeLessThan(0.7)
    expect(brier / prints.length).toBeGreaterThan(0.05)
  })
})
