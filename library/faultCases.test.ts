import { diagnose, rankQuestions, type Observed } from '@core/judge/diagnosis'
import { traitsOf } from '@core/judge/traits'
import { startingChoices } from '@core/process/plan'
import { faults } from './faults'
import { processes } from './index'

/**
 * A print that went wrong as a printer would tell of it, from common practice. Written by the hand that wrote the book, after
 * it: the misses of a first count led to three changes there, so these cases hold it where it is and prove no more.
 */
interface Case {
  process: string
  seen: string[]
  /** What the record shows. */
  recorded?: string[]
  /** What is true besides, and is answered when it is asked; every other answer is no. */
  true?: string[]
  cause: string
}
const of = (process: string, cause: string, seen: string[], known: Pick<Case, 'recorded' | 'true'> = {}): Case => ({
  process, cause, seen, ...known,
}) // prettier-ignore

const CASES: readonly Case[] = [
  of('classic-cyanotype', 'alkaline-water', ['whites-yellow', 'paler-in-wash'], { true: ['alkaline-water'] }),
  of('classic-cyanotype', 'over-washed', ['paler-in-wash', 'pale'], { true: ['washed-long'] }),
  of('classic-cyanotype', 'glass-blocks', ['pale'], { true: ['glass-blocks', 'bare-coat-weak', 'same-day'] }),
  of('classic-cyanotype', 'lamp-cold', ['pale'], { true: ['lamp-cold', 'bare-coat-weak'] }),
  of('classic-cyanotype', 'tube-dead', ['uneven', 'pale'], { true: ['tube-dead', 'bare-coat-weak', 'same-day'] }),
  of('classic-cyanotype', 'sky-changed', ['pale'], { true: ['sky-changed', 'bare-coat-weak'] }),
  of('classic-cyanotype', 'mirror', ['mirrored'], { true: ['same-film'] }),
  of('classic-cyanotype', 'film-marks', ['lines-regular'], { true: ['film-banded', 'same-film'] }),
  of('classic-cyanotype', 'other-curve', ['middle-off'], { true: ['other-curve', 'same-film'] }),
  of('classic-cyanotype', 'unsized-paper', ['sunken'], { true: [] }),
  of('classic-cyanotype', 'fingers', ['fingerprints'], { true: ['touched'] }),
  of('classic-cyanotype', 'metal-in-paper', ['specks-dark'], { true: [] }),
  of('classic-cyanotype', 'alkaline-mount', ['fading'], { true: ['mount-alkaline', 'weeks-later'] }),
  of('classic-cyanotype', 'coat-reacted', ['odd-coat'], { true: ['covered-edge-toned'] }),
  of('classic-cyanotype', 'chalk', ['odd-coat', 'pale'], { recorded: ['chalk-in'], true: ['bare-coat-weak', 'covered-edge-toned'] }),
  of('classic-cyanotype', 'forgot-coat', ['no-image']),
  of('classic-cyanotype', 'halo-film', ['halo'], { true: ['same-film'] }),
  of('classic-cyanotype', 'abraded', ['streaks', 'blotch'], { true: ['abraded'] }),
  of('classic-cyanotype', 'wrong-side-paper', ['grain', 'mottle'], { true: ['wrong-side-paper'] }),
  of('classic-cyanotype', 'coat-thin', ['pale', 'sunken'], { recorded: ['coat-thin'], true: ['bare-coat-weak'] }),
  of('classic-cyanotype', 'lamp-dim', ['pale'], { recorded: ['lamp-dim'], true: ['bare-coat-weak', 'same-day'] }),
  of('van-dyke', 'alkaline-water', ['whites-yellow'], { true: ['alkaline-water'] }),
  of('van-dyke', 'tray-contaminated', ['whites-grey', 'tide'], { true: ['tray-shared', 'same-day'] }),
  of('van-dyke', 'toner-strong', ['paler-in-toner'], { true: ['toned-long'] }),
  of('van-dyke', 'waited-after', ['fogged', 'flat'], { true: ['waited', 'covered-edge-toned'] }),
  of('kallitype', 'developer-cold', ['too-cold'], { true: ['developer-cold', 'same-day'] }),
  of('kallitype', 'cleared-too-long', ['paler-in-clearing'], { recorded: ['cleared-long'] }),
  of('kallitype', 'contrast-agent', ['harsh', 'grain'], { true: ['contrast-added'] }),
  of('kallitype', 'alkaline-water', ['whites-yellow', 'whites-brown'], { true: ['alkaline-water'] }),
  of('kallitype', 'toner-strong', ['paler-in-toner', 'too-cold'], { true: ['toned-long'] }),
  of('salted-paper', 'little-salt', ['pale', 'too-cold', 'slow'], { true: ['salt-weak', 'in-the-frame'] }),
  of('salted-paper', 'over-salted', ['pale', 'patches'], { recorded: ['silver-short'], true: ['in-the-frame'] }),
  of('salted-paper', 'no-chlorine', ['tone-patchy', 'whites-grey'], { true: ['no-chlorine'] }),
  of('salted-paper', 'toner-strong', ['paler-in-toner'], { true: ['toned-long'] }),
  of('albumen-type', 'silver-bath-weak', ['slow', 'flat'], { true: ['silver-weak', 'same-day', 'in-the-frame'] }),
  of('albumen-type', 'float-short', ['tide', 'rings'], { true: ['float-broken', 'in-the-frame'] }),
  of('platinum-palladium', 'contrast-agent', ['grain', 'harsh'], { true: ['contrast-added'] }),
  of('platinum-palladium', 'developer-cold', ['too-cold', 'pale'], { true: ['developer-cold', 'same-day'] }),
  of('gum-over', 'base-untoned', ['mottle', 'pale'], { true: ['base-untoned'] }),
  of('gum', 'gum-unsized', ['pigment-stain'], { true: ['unsized'] }),
  of('gum', 'gum-heavy', ['flaking', 'colour-heavy'], { true: ['pigment-much'] }),
  of('gum', 'gum-over-exposed', ['colour-heavy'], { recorded: ['above-base'] }),
  of('gum', 'gum-dark-hardened', ['pigment-stain', 'fogged'], { true: ['gum-rested'] }),
  of('gum', 'gum-under-exposed', ['washed-off'], { recorded: ['below-base'] }),
] // prettier-ignore

