<script setup lang="ts">
import PressCard from '../../../kit/PressCard.vue'
import { computed } from 'vue'
import { useNow } from '../../../state/useNow'
import type { SheetInRoom } from '../../../state/workroom.store'
import TintedPicture from '../../../kit/TintedPicture.vue'
import { editionSaid, sheetColour, standingWords, wantsLook } from '../../../words/printWords'

/** One print, clipped to the line: its latest photograph, or the sheet drawn as it would look now. */
const props = defineProps<{
  one: SheetInRoom
  picture: string | undefined
  layers: number
  isPicked: boolean
  mayPick: boolean
}>()
const emit = defineEmits<{ open: []; pick: [] }>()
const now = useNow()
const colour = computed(() => sheetColour(props.one))
const isDue = computed(() => wantsLook(props.one, now.now))
</script>

<template>
  <li class="HungPrint" :class="{ 'is-aside': one.state.setAside, 'is-picked': isPicked }">
    <PressCard class="HungPrint-open" :data-sheet="one.sheet.id" @click="emit('open')">
      <TintedPicture class="HungPrint-sheet">
        <img v-if="picture" :src="picture" :alt="`Photo of ${one.sheet.title}`" decoding="async" />
        <svg v-else viewBox="0 0 130 168" role="img" aria-label="No photo yet">
          <rect v-if="!colour" x="14" y="16" width="102" height="136" class="HungPrint-bare" />
          <path
            v-else
            :fill="colour"
            d="M13 17l20-2 34 1 28-2 22 2 1 40-2 44 2 50-30 3-40-2-34 2-2-46 2-40z"
          />
        </svg>
      </TintedPicture>
      <span class="HungPrint-title">{{ one.sheet.number }} {{ one.sheet.title }}</span>
      <span class="HungPrint-standing" :class="{ 'is-due': isDue }">
        <span class="HungPrint-mark" :style="{ background: `var(--es-${one.definition.mark})` }" />
        {{ standingWords(one, now.now) }}{{ layers > 1 ? `, ${layers} layers` : ''
        }}{{ one.sheet.edition ? `, ${editionSaid(one.sheet.edition)}` : '' }}
      </span>
    </PressCard>
    <PressCard
      v-if="mayPick || isPicked"
      class="HungPrint-pick"
      :aria-pressed="isPicked"
      :aria-label="`Select sheet ${one.sheet.number} to compare`"
      @click="emit('pick')"
    >
      {{ isPicked ? 'picked' : 'pick' }}
    </PressCard>
  </li>
</template>

<style scoped>
/* The line runs through, from one edge of the page to the other. */
.HungPrint {
  position: relative;
  padding: var(--es-space-3) var(--es-space-3) 0;
}

.HungPrint::before {
  position: absolute;
  top: -6px;
  left: calc(50% - 4px);
  z-index: 1;
  width: 9px;
  height: 19px;
  border-radius: 2px;
  background: var(--es-clip);
  content: '';
}

.HungPrint-open {
  display: grid;
  gap: var(--es-space-1);
  justify-items: start;
  width: 100%;
  padding: 0 var(--es-space-3);
  border: 0;
  background: none;
  cursor: pointer;
  text-align: left;
}

.HungPrint-sheet {
  display: grid;
  width: 100%;
  aspect-ratio: 130 / 168;
  margin-bottom: var(--es-space-3);
  padding: var(--es-space-3);
  box-shadow: var(--es-shadow);
}

.is-picked .HungPrint-sheet {
  outline: 3px solid var(--es-ember);
}

.HungPrint-sheet img,
.HungPrint-sheet svg {
  width: 100%;
  height: 100%;
  min-height: 0;
  object-fit: cover;
}

.HungPrint-bare {
  fill: none;
  stroke: var(--es-drawing-line);
  stroke-dasharray: 3 4;
}

.is-aside .HungPrint-sheet {
  opacity: 0.55;
}

.HungPrint-title {
  display: -webkit-box;
  overflow: hidden;
  overflow-wrap: anywhere;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 3;
  display: -webkit-box;
  overflow: hidden;
  max-height: 2.7em;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
}

.HungPrint-standing {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

.HungPrint-standing.is-due {
  color: var(--es-ember);
}

.HungPrint-mark {
  display: inline-block;
  width: 9px;
  height: 9px;
  border-radius: 50%;
}

/* Out of the way until the print is pointed at, reached, or picked. */
.HungPrint-pick {
  position: absolute;
  top: 14px;
  right: 18px;
  min-width: 2.75rem;
  min-height: 2rem;
  border: 1px solid var(--es-line);
  background: var(--es-page);
  cursor: pointer;
  font-size: var(--es-size-small);
  opacity: 0;
}

.HungPrint:hover .HungPrint-pick,
.HungPrint:focus-within .HungPrint-pick,
.HungPrint-pick:focus-visible,
.HungPrint-pick[aria-pressed='true'] {
  opacity: 1;
}

@media (hover: none) {
  .HungPrint-pick {
    opacity: 1;
  }
}
</style>
