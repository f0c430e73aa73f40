<script setup lang="ts">
import { watchEffect } from 'vue'
import { useRoute } from 'vue-router'
import { isDemo } from '../data/db'
import { useStorage } from '../data/persistence'
import { useUnsaved } from '../data/unsaved.store'
import { goToWorkroom } from '../data/whichWorkroom'
import { useBackup } from '../workroom/backup.store'
import { timeOfDay } from './moments'
import { useNotice } from './notice.store'
import { useUpdate } from './update.store'

/** What stays said above the page until something is done about it. */
const props = defineProps<{ isClockRunning: boolean }>()
const [storage, update, backup, route] = [useStorage(), useUpdate(), useBackup(), useRoute()]
const [unsaved, notice] = [useUnsaved(), useNotice()]
watchEffect(() => (backup.isClockRunning = props.isClockRunning))
const reload = () => location.reload()
async function saveNow(): Promise<void> {
  try {
    const { saved, refused } = await unsaved.save()
    const said = `${saved === 1 ? 'One press' : `${saved} presses`} saved, with the time of each.`
    notice.say([said, ...refused.map((why) => `One did not fit any more: ${why}`)].join(' '))
  } catch (error) {
    notice.refuse(error, 'saving')
  }
}
</script>

<template>
  <div class="StandingNotices">
    <p v-if="storage.isOutdated" role="alert">
      A newer Ember Sheet has opened this workroom in another window. Nothing can be written from here any
      more; nothing is lost.
      <button type="button" @click="reload">Reload this window</button>
    </p>
    <p v-if="storage.isDeleted" role="alert">
      This workroom’s storage was deleted from the browser while it was open. Nothing can be saved from here.
      Reload, then restore your last backup.
      <button type="button" @click="reload">Reload this window</button>
    </p>
    <p v-if="storage.lostSheets" role="alert">
      This browser has lost the workroom that was here, with
      {{ storage.lostSheets === 1 ? 'one print' : `${storage.lostSheets} prints` }}. It may do so when the
      disk is full. Restore your last backup at Workroom.
      <RouterLink to="/workroom">Go to Workroom</RouterLink>
      <button type="button" @click="storage.forgetLost">I don’t need it</button>
    </p>
    <p v-if="unsaved.presses.length" role="alert">
      {{
        unsaved.presses.length === 1
          ? 'One press is not saved yet'
          : `${unsaved.presses.length} presses are not saved yet`
      }}, since {{ timeOfDay(unsaved.presses[0]!.at) }}. Keep this window open and free some space on the
      disk.
      <button type="button" :disabled="unsaved.isSaving" @click="saveNow">Save now</button>
    </p>
    <p v-if="storage.isHeldUp" role="alert">
      An older Ember Sheet in another window holds this workroom. Close that window, or reload it.
    </p>
    <p v-if="update.isWaiting" role="status">
      A newer Ember Sheet is here.
      <template v-if="isClockRunning">It waits until no clock runs.</template>
      <button v-else type="button" @click="update.takeIt">Take it now</button>
    </p>
    <p v-if="backup.folder?.problem" role="alert">
      The backup into “{{ backup.folder.handle.name }}” failed. {{ backup.folder.problem }}
      <button type="button" :disabled="backup.isBusy" @click="backup.backUp">Try again</button>
    </p>
    <p v-if="backup.folder?.trialProblem" role="alert">
      A restore from “{{ backup.folder.handle.name }}” was tried. {{ backup.folder.trialProblem }}
      <button type="button" :disabled="backup.isBusy" @click="backup.backUp">Back up again</button>
    </p>
    <p v-if="backup.folder && !backup.isAllowed" role="status">
      The browser asks again before it writes backups into “{{ backup.folder.handle.name }}”.
      <button type="button" :disabled="backup.isBusy" @click="backup.backUp">Allow and back up</button>
    </p>
    <p v-if="backup.asksForFolder" role="status">
      Your workroom is only in this browser. Choose a backup folder.
      <button type="button" :disabled="backup.isBusy" @click="backup.choose">Choose a folder</button>
      <button type="button" @click="backup.putOff">In three days</button>
    </p>
    <p v-if="backup.isDue" role="status">
      {{
        backup.days === null
          ? 'Your workroom is only in this browser.'
          : `The last backup is ${backup.days} days old.`
      }}
      <button type="button" :disabled="backup.isBusy" @click="backup.download">
        {{ backup.isBusy ? `Backing up, ${Math.round(100 * (backup.share ?? 0))} %` : 'Download a backup' }}
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

.StandingNotices:not(:empty) {
  margin-bottom: 14px;
}

p {
  overflow-wrap: anywhere;
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
