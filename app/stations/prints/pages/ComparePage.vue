<script setup lang="ts">
import { texts } from '../words'
import KitTable from '../../../kit/KitTable.vue'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { differencesOf } from '@core/judge/compare'
import { threadFacts } from '@core/judge/threadFacts'
import { resultsOf } from '@core/judge/results'
import { effects } from '@library/judging/effects'
import { usePictures } from '../../../state/usePictures'
import BigTarget from '../../../kit/BigTarget.vue'
import EmptyPage from '../../../kit/EmptyPage.vue'
import { useKeyRows } from '../../../state/keys.store'
import { useMarginNotes } from '../../../state/margin.store'
import TintedPicture from '../../../kit/TintedPicture.vue'
import { colourSaid, effectSaid, resultName, resultSaid } from '../compareWords'
import { useRoomRecords } from '../../../state/useRoomRecords'

/** Two prints or more beside each other: pictures to stand back from, what differs in their threads, what came out. */
const [route, router] = [useRoute(), useRouter()]
const { recordOf } = useRoomRecords()
const ids = computed(() =>
  String(route.query.prints ?? '')
    .split(',')
    .filter(Boolean)
    .slice(0, 6),
)
const records = computed(() => ids.value.flatMap((id) => recordOf(id) ?? []))
const columns = computed(() => ['What', ...records.value.map((one) => `Sheet ${one.sheet.number}`)])
const differences = computed(() => differencesOf(records.value.map(threadFacts), effects))
const results = computed(() => resultsOf(records.value.map((one) => one.state)))
const photos = computed(() => records.value.flatMap((one) => one.state.photoIds.slice(-1)))
const pictures = usePictures(() => photos.value, 'original')
const pictureOf = (photoIds: readonly string[]) => pictures.value.get(photoIds.at(-1) ?? '')
/** Words away: only the pictures, as large as they go. */
const isStoodBack = ref(false)
const swap = () =>
  void router.replace({ query: { ...route.query, prints: [...ids.value].reverse().join(',') } })

useKeyRows('Compare', () => [
  { key: ' ', name: isStoodBack.value ? 'Step closer' : 'Step back', run: () => (isStoodBack.value = !isStoodBack.value) }, // prettier-ignore
  { key: 's', name: 'Swap sides', run: swap },
  { key: 'escape', name: 'Back to Prints', run: () => void router.push({ name: 'prints' }) },
])
useMarginNotes(() => [
  {
    title: 'Sorted by likely effect',
    lines: [texts.whatUsuallyChangesPrintMost, effects.source + '.'],
  },
  {
    title: 'Step back',
    lines: [texts.viewFromTwoStepsAway, texts.photosTakenInDifferentLight],
  },
])
</script>

<template>
  <EmptyPage
    v-if="records.length < 2"
    kicker="Nothing to compare"
    title="Choose two or more prints first"
    action="All prints"
    @act="router.push({ name: 'prints' })"
  >
    <p>{{ texts.printDeleted }}</p>
  </EmptyPage>

  <div v-else class="ComparePage" :class="{ 'is-back': isStoodBack }">
    <header>
      <h1>{{ records.map((one) => `Sheet ${one.sheet.number}`).join(' and ') }}</h1>
    </header>
    <ul
      class="ComparePage-pictures"
      :style="{ gridTemplateColumns: `repeat(${records.length}, minmax(0, 1fr))` }"
    >
      <li v-for="one in records" :key="one.sheet.id">
        <TintedPicture v-if="pictureOf(one.state.photoIds)" class="ComparePage-sheet">
          <img
            :src="pictureOf(one.state.photoIds)"
            :alt="`Photo of sheet ${one.sheet.number}, ${one.sheet.title}`"
          />
        </TintedPicture>
        <p v-else class="ComparePage-none">No photo</p>
        <RouterLink :to="{ name: 'print', params: { sheetId: one.sheet.id } }">
          {{ one.sheet.number }} {{ one.sheet.title }}
        </RouterLink>
      </li>
    </ul>
    <template v-if="!isStoodBack">
      <section aria-labelledby="came-out">
        <h2 id="came-out">Results</h2>
        <KitTable v-if="results.length" unseen-first :columns="columns">
          <tr v-for="row in results" :key="`${row.id}${row.name}`">
            <th scope="row">{{ resultName(row) }}</th>
            <td v-for="(said, i) in row.said" :key="i">
              {{ resultSaid(said) }}
              <span v-if="row.colour[i] != null" class="es-quiet">{{ colourSaid(row.colour[i]!) }}</span>
            </td>
          </tr>
        </KitTable>
        <p v-else class="es-quiet">{{ texts.noneJudgedYet }}</p>
      </section>
      <section aria-labelledby="differs">
        <h2 id="differs">Differences in their records</h2>
        <KitTable v-if="differences.length" unseen-first :columns="[...columns, 'likely to matter']">
          <tr v-for="one in differences" :key="`${one.kind}/${one.of}`">
            <th scope="row">{{ one.name }}</th>
            <td v-for="(said, i) in one.said" :key="i">{{ said ?? 'none' }}</td>
            <td>
              {{ effectSaid(one.effect) }}
              <span v-if="one.change" class="es-quiet">{{ one.change }}</span>
            </td>
          </tr>
        </KitTable>
        <p v-else>{{ texts.recordsAreSame }}</p>
      </section>
    </template>
    <div class="ComparePage-acts">
      <BigTarget
        :label="isStoodBack ? 'Step closer' : 'Step back'"
        hint=" "
        @press="isStoodBack = !isStoodBack"
      />
      <BigTarget quiet label="Swap sides" hint="s" @press="swap" />
      <BigTarget plain label="Back to Prints" hint="escape" @press="router.push({ name: 'prints' })" />
    </div>
  </div>
</template>

<style scoped>
.ComparePage {
  display: grid;
  gap: var(--es-space-6);
}

.ComparePage-pictures {
  display: grid;
  gap: var(--es-space-6);
  margin: 0;
  padding: 0;
  list-style: none;
}

.ComparePage-pictures li {
  display: grid;
  gap: var(--es-space-3);
  align-content: start;
  justify-items: center;
}

.ComparePage-sheet {
  padding: var(--es-space-4);
  box-shadow: var(--es-shadow);
}

.ComparePage-sheet img {
  display: block;
  max-width: 100%;
  max-height: 300px;
  object-fit: contain;
}

.is-back .ComparePage-sheet img {
  max-height: calc(100dvh - 330px);
}

.ComparePage-none {
  display: grid;
  place-content: center;
  width: 100%;
  min-height: 11.25rem;
  border: 1px dashed var(--es-line);
  color: var(--es-quiet);
}

section {
  display: grid;
  gap: var(--es-space-3);
}

td .es-quiet {
  display: block;
  font-size: var(--es-size-small);
}

.ComparePage-acts {
  position: sticky;
  bottom: var(--es-bar-bottom);
  z-index: 2;
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
  padding: var(--es-space-3) 0 var(--es-space-5);
  background: var(--es-page);
}
</style>
