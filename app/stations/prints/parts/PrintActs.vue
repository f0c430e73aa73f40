<script setup lang="ts">
import { ref } from 'vue'
import BigTarget from '../../../kit/BigTarget.vue'
import UndoTargets from '../../../kit/UndoTargets.vue'

/** What can be done with a print: what is usual in one row, the rest a press further. */
defineProps<{
  /** What the one key does now, where there is something: go on with the sheet, or finish it. */
  main: { label: string; act: () => void } | null
  /** The look to write down next. */
  look: { label: string; isDue: boolean } | null
  isAdding: boolean
  hasBegun: boolean
  hasHung: boolean
  isAside: boolean
  hasPhoto: boolean
  mayDiagnose: boolean
  mayLayer: boolean
  /** It is printed through a film. */
  hasFilm: boolean
  mayUndo: boolean
  mayRedo: boolean
}>()
const emit = defineEmits<{
  look: []
  photograph: []
  write: [what: 'note' | 'aside' | 'measure' | 'test' | 'finish' | 'identity' | 'correct']
  diagnose: []
  again: []
  layer: []
  film: []
  model: []
  passport: []
  label: []
  picture: []
  bin: []
  undo: []
  redo: []
}>()
const showsMore = ref(false)
</script>

<template>
  <div class="PrintActs">
    <BigTarget v-if="main" :label="main.label" hint=" " @press="main.act" />
    <BigTarget v-if="look" :quiet="!look.isDue" :label="look.label" hint="j" @press="emit('look')" />
    <BigTarget
      quiet
      :label="isAdding ? 'Adding…' : 'Photo'"
      hint="p"
      :disabled="isAdding"
      @press="emit('photograph')"
    />
    <BigTarget quiet label="Note" hint="t" @press="emit('write', 'note')" />
    <BigTarget v-if="hasHung" quiet label="Measure" hint="m" @press="emit('write', 'measure')" />
    <BigTarget v-if="mayDiagnose" quiet label="What went wrong?" hint="w" @press="emit('diagnose')" />
    <BigTarget v-if="hasBegun" quiet label="Print again" hint="r" @press="emit('again')" />
    <BigTarget
      v-if="!isAside && hasBegun && (!hasHung || showsMore)"
      quiet
      label="Set aside"
      hint="x"
      @press="emit('write', 'aside')"
    />
    <template v-if="showsMore">
      <BigTarget v-if="hasHung" quiet label="Permanence test" hint="f" @press="emit('write', 'test')" />
      <BigTarget v-if="hasHung" quiet label="Finishing" hint="i" @press="emit('write', 'finish')" />
      <BigTarget v-if="mayLayer" quiet label="Add a layer" hint="l" @press="emit('layer')" />
      <BigTarget v-if="hasFilm" quiet label="Make its negative" @press="emit('film')" />
      <BigTarget v-if="hasHung" quiet label="Compare with practice" @press="emit('model')" />
      <BigTarget quiet label="Title and edition" hint="e" @press="emit('write', 'identity')" />
      <BigTarget
        v-if="hasBegun"
        quiet
        label="Correct the record"
        hint="c"
        @press="emit('write', 'correct')"
      />
      <BigTarget quiet label="Passport" @press="emit('passport')" />
      <BigTarget quiet label="Label for the back" @press="emit('label')" />
      <BigTarget v-if="hasPhoto" quiet label="Picture with caption" @press="emit('picture')" />
      <BigTarget quiet label="Move to bin" @press="emit('bin')" />
    </template>
    <BigTarget plain :label="showsMore ? 'Less' : 'More'" @press="showsMore = !showsMore" />
    <UndoTargets :may-undo="mayUndo" :may-redo="mayRedo" @undo="emit('undo')" @redo="emit('redo')" />
  </div>
</template>

<style scoped>
/* Always at hand, however long the thread. */
.PrintActs {
  position: sticky;
  bottom: var(--es-bar-bottom);
  z-index: 2;
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
  margin: 0 calc(-1 * var(--es-pad));
  padding: var(--es-space-3) var(--es-pad) var(--es-space-5);
  background: var(--es-page);
}

.PrintActs :deep(.BigTarget) {
  gap: var(--es-space-3);
  min-height: 3rem;
  padding: var(--es-space-3) var(--es-space-4);
  font-size: var(--es-size-body);
}

/* One row on a telephone, pushed aside with a thumb, so that the thread stays in sight. */
@media (width <= 51.25em) {
  .PrintActs {
    flex-wrap: nowrap;
    overflow: auto hidden;
    border-top: 1px solid var(--es-line);
    scrollbar-width: none;
  }

  .PrintActs > :deep(*) {
    flex: none;
  }
}
</style>
