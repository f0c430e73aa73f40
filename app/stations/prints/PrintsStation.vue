<script setup lang="ts">
import InlineField from '../../kit/InlineField.vue'
import KitButton from '../../kit/KitButton.vue'
import { useMediaQuery } from '@vueuse/core'
import { computed, onMounted, onUnmounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { refusalOf } from '@core/errors'
import { differencesOf, threadFacts } from '@core/judge/compare'
import { resultsOf } from '@core/judge/results'
import { looksDue } from '@core/schedule/nextThing'
import { effects } from '@library/index'
import { useNow } from '../../state/useNow'
import { useWorkroom, type SheetInRoom } from '../../state/workroom.store'
import BigTarget from '../../kit/BigTarget.vue'
import EmptyPage from '../../kit/EmptyPage.vue'
import { useKeyRows } from '../../state/keys.store'
import { useMarginNotes, type MarginNote } from '../../state/margin.store'
import { usePreferences } from '../../state/preferences.store'
import SelectField from '../../kit/SelectField.vue'
import TextField from '../../kit/TextField.vue'
import { differenceLine, resultName, resultSaid } from './compareWords'
import { usePicks } from './picks.store'
import PrintsLines from './parts/PrintsLines.vue'
import PrintsNav from './parts/PrintsNav.vue'
import { found, STANDINGS, ThreadTexts, type PrintFilter } from './printSearch'
import { exampleOf, rangeOf, VALUES, type ValueId } from './printValues'
import { useRoomRecords } from '../../state/useRoomRecords'

const [workroom, now, router, picks] = [useWorkroom(), useNow(), useRouter(), usePicks()]
const preferences = usePreferences()
const { recordOf } = useRoomRecords()
const isNarrow = useMediaQuery('(width <= 820px)')
const filter = ref<PrintFilter>({ words: '', portfolio: '', processId: '', standing: '' })
const field = ref<HTMLInputElement | null>(null)

/** One card a sheet of paper: the uppermost layer stands for what lies under it. */
const onLine = computed(() => workroom.sheets.filter((one) => !workroom.covered.has(one.sheet.id)))
const names = computed(() => ({
  papers: new Map(workroom.papers.map((one) => [one.id, one])),
  lights: new Map(workroom.lights.map((one) => [one.id, one])),
  bottles: new Map(workroom.bottles.map((one) => [one.id, one])),
}))
const texts = new ThreadTexts()
/** Where it looks is looked up once for all prints, not once for each. */
const textOf = computed(() => {
  const [layered, known] = [workroom.layered, names.value]
  return (one: SheetInRoom) => texts.of(layered.get(one.sheet.id) ?? [one], known)
})
/** Prints of which one value lies between two others. */
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
  { key: '/', name: 'Find in any thread', run: () => field.value?.focus() },
  ...(picks.ids.length > 1 ? [{ key: 'c', name: 'Compare what is picked', run: compare }] : []),
  ...(picks.ids.length ? [{ key: 'escape', name: 'Pick none', run: picks.clear }] : []),
])

/** What the margin thinks aloud of two prints that are picked. */
const between = computed((): MarginNote[] => {
  const records = pickedIds.value.flatMap((id) => recordOf(id) ?? [])
  const [first, second] = records
  if (!first) return []
  if (!second)
    return [
      {
        title: `Sheet ${first.sheet.number} is picked`,
        lines: ['Pick another one to see what differs between them.'],
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
        : ['Their threads say the same of both, as far as they were written.'],
    },
    ...(rows.length
      ? [
          {
            title: 'What came out',
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
            title: 'Due for a look',
            lines: [
              ...due.slice(0, 12).map((one) => `${one.sheet.number} ${one.sheet.title}`),
              'Lay each beside the last good one, in the same light.',
            ],
            tone: 'caution' as const,
          },
        ]
      : []),
    ...(between.value.length
      ? []
      : [
          {
            title: 'Nothing is judged wet',
            lines: [
              'Prints dry darker, and the blue deepens for a day. A look after a day counts; another after two weeks tells whether it holds.',
            ],
          },
        ]),
  ]
})
</script>

