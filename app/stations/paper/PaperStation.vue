<script setup lang="ts">
import { texts } from './words'
import KitButton from '../../kit/KitButton.vue'
import PressCard from '../../kit/PressCard.vue'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { placeOf } from '@core/run/place'
import { paperDoubts } from '@core/run/timing'
import { stepInHand, wordsIdOf } from '@core/run/runState'
import { formatSize } from '@core/quantity/format'
import { useWorkroom } from '../../state/workroom.store'
import EmptyPage from '../../kit/EmptyPage.vue'
import { useKeyRows } from '../../state/keys.store'
import { useMarginNotes, type MarginNote } from '../../state/margin.store'
import { usePreferences } from '../../state/preferences.store'
import PaperPanel from './parts/PaperPanel.vue'
import PieceList from './parts/PieceList.vue'

const [route, router, workroom, preferences] = [useRoute(), useRouter(), useWorkroom(), usePreferences()]

const chosen = computed(
  () => workroom.papers.find((one) => one.id === route.params.paperId) ?? workroom.papers[0] ?? null,
)
const choose = (paperId: string) => void router.replace({ name: 'paper', params: { paperId } })
const size = (one: { widthMillimetres?: number; heightMillimetres?: number }) =>
  one.widthMillimetres && one.heightMillimetres
    ? formatSize(
        { widthMillimetres: one.widthMillimetres, heightMillimetres: one.heightMillimetres },
        { length: preferences.chosen.length, temperature: 'degC' },
      )
    : 'not measured'
/** Drawn to one scale, so that a large sheet looks large. */
const LARGEST = computed(() =>
  Math.max(
    800,
    ...workroom.papers.map((one) => Math.max(one.widthMillimetres ?? 0, one.heightMillimetres ?? 0)),
  ),
)
const drawn = (one: { widthMillimetres?: number; heightMillimetres?: number }) => {
  const scale = 92 / LARGEST.value
  return {
    width: (one.widthMillimetres ?? 560) * scale,
    height: (one.heightMillimetres ?? 760) * scale,
    isKnown: Boolean(one.widthMillimetres),
  }
}
const piecesOf = (paperId: string) =>
  workroom.pieces.filter((one) => one.paperId === paperId && !one.goneAt).length
const underWay = computed(() =>
  workroom.treatmentRuns
    .filter((one) => placeOf(one.state) === 'paper')
    .map((one) => {
      const step = stepInHand(one.state)
      const words = step && one.definition.steps.find((each) => each.id === wordsIdOf(step.planned))
      return {
        id: one.run.id,
        number: one.run.number,
        name: one.definition.name,
        doing: step?.status === 'waiting' ? words?.title.toLowerCase() : words?.meanwhile,
        sheets: one.run.sheets,
      }
    }),
)
const PAGES = [
  { name: 'tear', title: 'Tear a sheet', key: 't' },
  { name: 'treat', title: 'Treat paper', key: 'a' },
  { name: 'new-paper', title: 'Add a paper', key: 'i' },
] as const
const toPage = (name: (typeof PAGES)[number]['name']) => ({
  name,
  ...(name === 'tear' && chosen.value ? { params: { paperId: chosen.value.id } } : {}),
})
useKeyRows('Paper', () =>
  PAGES.map(({ name, title, key }) => ({ key, name: title, run: () => void router.push(toPage(name)) })),
)
/** Prints on this paper that would not clear in time: by common practice the paper's fault. */
const doubts = computed(() => {
  const on = workroom.sheets.filter((one) => one.sheet.paperId === chosen.value?.id)
  return on.flatMap((one) => paperDoubts([one], Date.now()).map((slip) => ({ one, slip })))
})
useMarginNotes((): MarginNote[] => [
  ...(doubts.value.length
    ? [
        {
          title: 'Slow to clear',
          lines: doubts.value.map(
            ({ one, slip }) => `Sheet ${one.sheet.number}, ${one.definition.name}: ${slip.means}`,
          ),
          tone: 'caution' as const,
        },
      ]
    : []),
  ...(chosen.value?.buffered === 'yes'
    ? [
        {
          title: 'Buffered paper',
          lines: [texts.untreatedThisPaperPrintsWeak],
          tone: 'caution' as const,
        },
      ]
    : []),
  {
    title: 'Printing side',
    lines: [texts.somePapersHaveSmootherSide],
  },
  {
    title: 'Measure the sheet',
    lines: [texts.useMeasuredSize],
  },
])
</script>

