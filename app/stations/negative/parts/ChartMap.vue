<script setup lang="ts">
import { computed } from 'vue'
import { placeName } from '@core/calibration/calibration'
import { chartLayout, chartPlaces, PATCH, PITCH, placeCorner, type ChartPlan } from '@core/chart/chart'
import type { Damage } from '@core/scan/patches'
import { lightnessFromDensity } from '@core/tone/density'
import TintedPicture from '../../../kit/TintedPicture.vue'
import { greyOf } from '../greyOf'

/** A chart as its print shows it, patch by patch: how dark each was read, and which are damaged. */
const props = defineProps<{
  plan: ChartPlan
  /** In the order of the chart's places; before it is read the patches are as dark as their ink will print. */
  readings?: readonly { density: number | null; damage?: Damage | null }[]
  /** The place that is read next. */
  next?: number
}>()
const DAMAGE: Record<Damage, string> = {
  speck: 'a hair or speck',
  streak: 'a streak or bubble',
  stranger: 'differs from its repeats',
  outside: 'outside the picture',
}
const layout = computed(() => chartLayout(props.plan))
const box = computed(() => `0 0 ${layout.value.columns * PITCH + 3} ${layout.value.rows * PITCH + 3}`)
const patches = computed(() =>
  chartPlaces(props.plan).map((place, i) => {
    const corner = placeCorner({ gridX: 1.5, gridY: 1.5 }, place)
    const reading = props.readings?.[i]
    const plain = 18 + (76 * place.step) / (props.plan.steps - 1)
    const density = reading?.density
    const name = placeName(place)
    const said = density === null || density === undefined ? '' : ` · ${density.toFixed(2)}`
    return {
      ...corner,
      name,
      fill: greyOf(density === null || density === undefined ? plain : lightnessFromDensity(density)),
      damage: reading?.damage ?? null,
      title: `${name}, tone ${place.step + 1} of ${props.plan.steps}${said}${reading?.damage ? ` · ${DAMAGE[reading.damage]}` : ''}`,
    }
  }),
)
const damaged = computed(() => patches.value.filter((patch) => patch.damage))
</script>

<template>
  <figure class="ChartMap">
    <TintedPicture class="ChartMap-ground">
      <svg :viewBox="box" role="img" :aria-label="`${patches.length} patches, ${damaged.length} damaged`">
        <g v-for="(patch, i) in patches" :key="patch.name">
          <title>{{ patch.title }}</title>
          <rect
            :x="patch.x"
            :y="patch.y"
            :width="PATCH"
            :height="PATCH"
            :fill="patch.fill"
            :class="{ 'is-next': i === next }"
          />
          <path
            v-if="patch.damage"
            :d="`M${patch.x} ${patch.y}l${PATCH} ${PATCH}m0 -${PATCH}l-${PATCH} ${PATCH}`"
          />
        </g>
      </svg>
    </TintedPicture>
    <figcaption v-if="damaged.length" class="es-quiet">
      Not used: {{ damaged.map((patch) => `${patch.name} (${DAMAGE[patch.damage!]})`).join(', ') }}
    </figcaption>
  </figure>
</template>

<style scoped>
.ChartMap {
  max-width: 26.25rem;
  margin: 0;
}

.ChartMap-ground {
  border: 1px solid var(--es-rule);
}

svg {
  display: block;
  width: 100%;
  max-height: 320px;
}

path {
  fill: none;
  stroke: var(--es-drawing-mark);
  stroke-width: 1;
}

.is-next {
  stroke: var(--es-drawing-mark);
  stroke-width: 1.6;
}

figcaption {
  font-size: var(--es-size-small);
}
</style>
