import { diagnose, type Observed } from '@core/judge/diagnosis'
import { rankQuestions } from '@core/judge/questions'
import { rankTests } from '@core/judge/nextTest'
import { traitsOf } from '@core/judge/traits'
import { startingChoices } from '@core/process/plan'
import { faults } from './faults'
import { processes } from './index'

const traits = (process: string, over?: string) =>
  traitsOf(processes[process]!, {
    choices: { ...startingChoices(processes[process]!), subject: 'negative' },
    ...(over && { over }),
  })
const yes = (...ids: string[]): Observed[] => ids.map((factId) => ({ factId, is: true, said: factId }))
const no = (...ids: string[]): Observed[] => ids.map((factId) => ({ factId, is: false, said: factId }))

/** Written cases: process, what is seen, what is known, and the cause a printer would name; common practice. */
const CASES: readonly (readonly [process: string, seen: string[], known: Observed[], cause: string])[] = [
  ['classic-cyanotype', ['pale'], yes('exposed-short', 'below-base'), 'under-exposed'],
  ['classic-cyanotype', ['pale'], [...yes('lamp-dim'), ...no('exposed-short')], 'lamp-dim'],
  ['classic-cyanotype', ['pale', 'mottle'], yes('chalk-in'), 'chalk'],
  ['classic-cyanotype', ['whites-blue', 'fogged'], yes('coat-old'), 'coat-old'],
  ['classic-cyanotype', ['fogged'], yes('room-bright', 'covered-edge-toned'), 'room-light'],
  ['classic-cyanotype', ['fogged'], yes('heat-dried', 'covered-edge-toned'), 'heat-dried'],
  ['classic-cyanotype', ['whites-yellow'], yes('washed-short'), 'washed-short'],
  ['classic-cyanotype', ['fogged', 'whites-blue'], yes('lot-old'), 'lot-old'],
  ['classic-cyanotype', ['heavy', 'bronzed'], yes('above-base'), 'over-exposed'],
  ['classic-cyanotype', ['specks-dark'], yes('metal-touched'), 'metal'],
  ['classic-cyanotype', ['soft'], yes('wrong-side-film'), 'wrong-side'],
  ['classic-cyanotype', ['soft'], [...yes('frame-loose'), ...no('wrong-side-film', 'thick-interleaf')], 'contact'],
  ['classic-cyanotype', ['double'], yes('moved'), 'moved'],
  ['classic-cyanotype', ['streaks'], yes('brush-worked'), 'brush'],
  ['classic-cyanotype', ['blotch'], yes('puddle'), 'puddle'],
  ['classic-cyanotype', ['line', 'pale'], yes('half-treated'), 'half-treated'],
  ['classic-cyanotype', ['uneven'], yes('light-near'), 'light-uneven'],
  ['classic-cyanotype', ['flat'], yes('film-thin', 'no-curve'), 'film-thin'],
  ['classic-cyanotype', ['washed-off', 'pale'], yes('below-base'), 'under-exposed'],
  ['classic-cyanotype', ['rings'], yes('still-bubbles'), 'bubbles'],
  ['two-layer-cyanotype', ['double'], yes('register-off'), 'register'],
  ['van-dyke', ['bleached', 'pale'], yes('rapid-fixer'), 'fixed-strong'],
  ['van-dyke', ['fading'], yes('fixed-short'), 'fixed-short'],
  ['van-dyke', ['stuck', 'soft'], yes('damp-at-light', 'dried-short'), 'coat-damp'],
  ['van-dyke', ['pale', 'streaks'], yes('coat-thin'), 'coat-thin'],
  ['van-dyke', ['fogged', 'specks-dark'], yes('tap-water'), 'tap-water'],
  ['kallitype', ['whites-yellow'], yes('clearing-spent'), 'clearing-spent'],
  ['kallitype', ['whites-yellow'], [...yes('cleared-long'), ...no('clearing-spent', 'cleared-short')], 'paper-unfit'],
  ['kallitype', ['pale'], yes('developer-spent'), 'developer-spent'],
  ['kallitype', ['pale', 'bleached'], yes('developed-short'), 'developed-short'],
  ['kallitype', ['fading', 'whites-yellow'], yes('fixer-spent'), 'fixer-spent'],
  ['kallitype', ['whites-yellow'], yes('cleared-short'), 'cleared-short'],
  ['salted-paper', ['pale', 'patches'], yes('silver-short'), 'over-salted'],
  ['salted-paper', ['patches', 'mottle'], [...yes('soaked-unevenly'), ...no('silver-short')], 'salt-uneven'],
  ['salted-paper', ['tone-patchy'], yes('milk-at-toner'), 'carried-over'],
  ['salted-paper', ['specks-light'], yes('unfiltered'), 'silver-unfiltered'],
  ['albumen-type', ['fading'], [...yes('washed-short'), ...no('fixed-short', 'fixer-spent')], 'hypo-left'],
  ['platinum-palladium', ['bronzed', 'mottle'], yes('air-dry'), 'air-dry'],
  ['platinum-palladium', ['specks-dark'], yes('metal-touched'), 'metal'],
  ['platinum-palladium', ['harsh'], yes('film-dense', 'no-curve'), 'film-dense'],
  ['gold-platinum', ['whites-pink'], yes('cleared-short'), 'cleared-short'],
] // prettier-ignore

