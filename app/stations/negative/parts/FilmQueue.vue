<script setup lang="ts">
import ProgressBar from '../../../kit/ProgressBar.vue'
import KitButton from '../../../kit/KitButton.vue'
import { useNegativeQueue } from '../../../state/queue.store'

/** Films in progress, one after the other. */
const queue = useNegativeQueue()
</script>

<template>
  <ul v-if="queue.jobs.length" class="FilmQueue" aria-label="Films in progress">
    <li v-for="job in queue.jobs" :key="job.id">
      <span>{{ job.fileName }}</span>
      <ProgressBar v-if="job.state === 'working'" :share="job.share" :label="`Progress of ${job.fileName}`" />
      <span v-else-if="job.state === 'waiting'" class="es-quiet">waiting</span>
      <span v-else role="alert" class="FilmQueue-fault">
        {{ job.refusal?.problem }} {{ job.refusal?.remedy }}
      </span>
      <KitButton kind="quiet" :aria-label="`Stop ${job.fileName}`" @click="queue.stop(job.id)">
        {{ job.state === 'refused' ? 'cancel' : 'Stop' }}
      </KitButton>
    </li>
  </ul>
</template>

<style scoped>
.FilmQueue {
  display: grid;
  gap: var(--es-space-2);
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-5);
  align-items: center;
}

.FilmQueue-fault {
  color: var(--es-ember);
}
</style>
