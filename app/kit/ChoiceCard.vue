<script setup lang="ts">
/** A card that is picked, alone (`radio`, with a name for those that exclude one another) or among others. */
const { kind = 'checkbox' } = defineProps<{ picked: boolean; kind?: 'checkbox' | 'radio'; name?: string }>()
const emit = defineEmits<{ pick: [] }>()
</script>

<template>
  <label class="ChoiceCard" :class="{ 'is-picked': picked }">
    <input class="ChoiceCard-input" :type="kind" :name="name" :checked="picked" @change="emit('pick')" />
    <slot />
  </label>
</template>

<style scoped>
.ChoiceCard {
  position: relative;
  cursor: pointer;
}

.ChoiceCard:focus-within {
  outline: 2px solid var(--es-ember);
  outline-offset: 2px;
}

.ChoiceCard-input[type='radio'] {
  position: absolute;
  opacity: 0;
}

/* The browser would draw its own box in greys, which the dim room cannot have. */
.ChoiceCard-input[type='checkbox'] {
  width: 20px;
  height: 20px;
  margin: 0;
  border: 1px solid var(--es-ink);
  background: var(--es-page);
  appearance: none;
}

.ChoiceCard-input[type='checkbox']:checked {
  background: var(--es-ember);
  box-shadow: inset 0 0 0 3px var(--es-page);
}
</style>
