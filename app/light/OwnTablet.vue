<script setup lang="ts">
import { v4 as uuid } from 'uuid'
import { ref } from 'vue'
import { CoreError } from '@core/errors'
import { Tablet } from '@core/schema/light'
import { db } from '../data/db'
import TextField from '../shell/TextField.vue'
import { useAttempt } from '../shell/useAttempt'
import { readDensities } from './stripReading'

/** A step tablet of one's own, with the densities of its steps. */
const emit = defineEmits<{ kept: [id: string] }>()
const { faults, attempt } = useAttempt()
const ownName = ref('')
const ownDensities = ref('')
const keepTablet = () =>
  attempt('tablet', async () => {
    const densities = readDensities(ownDensities.value, 'density')
    if (densities.length < 6)
      throw new CoreError({
        code: 'too-few',
        field: 'tablet',
        problem: 'A tablet has at least six steps.',
        remedy: 'Write the density of each step, the clear one first.',
      })
    const clear = densities[0] ?? 0
    const id = uuid()
    // Over its clear step, so that readings with and without film base are the same tablet.
    await db.tablets.add(
      Tablet.parse({
        id,
        name: ownName.value.trim() || 'my tablet',
        densities: densities.map((one) => Math.max(0, Math.round((one - clear) * 1000) / 1000)),
        changedAt: Date.now(),
      }),
    )
    emit('kept', id)
    ;[ownName.value, ownDensities.value] = ['', '']
  })
</script>

<template>
  <details>
    <summary>A tablet of your own</summary>
    <div class="OwnTablet-row">
      <TextField v-model="ownName" label="Its name" placeholder="calibrated, no. 4" />
      <TextField
        v-model="ownDensities"
        label="Densities of its steps, clear one first"
        placeholder="0.05 0.20 0.36 …"
        :fault="faults.tablet"
      />
    </div>
    <button type="button" @click="keepTablet">Keep these steps</button>
  </details>
</template>

<style scoped>
.OwnTablet-row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 2px 24px;
}

summary {
  padding: 6px 0;
  cursor: pointer;
}

details > button {
  padding: 8px 12px;
  border: 1px solid var(--es-line);
  background: none;
  cursor: pointer;
}
</style>
