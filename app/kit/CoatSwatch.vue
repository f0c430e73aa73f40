<script setup lang="ts">
import TintedPicture from './TintedPicture.vue'

/** A drawn piece of coated paper in one colour: what the sheet looks like now. */
defineProps<{ colour: string; label: string }>()
</script>

<template>
  <TintedPicture class="CoatSwatch">
    <svg viewBox="0 0 132 104" role="img" :aria-label="label">
      <path
        :fill="colour"
        d="M14 16q2-3 8-2l30-1 34 1 26-1q6 0 6 4l1 30-1 34q0 6-5 6l-32 1-30-1-28 1q-8 1-8-5l-1-33z"
      />
    </svg>
  </TintedPicture>
</template>

<style scoped>
.CoatSwatch {
  width: 8.25rem;
  border: 1px solid var(--es-rule);
  box-shadow: var(--es-shadow);
}

svg {
  display: block;
}
</style>
