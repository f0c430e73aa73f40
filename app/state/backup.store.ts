import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { refusalOf } from '@core/errors'
import { backUpIntoFolder, exportArchive, tryRestore } from '../workers/archives'
import { changedAt, followChanges } from '../storage/changes'
import { db } from '../storage/db'
import { isDemo } from '../storage/whichWorkroom'
import { useNow } from './useNow'
import { useWorkroom } from './workroom.store'
import { useNotice } from './notice.store'
import { usePreferences } from './preferences.store'
import { saveFile } from './saveFile'
import type { TrialReport } from '../workers/backupFolder'
import { isBackupDue, isBackupOld, isTrialDue } from './backupDue'
import { counted, folderSaid, trialFault, writtenSaid } from './backupWords'

const DAY_MS = 86_400_000
const MINUTE_MS = 60_000
const PERMISSION = { mode: 'readwrite' } as const

/** What is remembered of a folder of backups. */
interface FolderState {
  handle: FileSystemDirectoryHandle
  /** When the last backup was read back; 0 for never. */
  at: number
  /** Why the last try failed; empty where it did not. */
  problem: string
  failedAt: number
  /** When a restore was last tried, and what was wrong. */
  triedAt: number
  trialProblem: string
}

/** Backups: into a folder by themselves, or as downloads; how old the last one is, and whether it failed. */
export const useBackup = defineStore('backup', () => {
  const [preferences, workroom, now, notice] = [usePreferences(), useWorkroom(), useNow(), useNotice()]
  const share = ref<number | null>(null)
  const isBusy = computed(() => share.value !== null)
  const isClockRunning = ref(false)
  /** Whether this browser can write into a folder that the user chooses. */
  const canUseFolders = 'showDirectoryPicker' in window
  const folder = shallowRef<FolderState | null>(null)
  const isAllowed = ref(false)
  let stopper: AbortController | null = null

  const hasRecords = computed(() => workroom.everySheet.length + workroom.bottles.length > 0)
  const backedUpAt = computed(() => Math.max(folder.value?.at ?? 0, preferences.chosen.backedUpAt))
  const days = computed(() => (backedUpAt.value ? Math.floor((now.now - backedUpAt.value) / DAY_MS) : null))
  const moments = computed(() => ({
    changedAt: changedAt.value,
    backedUpAt: folder.value ? folder.value.at : backedUpAt.value,
    now: Math.floor(now.now / MINUTE_MS) * MINUTE_MS,
    isClockRunning: isClockRunning.value,
  }))
  const isOld = computed(
    () => !isDemo && hasRecords.value && (Boolean(folder.value?.problem) || isBackupOld(moments.value)),
  )
  /** Asks for a folder, once there is something to lose and where the browser can write into one. */
  const asksForFolder = computed(() => {
    const { remindDays, askedAt } = preferences.chosen
    if (!canUseFolders || isDemo || folder.value || !hasRecords.value || !remindDays) return false
    return now.now > askedAt && (days.value === null || days.value >= remindDays)
  })
  /** Reminds of a download, where there is no folder to write into. */
  const isDue = computed(() => {
    const { remindDays, askedAt } = preferences.chosen
    if (isDemo || !remindDays || folder.value || canUseFolders || now.now <= askedAt) return false
    return days.value === null ? workroom.sheets.length >= 5 : days.value >= remindDays && hasRecords.value
  })

  async function remember(state: FolderState | null): Promise<void> {
    folder.value = state
    if (state) await db.device.put({ id: 'backupFolder', value: state })
    else await db.device.delete('backupFolder')
  }
  async function load(): Promise<void> {
    folder.value = ((await db.device.get('backupFolder'))?.value as FolderState | undefined) ?? null
    isAllowed.value = (await folder.value?.handle.queryPermission(PERMISSION)) === 'granted'
  }

  /** Lets the user choose a folder. @returns `null` where it was not chosen. */
  async function pick(): Promise<FileSystemDirectoryHandle | null> {
    try {
      return await window.showDirectoryPicker({ id: 'ember-sheet-backup', ...PERMISSION })
    } catch (error) {
      if (error instanceof DOMException && error.name === 'AbortError') return null
      throw error
    }
  }
  async function use(handle: FileSystemDirectoryHandle): Promise<void> {
    isAllowed.value = true
    await remember({ handle, at: 0, problem: '', failedAt: 0, triedAt: 0, trialProblem: '' })
  }
  async function choose(): Promise<void> {
    try {
      const handle = await pick()
      if (!handle) return
      await use(handle)
      await backUp()
    } catch (error) {
      notice.refuse(error, 'the backup folder')
    }
  }
  const leaveFolder = () =>
    remember(null).catch((error: unknown) => notice.refuse(error, 'the backup folder'))

  /** Backs up: into the folder where there is one, else as a download. To be called from a press. */
  async function backUp(): Promise<void> {
    const state = folder.value
    if (!state) return download()
    isAllowed.value = (await state.handle.requestPermission(PERMISSION)) === 'granted'
    if (isAllowed.value) await intoFolder(state, true)
    else
      await remember({
        ...state,
        failedAt: Date.now(),
        problem: 'The browser has no permission to write into the folder.',
      })
  }

  async function intoFolder(state: FolderState, isAsked: boolean): Promise<void> {
    await busy(async (progress, signal) => {
      // What is written meanwhile may not be in it.
      const at = Date.now()
      let next = state
      try {
        const backup = await backUpIntoFolder(state.handle, progress, signal)
        next = { ...state, at, problem: '', failedAt: 0 }
        await remember(next)
        if (isAsked || backup.repaired.length) notice.say(folderSaid(backup, state.handle.name))
        if (isTrialDue(next.triedAt, Date.now())) await tryIt(next)
      } catch (error) {
        if (signal.aborted) throw error
        await remember({ ...next, failedAt: Date.now(), problem: refusalOf(error, 'backup').problem })
        if (isAsked) throw error
      }
    })
  }
  /** Tries to restore from the folder, as it does itself once a month. */
  async function tryIt(state: FolderState): Promise<TrialReport> {
    const report = await tryRestore(state.handle)
    await remember({ ...state, triedAt: Date.now(), trialProblem: trialFault(report) })
    return report
  }
  const tryNow = () =>
    busy(async () => {
      if (!folder.value) return
      const report = await tryIt(folder.value)
      const fault = trialFault(report)
      notice.say(
        fault ||
          `Test restore from ${report.name}. Complete: ${counted(report.sheets, 'sheet', 'sheets')}, ${counted(report.pictures, 'picture', 'pictures')}.`,
      )
    })

  const download = () =>
    busy(async (progress, signal) => {
      const written = await exportArchive(progress, signal)
      for (const { file, name } of written.files) saveFile(file, name)
      preferences.chosen.backedUpAt = Date.now()
      notice.say(writtenSaid(written))
    })

  async function busy(
    work: (progress: (done: number) => void, signal: AbortSignal) => Promise<void>,
  ): Promise<void> {
    if (isBusy.value) return
    share.value = 0
    stopper = new AbortController()
    try {
      await work((done) => (share.value = done), stopper.signal)
    } catch (error) {
      notice.refuse(error, 'the backup')
    } finally {
      share.value = null
    }
  }
  const stop = () => stopper?.abort()
  /** Later is another three days. */
  function putOff(): void {
    preferences.chosen.askedAt = Date.now() + 3 * DAY_MS
  }

  /** Follows the work of the day, and backs up when it has ended. */
  async function start(): Promise<void> {
    if (isDemo) return
    followChanges()
    await load()
    watch(
      [
        () => isBackupDue({ ...moments.value, failedAt: folder.value?.failedAt ?? 0, isBusy: isBusy.value }),
        isAllowed,
      ],
      ([isDueNow, may]) => {
        const state = folder.value
        if (!isDueNow || !may || !state) return
        // Of several windows one does it.
        void navigator.locks.request('ember-sheet-backup', { ifAvailable: true }, async (lock) => {
          if (lock) await intoFolder(state, false)
        })
      },
      { immediate: true },
    )
  }
  return {
    folder,
    isAllowed,
    canUseFolders,
    asksForFolder,
    hasRecords,
    backedUpAt,
    days,
    isOld,
    isDue,
    isBusy,
    isClockRunning,
    share,
    start,
    pick,
    use,
    choose,
    leaveFolder,
    backUp,
    download,
    tryNow,
    stop,
    putOff,
  }
})
