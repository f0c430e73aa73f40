<script setup lang="ts">
/** A colour, as the browser lets one choose it. */
defineProps<{ label: string }>()
const colour = defineModel<string>({ required: true })
</script>

<template>
  <label class="ColourField">
    {{ label }}
    <input v-model="colour" type="color" />
  </label>
</template>

<style scoped>
.ColourField {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}
</style>
