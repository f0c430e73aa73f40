import { watch } from 'vue'

/** Keeps the screen awake while `isNeeded` says so; asked for again whenever the page comes back into sight. */
export function useWakeLock(isNeeded: () => boolean): void {
  let lock: WakeLockSentinel | null = null

  async function hold(): Promise<void> {
    if (!('wakeLock' in navigator) || document.visibilityState !== 'visible') return
    try {
      lock ??= await navigator.wakeLock.request('screen')
      lock.addEventListener('release', () => {
        lock = null
      })
    } catch {
      lock = null // A low battery or a setting of the system forbids it; the clocks run on regardless.
    }
  }
  const renew = () => (isNeeded() ? hold() : lock?.release())

  watch(isNeeded, renew, { immediate: true })
  document.addEventListener('visibilitychange', renew)
}
