<script setup lang="ts">
import BigTarget from './BigTarget.vue'

/** A station with nothing on it says what brings something here, and offers that step. */
const { under = false } = defineProps<{
  kicker: string
  title: string
  action?: string
  /** The page has its own title above this. */
  under?: boolean
}>()
defineEmits<{ act: [] }>()
</script>

<template>
  <section class="EmptyPage">
    <p class="es-kicker">{{ kicker }}</p>
    <component :is="under ? 'h2' : 'h1'" class="EmptyPage-title">{{ title }}</component>
    <slot />
    <BigTarget v-if="action" class="EmptyPage-act" :label="action" @press="$emit('act')" />
  </section>
</template>

<style scoped>
.EmptyPage {
  display: grid;
  gap: var(--es-space-4);
  max-width: 35rem;
}

h2.EmptyPage-title {
  font-size: var(--es-size-figure);
}

.EmptyPage-act {
  justify-self: start;
  margin-top: var(--es-space-3);
}
</style>
