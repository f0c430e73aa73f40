import { texts } from './words'
import type InlineField from '../../kit/InlineField.vue'
import { useMediaQuery } from '@vueuse/core'
import { computed, onMounted, onUnmounted, ref, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import { refusalOf } from '@core/errors'
import { differencesOf } from '@core/judge/compare'
import { threadFacts } from '@core/judge/threadFacts'
import { resultsOf } from '@core/judge/results'
import { looksDue } from '@core/schedule/nextThing'
import { effects } from '@library/judging/effects'
import { useNow } from '../../state/useNow'
import { useWorkroom, type SheetInRoom } from '../../state/workroom.store'
import { useKeyRows } from '../../state/keys.store'
import { useMarginNotes, type MarginNote } from '../../state/margin.store'
import { usePreferences } from '../../state/preferences.store'
import { differenceLine, resultName, resultSaid } from './compareWords'
import { usePicks } from './picks.store'
import { found, ThreadTexts, type PrintFilter } from './printSearch'
import { rangeOf, type ValueId } from './printValues'
import { useRoomRecords } from '../../state/useRoomRecords'

/** The prints on the line: filters, search, what is selected, and the notes of two beside each other. */
export function usePrintsStation() {
  const [workroom, now, router, picks] = [useWorkroom(), useNow(), useRouter(), usePicks()]
  const preferences = usePreferences()
  const { recordOf } = useRoomRecords()
  const isNarrow = useMediaQuery('(width <= 51.25em)')
  const filter = ref<PrintFilter>({ words: '', portfolio: '', processId: '', standing: '' })
  const field = useTemplateRef<InstanceType<typeof InlineField>>('field')

  /** One card a sheet of paper: the uppermost layer stands for what is under it. */
  const onLine = computed(() => workroom.sheets.filter((one) => !workroom.covered.has(one.sheet.id)))
  const names = computed(() => ({
    papers: new Map(workroom.papers.map((one) => [one.id, one])),
    lights: new Map(workroom.lights.map((one) => [one.id, one])),
    bottles: new Map(workroom.bottles.map((one) => [one.id, one])),
  }))
  const threadTexts = new ThreadTexts()
  /** Where it looks is looked up once for all prints, not once for each. */
  const textOf = computed(() => {
    const [layered, known] = [workroom.layered, names.value]
    return (one: SheetInRoom) => threadTexts.of(layered.get(one.sheet.id) ?? [one], known)
  })
  /** Prints of which one value is between two others. */
  const range = ref<{ of: ValueId | ''; from: string; to: string }>({ of: '', from: '', to: '' })
  const within = computed(() => {
    const { of, ...ends } = range.value
    try {
      return { isWithin: of ? rangeOf(of, ends, preferences.chosen.length) : null, fault: null }
    } catch (error) {
      return { isWithin: null, fault: refusalOf(error, 'from') }
    }
  })
  const faultOf = (end: 'from' | 'to') => {
    const { fault } = within.value
    return fault?.field === end ? fault : undefined
  }
  const shown = computed(() => found(onLine.value, filter.value, textOf.value, within.value.isWithin))
  const open = (sheetId: string) => void router.push({ name: 'print', params: { sheetId } })

  // Texts of thousands of threads are made before the first word is typed, a few at a time.
  let warming = 0
  const AT_ONCE = 60
  onMounted(() => {
    const prints = onLine.value
    let next = 0
    const warm = (): void => {
      for (const one of prints.slice(next, next + AT_ONCE)) textOf.value(one)
      next += AT_ONCE
      if (next < prints.length) warming = window.setTimeout(warm, 4)
    }
    warming = window.setTimeout(warm, 250)
  })
  onUnmounted(() => clearTimeout(warming))

  const portfolioOptions = computed(() => workroom.portfolios.map((id) => ({ id, name: id })))
  const processOptions = computed(() => {
    const used = new Map(onLine.value.map((one) => [one.definition.id, one.definition.name]))
    return [...used].map(([id, name]) => ({ id, name }))
  })
  const isAsked = computed(() =>
    [...Object.values(filter.value), range.value.of].some((one) => one.trim() !== ''),
  )
  function clear(): void {
    filter.value = { words: '', portfolio: '', processId: '', standing: '' }
    range.value = { of: '', from: '', to: '' }
  }
  /** The earlier print stands first, whichever was picked first. */
  const pickedIds = computed(() =>
    picks.ids
      .flatMap((id) => workroom.find(id) ?? [])
      .sort((a, b) => a.sheet.number - b.sheet.number)
      .map((one) => one.sheet.id),
  )
  const compare = () => void router.push({ name: 'compare', query: { prints: pickedIds.value.join(',') } })

  useKeyRows('Prints', () => [
    { key: '/', name: 'Search all prints', run: () => field.value?.focus() },
    ...(picks.ids.length > 1 ? [{ key: 'c', name: 'Compare selected prints', run: compare }] : []),
    ...(picks.ids.length ? [{ key: 'escape', name: 'Clear selection', run: picks.clear }] : []),
  ])

  /** What the margin thinks aloud of two prints that are picked. */
  const between = computed((): MarginNote[] => {
    const records = pickedIds.value.flatMap((id) => recordOf(id) ?? [])
    const [first, second] = records
    if (!first) return []
    if (!second)
      return [
        {
          title: `Sheet ${first.sheet.number} is selected`,
          lines: [texts.selectAnotherPrintSeeDifferences],
        },
      ]
    const differences = differencesOf(records.map(threadFacts), effects)
    const rows = resultsOf(records.map((one) => one.state)).filter((row) => new Set(row.said).size > 1)
    return [
      {
        title:
          records.length === 2
            ? `Sheet ${second.sheet.number}, beside sheet ${first.sheet.number}`
            : `${records.length} prints side by side`,
        lines: differences.length
          ? differences.slice(0, 5).map(differenceLine)
          : ['Their records are the same.'],
      },
      ...(rows.length
        ? [
            {
              title: 'Results',
              lines: rows
                .slice(0, 4)
                .map((row) => `${resultName(row)}: ${row.said.map(resultSaid).join(' → ')}`),
            },
          ]
        : []),
    ]
  })
  useMarginNotes(() => {
    const due = looksDue(workroom.states, now.now).flatMap((look) => workroom.find(look.sheetId) ?? [])
    return [
      ...between.value,
      ...(due.length
        ? [
            {
              title: 'Checks due',
              lines: [
                ...due.slice(0, 12).map((one) => `${one.sheet.number} ${one.sheet.title}`),
                texts.judgeEachBesideYourLast,
              ],
              tone: 'caution' as const,
            },
          ]
        : []),
      ...(between.value.length
        ? []
        : [
            {
              title: 'Judge prints dry',
              lines: [texts.printsDryDarkerAndBlue],
            },
          ]),
    ]
  })
  return {
    workroom,
    router,
    picks,
    isNarrow,
    filter,
    onLine,
    range,
    faultOf,
    shown,
    open,
    portfolioOptions,
    processOptions,
    isAsked,
    clear,
    compare,
  }
}
