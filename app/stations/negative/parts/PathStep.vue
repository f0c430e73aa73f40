<script setup lang="ts">
import PressCard from '../../../kit/PressCard.vue'
/** One step of a path: its number, what it is, whether it is done, and what is done in it while it is open. */
defineProps<{
  number: number
  title: string
  said?: string
  isDone: boolean
  isOpen: boolean
  isAhead?: boolean
}>()
defineEmits<{ open: [] }>()
</script>

<template>
  <li class="PathStep" :class="{ 'is-done': isDone, 'is-open': isOpen, 'is-ahead': isAhead }">
    <PressCard
      :aria-expanded="isOpen"
      :aria-current="isOpen ? 'step' : undefined"
      :disabled="isAhead"
      @click="$emit('open')"
    >
      <span class="PathStep-number" aria-hidden="true">{{ isDone ? '✓' : number }}</span>
      <strong>{{ title }}</strong>
      <span class="es-quiet">{{ said }}</span>
    </PressCard>
    <div v-if="isOpen" class="PathStep-work"><slot /></div>
  </li>
</template>

<style scoped>
.PathStep {
  border-left: 2px solid var(--es-rule);
  list-style: none;
}

.PathStep.is-done {
  border-left-color: var(--es-ink);
}

.PathStep.is-open {
  border-left-color: var(--es-ember);
}

.PathStep > .PressCard {
  display: flex;
  gap: var(--es-space-5);
  align-items: baseline;
  width: 100%;
  min-height: 2.75rem;
  padding: var(--es-space-3) var(--es-space-5);
  text-align: left;
}

.PathStep > .PressCard:disabled {
  cursor: default;
  opacity: 0.55;
}

.PathStep-number {
  width: 16px;
  color: var(--es-quiet);
}

strong {
  font: 500 var(--es-size-lead)/1.2 var(--es-serif);
}

.PathStep-work {
  display: grid;
  gap: var(--es-space-4);
  justify-items: start;
  padding: var(--es-space-2) var(--es-space-5) var(--es-space-5) var(--es-space-8);
}

.PathStep-work > :deep(*) {
  max-width: 100%;
}
</style>
