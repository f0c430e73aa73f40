import { defineStore } from 'pinia'
import { ref, watch } from 'vue'
import { z } from 'zod'

const Said = z.enum(['unknown', 'no', 'yes']).catch('unknown')
const Preferences = z.object({
  palette: z.enum(['daylight', 'dim']).catch('daylight'),
  length: z.enum(['in', 'cm', 'mm']).catch('in'),
  sound: z.boolean().catch(true),
  speech: z.boolean().catch(false),
  notify: z.boolean().catch(false),
  /** Whether notifications were offered at an exposure, which is done once. */
  notifyAsked: z.boolean().catch(false),
  /** Whether the margin with its notes is open. */
  notes: z.boolean().catch(true),
  /** A tick whenever a tray wants rocking. */
  rocking: z.boolean().catch(false),
  /** When the workroom was last exported from this device, and after how many days one is reminded; 0 for never. */
  backedUpAt: z.number().min(0).catch(0),
  /** Until when one is not asked for a backup folder. */
  askedAt: z.number().min(0).catch(0),
  remindDays: z.number().min(0).max(365).catch(14),
  /** Tap water of the room: above pH 7.5, hard, and whether chlorine is in it. */
  water: z
    .object({ alkaline: Said, hard: Said, chlorine: Said })
    .catch({ alkaline: 'unknown', hard: 'unknown', chlorine: 'unknown' }),
  /** Colour of all the ink on a film, the one that blocks the most ultraviolet. */
  inkColour: z
    .string()
    .regex(/^#[0-9a-f]{6}$/)
    .catch('#000000'),
  dropsPerMillilitre: z.number().gt(0).max(200).catch(20),
})
export type Preferences = z.infer<typeof Preferences>

const KEY = 'ember-sheet-preferences'

/** Choices of this device: palette, units, voice. They stay on it and are no part of the archive. */
export const usePreferences = defineStore('preferences', () => {
  const chosen = ref(load())

  watch(
    chosen,
    (preferences) => {
      document.documentElement.dataset.palette = preferences.palette
      save(preferences)
    },
    { deep: true, immediate: true },
  )
  // Another window of the same workroom follows at once.
  window.addEventListener('storage', (event) => {
    if (event.key === KEY) chosen.value = load()
  })

  const switchPalette = () => {
    chosen.value.palette = chosen.value.palette === 'dim' ? 'daylight' : 'dim'
  }
  return { chosen, switchPalette }
})

function load(): Preferences {
  try {
    return Preferences.parse(JSON.parse(localStorage.getItem(KEY) ?? '{}'))
  } catch {
    return Preferences.parse({})
  }
}

function save(preferences: Preferences): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(preferences))
  } catch {
    // A browser that keeps nothing still works for this visit.
  }
}
