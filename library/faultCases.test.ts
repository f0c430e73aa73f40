import { asked, caseOf, rightAfter, type Case } from './faultCases.fixture'

/**
 * Prints that went wrong, from common practice. Written by the hand that wrote the book, after it: the misses of a first
 * count led to three changes there, so these cases hold it where it is and prove no more.
 */
const CASES: readonly Case[] = [
  caseOf('classic-cyanotype', 'alkaline-water', ['whites-yellow', 'paler-in-wash'], { true: ['alkaline-water'] }),
  caseOf('classic-cyanotype', 'over-washed', ['paler-in-wash', 'pale'], { true: ['washed-long'] }),
  caseOf('classic-cyanotype', 'glass-blocks', ['pale'], { when: 'water', true: ['glass-blocks', 'bare-coat-weak', 'same-day'] }),
  caseOf('classic-cyanotype', 'lamp-cold', ['pale'], { when: 'water', true: ['lamp-cold', 'bare-coat-weak'] }),
  caseOf('classic-cyanotype', 'tube-dead', ['uneven', 'pale'], { true: ['tube-dead', 'bare-coat-weak', 'same-day'] }),
  caseOf('classic-cyanotype', 'sky-changed', ['pale'], { when: 'water', true: ['sky-changed', 'bare-coat-weak'], light: 'sun' }),
  caseOf('classic-cyanotype', 'mirror', ['mirrored'], { true: ['same-film'] }),
  caseOf('classic-cyanotype', 'film-marks', ['lines-regular'], { true: ['film-banded', 'same-film'] }),
  caseOf('classic-cyanotype', 'other-curve', ['middle-off'], { true: ['other-curve', 'same-film'] }),
  caseOf('classic-cyanotype', 'unsized-paper', ['sunken'], { true: [] }),
  caseOf('classic-cyanotype', 'fingers', ['fingerprints'], { true: ['touched'] }),
  caseOf('classic-cyanotype', 'metal-in-paper', ['specks-dark'], { true: [] }),
  caseOf('classic-cyanotype', 'alkaline-mount', ['fading'], { true: ['mount-alkaline', 'weeks-later'] }),
  caseOf('classic-cyanotype', 'coat-reacted', ['odd-coat'], { true: ['covered-edge-toned'] }),
  caseOf('classic-cyanotype', 'chalk', ['odd-coat', 'pale'], { recorded: ['chalk-in'], true: ['bare-coat-weak', 'covered-edge-toned'] }),
  caseOf('classic-cyanotype', 'forgot-coat', ['no-image']),
  caseOf('classic-cyanotype', 'halo-film', ['halo'], { true: ['same-film'] }),
  caseOf('classic-cyanotype', 'abraded', ['streaks', 'blotch'], { true: ['abraded'] }),
  caseOf('classic-cyanotype', 'wrong-side-paper', ['grain', 'mottle'], { true: ['wrong-side-paper'] }),
  caseOf('classic-cyanotype', 'coat-thin', ['pale', 'sunken'], { recorded: ['coat-thin'], true: ['bare-coat-weak'] }),
  caseOf('classic-cyanotype', 'lamp-dim', ['pale'], { recorded: ['lamp-dim'], true: ['bare-coat-weak', 'same-day'] }),
  caseOf('van-dyke', 'alkaline-water', ['whites-yellow'], { true: ['alkaline-water'] }),
  caseOf('van-dyke', 'tray-contaminated', ['whites-grey', 'tide'], { true: ['tray-shared', 'same-day'] }),
  caseOf('van-dyke', 'toner-strong', ['paler-in-toner'], { true: ['toned-long'] }),
  caseOf('van-dyke', 'waited-after', ['fogged', 'flat'], { true: ['waited', 'covered-edge-toned'] }),
  caseOf('kallitype', 'developer-cold', ['too-cold'], { true: ['developer-cold', 'same-day'] }),
  caseOf('kallitype', 'cleared-too-long', ['paler-in-clearing'], { recorded: ['cleared-long'] }),
  caseOf('kallitype', 'contrast-agent', ['harsh', 'grain'], { true: ['contrast-added'] }),
  caseOf('kallitype', 'alkaline-water', ['whites-yellow', 'whites-brown'], { true: ['alkaline-water'] }),
  caseOf('kallitype', 'toner-strong', ['paler-in-toner', 'too-cold'], { true: ['toned-long'] }),
  caseOf('salted-paper', 'little-salt', ['pale', 'too-cold', 'slow'], { true: ['salt-weak', 'in-the-frame'] }),
  caseOf('salted-paper', 'over-salted', ['pale', 'patches'], { recorded: ['silver-short'], true: ['in-the-frame'] }),
  caseOf('salted-paper', 'no-chlorine', ['tone-patchy', 'whites-grey'], { true: ['no-chlorine'] }),
  caseOf('salted-paper', 'toner-strong', ['paler-in-toner'], { true: ['toned-long'] }),
  caseOf('albumen-type', 'silver-bath-weak', ['slow', 'flat'], { true: ['silver-weak', 'same-day', 'in-the-frame'] }),
  caseOf('albumen-type', 'float-short', ['tide', 'rings'], { true: ['float-broken', 'in-the-frame'] }),
  caseOf('platinum-palladium', 'contrast-agent', ['grain', 'harsh'], { true: ['contrast-added'] }),
  caseOf('platinum-palladium', 'developer-cold', ['too-cold', 'pale'], { true: ['developer-cold', 'same-day'] }),
  caseOf('gum-over', 'base-untoned', ['mottle', 'pale'], { true: ['base-untoned'] }),
  caseOf('gum', 'gum-unsized', ['pigment-stain'], { true: ['unsized'] }),
  caseOf('gum', 'gum-heavy', ['flaking', 'colour-heavy'], { true: ['pigment-much'] }),
  caseOf('gum', 'gum-over-exposed', ['colour-heavy'], { recorded: ['above-base'] }),
  caseOf('gum', 'gum-dark-hardened', ['pigment-stain', 'fogged'], { true: ['gum-rested'] }),
  caseOf('gum', 'gum-under-exposed', ['washed-off'], { recorded: ['below-base'] }),
] // prettier-ignore

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

  it('are among the first three after two questions, but for four', () => {
    const far = CASES.filter(
      (one) =>
        !asked(one, 2)
          .ranked.slice(0, 3)
          .some(({ cause }) => cause.id === one.cause),
    )
    expect(far.map(({ cause }) => cause).length).toBeLessThanOrEqual(4)
  })

  it('are as sure as they are right: of first causes given 60 % and more, at least as many hold', () => {
    const sure = CASES.map((one) => ({ one, first: asked(one, 2).ranked[0]! })).filter(({ first }) => first.probability >= 0.6)
    const hold = sure.filter(({ one, first }) => first.cause.id === one.cause).length
    expect(sure.length).toBeGreaterThan(10)
    expect(hold / sure.length).toBeGreaterThanOrEqual(0.6)
  }) // prettier-ignore
})
