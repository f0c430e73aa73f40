import { computed, ref, shallowRef } from 'vue'
import { belongs, type FaultTest } from '@core/judge/faultBook'
import { leftAfter, type PracticeFault } from '@core/simulate/practiceFault'
import { faults } from '@library/faults'
import type { usePracticeForm } from './usePracticeForm'
import { texts } from './words'

/** A test sheet that was made: one thing changed, and what is still wrong with it. */
export interface PracticeTest {
  test: FaultTest
  left: readonly PracticeFault[]
  said: string
}

/** What is wrong with a practice print: test sheets that narrow it down, and the causes that are named. */
export function usePracticeFaults({ possible, hidden, traits }: ReturnType<typeof usePracticeForm>) {
  const tests = shallowRef<PracticeTest[]>([])
  /** The test sheet that is looked at, in place of the print. */
  const shown = shallowRef<PracticeTest | null>(null)
  const guesses = ref<string[]>([])
  /** The first causes that were named: these count. */
  const named = shallowRef<readonly string[] | null>(null)

  const offered = computed(() =>
    faults.tests.filter(
      ({ needs, cures, id }) =>
        belongs(needs, traits.value) &&
        possible.value.some(({ causeId }) => (cures[causeId] ?? 0) >= 0.5) &&
        !tests.value.some(({ test }) => test.id === id),
    ),
  )
  function makeTest(testId: string): void {
    const test = offered.value.find(({ id }) => id === testId)
    if (!test) return
    const left = leftAfter(hidden.value, test.cures)
    const said =
      left.length === 0
        ? texts.testGone
        : left.length < hidden.value.length
          ? texts.testPartly
          : texts.testSame
    const made = { test, left, said }
    tests.value = [...tests.value, made]
    shown.value = made
  }

  const causes = computed(() =>
    possible.value.flatMap(({ causeId }) => {
      const cause = faults.causes.find(({ id }) => id === causeId)
      return cause ? [{ id: cause.id, name: cause.name }] : []
    }),
  )
  function name(at: number, causeId: string): void {
    guesses.value = hidden.value.map((_, i) => (i === at ? causeId : (guesses.value[i] ?? '')))
    if (!named.value && guesses.value.every(Boolean)) named.value = [...guesses.value]
  }
  const verdict = computed(() => {
    if (!hidden.value.length || !guesses.value.length || !guesses.value.every(Boolean)) return ''
    const right = hidden.value.every(({ causeId }) => guesses.value.includes(causeId))
    const names = hidden.value
      .map(({ causeId }) => causes.value.find(({ id }) => id === causeId)?.name ?? '')
      .join(', ')
    return right ? texts.rightCause({ name: names }) : texts.wrongCause({ name: names })
  })
  const effort = computed(() => ({
    tests: tests.value.length,
    hidden: hidden.value.map(({ causeId }) => causeId),
    named: named.value,
  }))
  function clear(): void {
    ;[tests.value, shown.value, guesses.value, named.value] = [[], null, [], null]
  }
  return { tests, shown, offered, makeTest, causes, guesses, name, named, verdict, effort, clear }
}