/** The causes after so many questions, each answered as the case has it. */
function asked({ process, seen, recorded = [], true: truth = [] }: Case, questions: number) {
  const definition = processes[process]!
  const traits = traitsOf(definition, {
    choices: { ...startingChoices(definition), subject: 'negative', ...(process === 'van-dyke' && { toner: 'gold' }) },
    ...(process === 'gum-over' && { over: 'x' }),
  })
  const observed: Observed[] = recorded.map((factId) => ({ factId, is: true, said: factId, isRecorded: true }))
  const ranked = () => diagnose(faults, { traits, symptoms: seen, observed, confirmed: [] })
  for (let n = 0; n < questions; n++) {
    const [question] = rankQuestions(faults, ranked(), { traits, observed })
    if (question) observed.push({ factId: question.id, is: truth.includes(question.id), said: question.id })
  }
  return ranked()
} // prettier-ignore
const rightAfter = (cases: readonly Case[], questions: number) =>
  cases.filter((one) => asked(one, questions)[0]?.cause.id === one.cause)

describe('forty-four more cases', () => {
  // In two halves, so that a change that helps the one and not the other is seen.
  const [open, kept] = [0, 1].map((half) => CASES.filter((_, i) => i % 2 === half)) as [Case[], Case[]]

  it('are right before a question in most, and after two in 9 of 10', () => {
    const said = [open, kept].map((cases) => [0, 2].map((n) => rightAfter(cases, n).length))
    process.stdout.write(
      `Diagnosis: ${said[0]![0]} of ${open.length} before a question, ${said[0]![1]} after two; kept cases ${said[1]![0]} and ${said[1]![1]} of ${kept.length}\n`,
    )
    expect(said[0]![1]! + said[1]![1]!).toBeGreaterThanOrEqual(Math.ceil(0.9 * CASES.length))
    expect(said[0]![0]! + said[1]![0]!).toBeGreaterThanOrEqual(Math.ceil(0.6 * CASES.length))
  })

  it('are among the first three after two questions, but for three', () => {
    const far = CASES.filter(
      (one) =>
        !asked(one, 2)
          .slice(0, 3)
          .some(({ cause }) => cause.id === one.cause),
    )
    expect(far.map(({ cause }) => cause).length).toBeLessThanOrEqual(3)
  })

  it('are as sure as they are right: of first causes given 60 % and more, at least as many hold', () => {
    const sure = CASES.map((one) => ({ one, first: asked(one, 2)[0]! })).filter(({ first }) => first.probability >= 0.6)
    const hold = sure.filter(({ one, first }) => first.cause.id === one.cause).length
    expect(sure.length).toBeGreaterThan(10)
    expect(hold / sure.length).toBeGreaterThanOrEqual(0.6)
  }) // prettier-ignore
})
