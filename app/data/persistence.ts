import { defineStore } from 'pinia'
import { ref } from 'vue'
import { CoreError } from '@core/errors'
import { db } from './db'
import { storageFault } from './storageFaults'
import { STORAGE_VERSION } from './workroomDb'

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
    // Another window wants a newer shape of the records: it may have them, and this one stops writing.
    db.on('versionchange', () => {
      isOutdated.value = true
      db.close()
      return false
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
      }
    } catch (error) {
      const known = storageFault(error)
      if (known?.code === 'old-version') {
        isOutdated.value = true
        throw known
      }
      throw new CoreError({
        code: 'no-storage',
        field: 'storage',
        problem: `This browser does not let Ember Sheet keep anything (${error instanceof Error ? error.name : 'unknown reason'}).`,
        remedy:
          'Leave private browsing, free some disk space, or allow storage for this address; then reload.',
      })
    }
  }
  return { isPromised, used, quota, isOutdated, isHeldUp, isNearlyFull, look, askToKeep, open }
})
