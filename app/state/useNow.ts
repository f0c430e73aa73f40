import { defineStore } from 'pinia'
import { ref } from 'vue'
import { timeNow } from '../storage/time'
import { askWorker } from '../workers/call'
import { startWorker } from '../workers/start'

/**
 * The present moment, as a reason to redraw; never added up. The beat comes from a worker, since browsers slow the
 * timers of a page that is out of sight but not those of its workers.
 */
export const useNow = defineStore('now', () => {
  const now = ref(timeNow())
  let lastBeat = 0
  const read = () => {
    now.value = timeNow()
  }
  const heard = () => {
    lastBeat = performance.now()
    read()
  }
  askWorker(startWorker.beat(), null, { heard }).catch(() => undefined)
  // Until the worker is up, and should it never come up, the page's own timer serves; both at once would draw twice.
  setInterval(() => performance.now() - lastBeat > 600 && read(), 250)
  document.addEventListener('visibilitychange', read)
  return { now }
})
