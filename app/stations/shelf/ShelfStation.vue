<script setup lang="ts">
import { texts } from './words'
import { computed, useTemplateRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { readinessOf } from '@core/shelf/readiness'
import { substances } from '@library/index'
import { useWorkroom } from '../../state/workroom.store'
import EmptyPage from '../../kit/EmptyPage.vue'
import InlineField from '../../kit/InlineField.vue'
import KitButton from '../../kit/KitButton.vue'
import { useKeyRows } from '../../state/keys.store'
import { useMarginNotes, type MarginNote } from '../../state/margin.store'
import BottleFigure from './parts/BottleFigure.vue'
import BottlePanel from './parts/BottlePanel.vue'
import { bottleNotes } from './bottleNotes'
import { useShelf } from './useShelf'

const [route, router, workroom] = [useRoute(), useRouter(), useWorkroom()]
const { boards, standing, minute, asked, onlyWrong, wrong } = useShelf()
const field = useTemplateRef<{ focus: () => void }>('field')

const chosen = computed(() => standing.value.find((one) => one.bottle.id === route.params.bottleId) ?? null)
const choose = (id: string) =>
  void router.replace({ name: 'shelf', params: { bottleId: route.params.bottleId === id ? '' : id } })

/** 8 x 10 in, or the size of the last sheet: what the shelf is computed for. */
const size = computed(() => workroom.sheets[0]?.sheet ?? { widthMillimetres: 203.2, heightMillimetres: 254 })
const printed = computed(() => new Set(workroom.sheets.map((one) => one.sheet.process.id)))
const readiness = computed(() =>
  // One's own copies count once a sheet was made by them: a library of hundreds is not computed at every visit.
  workroom.allProcesses
    .filter((one) => !one.copyOf || printed.value.has(one.id))
    .map((definition) =>
      readinessOf(definition, size.value, {
        bottles: workroom.bottles,
        taken: workroom.taken,
        book: substances,
        now: minute.value,
      }),
    ),
)
const ready = computed(() => readiness.value.filter((one) => one.sheets === null || one.sheets > 0))
/** Processes of which only one bottle is missing. */
const nearly = computed(() => readiness.value.filter((one) => one.missing.length === 1).slice(0, 4))

const PAGES = [
  { name: 'make', title: 'Make a solution', key: 'm' },
  { name: 'take-in', title: 'Add a chemical', key: 'i' },
  { name: 'shopping', title: 'Shopping list', key: 'l' },
  { name: 'waste', title: 'Waste', key: 'w' },
  { name: 'dropper', title: 'Calibrate a dropper', key: 'p' },
  { name: 'processes', title: 'Processes', key: 'r' },
] as const
useKeyRows('Shelf', () => [
  { key: '/', name: 'Search the shelf', run: () => field.value?.focus() },
  ...PAGES.map(({ name, title, key }) => ({ key, name: title, run: () => void router.push({ name }) })),
])

useMarginNotes((): MarginNote[] => {
  if (chosen.value) return bottleNotes(chosen.value, minute.value)
  const notes: MarginNote[] = []
  if (nearly.value.length)
    notes.push({
      title: 'One bottle missing',
      lines: nearly.value.map((one) => `${one.definition.name}: ${one.missing[0]?.toLowerCase()}`),
    })
  notes.push({
    title: 'Shelf',
    lines: [texts.chooseBottleSeeItsContents],
  })
  return notes
})
</script>

<template>
  <section class="ShelfStation">
    <header class="ShelfStation-head">
      <div>
        <h1>Shelf</h1>
      </div>
      <div v-if="standing.length" class="ShelfStation-find">
        <InlineField
          ref="field"
          v-model="asked"
          label="Search the shelf"
          placeholder="Search the shelf  /"
          @keydown.escape.stop="asked = ''"
        />
        <KitButton v-if="wrong" kind="quiet" :aria-pressed="onlyWrong" @click="onlyWrong = !onlyWrong">
          {{ wrong === 1 ? '1 needs attention' : `${wrong} need attention` }}
        </KitButton>
      </div>
      <div v-if="standing.length" class="ShelfStation-acts">
        <KitButton @click="router.push({ name: 'make' })">Make a solution</KitButton>
        <KitButton @click="router.push({ name: 'take-in' })">Add a chemical</KitButton>
      </div>
    </header>

    <BottlePanel
      v-if="chosen"
      :key="chosen.bottle.id"
      class="ShelfStation-hand"
      :standing="chosen"
      @gone="choose(chosen.bottle.id)"
    />
    <EmptyPage
      v-if="!standing.length"
      under
      kicker="Shelf"
      title="Your shelf is empty"
      action="Add a chemical"
      @act="router.push({ name: 'take-in' })"
    >
      <p>
        {{ texts.addChemicalsYouHaveThen }}
      </p>
      <p>{{ texts.youCanPlanSheetsWithout }}</p>
    </EmptyPage>

    <p v-if="standing.length && !boards.length" role="status">{{ texts.noBottleOrJarHas }}</p>
    <section v-for="board in boards" :key="board.name" class="ShelfStation-board" :aria-label="board.name">
      <div class="ShelfStation-bottles">
        <BottleFigure
          v-for="one in board.bottles"
          :key="one.bottle.id"
          :standing="one"
          :chosen="one.bottle.id === chosen?.bottle.id"
          :now="minute"
          @choose="choose(one.bottle.id)"
        />
      </div>
    </section>

    <p v-if="boards.length && !chosen" class="ShelfStation-ready">
      <span v-for="one in ready" :key="one.definition.id">
        <strong>{{ one.definition.name }}</strong>
        {{
          one.sheets === null
            ? 'ready'
            : `enough for about ${one.sheets} ${one.sheets === 1 ? 'sheet' : 'sheets'}`
        }}
      </span>
      <span v-if="!ready.length">{{ texts.noProcessHasAllIts }}</span>
    </p>
  </section>
</template>

<style scoped>
.ShelfStation-head {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-6);
  align-items: center;
  justify-content: space-between;
  margin-bottom: var(--es-space-5);
}

.ShelfStation-find {
  display: flex;
  flex: 1 1 15rem;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-5);
  align-items: center;
  max-width: 30rem;
}

.ShelfStation-find :deep(.InlineField) {
  flex: 1;
  min-width: 10rem;
  max-width: 15rem;
}

.ShelfStation-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
}

/* Rows of one height, so that a board can be drawn under each; it runs out under the edge of the page, as a shelf does. */
.ShelfStation-board {
  margin: 0 calc(-1 * var(--es-pad)) var(--es-space-4);
}

.ShelfStation-bottles {
  display: grid;
  grid-template-columns: repeat(auto-fill, 6.5rem);
  grid-auto-rows: 10.75rem;
  padding: 0 calc(var(--es-pad) - var(--es-space-6));
  background: repeating-linear-gradient(
    transparent 0 9.6875rem,
    var(--es-line) 9.6875rem 10.25rem,
    transparent 10.25rem 10.75rem
  );
}

.ShelfStation-hand {
  margin-bottom: var(--es-space-5);
  padding-bottom: var(--es-space-5);
  border-bottom: 1px solid var(--es-rule);
}

.ShelfStation-ready {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-7);
  color: var(--es-quiet);
}

.ShelfStation-ready strong {
  color: var(--es-ink);
  font-weight: 400;
}
</style>
