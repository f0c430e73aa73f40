<script setup lang="ts">
import { useRoute } from 'vue-router'
import { isDemo } from '../data/db'
import { useStorage } from '../data/persistence'
import { goToWorkroom } from '../data/whichWorkroom'
import { useBackup } from '../workroom/backup.store'
import { useUpdate } from './update.store'

/** What stays said above the page until something is done about it. */
defineProps<{ isClockRunning: boolean }>()
const [storage, update, backup, route] = [useStorage(), useUpdate(), useBackup(), useRoute()]
const reload = () => location.reload()
</script>

<template>
  <div class="StandingNotices">
    <p v-if="storage.isOutdated" role="alert">
      A newer Ember Sheet has opened this workroom in another window. Nothing can be written from here any
      more; nothing is lost.
      <button type="button" @click="reload">Reload this window</button>
    </p>
    <p v-if="storage.isHeldUp" role="alert">
      An older Ember Sheet in another window holds this workroom. Close that window, or reload it.
    </p>
    <p v-if="update.isWaiting" role="status">
      A newer Ember Sheet is here.
      <template v-if="isClockRunning">It waits until no clock runs.</template>
      <button v-else type="button" @click="update.takeIt">Take it now</button>
    </p>
    <p v-if="backup.isDue" role="status">
      {{
        backup.days === null
          ? 'Nothing was exported from here yet.'
          : `Last exported ${backup.days} days ago.`
      }}
      <button type="button" :disabled="backup.isBusy" @click="backup.backUp">
        {{ backup.isBusy ? `Writing, ${Math.round(100 * (backup.share ?? 0))} %` : 'Export everything now' }}
      </button>
      <button type="button" @click="backup.putOff">In three days</button>
    </p>
    <p v-if="isDemo && route.name === 'today'" class="is-quiet">
      The demo workroom.
      <button type="button" @click="goToWorkroom('own')">To your own</button>
    </p>
  </div>
</template>

<style scoped>
.StandingNotices {
  display: flex;
  flex-wrap: wrap;
  gap: 0 24px;
}

p {
  padding: 6px 12px;
  border-left: 3px solid var(--es-ember);
  background: var(--es-card);
  font-size: 15px;
}

p.is-quiet {
  padding: 0;
  border: 0;
  background: none;
  color: var(--es-quiet);
  font-size: 14px;
}

button {
  min-height: 32px;
  padding: 0 6px;
  border: 0;
  background: none;
  cursor: pointer;
  text-decoration: underline;
}
</style>
