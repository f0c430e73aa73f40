import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { exportArchive } from '../data/archives'
import { isDemo } from '../data/db'
import { useNow } from '../data/useNow'
import { useWorkroom } from '../data/workroom.store'
import { useNotice } from '../shell/notice.store'
import { usePreferences } from '../shell/preferences.store'
import { saveFile } from '../shell/saveFile'
import { writtenSaid } from './backupWords'

const DAY_MS = 86_400_000

/** The safe copy: when it was last made, when it is due, and one press that makes it. */
export const useBackup = defineStore('backup', () => {
  const [preferences, workroom, now, notice] = [usePreferences(), useWorkroom(), useNow(), useNotice()]
  const share = ref<number | null>(null)
  let stopper: AbortController | null = null

  const days = computed(() => {
    const { backedUpAt } = preferences.chosen
    return backedUpAt ? Math.floor((now.now - backedUpAt) / DAY_MS) : null
  })
  /** Due once there is something to lose: never exported with five sheets, or longer ago than was asked for. */
  const isDue = computed(() => {
    const { remindDays } = preferences.chosen
    if (isDemo || !remindDays) return false
    return days.value === null
      ? workroom.sheets.length >= 5
      : days.value >= remindDays && workroom.sheets.length > 0
  })
  const isBusy = computed(() => share.value !== null)

  async function backUp(): Promise<void> {
    if (isBusy.value) return
    share.value = 0
    stopper = new AbortController()
    try {
      const written = await exportArchive((done) => (share.value = done), stopper.signal)
      for (const { file, name } of written.files) saveFile(file, name)
      preferences.chosen.backedUpAt = Date.now()
      notice.say(writtenSaid(written))
    } catch (error) {
      notice.refuse(error, 'writing the archive')
    } finally {
      share.value = null
    }
  }
  const stop = () => stopper?.abort()
  /** Later is another three days. */
  const putOff = () => {
    preferences.chosen.backedUpAt = Date.now() - Math.max(0, preferences.chosen.remindDays - 3) * DAY_MS
  }
  return { days, isDue, isBusy, share, backUp, stop, putOff }
})
