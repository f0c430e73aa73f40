<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Solution } from '@core/chemistry/solution'
import { substances } from '@library/index'
import { cautions } from '@library/cautions'
import TakeReading from '../../../kit/TakeReading.vue'
import BigTarget from '../../../kit/BigTarget.vue'
import { figureText } from '../../../words/figureText'
import { useKeyRows } from '../../../state/keys.store'
import TextField from '../../../kit/TextField.vue'
import type { SolutionDraft } from '../recipeRows'
import { dropsOfSolution } from '@core/chemistry/smallAmount'
import { usePreferences } from '../../../state/preferences.store'
import { texts } from '../words'

/** One act at a time at the balance: what to weigh, large; what the balance says, typed; then the water. */
const props = defineProps<{ draft: SolutionDraft; solution: Solution; making: readonly string[] }>()
const emit = defineEmits<{ read: [key: string, text: string]; back: []; done: [] }>()

const preferences = usePreferences()
const rows = computed(() => props.draft.rows.filter((row) => row.source))
const at = ref(0)
const row = computed(() => rows.value[at.value])
const portion = computed(() => props.solution.portions[at.value])
const figure = computed(() => portion.value?.grams ?? portion.value?.millilitres ?? null)
const counted = computed(() =>
  portion.value?.grams
    ? dropsOfSolution(portion.value.grams.value, preferences.chosen.dropsPerMillilitre)
    : null,
)
const caution = computed(() => {
  const id = substances[row.value?.source ?? '']?.caution
  return id ? cautions[id as keyof typeof cautions] : null
})
const isFilling = computed(() => at.value >= rows.value.length)
const nextWords = computed(() => {
  if (isFilling.value) return 'Finish: add to shelf'
  return at.value === rows.value.length - 1 ? 'Added. Next: water' : 'Added. Next ingredient'
})
function next(): void {
  if (isFilling.value) emit('done')
  else at.value++
}
function back(): void {
  if (at.value === 0) emit('back')
  else at.value--
}
useKeyRows('Weighing', () => [
  { key: ' ', name: nextWords.value, run: next },
  { key: 'b', name: 'Back one step', run: back },
])
</script>

<template>
  <section class="WeighingOut" aria-live="polite">
    <template v-if="!isFilling && row && portion && figure">
      <p class="es-kicker">{{ at + 1 }} of {{ rows.length }}</p>
      <h2>{{ portion.grams ? 'Weigh' : 'Pour' }} {{ portion.name }}</h2>
      <p class="WeighingOut-figure">{{ figureText(figure) }}</p>
      <p v-if="counted">{{ texts.orCountDrops(counted) }}</p>
      <p v-if="caution" class="WeighingOut-caution">
        <strong>{{ caution.title }}.</strong>
        {{ caution.text }}
      </p>
      <TextField
        :key="row.key"
        class="WeighingOut-read"
        :model-value="row.read"
        :label="portion.grams ? 'Balance reading, g' : 'Measured, ml'"
        :placeholder="figureText(figure)"
        hint="leave empty if as planned"
        @update:model-value="emit('read', row.key, $event)"
      />
      <TakeReading
        v-if="portion.grams"
        quantity="mass"
        @read="emit('read', row.key, String(Math.round($event * 1000) / 1000))"
      />
    </template>
    <template v-else>
      <p class="es-kicker">Water</p>
      <h2>
        {{
          draft.finish === 'topUpTo'
            ? `Fill up to ${figureText(solution.volume)}`
            : `Into ${figureText(solution.water)} of water`
        }}
      </h2>
      <ol v-if="making.length">
        <li v-for="line in making" :key="line">{{ line }}</li>
      </ol>
      <slot />
    </template>
    <div class="WeighingOut-acts">
      <BigTarget :label="nextWords" hint=" " @press="next" />
      <BigTarget quiet label="Back one step" hint="b" @press="back" />
    </div>
  </section>
</template>

<style scoped>
.WeighingOut {
  display: grid;
  gap: var(--es-space-4);
  max-width: 40rem;
}

.WeighingOut-figure {
  font-size: calc(0.65 * var(--es-size-clock));
  line-height: 1.1;
}

.WeighingOut-caution {
  padding-left: var(--es-space-5);
  border-left: 3px solid var(--es-ember);
}

.WeighingOut-read {
  width: 15rem;
}

ol {
  display: grid;
  gap: var(--es-space-2);
  margin: 0;
  padding-left: var(--es-space-6);
}

.WeighingOut-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
}
</style>
