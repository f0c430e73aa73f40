<script setup lang="ts">
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
    <button
      type="button"
      :aria-expanded="isOpen"
      :aria-current="isOpen ? 'step' : undefined"
      :disabled="isAhead"
      @click="$emit('open')"
    >
      <span class="PathStep-number" aria-hidden="true">{{ isDone ? '✓' : number }}</span>
      <strong>{{ title }}</strong>
      <span class="es-quiet">{{ said }}</span>
    </button>
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

.PathStep > button {
  display: flex;
  gap: 14px;
  align-items: baseline;
  width: 100%;
  min-height: 44px;
  padding: 8px 14px;
  border: 0;
  background: none;
  cursor: pointer;
  text-align: left;
}

.PathStep > button:disabled {
  cursor: default;
  opacity: 0.55;
}

.PathStep-number {
  width: 16px;
  color: var(--es-quiet);
}

strong {
  font: 500 19px/1.2 var(--es-serif);
}

.PathStep-work {
  display: grid;
  gap: 12px;
  justify-items: start;
  padding: 4px 14px 18px 44px;
}

.PathStep-work > :deep(*) {
  max-width: 100%;
}
</style>
