import { defineStore } from 'pinia'
import { ref } from 'vue'

/** A newer Ember Sheet that has come in and waits to be taken: never by itself, never while a clock runs. */
export const useUpdate = defineStore('update', () => {
  const isWaiting = ref(false)
  let take: (() => Promise<void>) | null = null

  /** Lets the browser keep the application, so that it opens without any server. */
  async function keepOffline(): Promise<void> {
    if (!('serviceWorker' in navigator) || import.meta.env.DEV) return
    const { registerSW } = await import('virtual:pwa-register')
    const update = registerSW({
      onNeedRefresh: () => {
        isWaiting.value = true
      },
    })
    take = () => update(true)
  }
  const takeIt = () => take?.()
  return { isWaiting, keepOffline, takeIt }
})
