<script setup lang="ts">
import KitButton from '../../../kit/KitButton.vue'
import type { ChartCheck } from '@core/schema/light'
import type { CheckResult } from '@core/tone/curve'
import type { CorrectionWorth } from '@core/tone/correction'
import { texts } from '../words'
import { useNow } from '../../../state/useNow'
import { dateOf } from '../../../words/moments'

/** Checks of a curve in order of time: how far each was off, tone by tone, and whether used to correct the curve. */
defineProps<{
  checks: readonly { check: ChartCheck; result: CheckResult | null }[]
  /** What correcting by the last check would follow. */
  worth: CorrectionWorth | null
}>()
defineEmits<{ correct: [index: number] }>()
const now = useNow()
const [WIDTH, HEIGHT, MOST] = [300, 60, 6] as const
const bars = (check: ChartCheck, result: CheckResult | null) => {
  const rows = result?.rows ?? []
  return rows.map((row, i) => {
    const off = Math.max(-MOST, Math.min(MOST, row.read - row.wanted))
    const height = (Math.abs(off) / MOST) * (HEIGHT / 2)
    return {
      key: `${check.at}-${i}`,
      x: (i * WIDTH) / rows.length,
      width: WIDTH / rows.length - 1,
      y: off > 0 ? HEIGHT / 2 - height : HEIGHT / 2,
      height,
      isFar: Math.abs(row.read - row.wanted) > 2,
    }
  })
}
</script>

<template>
  <ul v-if="checks.length" aria-label="Checks">
    <li v-for="({ check, result }, index) in checks" :key="check.at">
      <div>
        <strong>{{ check.mean.toFixed(1) }} L* mean error, {{ check.worst.toFixed(1) }} maximum</strong>
        <span class="es-quiet">{{ dateOf(check.at, now.now) }}</span>
        <span v-if="check.isUsed" class="es-quiet">used to correct the curve</span>
        <KitButton v-else-if="index === checks.length - 1" kind="quiet" @click="$emit('correct', index)">
          Correct the curve with this check
        </KitButton>
        <p v-if="worth && !check.isUsed && index === checks.length - 1" class="es-quiet">
          {{
            (worth.isChance ? texts.anotherRoundIsChance : texts.correctionIsPartial)({
              rms: worth.rms.toFixed(1),
              expected: worth.expected.toFixed(1),
            })
          }}
        </p>
      </div>
      <svg
        v-if="result && !check.isUsed"
        :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
        role="img"
        :aria-label="`Error per tone, up to ${result.worst.toFixed(1)} L*`"
      >
        <line x1="0" :x2="WIDTH" :y1="HEIGHT / 2" :y2="HEIGHT / 2" />
        <rect
          v-for="bar in bars(check, result)"
          :key="bar.key"
          :x="bar.x"
          :y="bar.y"
          :width="bar.width"
          :height="bar.height"
          :class="{ 'is-far': bar.isFar }"
        />
      </svg>
    </li>
  </ul>
</template>

<style scoped>
ul {
  display: grid;
  gap: var(--es-space-4);
  width: 100%;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 1fr 300px;
  gap: var(--es-space-6);
}

div {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-5);
  align-items: baseline;
}

strong {
  font-weight: 400;
}

line {
  stroke: var(--es-line);
}

rect {
  fill: var(--es-ink);
}

rect.is-far {
  fill: var(--es-ember);
}

@media (width <= 51.25em) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
