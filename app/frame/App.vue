<script setup lang="ts">
import { isLayingOut } from '../state/demo'
import AppShell from './AppShell.vue'
</script>

<template>
  <p v-if="isLayingOut" class="App-wait es-kicker">Loading the demo workroom…</p>
  <AppShell v-else />
</template>

<style scoped>
.App-wait {
  min-height: 100dvh;
  padding: var(--es-space-8);
}
</style>
