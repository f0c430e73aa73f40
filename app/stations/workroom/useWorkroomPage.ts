import { askToNotify } from '../../state/notifications'
import { texts } from './words'
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import { logCsv, printsCsv } from '@core/archive/tables'
import { allLogs } from '../../state/queries'
import { reloadDemo } from '../../state/demo'
import type { Progress } from '../../storage/holdings'
import { useStorage } from '../../state/persistence'
import { useWorkroom } from '../../state/workroom.store'
import { useRoomRecords } from '../../state/useRoomRecords'
import { useKeyRows } from '../../state/keys.store'
import { useMarginNotes } from '../../state/margin.store'
import { useNotice } from '../../state/notice.store'
import { saveFile } from '../../state/saveFile'
import { usePreferences } from '../../state/preferences.store'
import { speak } from '../../state/voice'
import { useBackup } from '../../state/backup.store'
import type RestorePart from './parts/RestorePart.vue'

/** Backup, stored data, tables and settings: one long thing at a time, with progress and a stop. */
export function useWorkroomPage() {
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
      notice.say('Demo restarted.')
    })
  /** Two tables for a spreadsheet: the prints, and every line of their threads. */
  const tables = () =>
    busy('Writing the tables…', async () => {
      const records = [...workroom.sheets].reverse().flatMap((one) => recordOf(one.sheet.id) ?? [])
      const { logs, lost } = await allLogs()
      if (lost > 0) notice.say(texts.logsNotRead({ logs: lost }))
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
      : `${spaceSaid(storage.used)} used of ${spaceSaid(storage.quota)} available in this browser.`,
  )

  async function notify(isOn: boolean): Promise<void> {
    if (!isOn) preferences.chosen.notify = false
    else if (!(await askToNotify())) notice.say(texts.thisBrowserBlocksNotificationsHere)
  }
  const speakNow = (isOn: boolean) => {
    if (isOn) speak('Spoken cues are on.')
  }
  const keep = () =>
    busy('Asking the browser…', async () => {
      notice.say(
        (await storage.askToKeep())
          ? texts.browserHasPromisedKeepYour
          : texts.browserRefusedChooseBackupFolder,
      )
    })

  useKeyRows('Workroom', () => [
    { key: 'e', name: 'Back up now', run: () => void backup.backUp() },
    { key: 'i', name: 'Import an archive', run: () => restoring.value?.choose() },
  ])
  useMarginNotes(() => [
    {
      title: 'Backups',
      lines: [texts.backupZipFileWithAll, texts.restoreNeverOverwritesYourData],
    },
    {
      title: 'Where your data is',
      lines: [texts.inThisBrowserOnThis],
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
  const SAID = [
    { id: 'unknown', name: 'Not known' },
    { id: 'no', name: 'No' },
    { id: 'yes', name: 'Yes' },
  ]
  return {
    preferences,
    storage,
    busy,
    stop,
    said,
    shown,
    again,
    tables,
    room,
    notify,
    speakNow,
    keep,
    PALETTES,
    LENGTHS,
    SAID,
  }
}