describe('the book of faults', () => {
  it('names nothing it does not have', () => {
    const symptoms = new Set(faults.symptoms.map((one) => one.id))
    const facts = new Set(faults.facts.map((one) => one.id))
    const causes = new Set(faults.causes.map((one) => one.id))
    for (const cause of faults.causes) {
      expect(Object.keys(cause.shows).filter((id) => !symptoms.has(id))).toEqual([])
      expect(Object.keys(cause.facts).filter((id) => !facts.has(id))).toEqual([])
    }
    for (const test of faults.tests)
      expect(Object.keys(test.cures).filter((id) => !causes.has(id))).toEqual([])
  })

  it('has a symptom for every cause and a test for every cause', () => {
    for (const cause of faults.causes) {
      expect([cause.id, Math.max(...Object.values(cause.shows)) >= 0.4]).toEqual([cause.id, true])
      const best = Math.max(0, ...faults.tests.map((test) => test.cures[cause.id] ?? 0))
      expect([cause.id, best >= 0.5]).toEqual([cause.id, true])
    }
  })

  it('every symptom is shown by some cause, every share is a share', () => {
    for (const symptom of faults.symptoms)
      expect([symptom.id, faults.causes.some((cause) => symptom.id in cause.shows)]).toEqual([
        symptom.id,
        true,
      ])
    const shares = [
      ...faults.causes.flatMap((cause) => [...Object.values(cause.shows), ...Object.values(cause.facts)]),
      ...faults.tests.flatMap((test) => Object.values(test.cures)),
      ...[...faults.symptoms, ...faults.facts].map((one) => one.base),
    ]
    expect(shares.filter((share) => !(share > 0 && share < 1))).toEqual([])
  })
})

describe('written cases', () => {
  const ranked = CASES.map(([process, symptoms, observed, cause]) => ({
    cause,
    list: diagnose(faults, { traits: traits(process), symptoms, observed, confirmed: [] }),
  }))

  it('there are forty of them', () => expect(CASES.length).toBeGreaterThanOrEqual(40))

  it('name the cause a printer would, in at least 34 of 40', () => {
    const missed = ranked.filter(({ cause, list }) => list[0]?.cause.id !== cause)
    expect(missed.map(({ cause, list }) => `${cause}: ${list[0]?.cause.id}`).length).toBeLessThanOrEqual(
      CASES.length - 34,
    )
  })

  it('have the right cause among the first three, always', () => {
    for (const { cause, list } of ranked) expect(list.slice(0, 3).map((one) => one.cause.id)).toContain(cause)
  })

  it('say why: what is known for a cause stands in its evidence', () => {
    for (const { cause, list } of ranked) {
      const found = list.find((one) => one.cause.id === cause)
      expect(found?.for.length).toBeGreaterThan(0)
    }
  })
})

describe('by the look alone', () => {
  it('asks what would tell causes apart: veiled whites first of all whether the covered edge is toned, or the room', () => {
    const input = { traits: traits('classic-cyanotype'), symptoms: ['fogged'], observed: [], confirmed: [] }
    const questions = rankQuestions(faults, diagnose(faults, input), input).map((fact) => fact.id)
    expect(questions.slice(0, 4)).toContain('covered-edge-toned')
    expect(questions).not.toContain('milk-at-toner')
  })

  it('proposes for an unsharp print to press it well and turn the film over', () => {
    const input = { traits: traits('classic-cyanotype'), symptoms: ['soft'], observed: [], confirmed: [] }
    const [first] = rankTests(faults, diagnose(faults, input), input)
    expect(first?.test.id).toBe('pressed')
    expect(first?.cures[0]?.id).toBe('contact')
  })

  it('never speaks of fixers where nothing is fixed', () => {
    const list = diagnose(faults, {
      traits: traits('classic-cyanotype'),
      symptoms: ['whites-yellow'],
      observed: [],
      confirmed: [],
    })
    expect(list.map((one) => one.cause.id).filter((id) => /fix|hypo|ton/.test(id))).toEqual([])
  })
})
