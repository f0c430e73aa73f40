<script setup lang="ts">
import { texts } from './words'
import KitButton from '../kit/KitButton.vue'
import { watchEffect } from 'vue'
import { useRoute } from 'vue-router'
import { isDemo } from '../storage/whichWorkroom'
import { useStorage } from '../state/persistence'
import { useUnsaved } from '../state/unsaved.store'
import { goToWorkroom } from '../storage/whichWorkroom'
import { useBackup } from '../state/backup.store'
import { timeOfDay } from '../words/moments'
import { useNotice } from '../state/notice.store'
import { useUpdate } from '../state/update.store'

/** What stays said above the page until something is done about it. */
const props = defineProps<{ isClockRunning: boolean }>()
const [storage, update, backup, route] = [useStorage(), useUpdate(), useBackup(), useRoute()]
const [unsaved, notice] = [useUnsaved(), useNotice()]
watchEffect(() => (backup.isClockRunning = props.isClockRunning))
const reload = () => location.reload()
async function saveNow(): Promise<void> {
  try {
    const { saved, refused } = await unsaved.save()
    const said = texts.pressesSaved({ presses: saved })
    notice.say([said, ...refused.map((why) => texts.pressNoLongerFits({ why }))].join(' '))
  } catch (error) {
    notice.refuse(error, 'saving')
  }
}
</script>

<template>
  <div class="StandingNotices">
    <p v-if="storage.isOutdated" role="alert">
      {{ texts.newerVersionInAnotherWindow }}
      <KitButton kind="quiet" @click="reload">Reload this window</KitButton>
    </p>
    <p v-if="storage.isDeleted" role="alert">
      {{ texts.storageDeleted }}
      <KitButton kind="quiet" @click="reload">Reload this window</KitButton>
    </p>
    <p v-if="storage.lostSheets" role="alert">
      {{
        texts.workroomLost({
          prints: storage.lostSheets,
        })
      }}
      <RouterLink to="/workroom">Go to Workroom</RouterLink>
      <KitButton kind="quiet" @click="storage.forgetLost">Start with an empty workroom</KitButton>
    </p>
    <p v-if="unsaved.presses.length" role="alert">
      {{
        texts.pressesNotSaved({
          presses: unsaved.presses.length,
          since: timeOfDay(unsaved.presses[0]!.at),
        })
      }}
      <KitButton kind="quiet" :disabled="unsaved.isSaving" @click="saveNow">Save now</KitButton>
    </p>
    <p v-if="storage.isHeldUp" role="alert">
      {{ texts.olderVersionInAnotherWindow }}
    </p>
    <p v-if="update.isWaiting" role="status">
      {{ texts.newVersionReady }}
      <template v-if="isClockRunning">{{ texts.updateWhenNoClockRuns }}</template>
      <KitButton v-else kind="quiet" @click="update.takeIt">Update now</KitButton>
    </p>
    <p v-if="backup.folder?.problem" role="alert">
      The backup into “{{ backup.folder.handle.name }}” failed. {{ backup.folder.problem }}
      <KitButton kind="quiet" :disabled="backup.isBusy" @click="backup.backUp">Try again</KitButton>
    </p>
    <p v-if="backup.folder?.trialProblem" role="alert">
      A restore from “{{ backup.folder.handle.name }}” was tried. {{ backup.folder.trialProblem }}
      <KitButton kind="quiet" :disabled="backup.isBusy" @click="backup.backUp">Back up again</KitButton>
    </p>
    <p v-if="backup.folder && !backup.isAllowed" role="status">
      {{ texts.backupNeedsPermission({ folder: backup.folder.handle.name }) }}
      <KitButton kind="quiet" :disabled="backup.isBusy" @click="backup.backUp">Allow and back up</KitButton>
    </p>
    <p v-if="backup.asksForFolder" role="status">
      {{ texts.storedOnlyHere }}
      <KitButton kind="quiet" :disabled="backup.isBusy" @click="backup.choose">Choose a folder</KitButton>
      <KitButton kind="quiet" @click="backup.putOff">Remind me in three days</KitButton>
    </p>
    <p v-if="backup.isDue" role="status">
      {{ texts.backupIsDue({ days: backup.days }) }}
      <KitButton kind="quiet" :disabled="backup.isBusy" @click="backup.download">
        {{ backup.isBusy ? `Backing up, ${Math.round(100 * (backup.share ?? 0))} %` : 'Download a backup' }}
      </KitButton>
      <KitButton kind="quiet" @click="backup.putOff">Remind me in three days</KitButton>
    </p>
    <p v-if="isDemo && route.name === 'today'" class="is-quiet">
      You are in the demo workroom.
      <KitButton kind="quiet" @click="goToWorkroom('own')">Open your own workroom</KitButton>
    </p>
  </div>
</template>

<style scoped>
.StandingNotices {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--es-space-6);
}

.StandingNotices:not(:empty) {
  margin-bottom: var(--es-space-5);
}

p {
  overflow-wrap: anywhere;
  padding: var(--es-space-3) var(--es-space-4);
  border-left: 3px solid var(--es-ember);
  background: var(--es-card);
  font-size: var(--es-size-body);
}

p.is-quiet {
  padding: 0;
  border: 0;
  background: none;
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}
</style>
