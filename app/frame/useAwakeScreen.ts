import { useWakeLock } from '@vueuse/core'
import { watch } from 'vue'

/** A low battery or a setting of the system may forbid it; the clocks run on regardless, so nothing is said of it. */
const quiet =
  'wakeLock' in navigator
    ? { wakeLock: { request: (type: 'screen') => navigator.wakeLock.request(type).catch(() => null) } }
    : {}

/** Keeps the screen awake while `isNeeded` says so; asked for again whenever the page comes back into sight. */
export function useAwakeScreen(isNeeded: () => boolean): void {
  const lock = useWakeLock({ navigator: quiet as unknown as Navigator })
  watch(isNeeded, (needed) => void (needed ? lock.request('screen') : lock.release()), { immediate: true })
}