<template>
  <section class="PaperStation">
    <header class="PaperStation-head">
      <div>
        <h1>Paper</h1>
      </div>
      <KitButton v-if="workroom.papers.length" @click="router.push({ name: 'new-paper' })">
        Add a paper
      </KitButton>
    </header>

    <ul v-if="underWay.length" class="PaperStation-work" aria-label="Treatments in progress">
      <li v-for="one in underWay" :key="one.id">
        <RouterLink :to="{ name: 'treatment', params: { sheetId: one.id } }">
          <strong>Paper {{ one.number }}</strong>
          {{ one.name.toLowerCase() }}, {{ one.sheets }} {{ one.sheets === 1 ? 'sheet' : 'sheets' }}:
          {{ one.doing }}
        </RouterLink>
      </li>
    </ul>

    <EmptyPage
      v-if="!workroom.papers.length"
      under
      kicker="Paper"
      title="No paper yet"
      action="Add a paper"
      @act="router.push({ name: 'new-paper' })"
    >
      <p>
        {{ texts.measureLargeSheetAndEnter }}
      </p>
    </EmptyPage>
    <div v-else class="PaperStation-sheets" role="group" aria-label="Papers">
      <PressCard
        v-for="one in workroom.papers"
        :key="one.id"
        :aria-pressed="one.id === chosen?.id"
        :class="{ 'is-chosen': one.id === chosen?.id }"
        @click="choose(one.id)"
      >
        <svg viewBox="0 0 100 100" aria-hidden="true">
          <rect
            v-if="(one.sheets ?? 0) > 1"
            :x="6 + (92 - drawn(one).width) / 2"
            :y="3 + 92 - drawn(one).height"
            :width="drawn(one).width"
            :height="drawn(one).height"
          />
          <rect
            :class="{ 'is-guessed': !drawn(one).isKnown }"
            :x="2 + (92 - drawn(one).width) / 2"
            :y="6 + 92 - drawn(one).height"
            :width="drawn(one).width"
            :height="drawn(one).height"
          />
        </svg>
        <strong>{{ one.name }}</strong>
        <span>{{ size(one) }}</span>
        <span>
          {{ one.gramsPerM2 ? `${one.gramsPerM2} g/m²` : 'weight unknown'
          }}{{ one.sheets === undefined ? '' : `, ${one.sheets} ${one.sheets === 1 ? 'sheet' : 'sheets'}` }}
        </span>
        <span v-if="piecesOf(one.id)">{{ piecesOf(one.id) }} torn</span>
        <span v-if="one.buffered === 'yes'" class="is-wrong">buffered</span>
      </PressCard>
    </div>
    <div v-if="chosen" class="PaperStation-both">
      <PaperPanel :key="chosen.id" :paper="chosen" />
      <PieceList :paper="chosen" />
    </div>
  </section>
</template>

<style scoped>
.PaperStation {
  display: grid;
  gap: var(--es-space-5);
}

.PaperStation-head {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-6);
  align-items: center;
  justify-content: space-between;
}

.PaperStation-work {
  margin: 0;
  padding: 0 0 0 var(--es-space-5);
  border-left: 3px solid var(--es-ember);
  list-style: none;
}

.PaperStation-sheets {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-6);
}

.PaperStation-sheets .PressCard {
  display: grid;
  align-content: start;
  justify-items: center;
  min-width: 7.375rem;
  padding: var(--es-space-2) var(--es-space-3) var(--es-space-3);
  border-bottom: 3px solid transparent;
  font-size: var(--es-size-small);
}

.PaperStation-sheets .PressCard.is-chosen {
  border-color: var(--es-ember);
}

.PaperStation-sheets span {
  color: var(--es-quiet);
}

.PaperStation-sheets .is-wrong {
  color: var(--es-ember);
}

svg {
  width: 7rem;
  height: 112px;
}

rect {
  fill: var(--es-card);
  stroke: var(--es-line);
}

rect.is-guessed {
  stroke-dasharray: 3 3;
}

.PaperStation-both {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
  gap: var(--es-space-6) var(--es-space-8);
}

@media (width <= 68.75em) {
  .PaperStation-both {
    grid-template-columns: 1fr;
  }
}
</style>
