<script setup lang="ts">
import BigTarget from './BigTarget.vue'

/** A station with nothing on it says what brings something here, and offers that step. */
defineProps<{ kicker: string; title: string; action?: string }>()
defineEmits<{ act: [] }>()
</script>

<template>
  <section class="EmptyPage">
    <p class="es-kicker">{{ kicker }}</p>
    <h1>{{ title }}</h1>
    <slot />
    <BigTarget v-if="action" class="EmptyPage-act" :label="action" @press="$emit('act')" />
  </section>
</template>

<style scoped>
.EmptyPage {
  display: grid;
  gap: 12px;
  max-width: 560px;
}

.EmptyPage-act {
  justify-self: start;
  margin-top: 10px;
}
</style>
