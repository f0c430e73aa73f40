import { computed } from 'vue'
import { afterTest, diagnose, rankQuestions, rankTests, type Observed } from '@core/judge/diagnosis'
import { belongs } from '@core/judge/faultBook'
import { observe } from '@core/judge/observe'
import { traitsOf } from '@core/judge/traits'
import { faults } from '@library/faults'
import { useDiagnosisRows } from '../../state/queries'
import { changeDiagnosis } from '../../state/actions/print.actions'
import { useRoomRecords } from '../../state/useRoomRecords'

/** What the book of faults makes of one print: its symptoms, its record, the answers, and one's own earlier cases. */
export function useDiagnosis(sheetId: () => string) {
  const { recordOf, isReady } = useRoomRecords()
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
    record.value ? traitsOf(record.value.definition, record.value.sheet) : new Set<never>(),
  )
  const symptoms = computed(() => faults.symptoms.filter((one) => belongs(one.needs, traits.value)))
  const recorded = computed(() => (record.value ? observe(record.value) : []))
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
  const ranked = computed(() => {
    const outcome = current.value?.test?.outcome
    return test.value && outcome ? afterTest(before.value, test.value, outcome) : before.value
  })
  const questions = computed(() =>
    rankQuestions(faults, ranked.value, { traits: traits.value, observed: observed.value }),
  )
  const tests = computed(() => rankTests(faults, ranked.value, traits.value))
  const confirmedCause = computed(
    () => faults.causes.find((one) => one.id === current.value?.confirmed) ?? null,
  )

  const id = () => current.value?.id ?? ''
  const answer = (factId: string, said: 'yes' | 'no') =>
    changeDiagnosis(id(), (one) => ({ ...one, answers: { ...one.answers, [factId]: said } }))
  const confirm = (causeId: string) => changeDiagnosis(id(), (one) => ({ ...one, confirmed: causeId }))
  const ruleOut = (causeId: string) =>
    changeDiagnosis(id(), (one) => ({ ...one, ruledOut: [...new Set([...one.ruledOut, causeId])] }))
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
    answer,
    confirm,
    ruleOut,
    see,
    cameOut,
    undoLast,
  }
}
