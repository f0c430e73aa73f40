<script setup lang="ts">
import { ElSwitch } from 'element-plus'
import 'element-plus/es/components/switch/style/css'
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import { logCsv, printsCsv } from '@core/archive/tables'
import type { SheetEvent } from '@core/schema/event'
import { eventsIn } from '@core/archive/logs'
import { db, isDemo } from '../data/db'
import { reloadDemo } from '../data/demo'
import { hasServer } from '../data/server'
import type { Progress } from '../data/holdings'
import { useStorage } from '../data/persistence'
import { goToWorkroom } from '../data/whichWorkroom'
import { useWorkroom } from '../data/workroom.store'
import { useRoomRecords } from '../prints/useRoomRecords'
import BigTarget from '../shell/BigTarget.vue'
import ChoiceRow from '../shell/ChoiceRow.vue'
import { useKeyRows } from '../shell/keys.store'
import { useMarginNotes } from '../shell/margin.store'
import { useNotice } from '../shell/notice.store'
import { saveFile } from '../shell/saveFile'
import { usePreferences } from '../shell/preferences.store'
import { speak } from '../shell/voice'
import { useBackup } from './backup.store'
import BackupPart from './BackupPart.vue'
import HealthCheck from './HealthCheck.vue'
import RestorePart from './RestorePart.vue'
import SetAsideList from './SetAsideList.vue'

const [preferences, notice, storage, backup, workroom] = [
  usePreferences(),
  useNotice(),
  useStorage(),
  useBackup(),
  useWorkroom(),
]
const { recordOf } = useRoomRecords()
const restoring = useTemplateRef<InstanceType<typeof RestorePart>>('restoring')
const doing = ref('')
const share = ref(0)
let stopper: AbortController | null = null

/** Does one long thing at a time, says how far it is, and what went wrong. */
async function busy(
  what: string,
  work: (progress: Progress, signal: AbortSignal) => Promise<void>,
): Promise<void> {
  if (doing.value) return
  doing.value = what
  share.value = 0
  stopper = new AbortController()
  try {
    await work((done) => (share.value = done), stopper.signal)
  } catch (error) {
    notice.refuse(error, what)
  } finally {
    doing.value = ''
    void storage.look()
  }
}
const stop = () => {
  stopper?.abort()
  backup.stop()
}
const said = computed(() => (backup.isBusy ? 'Backing up…' : doing.value))
const shown = computed(() => (backup.isBusy ? (backup.share ?? 0) : share.value))
const again = () =>
  busy('Setting up the demo…', async () => {
    await reloadDemo()
    notice.say('The demo starts afresh, with its clocks running from now.')
  })
/** Two tables for a spreadsheet: the prints, and every line of their threads. */
const tables = () =>
  busy('Writing the tables…', async () => {
    const records = [...workroom.sheets].reverse().flatMap((one) => recordOf(one.sheet.id) ?? [])
    const logs = new Map<string, SheetEvent[]>()
    for await (const piece of db.logs.pieces())
      for (const [id, lines] of piece) logs.set(id, eventsIn({ lines }))
    const lost = (await db.logs.revisions()).length - logs.size
    if (lost > 0)
      notice.say(`${lost} of the logs cannot be read and are not in the tables. Check the stored data.`)
    const day = new Date().toISOString().slice(0, 10)
    const csv = (text: string) => new Blob(['\ufeff', text], { type: 'text/csv' })
    saveFile(csv(printsCsv(records)), `ember-sheet-prints-${day}.csv`)
    saveFile(csv(logCsv(records, logs)), `ember-sheet-log-${day}.csv`)
  })
onMounted(() => void storage.look())
const spaceSaid = (bytes: number) =>
  bytes < 2 ** 30
    ? `${(bytes / 2 ** 20).toFixed(bytes < 2 ** 24 ? 1 : 0)} MB`
    : `${(bytes / 2 ** 30).toFixed(1)} GB`
const room = computed(() =>
  storage.used === null || storage.quota === null
    ? ''
    : `${spaceSaid(storage.used)} used of ${spaceSaid(storage.quota)} that this browser gives.`,
)

async function notify(isOn: boolean | string | number): Promise<void> {
  if (isOn && 'Notification' in window) await Notification.requestPermission()
  preferences.chosen.notify =
    isOn === true && 'Notification' in window && Notification.permission === 'granted'
  if (isOn && !preferences.chosen.notify)
    notice.say('This browser does not allow notifications here; sound and the ledge still tell.')
}
const speakNow = (isOn: boolean | string | number) => {
  if (isOn) speak('Spoken cues are on.')
}
const keep = () =>
  busy('Asking the browser…', async () => {
    notice.say(
      (await storage.askToKeep())
        ? 'The browser has promised to keep this workroom.'
        : 'The browser makes no promise. Choose a backup folder.',
    )
  })

