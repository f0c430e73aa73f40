<script setup lang="ts">
import { computed } from 'vue'
import { bestDose } from '@core/simulate/virtualPrint'
import { USUAL_CONDITIONS } from '@core/simulate/virtualProcess'
import KitButton from '../../../kit/KitButton.vue'
import { useMarginNotes } from '../../../state/margin.store'
import { useNotice } from '../../../state/notice.store'
import { useTuning } from '../tuning.store'
import { usePracticeProcesses } from '../usePracticeProcesses'
import { texts } from '../words'

/** What one's own judged prints say about the practice models, and whether practice uses it. */
const [tuning, notice] = [useTuning(), useNotice()]
const { definitionOf } = usePracticeProcesses()
const milli = (dose: number) => `${Math.round(dose).toLocaleString('en').replaceAll(',', '\u202f')} mJ/cm²`
const nameOf = ({ number }: { number: number | null }) =>
  number === null ? 'base exposure' : `sheet ${number}`
const stopsOf = (times: number) => {
  const stops = Math.log2(times)
  return `${stops >= 0 ? '+' : '−'}${Math.abs(stops).toFixed(1)} stops`
}

/** Processes that something is known of first. */
const inOrder = computed(() => [
  ...tuning.found.filter((one) => one.tuning),
  ...tuning.found.filter((one) => !one.tuning),
])
const rows = computed(() =>
  inOrder.value.map(({ process, prints, tuning: found }) => {
    const used = tuning.usedFor(process.processId)
    const own = bestDose(process, USUAL_CONDITIONS)
    return {
      id: process.processId,
      name: definitionOf(process.processId).name,
      app: milli(own),
      found,
      used,
      isNewer: !!found && !!used && found.ids.join() !== used.ids.join(),
      said: found
        ? texts.tuningFound({
            prints: prints.slice(0, found.ids.length).map(nameOf).join(', '),
            dose: milli(own * found.doseTimes),
            stops: stopsOf(found.doseTimes),
            black: found.black === null ? '' : `, Dmax ${found.black.toFixed(2)}`,
          })
        : texts.noPrints,
      usedSaid: used
        ? `${milli(own * used.doseTimes)}${used.black === null ? '' : `, Dmax ${used.black.toFixed(2)}`}`
        : '',
    }
  }),
)
function use(id: string, name: string): void {
  const found = rows.value.find((row) => row.id === id)?.found
  if (found) notice.say(texts.tuningUsed({ name }), tuning.use(id, found))
}
const leave = (id: string, name: string) => notice.say(texts.tuningLeft({ name }), tuning.use(id, null))
useMarginNotes(() => [{ title: 'How it works', lines: [texts.howTuningWorks, texts.tuningIsApart] }])
</script>

<template>
  <section class="ModelPage">
    <header>
      <h1>Practice by your own prints</h1>
      <p class="es-quiet">{{ texts.whatTuningDoes }}</p>
    </header>
    <ul aria-label="Processes">
      <li v-for="row in rows" :key="row.id">
        <div>
          <h2>{{ row.name }}</h2>
          <p class="es-quiet">This app: {{ row.app }}</p>
          <p>{{ row.said }}</p>
          <p v-if="row.used">
            <strong>In use:</strong>
            {{ row.usedSaid }}
          </p>
        </div>
        <p class="ModelPage-acts">
          <KitButton v-if="row.found && (!row.used || row.isNewer)" @click="use(row.id, row.name)">
            Use my prints
          </KitButton>
          <KitButton v-if="row.used" kind="quiet" @click="leave(row.id, row.name)">
            Use the app’s figures
          </KitButton>
        </p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.ModelPage {
  display: grid;
  gap: var(--es-space-5);
  max-width: 56.25rem;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: var(--es-space-4);
  align-items: center;
  padding: var(--es-space-3) 0;
  border-bottom: 1px solid var(--es-rule);
}

li p,
h2 {
  margin: 0;
}

.ModelPage-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
}
</style>
