<script setup lang="ts">
import RangeSlider from '../../../kit/RangeSlider.vue'
import KitButton from '../../../kit/KitButton.vue'
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import TintedPicture from '../../../kit/TintedPicture.vue'
import { filmTable, paint, pictureTable, printTable, type Proof } from '../proofing'
import type { PrintColours } from '@core/negative/proof'

/** Film and print either side of one edge, that is drawn across by hand, by mouse or by key. */
const props = defineProps<{
  proof: Proof
  /** Lightness of the dry print behind ink. */
  print: (ink: number) => number
  colours: PrintColours
  /** Share of net density that drying adds. */
  dryDown: number
  tint: readonly [number, number, number]
}>()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const edge = ref(50)
const leftSide = ref<'film' | 'picture'>('film')
const isWet = ref(false)

const tables = computed(() => ({
  film: filmTable(props.tint),
  print: printTable(props.print, props.colours, isWet.value ? props.dryDown : null),
}))
function draw(): void {
  const context = canvas.value?.getContext('2d')
  if (!context) return
  const { width, height, ink, before } = props.proof
  const image = context.createImageData(width, height)
  const left =
    leftSide.value === 'film'
      ? { values: ink, table: tables.value.film }
      : { values: before, table: pictureTable }
  paint(image.data, width, (width * edge.value) / 100, left, { values: ink, table: tables.value.print })
  context.putImageData(image, 0, 0)
}
onMounted(draw)
watch([() => props.proof, tables, edge, leftSide], draw, { flush: 'post' })

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
        :width="proof.width"
        :height="proof.height"
        @pointerdown="follow"
        @pointermove="follow"
      />
    </TintedPicture>
    <figcaption>
      <KitButton
        kind="quiet"
        :aria-label="`Left: the ${leftSide}, switch`"
        @click="leftSide = leftSide === 'film' ? 'picture' : 'film'"
      >
        {{ leftSide === 'film' ? 'the film' : 'the picture' }}
      </KitButton>
      <RangeSlider v-model="edge" class="FilmAndPrint-edge" aria-label="Position of the divider, %" />
      <KitButton
        kind="quiet"
        :aria-label="`Right: the print ${isWet ? 'wet' : 'dry'}, switch`"
        @click="isWet = !isWet"
      >
        the print, {{ isWet ? 'wet' : 'dry' }}
      </KitButton>
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
  padding: var(--es-space-3);
  box-shadow: var(--es-shadow);
}

canvas {
  display: block;
  max-width: 100%;
  max-height: 310px;
  touch-action: none;
  cursor: ew-resize;
}

figcaption {
  display: flex;
  gap: var(--es-space-5);
  align-items: center;
  justify-content: space-between;
  margin-top: var(--es-space-3);
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

.FilmAndPrint-edge {
  flex: 1;
}
</style>
