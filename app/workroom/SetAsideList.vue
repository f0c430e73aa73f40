<script setup lang="ts">
import { computed } from 'vue'
import type { SetAside } from '@core/schema/setAside'
import { db } from '../data/db'
import { useLiveQuery } from '../data/useLiveQuery'
import BigTarget from '../shell/BigTarget.vue'
import { useNotice } from '../shell/notice.store'
import { saveFile } from '../shell/saveFile'

/** Records that could not be read as they were, kept as they were found. */
const notice = useNotice()
const entries = useLiveQuery(() => db.setAside.toArray(), [])
const shown = computed(() => entries.value.toSorted((a, b) => b.at - a.at))

const download = () =>
  saveFile(
    new Blob([JSON.stringify(shown.value, null, 1)], { type: 'application/json' }),
    'ember-sheet-set-aside.json',
  )
async function remove(entry: SetAside): Promise<void> {
  try {
    await db.setAside.delete(entry.id)
    notice.say(`Removed: ${entry.name}.`, () => db.setAside.put(entry))
  } catch (error) {
    notice.refuse(error, 'removing this')
  }
}
</script>

<template>
  <div v-if="shown.length" class="SetAsideList">
    <h3>Set aside</h3>
    <p class="es-quiet">
      These records could not be read as they were. Each is kept as it was found, here and in every backup.
      Enter what you need again, then remove the entry.
    </p>
    <ul>
      <li v-for="entry in shown" :key="entry.id">
        <span>
          <strong>{{ entry.name }}</strong>
          {{ entry.problem }}
          {{ entry.outcome === 'repaired' ? 'A repaired record is in use.' : 'Not in use.' }}
        </span>
        <BigTarget plain label="Remove" :aria-label="`Remove ${entry.name}`" @press="remove(entry)" />
      </li>
    </ul>
    <BigTarget quiet label="Download as JSON" @press="download" />
  </div>
</template>

<style scoped>
.SetAsideList {
  display: grid;
  gap: 10px;
  justify-items: start;
}

ul {
  display: grid;
  gap: 4px;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  gap: 16px;
  align-items: center;
  justify-content: space-between;
  overflow-wrap: anywhere;
}
</style>
