<script setup lang="ts">
import { useId } from 'vue'
import type { Drawing } from '@core/judge/faultBook'

/** A fault as the eye meets it: a small landscape printed with it. */
defineProps<{ drawing: Drawing; colour?: string }>()
const id = useId()
/** How much of the scene is seen under the fault. */
const OPACITY: Partial<Record<Drawing, number>> = { pale: 0.35, slow: 0.3, blank: 0, wedge: 0, coat: 0 }
/** Tones of a step wedge whose ends are right and whose middle is not. */
const WEDGE = [0, 0.16, 0.55, 0.72, 0.82, 0.9, 1]
const SPECKS = [
  [12, 14], [31, 9], [52, 17], [66, 30], [22, 33], [44, 40], [70, 8], [9, 44], [59, 47], [37, 24],
] as const // prettier-ignore
</script>

<template>
  <svg class="SymptomSwatch" viewBox="0 0 80 56" aria-hidden="true">
    <defs>
      <linearGradient :id="`${id}-fade`">
        <stop offset="0" stop-color="var(--es-drawing-paper)" stop-opacity="0" />
        <stop offset="1" stop-color="var(--es-drawing-paper)" stop-opacity="0.85" />
      </linearGradient>
      <filter :id="`${id}-soft`"><feGaussianBlur stdDeviation="2.1" /></filter>
      <clipPath :id="`${id}-sheet`"><rect width="80" height="56" /></clipPath>
    </defs>
    <g :clip-path="`url(#${id}-sheet)`">
      <rect width="80" height="56" fill="var(--es-drawing-paper)" />
      <g
        :opacity="OPACITY[drawing] ?? 1"
        :transform="drawing === 'mirrored' ? 'translate(80 0) scale(-1 1)' : undefined"
        :filter="drawing === 'soft' ? `url(#${id}-soft)` : undefined"
        class="SymptomSwatch-scene"
        :class="`is-${drawing}`"
      >
        <path d="M0 40L18 24l14 12 18-20 30 24v16H0z" fill="currentColor" opacity="0.75" />
        <path d="M0 46h80v10H0z" fill="currentColor" />
        <circle cx="62" cy="13" r="5" fill="currentColor" opacity="0.3" />
        <path
          v-if="drawing === 'double'"
          d="M4 42l18-16 14 12 18-20 30 24"
          fill="none"
          stroke="currentColor"
          stroke-width="1.4"
          opacity="0.8"
        />
      </g>
      <rect v-if="drawing === 'heavy'" width="80" height="56" fill="currentColor" opacity="0.5" />
      <rect v-if="drawing === 'veil'" width="80" height="56" fill="currentColor" opacity="0.34" />
      <rect v-if="drawing === 'flat'" width="80" height="56" fill="var(--es-drawing-flat)" opacity="0.6" />
      <rect v-if="drawing === 'tint'" width="80" height="56" :fill="colour" opacity="0.62" />
      <template v-if="drawing === 'patches'">
        <ellipse cx="22" cy="36" rx="13" ry="8" :fill="colour" opacity="0.75" />
        <ellipse cx="56" cy="44" rx="15" ry="7" :fill="colour" opacity="0.7" />
      </template>
      <template v-if="drawing === 'specksDark' || drawing === 'specksLight'">
        <circle
          v-for="([x, y], i) in SPECKS"
          :key="i"
          :cx="x"
          :cy="drawing === 'specksLight' ? y / 3 + 38 : y"
          :r="1 + (i % 3) * 0.5"
          :fill="drawing === 'specksDark' ? 'var(--es-drawing-speck)' : 'var(--es-drawing-paper)'"
        />
      </template>
      <template v-if="drawing === 'mottle'">
        <ellipse
          v-for="([x, y], i) in SPECKS"
          :key="i"
          :cx="x"
          :cy="y"
          rx="7"
          ry="4"
          :fill="i % 2 ? 'var(--es-drawing-paper)' : 'currentColor'"
          opacity="0.35"
        />
      </template>
      <path
        v-if="drawing === 'streaks'"
        d="M0 9L80 5M0 21l80-5M0 33l80-4M0 45l80-5"
        stroke="var(--es-drawing-paper)"
        stroke-width="3"
        opacity="0.7"
      />
      <template v-if="drawing === 'blotch'">
        <path d="M60 0c8 12-4 22 4 34s-2 18 3 22h13V0z" fill="currentColor" opacity="0.55" />
        <path
          d="M60 0c8 12-4 22 4 34s-2 18 3 22"
          fill="none"
          stroke="var(--es-drawing-stain)"
          stroke-width="2"
          opacity="0.8"
        />
      </template>
      <rect
        v-if="drawing === 'line'"
        x="0"
        width="38"
        height="56"
        fill="var(--es-drawing-paper)"
        opacity="0.7"
      />
      <rect v-if="drawing === 'uneven'" width="80" height="56" :fill="`url(#${id}-fade)`" />
      <template v-if="drawing === 'bronze'">
        <path d="M0 46h80v10H0z" fill="var(--es-drawing-brown)" opacity="0.75" />
        <path d="M10 40l8-9 8 8z" fill="var(--es-drawing-ochre)" opacity="0.8" />
      </template>
      <template v-if="drawing === 'rings'">
        <circle
          v-for="([x, y], i) in SPECKS.slice(0, 6)"
          :key="i"
          :cx="x"
          :cy="y + 6"
          :r="3 + (i % 3)"
          fill="var(--es-drawing-paper)"
          fill-opacity="0.75"
          stroke="var(--es-drawing-edge)"
          stroke-width="0.8"
        />
      </template>
      <path
        v-if="drawing === 'mirrored'"
        d="M30 50h-16m5-5l-5 5 5 5M50 50h16m-5-5l5 5-5 5"
        fill="none"
        stroke="var(--es-drawing-paper)"
        stroke-width="2"
      />
      <path
        v-if="drawing === 'ruled'"
        d="M0 6h80M0 13h80M0 20h80M0 27h80M0 34h80M0 41h80M0 48h80"
        stroke="var(--es-drawing-paper)"
        stroke-width="1.2"
        opacity="0.8"
      />
      <path
        v-if="drawing === 'finger'"
        d="M56 44c-6-14 14-22 18-6M59 46c-4-10 9-15 11-4M52 42c-8-20 24-28 26-6M62 47c-2-6 4-8 5-2"
        fill="none"
        stroke="var(--es-drawing-paper)"
        stroke-width="1.6"
      />
      <path
        v-if="drawing === 'tide'"
        d="M0 18c10-6 16 5 26 1s18-8 28-2 18 2 26-3"
        fill="none"
        stroke="var(--es-drawing-stain)"
        stroke-width="2.6"
        opacity="0.9"
      />
      <template v-if="drawing === 'halo'">
        <path
          d="M0 37L18 21l14 12 18-20 30 24"
          fill="none"
          stroke="var(--es-drawing-paper)"
          stroke-width="2.4"
        />
        <path d="M0 42L18 26l14 12 18-20 30 24" fill="none" stroke="currentColor" stroke-width="2.4" />
      </template>
      <template v-if="drawing === 'grain'">
        <circle
          v-for="i in 90"
          :key="i"
          :cx="(i * 37) % 80"
          :cy="(i * 23 + Math.floor(i / 8) * 5) % 56"
          r="0.9"
          :fill="i % 3 ? 'var(--es-drawing-paper)' : 'currentColor'"
          opacity="0.75"
        />
      </template>
      <path
        v-if="drawing === 'flakes'"
        d="M8 40l9-3 4 6-8 4zM30 44l7-5 5 5-6 6zM52 38l10-2 3 7-9 3zM68 48l7-3 4 5-7 4zM22 30l5-3 4 4-5 3z"
        fill="var(--es-drawing-paper)"
      />
      <template v-if="drawing === 'frills'">
        <path
          d="M0 50q4-7 8 0t8 0 8 0 8 0 8 0 8 0 8 0 8 0 8 0 8 0v6H0z"
          fill="var(--es-drawing-paper)"
          opacity="0.9"
        />
        <ellipse cx="24" cy="38" rx="5" ry="4" fill="var(--es-drawing-paper)" opacity="0.55" />
        <ellipse cx="56" cy="34" rx="7" ry="5" fill="var(--es-drawing-paper)" opacity="0.55" />
      </template>
      <path
        v-if="drawing === 'washed'"
        d="M14 30c-3 10 2 16-1 26M34 38c-2 8 3 12 1 18M52 28c-3 12 3 18 0 28M68 40c-2 6 2 10 0 16"
        fill="none"
        stroke="var(--es-drawing-paper)"
        stroke-width="5"
        opacity="0.8"
      />
      <template v-if="drawing === 'slow'">
        <rect width="80" height="56" fill="none" stroke="currentColor" stroke-width="7" />
        <circle
          cx="40"
          cy="28"
          r="11"
          fill="var(--es-drawing-paper)"
          stroke="currentColor"
          stroke-width="1.6"
        />
        <path d="M40 20v8l6 4" fill="none" stroke="currentColor" stroke-width="1.6" />
      </template>
      <path
        v-if="drawing === 'covered'"
        d="M6 8l66-3 3 44-64 3z"
        :fill="colour"
        stroke="currentColor"
        stroke-width="0.6"
        opacity="0.86"
      />
      <template v-if="drawing === 'paler'">
        <rect x="40" width="40" height="56" fill="var(--es-drawing-paper)" opacity="0.5" />
        <path d="M40 0c5 6-4 10 0 18s5 8 0 18-4 12 1 20h39V0z" :fill="colour" opacity="0.55" />
        <path
          d="M40 0c5 6-4 10 0 18s5 8 0 18-4 12 1 20"
          fill="none"
          stroke="currentColor"
          stroke-width="0.8"
          opacity="0.5"
        />
      </template>
      <template v-if="drawing === 'wedge'">
        <rect
          v-for="(tone, i) in WEDGE"
          :key="i"
          :x="i * 11.5"
          y="12"
          width="11.5"
          height="32"
          fill="currentColor"
          :opacity="tone"
        />
        <rect y="12" width="80" height="32" fill="none" stroke="currentColor" stroke-width="0.8" />
      </template>
      <template v-if="drawing === 'dull'">
        <path d="M8 4L0 14V4zM30 4L6 34h6L36 4z" fill="var(--es-drawing-paper)" opacity="0.55" />
        <rect x="40" width="40" height="56" fill="var(--es-drawing-flat)" opacity="0.72" />
      </template>
      <path
        v-if="drawing === 'coat'"
        d="M10 9l9 2 8-4 11 3 9-4 10 4 11-3 2 9-3 9 4 9-3 9 2 7-12 1-9 3-10-3-11 2-9-3-8 3-9-4 3-9-4-9 4-8z"
        :fill="colour"
        opacity="0.85"
      />
      <template v-if="drawing === 'split'">
        <path d="M0 40L18 24l14 12 18-20 30 24v6H0z" :fill="colour" opacity="0.75" />
        <circle cx="62" cy="13" r="5" :fill="colour" opacity="0.6" />
      </template>
      <template v-if="drawing === 'cloudy'">
        <rect width="80" height="56" :fill="colour" opacity="0.45" />
        <path
          d="M-2 22c8-8 14 2 21-4s14-6 20 0 14-4 20 2 12-6 24 2v12c-9 6-14-3-22 2s-14 4-21-1-13 4-21 0-12 4-21-2z"
          :fill="colour"
          opacity="0.9"
        />
      </template>
      <template v-if="drawing === 'stuck'">
        <path d="M18 14c6 6 14 2 18 9s-8 12-16 8-10-13-2-17z" :fill="colour" opacity="0.8" />
        <path d="M30 0h50v40L58 30z" fill="var(--es-drawing-edge)" opacity="0.35" />
        <path d="M30 0l28 30 22 10" fill="none" stroke="var(--es-drawing-edge)" stroke-width="1.6" />
      </template>
      <rect v-if="drawing === 'pale' && colour" width="80" height="56" :fill="colour" opacity="0.5" />
    </g>
  </svg>
</template>

<style scoped>
.SymptomSwatch {
  display: block;
  width: 100%;
  height: auto;
  color: var(--es-drawing-symptom);
}

.is-harsh {
  filter: contrast(4);
}
</style>
