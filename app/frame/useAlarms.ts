import { watch } from 'vue'
import { ledgeOf, ringsDue, type ClockReading } from '@core/run/deadlines'
import { sharedClocks } from '@core/run/rowClocks'
import { stepInHand } from '@core/run/runState'
import { nextRocking } from '@core/run/timing'
import { useNow } from '../state/useNow'
import { useWorkroom } from '../state/workroom.store'
import { useLights } from '../state/lights.store'
import { stripState } from '@core/light/stripProgress'
import { endWords, stillExposing } from '../words/clockWords'
import { usePreferences } from '../state/preferences.store'
import { chime, speak, tick } from '../state/voice'

/** A clock that ran out this long ago was answered or forgotten in an earlier visit: it is shown, not sounded. */
const STALE_MS = 3_600_000
/** A cue this long past was said or missed before; the page shows it. */
const STALE_CUE_SECONDS = 5

/** Makes the end of every clock heard, and notified where the user allows it. Being seen is the ledge's work. */
export function useAlarms(): void {
  const [workroom, now, preferences, lights] = [useWorkroom(), useNow(), usePreferences(), useLights()]
  const rung = new Set<string>()
  const isVoice = claimVoice()

  watch(
    () => now.now,
    (moment) => {
      sayCues(moment)
      tickTrays(moment)
      const clocks = sharedClocks(ledgeOf(workroom.states, moment, lights.courseOf), workroom.ofClock)
      for (const { clock, sheetIds } of clocks) {
        // A dose comes sooner or later as the light goes, and rings once all the same.
        const end = clock.by === 'steady' ? clock.dueAt : clock.targetSeconds
        if (clock.dueAt === null || clock.dueAt > moment) continue
        // What spoils by waiting is heard again until the step is finished or held; the rest is heard once.
        const times = clock.kind === 'toEnd' ? ringsDue((moment - clock.dueAt) / 1000) : 1
        const clockKey = `${clock.sheetId}/${clock.stepId}/${clock.kind}/${end}`
        const key = `${clockKey}/${times}`
        if (rung.has(key)) continue
        // What was missed while the page slept is said once, as the end that it is.
        const isAgain = rung.has(clockKey)
        rung.add(clockKey).add(key)
        if (moment - clock.dueAt < STALE_MS && isVoice()) ring(clock, sheetIds, times, isAgain)
      }
    },
  )

  /** A strip's card is moved by hand, wherever the page is: its cues are said like the end of a clock. */
  function sayCues(moment: number): void {
    for (const one of workroom.open.filter(({ sheet }) => sheet.strip)) {
      const strip = stripState(one, lights.courseOf(one.state), lights.samplesOf(one.sheet.id), moment)
      const cue = strip?.last
      if (!strip?.isRunning || !cue) continue
      const key = `${one.sheet.id}/${cue.atSeconds}`
      if (rung.has(key)) continue
      rung.add(key)
      if (strip.counted - cue.atSeconds > STALE_CUE_SECONDS || !isVoice()) continue
      chime()
      speak(cue.words)
    }
  }

  /** Every tray keeps its own beat from when its print went in. */
  function tickTrays(moment: number): void {
    if (!preferences.chosen.rocking) return
    for (const state of workroom.states) {
      const step = stepInHand(state)
      const next = step && nextRocking(step, moment)
      if (!step?.planned.rockSeconds || !next) continue
      const last = next - step.planned.rockSeconds * 1000
      const key = `${state.sheetId}/${step.planned.id}/rock/${last}`
      if (last <= (step.startedAt ?? 0) || rung.has(key)) continue
      rung.add(key)
      if (moment - last < STALE_CUE_SECONDS * 1000 && isVoice()) tick()
    }
  }

  function ring(clock: ClockReading, sheetIds: string[], times: number, isAgain: boolean): void {
    const found = workroom.work(clock.sheetId)
    if (!found) return
    const words = `${workroom.nameOf(sheetIds)}: ${isAgain ? stillExposing(clock) : endWords(found.definition, clock)}`
    chime(times)
    speak(words)
    if (preferences.chosen.notify && 'Notification' in window && Notification.permission === 'granted')
      new Notification(words, { tag: clock.sheetId, body: found.title })
  }
}

/** Of several windows one speaks. Where the browser has no locks, each does: twice is better than never. */
function claimVoice(): () => boolean {
  if (!('locks' in navigator)) return () => true
  let mine = false
  void navigator.locks.request('ember-sheet-voice', () => {
    mine = true
    return new Promise(() => {}) // held until this window closes
  })
  return () => mine
}
