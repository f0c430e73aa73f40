<script setup lang="ts">
import { computed } from 'vue'
import { clocksOf } from '@core/process/deadlines'
import { stepInHand } from '@core/process/run'
import { formatSpan } from '@core/quantity/format'
import type { ProcessDefinition } from '@core/record/definition'
import { useNow } from '../data/useNow'
import type { SheetInRoom } from '../data/workroom.store'

/** The trays as they stand on the bench, left to right, with the sheets that lie in them. */
const props = defineProps<{
  definition: ProcessDefinition
  inHand: SheetInRoom
  here: readonly SheetInRoom[]
}>()
const emit = defineEmits<{ choose: [sheetId: string] }>()
const now = useNow()

const trays = computed(() => {
  const planned = props.inHand.state.steps.filter(
    (step) => step.planned.station === 'wet' || step.planned.kind === 'hang',
  )
  return planned.map(({ planned: { id, leastSeconds, kind } }) => {
    const words = props.definition.steps.find((step) => step.id === id)
    const sheets = [
      props.inHand,
      // Trays of another process stand elsewhere on the bench.
      ...props.here.filter(
        (one) => one.sheet.id !== props.inHand.sheet.id && one.definition.id === props.definition.id,
      ),
    ].filter((one) => {
      const step = stepInHand(one.state)
      return step?.planned.id === id && step.status !== 'waiting'
    })
    const clock = sheets[0] && clocksOf(sheets[0].state, now.now).find((one) => one.stepId === id)
    return {
      id,
      title: kind === 'hang' ? 'The line' : (words?.title ?? id),
      line:
        kind === 'hang'
          ? 'until it is dry'
          : leastSeconds
            ? `at least ${formatSpan(leastSeconds)}`
            : 'by eye',
      waters: sheets[0] ? (stepInHand(sheets[0].state)?.waters.length ?? 0) : 0,
      isLine: kind === 'hang',
      sheets,
      share: clock?.targetSeconds ? Math.min(1, clock.elapsedSeconds / clock.targetSeconds) : 0,
    }
  })
})
</script>

<template>
  <ol class="TrayRow" :class="{ 'is-many': trays.length > 6 }">
    <li
      v-for="tray in trays"
      :key="tray.id"
      :class="{ 'is-line': tray.isLine, 'is-full': tray.sheets.length }"
    >
      <div class="TrayRow-tray">
        <button
          v-for="one in tray.sheets"
          :key="one.sheet.id"
          type="button"
          class="TrayRow-sheet"
          :aria-pressed="one.sheet.id === inHand.sheet.id"
          :aria-label="`Sheet ${one.sheet.number}, ${one.sheet.title}`"
          @click="emit('choose', one.sheet.id)"
        >
          {{ one.sheet.number }}
        </button>
      </div>
      <progress v-if="!tray.isLine" :value="tray.share" max="1" aria-hidden="true" />
      <h2>{{ tray.title }}</h2>
      <p class="es-quiet">{{ tray.line }}</p>
      <p v-if="tray.waters" class="es-quiet">
        {{ tray.waters === 1 ? 'one change of water' : `${tray.waters} changes of water` }}
      </p>
    </li>
  </ol>
</template>

<style scoped>
.TrayRow {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(110px, 150px));
  gap: 14px;
  margin: 0;
  padding: 0 0 18px;
  border-bottom: 1px solid var(--es-rule);
  list-style: none;
}

.TrayRow-tray {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
  justify-content: center;
  height: 132px;
  border: 2px solid var(--es-rule-strong);
  border-radius: 8px;
  background: color-mix(in srgb, var(--es-prussian) 5%, var(--es-page));
}

.is-full .TrayRow-tray {
  background: color-mix(in srgb, var(--es-prussian) 11%, var(--es-page));
}

.is-line .TrayRow-tray {
  align-items: flex-start;
  border-width: 2px 0 0;
  border-radius: 0;
  background: none;
}

.TrayRow-sheet {
  width: 62px;
  height: 80px;
  border: 0;
  background: var(--es-card);
  box-shadow: var(--es-shadow);
  cursor: pointer;
  font-size: 20px;
}

.TrayRow-sheet[aria-pressed='true'] {
  box-shadow:
    inset 0 -4px 0 var(--es-ember),
    var(--es-shadow);
}

progress {
  display: block;
  width: 100%;
  height: 4px;
  margin: 8px 0 6px;
  border: 0;
  background: var(--es-rule);
  appearance: none;
}

progress::-webkit-progress-bar {
  background: var(--es-rule);
}

progress::-webkit-progress-value {
  background: var(--es-ink);
}

progress::-moz-progress-bar {
  background: var(--es-ink);
}

h2 {
  font-size: 18px;
}

.is-line h2 {
  margin-top: 18px;
}

p {
  font-size: 13px;
}

/* A long row of baths is drawn smaller, so that the act stays in sight below it. */
.is-many {
  grid-template-columns: repeat(auto-fill, minmax(90px, 1fr));
  gap: 8px 12px;
}

.is-many .TrayRow-tray {
  height: 58px;
}

.is-many .TrayRow-sheet {
  width: 38px;
  height: 46px;
  font-size: 16px;
}

.is-many progress {
  margin: 4px 0;
}

.is-many h2 {
  margin-top: 0;
  font-size: 15px;
}

@media (width <= 640px) {
  .TrayRow {
    grid-template-columns: repeat(auto-fit, minmax(80px, 1fr));
  }

  .TrayRow-tray {
    height: 96px;
  }
}
</style>
