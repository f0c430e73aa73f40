import { defineStore } from 'pinia'
import { ref } from 'vue'
import { CoreError } from '@core/errors'
import { liveQuery } from 'dexie'
import { db } from '../storage/db'
import { isDemo } from '../storage/whichWorkroom'
import { rememberSheets, renewStorageLog, sheetsLost, watchStorage } from '../storage/storageLog'
import { storageFault } from '../storage/storageFaults'
import { STORAGE_VERSION } from '../storage/workroomDb'

/** Version of the storage that this code brings, as the browser counts it: ten to each of the storage library's. */
const OWN_VERSION = 10 * STORAGE_VERSION

/** Above this share of what the browser gives, one is told. */
const NEARLY_FULL = 0.85

/** How the browser keeps the workroom: whether it promised to, how much room there is, whether this window is too old. */
export const useStorage = defineStore('storage', () => {
  const isPromised = ref<boolean | null>(null)
  const used = ref<number | null>(null)
  const quota = ref<number | null>(null)
  /** A newer Ember Sheet has opened the workroom elsewhere; nothing can be written from here any more. */
  const isOutdated = ref(false)
  /** The workroom's storage was deleted while it was open here, as by clearing the data of this site. */
  const isDeleted = ref(false)
  let watching: Awaited<ReturnType<typeof watchStorage>> | null = null
  /** An older Ember Sheet in another window keeps the workroom from being brought up to date. */
  const isHeldUp = ref(false)

  async function look(): Promise<void> {
    if (!('storage' in navigator)) return
    isPromised.value = (await navigator.storage.persisted?.()) ?? null
    const estimate = await navigator.storage.estimate?.()
    used.value = estimate?.usage ?? null
    quota.value = estimate?.quota ?? null
  }
  const isNearlyFull = () =>
    used.value !== null && quota.value !== null && quota.value > 0 && used.value / quota.value > NEARLY_FULL

  /** Asks the browser not to clear the workroom when the disk runs short. It may say no; exports remain the safe copy. */
  async function askToKeep(): Promise<boolean> {
    if (!('storage' in navigator) || !navigator.storage.persist) return false
    isPromised.value = (await navigator.storage.persisted()) || (await navigator.storage.persist())
    return isPromised.value
  }

  /**
   * Opens the workroom's storage.
   *
   * @throws CoreError `no-storage` when the browser denies it, as private windows and full disks may; `old-version`.
   */
  async function open(): Promise<void> {
    // Another window wants a newer shape of the records, or none at all: it may have them, and this one stops writing.
    db.on('versionchange', ({ newVersion }) => {
      if (newVersion === null) isDeleted.value = true
      else isOutdated.value = true
      db.close()
      return false
    })
    // The browser closes the storage when it cannot write. Opening it again while the disk is full could harm it more.
    db.on('close', (event) => {
      // The storage library says so too where it closes the storage of its own accord.
      if (event instanceof CustomEvent) return
      watching?.fault()
      db.close({ disableAutoOpen: true })
    })
    db.on('blocked', () => {
      isHeldUp.value = true
    })
    try {
      await db.open()
      isHeldUp.value = false
      // The storage library opens what a newer Ember Sheet has left; writing into it would spoil what this one does not know.
      if (db.backendDB().version > OWN_VERSION) {
        isOutdated.value = true
        db.close()
        return
      }
      watching = await watchStorage(db)
      if (!isDemo) await followSheets()
    } catch (error) {
      const known = storageFault(error)
      if (known?.code === 'old-version') {
        isOutdated.value = true
        throw known
      }
      if (known?.code === 'disk-full') throw known
      throw new CoreError({
        code: 'no-storage',
        field: 'storage',
        problem: `This browser does not let Ember Sheet store anything (${error instanceof Error ? error.name : 'unknown reason'}).`,
        remedy: 'Leave private browsing, free some disk space, or allow storage for this site. Then reload.',
      })
    }
  }
  /** Sheets that were here when the workroom was last used, and are gone without anyone having removed them. */
  const lostSheets = ref(0)
  async function followSheets(): Promise<void> {
    lostSheets.value = await sheetsLost(db)
    liveQuery(() => db.sheets.count()).subscribe((count) => {
      if (lostSheets.value && !count) return
      lostSheets.value = 0
      rememberSheets(count)
    })
  }
  function forgetLost(): void {
    lostSheets.value = 0
    rememberSheets(0)
  }
  /** Renews the log of the storage, after a full disk. */
  async function renew(): Promise<void> {
    await renewStorageLog(db)
    watching?.seenTo()
  }
  return {
    renew,
    lostSheets,
    forgetLost,
    isDeleted,
    isPromised,
    used,
    quota,
    isOutdated,
    isHeldUp,
    isNearlyFull,
    look,
    askToKeep,
    open,
  }
})
