import Dexie from 'dexie'
import { ref } from 'vue'
import { db } from './db'

const KEY = 'ember-sheet-changed-at'

const stored = () => {
  try {
    return Number(localStorage.getItem(KEY) ?? 0)
  } catch {
    return 0
  }
}

/** When anything that a backup has was last changed, in whichever window; 0 where that is not known. */
export const changedAt = ref(stored())

/** Tables that no backup has. */
const OWN = new Set(['device', 'traces', 'standingBundles'])

/** Follows every write to the workroom. */
export function followChanges(): void {
  const ours = `idb://${db.name}/`
  Dexie.on('storagemutated', (parts) => {
    const isChanged = Object.keys(parts).some(
      (part) => part.startsWith(ours) && !OWN.has(part.slice(ours.length).split('/')[0] ?? ''),
    )
    if (!isChanged) return
    changedAt.value = Date.now()
    try {
      localStorage.setItem(KEY, String(changedAt.value))
    } catch {
      // Then the next start takes the workroom for unchanged, until something is written.
    }
  })
}
