<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { ref } from 'vue'

/** Takes in photographs: with the camera where the device has one, or from files. */
const emit = defineEmits<{ add: [files: File[]] }>()
/** A device that is held in the hand has a camera; a page cannot ask without asking for permission. */
const isHeld = useMediaQuery('(pointer: coarse)')
const [camera, files] = [ref<HTMLInputElement | null>(null), ref<HTMLInputElement | null>(null)]

function take(event: Event): void {
  const input = event.target as HTMLInputElement
  const chosen = [...(input.files ?? [])]
  input.value = ''
  emit('add', chosen)
}
defineExpose({ open: () => (isHeld.value ? camera.value : files.value)?.click() })
</script>

<template>
  <div class="AddPhoto">
    <input
      v-if="isHeld"
      ref="camera"
      class="es-unseen"
      type="file"
      accept="image/*"
      capture="environment"
      tabindex="-1"
      aria-label="Camera"
      @change="take"
    />
    <input
      ref="files"
      class="es-unseen"
      type="file"
      accept="image/jpeg,image/png,image/webp"
      multiple
      tabindex="-1"
      aria-label="Photograph file"
      @change="take"
    />
    <button v-if="isHeld" type="button" class="AddPhoto-files" @click="files?.click()">
      Choose photos from files
    </button>
  </div>
</template>

<style scoped>
.AddPhoto-files {
  min-height: 40px;
  padding: 4px 0;
  border: 0;
  background: none;
  cursor: pointer;
  text-decoration: underline;
}
</style>
