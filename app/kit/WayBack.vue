<script setup lang="ts">
import { useWayBack } from '../state/useWayBack'

/** The way back to the form from which one came here for something that was missing. */
const { back } = useWayBack()
</script>

<template>
  <p v-if="back" class="WayBack">
    <RouterLink :to="back.path">{{ back.said }}</RouterLink>
  </p>
</template>

<style scoped>
.WayBack a {
  display: inline-block;
  min-height: 1.75rem;
  line-height: 1.75rem;
}
</style>
