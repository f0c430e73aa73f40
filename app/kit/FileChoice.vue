<script setup lang="ts">
import { useDropZone, useFileDialog } from '@vueuse/core'
import { computed, useTemplateRef, watch, type Ref } from 'vue'

/**
 * A choice of files without a look of its own: whoever has it opens it from a button. Files may also be dropped on the
 * block it is in, which is outlined meanwhile.
 */
const props = defineProps<{ label: string; accept: string; multiple?: boolean; capture?: 'environment' }>()
const emit = defineEmits<{ chosen: [files: File[]] }>()
const input = useTemplateRef<HTMLInputElement>('input')
const { open, onChange } = useFileDialog({
  input: input as Ref<HTMLInputElement>,
  accept: computed(() => props.accept),
  multiple: props.multiple ?? false,
  ...(props.capture && { capture: props.capture }),
  // The same file may be chosen again, after a refusal or an undo.
  reset: true,
})
onChange((files) => {
  if (files?.length) emit('chosen', [...files])
})
const block = computed(() => (props.capture ? null : input.value?.parentElement))
const { isOverDropZone } = useDropZone(block, {
  multiple: props.multiple ?? false,
  onDrop: (files) => files?.length && emit('chosen', files),
})
watch(isOverDropZone, (isOver) => block.value?.toggleAttribute('data-drop', isOver))
defineExpose({ open })
</script>

<template>
  <input
    ref="input"
    class="es-unseen"
    type="file"
    :accept="accept"
    :multiple="multiple"
    :capture="capture"
    :aria-label="label"
    tabindex="-1"
  />
</template>
