<script setup lang="ts">
import { texts } from '../words'
import { writtenNumber } from '@core/quantity/number'
import { computed } from 'vue'
import { isDemo } from '../../../storage/whichWorkroom'
import { useNow } from '../../../state/useNow'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import { dateOf, momentSaid } from '../../../words/moments'
import { usePreferences } from '../../../state/preferences.store'
import { useBackup } from '../../../state/backup.store'

/** Backups: the folder they go into, how old the last one is, and one press that makes another. */
defineProps<{ isBusy: boolean }>()
const [backup, now, preferences] = [useBackup(), useNow(), usePreferences()]
const folder = computed(() => backup.folder)
const lastSaid = computed(() => {
  if (!backup.backedUpAt) return texts.noBackupHasBeenMade
  return `Last backup: ${momentSaid(backup.backedUpAt, now.now)}${folder.value?.at === backup.backedUpAt ? ', read back and checked' : ', as a download'}.`
})
const triedSaid = computed(() => {
  const state = folder.value
  if (!state?.triedAt) return ''
  return state.trialProblem
    ? `Test restore on ${dateOf(state.triedAt, now.now)}: ${state.trialProblem}`
    : `Test restore on ${dateOf(state.triedAt, now.now)}: complete.`
})

const REMIND = [
  { id: '7', name: 'A week' },
  { id: '14', name: 'Two weeks' },
  { id: '30', name: 'A month' },
  { id: '0', name: 'Never' },
]
const remind = computed({
  get: () => String(preferences.chosen.remindDays),
  set: (days) => (preferences.chosen.remindDays = writtenNumber(days)),
})
</script>

<template>
  <div class="BackupPart">
    <template v-if="folder">
      <p>
        {{ texts.backupFolder({ folder: folder.handle.name }) }}
      </p>
      <p v-if="folder.problem" class="BackupPart-fault" role="alert">
        Backup of {{ momentSaid(folder.failedAt, now.now) }} failed. {{ folder.problem }}
      </p>
      <p v-if="folder.trialProblem" class="BackupPart-fault">{{ triedSaid }}</p>
      <p v-else-if="triedSaid" class="es-quiet">{{ triedSaid }}</p>
    </template>
    <p v-else-if="backup.canUseFolders && !isDemo">
      {{ texts.chooseBackupFolder }}
    </p>
    <p v-else-if="!isDemo">
      {{ texts.downloadBackups }}
    </p>
    <p class="es-quiet">{{ lastSaid }}</p>
    <div class="BackupPart-acts">
      <template v-if="folder">
        <BigTarget label="Back up now" hint="e" :disabled="isBusy" @press="backup.backUp" />
        <BigTarget quiet label="Test restore" :disabled="isBusy" @press="backup.tryNow" />
        <BigTarget quiet label="Change folder" :disabled="isBusy" @press="backup.choose" />
        <BigTarget quiet label="Stop using this folder" :disabled="isBusy" @press="backup.leaveFolder" />
      </template>
      <BigTarget
        v-else-if="backup.canUseFolders && !isDemo"
        label="Choose a backup folder"
        :disabled="isBusy"
        @press="backup.choose"
      />
      <BigTarget
        :quiet="backup.canUseFolders && !isDemo"
        label="Download a backup"
        :hint="folder ? undefined : 'e'"
        :disabled="isBusy"
        @press="backup.download"
      />
    </div>
    <ChoiceRow v-if="!folder" v-model="remind" label="Remind me to back up after" :options="REMIND" />
  </div>
</template>

<style scoped>
.BackupPart {
  display: grid;
  gap: var(--es-space-4);
}

.BackupPart-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
}

.BackupPart-fault {
  color: var(--es-ember);
}
</style>
