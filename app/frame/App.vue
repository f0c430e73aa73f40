<script setup lang="ts">
import ProgressBar from '../kit/ProgressBar.vue'
import { loading } from '../state/demo'
import AppShell from './AppShell.vue'
import { texts } from './words'
</script>

<template>
  <main v-if="loading.isOn" class="App-wait">
    <p class="App-title">Setting up the demo</p>
    <p>{{ texts.whatTheDemoIs }}</p>
    <ProgressBar :share="loading.share" label="Demo set up" />
    <p class="es-quiet" role="status">{{ loading.doing }}</p>
  </main>
  <AppShell v-else />
</template>

<style scoped>
.App-title {
  font: var(--es-size-title) / 1.1 var(--es-serif);
}

.App-wait {
  display: grid;
  gap: var(--es-space-5);
  align-content: center;
  min-height: 100dvh;
  max-width: 40rem;
  padding: var(--es-space-8);
}
</style>
