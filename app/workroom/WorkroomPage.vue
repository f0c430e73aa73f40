<script setup lang="ts">
import { ElSwitch } from 'element-plus'
import 'element-plus/es/components/switch/style/css'
import { ref, shallowRef } from 'vue'
import { askToKeep } from '../data/persistence'
import { exportArchive, finishImport, prepareImport, type PreparedImport } from '../data/archives'
import { isDemo } from '../data/db'
import { reloadDemo } from '../data/demo'
import BigTarget from '../shell/BigTarget.vue'
import ChoiceRow from '../shell/ChoiceRow.vue'
import { useKeyRows } from '../shell/keys.store'
import { useMarginNotes } from '../shell/margin.store'
import { useNotice } from '../shell/notice.store'
import { saveFile } from '../shell/saveFile'
import { usePreferences } from '../shell/preferences.store'
import { speak } from '../shell/voice'
import ImportReport from './ImportReport.vue'

const [preferences, notice] = [usePreferences(), useNotice()]
const file = ref<HTMLInputElement | null>(null)
const doing = ref('')
// Shallow: what was read is stored as it is, and a reactive wrapping could not be.
const prepared = shallowRef<PreparedImport | null>(null)

/** Does one long thing at a time and says what went wrong. */
async function busy(what: string, work: () => Promise<void>): Promise<void> {
  if (doing.value) return
  doing.value = what
  try {
    await work()
  } catch (error) {
    notice.refuse(error, what)
  } finally {
    doing.value = ''
  }
}
const out = () =>
  busy('Writing the archive…', async () => {
    const archive = await exportArchive()
    saveFile(archive.file, archive.name)
    notice.say(`Written: ${archive.name}.`)
  })
const take = (event: Event) =>
  busy('Reading the archive…', async () => {
    const input = event.target as HTMLInputElement
    const chosen = input.files?.[0]
    input.value = ''
    prepared.value = null
    if (chosen) prepared.value = await prepareImport(chosen)
  })
const finish = (takeTheirs: ReadonlySet<string>) =>
  busy('Importing…', async () => {
    if (!prepared.value) return
    await finishImport(prepared.value, takeTheirs)
    prepared.value = null
    notice.say('Imported.')
  })
const again = () =>
  busy('Setting up the demo…', async () => {
    await reloadDemo()
    notice.say('The demo starts afresh, with its clocks running from now.')
  })

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
      (await askToKeep())
        ? 'The browser has promised to keep this workroom.'
        : 'The browser makes no promise. Export now and then.',
    )
  })

useKeyRows('Workroom', () => [
  { key: 'e', name: 'Export everything', run: () => void out() },
  { key: 'i', name: 'Import an archive', run: () => file.value?.click() },
])
useMarginNotes(() => [
  {
    title: 'The archive',
    lines: [
      'One ZIP with every record as JSON and every picture as it was added. Any ZIP tool opens it; its format is documented in docs/formats.md.',
      'Importing never overwrites: what differs is shown, and what is here stays unless you say otherwise.',
    ],
  },
  {
    title: 'Where it all lives',
    lines: [
      'In this browser, on this machine. Nothing is sent anywhere. An export now and then is the safe copy.',
    ],
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
      <h1>What goes out, what comes in, and how it is shown</h1>
    </header>

    <section>
      <h2>Archive</h2>
      <div class="WorkroomPage-acts">
        <BigTarget label="Export everything" hint="e" :disabled="doing !== ''" @press="out" />
        <BigTarget quiet label="Import an archive" hint="i" :disabled="doing !== ''" @press="file?.click()" />
        <BigTarget
          v-if="isDemo"
          quiet
          label="Start the demo afresh"
          :disabled="doing !== ''"
          @press="again"
        />
        <BigTarget v-else quiet label="Ask the browser to keep it" :disabled="doing !== ''" @press="keep" />
        <input
          ref="file"
          class="es-unseen"
          type="file"
          accept=".zip,application/zip"
          tabindex="-1"
          aria-label="Archive file"
          @change="take"
        />
      </div>
      <p role="status" class="es-quiet">{{ doing }}</p>
      <ImportReport v-if="prepared" :plan="prepared.plan" @finish="finish" @close="prepared = null" />
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
