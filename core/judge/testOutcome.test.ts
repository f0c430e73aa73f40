import { outcomeOf } from './testOutcome'

const dry = { moment: 'dry', verdict: 'again' } as const

describe('what the judgement of a test print says', () => {
  it.each([
    ['nothing before it is dry', ['pale'], [{ ...dry, moment: 'wet' as const, shadows: 'right' as const }], null],
    ['nothing where it was not judged', ['pale'], [], null],
    ['the fault is still there where the same is said', ['pale'], [{ ...dry, shadows: 'thin' as const }], 'same'],
    ['it is gone where the shadows are right', ['pale'], [{ ...dry, shadows: 'right' as const }], 'changed'],
    ['nothing of a look that a judgement has no word for', ['streaks'], [{ ...dry, shadows: 'right' as const }], null],
    ['it is gone from a print that is kept', ['streaks'], [{ ...dry, verdict: 'keep' as const }], 'changed'],
    ['a kept print with the fault still has it', ['whites-yellow'], [{ ...dry, verdict: 'keep' as const, whites: 'yellow' as const }], 'same'],
    ['of two looks both must be told of', ['pale', 'whites-yellow'], [{ ...dry, shadows: 'right' as const }], null],
    ['the last judgement counts', ['pale'], [{ ...dry, shadows: 'thin' as const }, { ...dry, moment: 'settled' as const, shadows: 'right' as const }], 'changed'],
  ])('%s', (_, symptoms, judgements, outcome) => expect(outcomeOf(symptoms, judgements)).toBe(outcome))
}) // prettier-ignore
