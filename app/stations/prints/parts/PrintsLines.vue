<script setup lang="ts">
import { useVirtualizer, useWindowVirtualizer } from '@tanstack/vue-virtual'
import { computed, nextTick, onMounted, onUnmounted, ref, useTemplateRef, watch } from 'vue'
import { usePictures } from '../../../state/usePictures'
import { useWorkroom, type SheetInRoom } from '../../../state/workroom.store'
import HungPrint from './HungPrint.vue'
import { usePicks } from '../picks.store'

/** Prints on their lines; only those in sight, and a line beyond, are drawn. */
const props = defineProps<{
  prints: readonly SheetInRoom[]
  /** What they were asked for by. */
  asked: string
  isNarrow: boolean
}>()
const emit = defineEmits<{ open: [sheetId: string] }>()
const [workroom, picks] = [useWorkroom(), usePicks()]

const LEAST_WIDTH = 148
const BELOW_PICTURE = 124
const frame = useTemplateRef<HTMLElement>('frame')
const width = ref(800)
const top = ref(0)
const watcher = new ResizeObserver(([entry]) => {
  if (!entry) return
  width.value = entry.contentRect.width
  const page = document.getElementById('page')
  const origin = props.isNarrow || !page ? -window.scrollY : page.getBoundingClientRect().top - page.scrollTop
  top.value = (frame.value?.getBoundingClientRect().top ?? 0) - origin
})
onMounted(() => frame.value && watcher.observe(frame.value))
onUnmounted(() => watcher.disconnect())

const columns = computed(() => Math.max(2, Math.floor(width.value / (LEAST_WIDTH + 12))))
const rowHeight = computed(() => ((width.value / columns.value - 32) * 168) / 130 + BELOW_PICTURE)
const count = computed(() => Math.ceil(props.prints.length / columns.value))
const options = computed(() => ({
  count: count.value,
  estimateSize: () => rowHeight.value,
  overscan: 1,
  scrollMargin: top.value,
}))
const lines = props.isNarrow
  ? useWindowVirtualizer(options)
  : useVirtualizer(
      computed(() => ({ ...options.value, getScrollElement: () => document.getElementById('page') })),
    )
// What was found is seen from its first line on, but what is written meanwhile moves nothing under anybody's eyes.
// Where nothing was scrolled, no layout is asked for.
watch(
  () => props.asked,
  () => lines.value.scrollOffset && lines.value.scrollToOffset(0),
)
const shown = computed(() => lines.value.getVirtualItems())
const inLine = (index: number) => props.prints.slice(index * columns.value, (index + 1) * columns.value)
const ids = computed(() =>
  shown.value.flatMap((line) => inLine(line.index).flatMap((one) => one.state.photoIds.slice(-1))),
)
const pictures = usePictures(() => ids.value, 'thumbnail')

/** Arrows go from print to print, also to those that are not drawn yet. */
async function walk(event: KeyboardEvent): Promise<void> {
  const steps: Readonly<Record<string, number>> = {
    ArrowLeft: -1,
    ArrowRight: 1,
    ArrowUp: -columns.value,
    ArrowDown: columns.value,
  }
  const step = steps[event.key]
  const at = (event.target as HTMLElement).closest<HTMLElement>('[data-sheet]')?.dataset.sheet
  const from = props.prints.findIndex((one) => one.sheet.id === at)
  const next = props.prints[from + (step ?? 0)]
  if (!step || from < 0 || !next) return
  event.preventDefault()
  const focus = () => {
    const print = frame.value?.querySelector<HTMLElement>(`[data-sheet="${next.sheet.id}"]`)
    print?.focus()
    return Boolean(print)
  }
  lines.value.scrollToIndex(Math.floor((from + step) / columns.value))
  // What is drawn takes the focus at once: the next key may come before the next frame.
  if (focus()) return
  await nextTick()
  requestAnimationFrame(focus)
}
</script>

<template>
  <div ref="frame" class="PrintsLines" :style="{ height: `${lines.getTotalSize()}px` }" @keydown="walk">
    <ul
      v-for="line in shown"
      :key="line.index"
      :style="{
        transform: `translateY(${line.start - top}px)`,
        gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))`,
      }"
      :aria-label="`Row ${line.index + 1} of ${count}`"
    >
      <!-- By their place: another search changes what hangs there, which is quicker than to take down and hang again. -->
      <HungPrint
        v-for="(one, place) in inLine(line.index)"
        :key="place"
        :one="one"
        :layers="workroom.layered.get(one.sheet.id)?.length ?? 1"
        :picture="pictures.get(one.state.photoIds.at(-1) ?? '')"
        :is-picked="picks.has(one.sheet.id)"
        :may-pick="!picks.isFull"
        @open="emit('open', one.sheet.id)"
        @pick="picks.toggle(one.sheet.id)"
      />
    </ul>
  </div>
</template>

<style scoped>
.PrintsLines {
  position: relative;
  margin: var(--es-space-3) calc(-1 * var(--es-pad)) 0;
}

ul {
  position: absolute;
  top: 0;
  left: 0;
  display: grid;
  width: 100%;
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--es-line);
  list-style: none;
}
</style>
