<script setup lang="ts">
import { useNegativeQueue } from './queue.store'

/** Films in the making, one after the other. */
const queue = useNegativeQueue()
</script>

<template>
  <ul v-if="queue.jobs.length" class="FilmQueue" aria-label="Films in the making">
    <li v-for="job in queue.jobs" :key="job.id">
      <span>{{ job.fileName }}</span>
      <progress
        v-if="job.state === 'working'"
        :value="job.share"
        max="1"
        :aria-label="`Share of ${job.fileName} that is made`"
      />
      <span v-else-if="job.state === 'waiting'" class="es-quiet">waits</span>
      <span v-else role="alert" class="FilmQueue-fault">
        {{ job.refusal?.problem }} {{ job.refusal?.remedy }}
      </span>
      <button type="button" :aria-label="`Stop ${job.fileName}`" @click="queue.stop(job.id)">
        {{ job.state === 'refused' ? 'let it be' : 'Stop' }}
      </button>
    </li>
  </ul>
</template>

<style scoped>
.FilmQueue {
  display: grid;
  gap: 4px;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
}

.FilmQueue-fault {
  color: var(--es-ember);
}

button {
  padding: 2px 0;
  border: 0;
  background: none;
  color: var(--es-quiet);
  cursor: pointer;
  text-decoration: underline;
}
</style>
