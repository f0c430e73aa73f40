<script setup lang="ts">
import BigTarget from './BigTarget.vue'

/** Undo, and beside it redo as long as what was undone can come back. */
withDefaults(defineProps<{ mayUndo?: boolean; mayRedo: boolean }>(), { mayUndo: true })
defineEmits<{ undo: []; redo: [] }>()
</script>

<template>
  <BigTarget v-if="mayUndo" plain label="Undo" hint="u" @press="$emit('undo')" />
  <BigTarget v-if="mayRedo" plain label="Redo" hint="y" @press="$emit('redo')" />
</template>
