<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import type { GreyPicture } from '@core/negative/resample'
import { toneOf } from '@core/negative/render'
import TintedPicture from '../shell/TintedPicture.vue'

/** Film and print either side of one edge, that is drawn across by hand, by mouse or by key. */
const props = defineProps<{
  preview: GreyPicture
  points: { blackPoint: number; whitePoint: number; middle: number }
  ink: (tone: number) => number
  print: (ink: number) => number
  /** Colour of the print at its deepest. */
  deepest: string
}>()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const edge = ref(50)
const PAPER = [244, 239, 226] as const
const STEPS = 1024

const deepest = computed(() => [1, 3, 5].map((at) => Number.parseInt(props.deepest.slice(at, at + 2), 16)))
/** Colours of film and print by the square root of light, worked out once for every change. */
const tables = computed(() => {
  const [film, print] = [new Uint8ClampedArray(3 * (STEPS + 1)), new Uint8ClampedArray(3 * (STEPS + 1))]
  for (let i = 0; i <= STEPS; i++) {
    const ink = props.ink(toneOf((i / STEPS) ** 2, props.points))
    const share = Math.min(1, Math.max(0, (props.print(ink) - 12) / 84))
    for (let c = 0; c < 3; c++) {
      film[3 * i + c] = 250 - 225 * ink
      print[3 * i + c] = (deepest.value[c] ?? 0) * (1 - share) + (PAPER[c] ?? 0) * share
    }
  }
  return { film, print }
})
function draw(): void {
  const context = canvas.value?.getContext('2d')
  if (!context) return
  const { width, height, data } = props.preview
  const image = context.createImageData(width, height)
  const split = (width * edge.value) / 100
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at++) {
      const step = 3 * Math.round(STEPS * Math.sqrt(Math.min(1, Math.max(0, data[at] ?? 0))))
      const table = x < split ? tables.value.film : tables.value.print
      image.data[4 * at] = table[step] ?? 0
      image.data[4 * at + 1] = table[step + 1] ?? 0
      image.data[4 * at + 2] = table[step + 2] ?? 0
      image.data[4 * at + 3] = 255
    }
  context.putImageData(image, 0, 0)
}
onMounted(draw)
watch([() => props.preview, tables, edge], draw, { flush: 'post' })

function follow(event: PointerEvent): void {
  if (!(event.buttons & 1) || !canvas.value) return
  const box = canvas.value.getBoundingClientRect()
  edge.value = Math.round(Math.min(100, Math.max(0, (100 * (event.clientX - box.left)) / box.width)))
}
</script>

<template>
  <figure class="FilmAndPrint">
    <TintedPicture class="FilmAndPrint-frame">
      <canvas
        ref="canvas"
        :width="preview.width"
        :height="preview.height"
        @pointerdown="follow"
        @pointermove="follow"
      />
    </TintedPicture>
    <figcaption>
      <span>the film</span>
      <input
        v-model.number="edge"
        type="range"
        min="0"
        max="100"
        aria-label="Draw the edge across, per cent"
      />
      <span>the print, dry</span>
    </figcaption>
  </figure>
</template>

<style scoped>
.FilmAndPrint {
  margin: 0;
}

.FilmAndPrint-frame {
  width: fit-content;
  max-width: 100%;
  padding: 10px;
  box-shadow: var(--es-shadow);
}

canvas {
  display: block;
  max-width: 100%;
  max-height: 360px;
  touch-action: none;
  cursor: ew-resize;
}

figcaption {
  display: flex;
  gap: 14px;
  align-items: center;
  justify-content: space-between;
  margin-top: 8px;
  color: var(--es-quiet);
  font-size: 14px;
}

input {
  flex: 1;
  height: 3px;
  background: var(--es-line);
  appearance: none;
}

input::-webkit-slider-thumb {
  width: 16px;
  height: 26px;
  border: 2px solid var(--es-ember);
  background: var(--es-page);
  appearance: none;
}

input::-moz-range-thumb {
  width: 14px;
  height: 24px;
  border: 2px solid var(--es-ember);
  border-radius: 0;
  background: var(--es-page);
}
</style>
