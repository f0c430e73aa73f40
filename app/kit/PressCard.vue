<script setup lang="ts">
/** Something drawn that can be pressed as a whole: a tray, a bottle, a print. What uses it gives it its look. */
</script>

<template>
  <button type="button" class="PressCard"><slot /></button>
</template>

<style scoped>
.PressCard {
  padding: 0;
  border: 0;
  background: none;
  cursor: pointer;
  text-align: inherit;
}

.PressCard:disabled {
  cursor: default;
}
</style>