useKeyRows('Workroom', () => [
  { key: 'e', name: 'Back up now', run: () => void backup.backUp() },
  { key: 'i', name: 'Import an archive', run: () => restoring.value?.choose() },
])
useMarginNotes(() => [
  {
    title: 'Backups',
    lines: [
      'A backup is a ZIP with every record as JSON, and the pictures as they were added. Any ZIP tool opens it; docs/formats.md describes it.',
      'Restoring never overwrites: what differs is shown, and what is here stays unless you choose otherwise.',
    ],
  },
  {
    title: 'Where the workroom is',
    lines: ['In this browser, on this machine. Nothing is sent anywhere.'],
  },
])

const PALETTES = [
  { id: 'daylight', name: 'Daylight' },
  { id: 'dim', name: 'Dim room' },
]
const LENGTHS = [
  { id: 'in', name: 'Inches' },
  { id: 'cm', name: 'Centimetres' },
  { id: 'mm', name: 'Millimetres' },
]
</script>

<template>
  <div class="WorkroomPage">
    <header>
      <p class="es-kicker">{{ isDemo ? 'The demo workroom' : 'Your workroom' }}</p>
      <h1>Backup, stored data and settings</h1>
    </header>

    <section>
      <h2>Backup</h2>
      <BackupPart :is-busy="said !== ''" />
      <div class="WorkroomPage-doing">
        <p role="status" class="es-quiet">{{ said }}</p>
        <template v-if="said">
          <progress :value="shown" max="1" aria-label="How far it is" />
          <BigTarget plain label="Stop" @press="stop" />
        </template>
      </div>
      <RestorePart ref="restoring" :is-busy="said !== ''" :busy="busy" />
    </section>

    <section>
      <h2>Stored data</h2>
      <p class="es-quiet">
        {{ room }}
        {{
          storage.isPromised === null
            ? ''
            : storage.isPromised
              ? 'It has promised to keep it.'
              : 'It has not promised to keep it when the disk runs short.'
        }}
      </p>
      <div class="WorkroomPage-acts">
        <BigTarget
          v-if="!storage.isPromised"
          quiet
          label="Ask the browser to keep it"
          :disabled="said !== ''"
          @press="keep"
        />
      </div>
      <HealthCheck />
      <SetAsideList />
      <div class="WorkroomPage-acts">
        <BigTarget quiet label="Tables for a spreadsheet" :disabled="said !== ''" @press="tables" />
      </div>
    </section>

    <section v-if="hasServer">
      <h2>The demo</h2>
      <p class="es-quiet">
        A printer’s month with clocks running, in a storage of its own: nothing in it touches your workroom,
        and nothing of yours is in it.
      </p>
      <div class="WorkroomPage-acts">
        <template v-if="isDemo">
          <BigTarget quiet label="Leave the demo" @press="goToWorkroom('own')" />
          <BigTarget quiet label="Start the demo afresh" :disabled="said !== ''" @press="again" />
        </template>
        <BigTarget v-else quiet label="Look round the demo" @press="goToWorkroom('demo')" />
      </div>
    </section>

    <section>
      <h2>This device</h2>
      <ChoiceRow v-model="preferences.chosen.palette" label="Palette" :options="PALETTES" />
      <ChoiceRow v-model="preferences.chosen.length" label="Lengths in" :options="LENGTHS" />
      <div class="WorkroomPage-switches">
        <label>
          <ElSwitch v-model="preferences.chosen.sound" aria-label="Tones" />
          Tones for drops and for the end of a clock
        </label>
        <label>
          <ElSwitch v-model="preferences.chosen.speech" aria-label="Spoken cues" @change="speakNow" />
          Spoken cues
        </label>
        <label>
          <ElSwitch v-model="preferences.chosen.rocking" aria-label="Rocking" />
          A tick whenever a tray wants rocking
        </label>
        <label>
          <ElSwitch :model-value="preferences.chosen.notify" aria-label="Notifications" @change="notify" />
          Notify when a clock ends
        </label>
      </div>
    </section>
  </div>
</template>

<style scoped>
.WorkroomPage {
  display: grid;
  gap: 28px;
  max-width: 820px;
}

section {
  display: grid;
  gap: 12px;
}

.WorkroomPage-acts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}

.WorkroomPage-doing {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}

.WorkroomPage-switches {
  display: grid;
  gap: 6px;
}

.WorkroomPage-switches label {
  display: flex;
  gap: 12px;
  align-items: center;
}
</style>
