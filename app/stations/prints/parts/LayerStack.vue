<script setup lang="ts">
import { computed } from 'vue'
import { layersWithin } from '@core/run/layers'
import { useNow } from '../../../state/useNow'
import { useWorkroom } from '../../../state/workroom.store'
import { standingWords } from '../../../words/printWords'

/** One sheet of paper with everything that was laid on it, lowest first, and what may come next. */
const props = defineProps<{ sheetId: string }>()
const [workroom, now] = [useWorkroom(), useNow()]
const stack = computed(() => workroom.stack(props.sheetId))
/** Layers of one process, such as both of a two-layer cyanotype, are told with their own log. */
const within = computed(() => stack.value.map((one) => layersWithin(one.state)))
const isLayered = computed(() => stack.value.length > 1 || within.value.some((list) => list.length > 1))
const line = (index: number) => {
  const layers = within.value[index] ?? []
  if (layers.length < 2) return ''
  const done = layers.filter((layer) => layer.isDone).length
  return `, ${layers.length} layers, ${done} done`
}
const top = computed(() => stack.value.at(-1))
</script>

<template>
  <section v-if="isLayered" class="LayerStack" aria-label="Layers of this sheet">
    <h2>Layers</h2>
    <ol>
      <li v-for="(one, index) in stack" :key="one.sheet.id" :class="{ 'is-here': one.sheet.id === sheetId }">
        <RouterLink
          :to="{ name: 'print', params: { sheetId: one.sheet.id } }"
          :aria-current="one.sheet.id === sheetId ? 'page' : undefined"
        >
          <span :style="{ background: `var(--es-${one.definition.mark})` }" />
          {{ index + 1 }} {{ one.definition.name }}
        </RouterLink>
        <span class="es-quiet">{{ standingWords(one, now.now) }}{{ line(index) }}</span>
      </li>
    </ol>
    <p v-if="top">
      <RouterLink :to="{ name: 'register', params: { sheetId: top.sheet.id } }">Check register</RouterLink>
    </p>
  </section>
</template>

<style scoped>
.LayerStack {
  margin-bottom: var(--es-space-5);
}

h2 {
  font-size: var(--es-size-lead);
}

ol {
  display: grid;
  gap: var(--es-space-1);
  margin: var(--es-space-2) 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-1) var(--es-space-4);
  align-items: baseline;
}

li a {
  display: inline-flex;
  gap: var(--es-space-3);
  align-items: center;
  min-height: 2rem;
}

li a span {
  width: 22px;
  height: 6px;
}

li.is-here a {
  color: var(--es-ink);
  font-weight: 700;
  text-decoration: none;
}
</style>
