<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { looksDue } from '@core/schedule/nextThing'
import { useNow } from '../data/useNow'
import { usePictures } from '../data/usePictures'
import { useWorkroom } from '../data/workroom.store'
import EmptyPage from '../shell/EmptyPage.vue'
import { useKeyRows } from '../shell/keys.store'
import { useMarginNotes } from '../shell/margin.store'
import HungPrint from './HungPrint.vue'
import { matches } from './printWords'

const [workroom, now, router] = [useWorkroom(), useNow(), useRouter()]
const words = ref('')
const field = ref<HTMLInputElement | null>(null)

/** One card a sheet of paper: the uppermost layer stands for what lies under it. */
const onLine = computed(() => workroom.sheets.filter((one) => !workroom.covered.has(one.sheet.id)))
const shown = computed(() => {
  if (!words.value.trim()) return onLine.value
  return onLine.value.filter((one) => {
    const paper = workroom.papers.find((paper) => paper.id === one.sheet.paperId)?.name
    const light = workroom.lights.find((light) => light.id === one.sheet.lightId)?.name
    const bottles = workroom.bottles
      .filter((bottle) => Object.values(one.sheet.bottles).includes(bottle.id))
      .map((bottle) => bottle.label)
    return matches(one, words.value, [paper, light, ...bottles], now.now)
  })
})
const lastPhotos = computed(() => shown.value.flatMap((one) => one.state.photoIds.slice(-1)))
const pictures = usePictures(() => lastPhotos.value, 'thumbnail')
const pictureOf = (ids: readonly string[]) => pictures.value.get(ids.at(-1) ?? '')
const open = (sheetId: string) => void router.push({ name: 'print', params: { sheetId } })

useKeyRows('Prints', () => [{ key: '/', name: 'Find in any thread', run: () => field.value?.focus() }])
useMarginNotes(() => {
  const due = looksDue(workroom.states, now.now).flatMap((look) => workroom.find(look.sheetId) ?? [])
  return [
    ...(due.length
      ? [
          {
            title: 'Due for a look',
            lines: [
              ...due.map((one) => `${one.sheet.number} ${one.sheet.title}`),
              'Lay each beside the last good one, in the same light.',
            ],
            tone: 'caution' as const,
          },
        ]
      : []),
    {
      title: 'Nothing is judged wet',
      lines: [
        'Prints dry darker, and the blue deepens for a day. A look after a day counts; another after two weeks tells whether it holds.',
      ],
    },
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
  </EmptyPage>

  <div v-else class="PrintsStation">
    <header>
      <div>
        <p class="es-kicker">
          {{ workroom.portfolios.length === 1 ? workroom.portfolios[0] : 'All portfolios' }}
        </p>
        <h1>On the line</h1>
      </div>
      <label class="PrintsStation-find">
        find in any thread
        <input ref="field" v-model="words" type="text" placeholder="/" @keydown.escape="words = ''" />
      </label>
    </header>
    <p v-if="!shown.length">Nothing here has “{{ words }}” in its thread. Try one word, or part of one.</p>
    <ul>
      <HungPrint
        v-for="one in shown"
        :key="one.sheet.id"
        :one="one"
        :layers="workroom.stack(one.sheet.id).length"
        :picture="pictureOf(one.state.photoIds)"
        @open="open(one.sheet.id)"
      />
    </ul>
  </div>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: flex-end;
  justify-content: space-between;
  margin-bottom: 26px;
}

.PrintsStation-find {
  display: flex;
  gap: 10px;
  align-items: baseline;
  color: var(--es-quiet);
}

.PrintsStation-find input {
  width: 130px;
  padding: 6px 4px;
  border: 0;
  border-bottom: 1px solid var(--es-line);
  border-radius: 0;
  background: none;
  color: var(--es-ink);
  font: inherit;
  appearance: none;
}

ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(148px, 1fr));
  gap: 34px 0;
  margin: 0 calc(-1 * var(--es-pad));
  padding: 8px 0 0;
  overflow-x: clip;
  list-style: none;
}

/* The last line, too, runs to the edge of the page. */
ul :deep(li:last-child)::after {
  position: absolute;
  top: -1px;
  left: 100%;
  width: 100vw;
  border-top: 1px solid var(--es-line);
  content: '';
}
</style>
