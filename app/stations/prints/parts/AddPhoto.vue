<script setup lang="ts">
import FileChoice from '../../../kit/FileChoice.vue'
import PressCard from '../../../kit/PressCard.vue'
import { useMediaQuery } from '@vueuse/core'
import { ref } from 'vue'

/** Takes in photographs: with the camera where the device has one, or from files. */
const emit = defineEmits<{ add: [files: File[]] }>()
/** A device that is held in the hand has a camera; a page cannot ask without asking for permission. */
const isHeld = useMediaQuery('(pointer: coarse)')
type Choice = InstanceType<typeof FileChoice>
const [camera, files] = [ref<Choice | null>(null), ref<Choice | null>(null)]

defineExpose({ open: () => (isHeld.value ? camera.value : files.value)?.open() })
</script>

<template>
  <div class="AddPhoto">
    <FileChoice
      v-if="isHeld"
      ref="camera"
      label="Camera"
      accept="image/*"
      capture="environment"
      @chosen="emit('add', $event)"
    />
    <FileChoice
      ref="files"
      label="Photo file"
      accept="image/jpeg,image/png,image/webp"
      multiple
      @chosen="emit('add', $event)"
    />
    <PressCard v-if="isHeld" class="AddPhoto-files" @click="files?.open()">
      Choose photos from files
    </PressCard>
  </div>
</template>

<style scoped>
.AddPhoto-files {
  min-height: 2.5rem;
  padding: var(--es-space-2) 0;
  border: 0;
  background: none;
  cursor: pointer;
  text-decoration: underline;
}
</style>
