<script setup lang="ts">
/** Lets Enter in a field send its form, where the visible button stands outside it. */
</script>

<template>
  <button type="submit" class="es-unseen" tabindex="-1" aria-hidden="true"><slot /></button>
</template>
