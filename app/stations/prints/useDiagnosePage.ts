import { texts } from './words'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { faults } from '@library/faults'
import { useWorkroom } from '../../state/workroom.store'
import { useKeyRows } from '../../state/keys.store'
import { useMarginNotes } from '../../state/margin.store'
import { useNotice } from '../../state/notice.store'
import { beginDiagnosis } from '../../state/actions/print.actions'
import { useDiagnosis } from './useDiagnosis'

/** Questions that are asked at a time. */
const ASKED = 3

/** A talk with a print about what went wrong: what is seen, what its record knows, what it asks, what to try next. */
export function useDiagnosePage() {
  const [route, router, workroom, notice] = [useRoute(), useRouter(), useWorkroom(), useNotice()]
  const sheetId = computed(() => String(route.params.sheetId))
  const one = computed(() => workroom.find(sheetId.value))
  const talk = useDiagnosis(() => sheetId.value)
  const { current, ranked, questions, tests, test, symptoms, recorded, confirmed, confirmedCause } = talk

  const picked = ref<string[]>([])
  const isPicking = ref(false)
  watch(
    [current, talk.isReady],
    () => {
      if (!talk.isReady.value) return
      picked.value = [...(current.value?.symptoms ?? talk.judgedAs.value)]
      isPicking.value = current.value === null
    },
    { immediate: true },
  )
  const opened = ref<string | null>(null)
  watch(ranked, ([first]) => (opened.value ??= first?.cause.id ?? null), { immediate: true })
  /** Questions that were put aside here; they can still be answered further down. */
  const skipped = ref<string[]>([])
  const asked = computed(() =>
    questions.value.filter(({ id }) => !skipped.value.includes(id)).slice(0, ASKED),
  )
  /** The one that is answered by keys; when the fault was first seen has more answers than two. */
  const question = computed(() => (asked.value[0]?.moment ? null : (asked.value[0] ?? null)))
  watch(sheetId, () => (skipped.value = []))
  const skip = (id: string) => (skipped.value = [...skipped.value, id])
  const best = computed(() => tests.value[0] ?? null)
  const testSheet = computed(() => {
    const id = current.value?.test?.sheetId
    return id ? workroom.find(id) : undefined
  })

  /** Every step of the talk can be undone. */
  async function done(work: Promise<() => Promise<void>>, said: string): Promise<void> {
    try {
      const back = await work
      notice.say(said, back)
    } catch (error) {
      notice.refuse(error, 'the diagnosis')
    }
  }
  async function see(): Promise<void> {
    if (!picked.value.length) return
    if (current.value) await done(talk.see([...picked.value]), 'Saved.')
    else
      try {
        await beginDiagnosis(sheetId.value, [...picked.value])
      } catch (error) {
        notice.refuse(error, 'the diagnosis')
      }
    isPicking.value = false
  }
  const toggle = (id: string) => {
    picked.value = picked.value.includes(id)
      ? picked.value.filter((each) => each !== id)
      : [...picked.value, id]
  }
  /** The next sheet, with the one thing changed. */
  function plan(): void {
    if (!best.value || !current.value) return
    void router.push({
      name: 'begin',
      query: { again: sheetId.value, diagnosis: current.value.id, test: best.value.test.id },
    })
  }
  const nameOf = (id: string) => faults.symptoms.find((each) => each.id === id)?.name ?? id

  useKeyRows('What went wrong', () => [
    ...(question.value && !isPicking.value
      ? [
          { key: 'y', name: 'Yes', run: () => answer('yes') },
          { key: 'x', name: 'No', run: () => answer('no') },
        ]
      : []),
    { key: 'escape', name: 'Back to the print', run: () => void router.push({ name: 'print', params: { sheetId: sheetId.value } }) },
  ]) // prettier-ignore
  const answerTo = (factId: string, said: 'yes' | 'no') =>
    void done(talk.answer(factId, said), `Answered: ${said}.`)
  const answer = (said: 'yes' | 'no') => question.value && answerTo(question.value.id, said)
  /** None of the causes that are shown. */
  const noneOf = (causeIds: string[]) => void done(talk.ruleOut(...causeIds), texts.noneOfThese)

  /** What is true of many prints is nothing unusual, though it may speak for a cause. */
  const ORDINARY = 0.25
  const isUnusual = ({ factId, is }: { factId: string; is: boolean }) =>
    is && (faults.facts.find(({ id }) => id === factId)?.base ?? 0) < ORDINARY
  useMarginNotes(() => {
    const unusual = recorded.value.filter(isUnusual).map(({ said }) => said)
    const usual = recorded.value.filter((one) => !isUnusual(one)).map(({ said }) => said)
    return [
      {
        title: 'What the record says',
        lines: unusual.length ? unusual : [texts.nothingInRecordPointsFault],
        tone: unusual.length ? 'caution' : 'plain',
      },
      { title: 'Nothing unusual', lines: [...new Set(usual)].slice(0, 8) },
      {
        title: 'How causes are ranked',
        lines: [
          texts.eachCauseStartsWithHow,
          `${faults.source}.`,
          confirmed.value.length
            ? texts.ownCasesIncluded({ count: confirmed.value.length })
            : texts.causesYouConfirmAdjustRanking,
        ],
      },
    ]
  })
  return {
    router,
    one,
    talk,
    current,
    ranked,
    test,
    symptoms,
    confirmedCause,
    picked,
    isPicking,
    opened,
    asked,
    skip,
    answerTo,
    noneOf,
    best,
    testSheet,
    done,
    see,
    toggle,
    plan,
    nameOf,
  }
}
