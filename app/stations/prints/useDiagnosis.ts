import { computed } from 'vue'
import { afterTest, rankTests } from '@core/judge/nextTest'
import { diagnose, type Observed } from '@core/judge/diagnosis'
import { rankQuestions, untoldFacts } from '@core/judge/questions'
import { alikeTo, proofOf } from '@core/judge/aboutCause'
import { belongs, momentsOf, type Cause } from '@core/judge/faultBook'
import { judgedLooks } from '@core/judge/judgedLooks'
import { observe } from '@core/judge/observe'
import { outcomeOf } from '@core/judge/testOutcome'
import { testsDone } from '@core/judge/testsDone'
import { traitsOf } from '@core/judge/traits'
import { faults } from '@library/faults'
import { useDiagnosisRows } from '../../state/queries'
import { changeDiagnosis } from '../../state/actions/print.actions'
import { useWorkroom } from '../../state/workroom.store'
import { usePreferences } from '../../state/preferences.store'
import { texts } from './words'
import { useRoomRecords } from '../../state/useRoomRecords'

/** What the book of faults makes of one print: its symptoms, its record, the answers, and one's own earlier cases. */
export function useDiagnosis(sheetId: () => string) {
  const [{ recordOf, isReady }, preferences, workroom] = [useRoomRecords(), usePreferences(), useWorkroom()]
  const all = useDiagnosisRows()
  const standing = computed(() => (all.value ?? []).filter((one) => one.takenBackAt === undefined))
  const current = computed(
    () =>
      standing.value
        .filter((one) => one.sheetId === sheetId())
        .sort((a, b) => a.at - b.at)
        .at(-1) ?? null,
  )
  const record = computed(() => recordOf(sheetId()))
  const traits = computed(() =>
    record.value
      ? traitsOf(record.value.definition, record.value.sheet, record.value.light)
      : new Set<never>(),
  )
  const symptoms = computed(() => faults.symptoms.filter((one) => belongs(one.needs, traits.value)))
  /** The record of the print, and what was said of the tap in this room. */
  const recorded = computed((): Observed[] => {
    if (!record.value) return []
    const { alkaline } = preferences.chosen.water
    const isSoured = record.value.sheet.choices.firstWater === 'acid'
    return [
      ...observe(record.value),
      ...(alkaline === 'unknown' || !traits.value.has('iron')
        ? []
        : [
            {
              factId: 'alkaline-water',
              is: alkaline === 'yes' && !isSoured,
              said: isSoured ? texts.firstWaterSoured : texts.tapIs[alkaline],
              isRecorded: true,
            },
          ]),
    ]
  })
  const answered = computed((): Observed[] =>
    Object.entries(current.value?.answers ?? {}).flatMap(([factId, answer]) => {
      const fact = faults.facts.find((one) => one.id === factId)
      return fact
        ? [{ factId, is: answer === 'yes', said: `you answered: ${answer === 'yes' ? fact.yes : fact.no}` }]
        : []
    }),
  )
  const observed = computed(() => [...recorded.value, ...answered.value])
  /** Causes confirmed for other prints; this one's own does not prove itself. */
  const confirmed = computed(() =>
    standing.value.flatMap((one) => (one.confirmed && one.id !== current.value?.id ? [one.confirmed] : [])),
  )
  const before = computed(() =>
    current.value
      ? diagnose(faults, {
          traits: traits.value,
          symptoms: current.value.symptoms,
          observed: observed.value,
          confirmed: confirmed.value,
          ruledOut: current.value.ruledOut,
        })
      : [],
  )
  const test = computed(() => faults.tests.find((one) => one.id === current.value?.test?.testId) ?? null)
  /** What the test showed: as it was said, or as its print was judged. */
  const judged = computed(() => {
    const { test: made, symptoms: seen } = current.value ?? {}
    const state = made?.sheetId ? workroom.find(made.sheetId)?.state : undefined
    return state && seen ? outcomeOf(seen, state.judgements) : null
  })
  const outcome = computed(() => current.value?.test?.outcome ?? judged.value)
  const ranked = computed(() => {
    const came = outcome.value
    return test.value && came ? afterTest(before.value, test.value, came) : before.value
  })
  const done = computed(() => (record.value ? testsDone(record.value.sheet) : []))
  /** What else is known of a cause: what looks the same, and what proves it. */
  const about = (cause: Cause) => ({
    alike: alikeTo(faults, cause, traits.value),
    proof: proofOf(faults, cause, traits.value, done.value),
    moments: momentsOf(cause, traits.value),
  })
  /** What the eye said of it already. */
  const judgedAs = computed(() => {
    const own = new Set(symptoms.value.map(({ id }) => id))
    return judgedLooks(record.value?.state.judgements ?? []).filter((id) => own.has(id))
  })
  const questions = computed(() =>
    rankQuestions(faults, ranked.value, { traits: traits.value, observed: observed.value }),
  )
  const tests = computed(() =>
    rankTests(faults, ranked.value, {
      traits: traits.value,
      symptoms: current.value?.symptoms ?? [],
      done: [...done.value, ...(current.value?.test && outcome.value ? [current.value.test.testId] : [])],
    }),
  )
  /** Everything that could be said of such a print and is not known yet, whether or not it is asked. */
  const untold = computed(() => untoldFacts(faults, { traits: traits.value, observed: observed.value }))
  /** What was answered so far, each of which can be changed. */
  const answers = computed(() =>
    Object.entries(current.value?.answers ?? {}).flatMap(([factId, said]) => {
      const fact = faults.facts.find(({ id }) => id === factId)
      return fact ? [{ fact, said }] : []
    }),
  )
  const confirmedCause = computed(
    () => faults.causes.find((one) => one.id === current.value?.confirmed) ?? null,
  )

  const id = () => current.value?.id ?? ''
  const answer = (factId: string, said: 'yes' | 'no') =>
    changeDiagnosis(id(), (one) => ({ ...one, answers: { ...one.answers, [factId]: said } }))
  const forget = (factId: string) =>
    changeDiagnosis(id(), (one) => ({
      ...one,
      answers: Object.fromEntries(Object.entries(one.answers).filter(([known]) => known !== factId)),
    }))
  const confirm = (causeId: string) => changeDiagnosis(id(), (one) => ({ ...one, confirmed: causeId }))
  const ruleOut = (...causeIds: string[]) =>
    changeDiagnosis(id(), (one) => ({ ...one, ruledOut: [...new Set([...one.ruledOut, ...causeIds])] }))
  const see = (seen: string[]) => changeDiagnosis(id(), (one) => ({ ...one, symptoms: seen }))
  const cameOut = (outcome: 'changed' | 'same') =>
    changeDiagnosis(id(), (one) => (one.test ? { ...one, test: { ...one.test, outcome } } : one))
  const undoLast = () => changeDiagnosis(id(), (one) => ({ ...one, takenBackAt: Date.now() }))

  return {
    isReady: computed(() => isReady.value && all.value !== null),
    record,
    symptoms,
    recorded,
    current,
    confirmed,
    confirmedCause,
    ranked,
    questions,
    tests,
    test,
    outcome,
    untold,
    about,
    judgedAs,
    answers,
    answer,
    forget,
    confirm,
    ruleOut,
    see,
    cameOut,
    undoLast,
  }
}
