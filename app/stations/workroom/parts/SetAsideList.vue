<script setup lang="ts">
import { texts } from '../words'
import { computed } from 'vue'
import type { SetAside } from '@core/schema/setAside'
import { removeSetAside } from '../../../state/actions/setAside.actions'
import { useSetAsideRows } from '../../../state/queries'
import BigTarget from '../../../kit/BigTarget.vue'
import { useNotice } from '../../../state/notice.store'
import { saveFile } from '../../../state/saveFile'

/** Records that could not be read as they were, kept as they were found. */
const notice = useNotice()
const entries = useSetAsideRows()
const shown = computed(() => (entries.value ?? []).toSorted((a, b) => b.at - a.at))

const download = () =>
  saveFile(
    new Blob([JSON.stringify(shown.value, null, 1)], { type: 'application/json' }),
    'ember-sheet-set-aside.json',
  )
async function remove(entry: SetAside): Promise<void> {
  try {
    notice.say(`Removed: ${entry.name}.`, await removeSetAside(entry))
  } catch (error) {
    notice.refuse(error, 'removing this')
  }
}
</script>

<template>
  <div v-if="shown.length" class="SetAsideList">
    <h3>Set aside</h3>
    <p class="es-quiet">
      {{ texts.theseRecordsDamagedTheyKept }}
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
  gap: var(--es-space-3);
  justify-items: start;
}

ul {
  display: grid;
  gap: var(--es-space-2);
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  gap: var(--es-space-5);
  align-items: center;
  justify-content: space-between;
  overflow-wrap: anywhere;
}
</style>