<template>
  <EmptyPage
    v-if="!workroom.sheets.length"
    kicker="The lines are bare"
    title="No print hangs here yet"
    action="Begin a sheet"
    @act="router.push({ name: 'begin' })"
  >
    <p>Every sheet you begin hangs here from its first drop on, with its whole thread behind it.</p>
    <p v-if="workroom.binned.length">
      <RouterLink :to="{ name: 'bin' }">{{ workroom.binned.length }} in the bin</RouterLink>
    </p>
  </EmptyPage>

  <div v-else class="PrintsStation">
    <header>
      <div>
        <p class="es-kicker">
          {{
            filter.portfolio || (workroom.portfolios.length === 1 ? workroom.portfolios[0] : 'All portfolios')
          }}
        </p>
        <h1>On the line</h1>
        <PrintsNav here="prints" />
      </div>
      <InlineField
        ref="field"
        v-model="filter.words"
        class="PrintsStation-find"
        label="find in any thread"
        placeholder="find in any thread  /"
        @keydown.escape.stop="filter.words = ''"
      />
    </header>
    <div class="PrintsStation-sift">
      <SelectField
        v-model="filter.portfolio"
        label="Portfolio"
        placeholder="any"
        clearable
        :options="portfolioOptions"
      />
      <SelectField
        v-model="filter.processId"
        label="Process"
        placeholder="any"
        clearable
        :options="processOptions"
      />
      <SelectField
        v-model="filter.standing"
        label="Standing"
        placeholder="any"
        clearable
        :options="STANDINGS"
      />
      <SelectField v-model="range.of" label="A value" placeholder="any" clearable :options="VALUES" />
      <template v-if="range.of">
        <TextField
          v-model="range.from"
          class="PrintsStation-from"
          label="From"
          :placeholder="exampleOf(range.of)"
          :fault="faultOf('from')"
        />
        <TextField v-model="range.to" class="PrintsStation-to" label="To" :fault="faultOf('to')" />
      </template>
      <p class="PrintsStation-count" role="status">
        <span>
          {{
            shown.length === onLine.length ? `${onLine.length} prints` : `${shown.length} of ${onLine.length}`
          }}
        </span>
        {{ ' ' }}
        <KitButton v-if="isAsked" kind="link" @click="clear">show all</KitButton>
      </p>
    </div>
    <p v-if="!shown.length">
      Nothing here answers that. Try one word, or part of one; words in “quotes” are found as they stand.
    </p>
    <PrintsLines
      :key="String(isNarrow)"
      :prints="shown"
      :asked="JSON.stringify([filter, range])"
      :is-narrow="isNarrow"
      @open="open"
    />
    <div v-if="picks.ids.length" class="PrintsStation-picks">
      <p>{{ picks.ids.length === 1 ? 'One print picked' : `${picks.ids.length} prints picked` }}</p>
      <BigTarget v-if="picks.ids.length > 1" label="Compare" hint="c" @press="compare" />
      <BigTarget plain label="Pick none" hint="escape" @press="picks.clear" />
    </div>
  </div>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
  align-items: flex-end;
  justify-content: space-between;
  margin-bottom: var(--es-space-5);
}

.PrintsStation-find {
  width: 240px;
}

.PrintsStation-sift {
  display: grid;
  grid-template-columns: repeat(4, minmax(100px, 160px)) minmax(0, 1fr);
  gap: 0 var(--es-space-6);
  margin-bottom: var(--es-space-4);
}

.PrintsStation-count {
  grid-row: 1;
  grid-column-end: -1;
  align-self: center;
  color: var(--es-quiet);
  text-align: right;
}

/* It goes into two lines sooner than it pushes the fields aside while somebody types. */
.PrintsStation-count > * {
  white-space: nowrap;
}

.PrintsStation-picks {
  position: sticky;
  bottom: var(--es-bar-bottom);
  z-index: 2;
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-6);
  align-items: center;
  margin: 0 calc(-1 * var(--es-pad));
  padding: var(--es-space-3) var(--es-pad) var(--es-space-5);
  border-top: 1px solid var(--es-line);
  background: var(--es-page);
}

.PrintsStation-picks p {
  margin-right: auto;
}

/* Its ends stand below the value. */
.PrintsStation-from {
  grid-column: 4;
}

.PrintsStation-to {
  grid-column: 5;
}

@media (width <= 820px) {
  .PrintsStation-sift {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }

  .PrintsStation-from,
  .PrintsStation-to,
  .PrintsStation-count {
    grid-row: auto;
    grid-column: auto;
  }

  .PrintsStation-count {
    grid-column-end: -1;
  }
}
</style>
