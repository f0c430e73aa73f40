import { ref } from 'vue'
import { clearWorkroom, prepareImport } from '../workers/archives'
import { db } from '../storage/db'
import { isDemo } from '../storage/whichWorkroom'
import { standingsOf } from '../storage/runStates'

/** Where the server writes the demo scenario afresh, relative to the present moment, as an ordinary archive. */
const DEMO_ARCHIVE = '/demo/workroom.zip'

/** While the demo is being laid out there is nothing to show yet, and an empty workroom would be a lie. */
export const isLayingOut = ref(isDemo)

async function load(): Promise<void> {
  const answer = await fetch(DEMO_ARCHIVE)
  if (!answer.ok) throw new Error(`the server replied ${answer.status} to the request for the demo`)
  const prepared = await prepareImport(await answer.blob())
  await prepared.finish(new Set())
}

/** Fills the demo workroom the first time it is opened; one's own workroom is another one and stays untouched. */
export async function loadDemoOnce(): Promise<void> {
  if (!isDemo) return
  // Two windows opened at once must not both load it.
  const loadIfEmpty = async () => {
    if ((await db.sheets.count()) === 0) await load()
  }
  try {
    await ('locks' in navigator ? navigator.locks.request('ember-sheet-demo', loadIfEmpty) : loadIfEmpty())
  } finally {
    isLayingOut.value = false
  }
}

/** A demo whose newest moment lies further back than this has all its clocks run out. */
const STALE_MS = 12 * 3_600_000

/** Whether the demo was laid out so long ago that nothing in it is under way any more. */
export async function isDemoStale(): Promise<boolean> {
  if (!isDemo) return false
  let latest: number | null = null
  for await (const piece of standingsOf(db).pieces())
    for (const [, { lastAt }] of piece) latest = Math.max(latest ?? 0, lastAt)
  return latest !== null && Date.now() - latest > STALE_MS
}

/** Sets the demo up afresh, with its clocks running from now. */
export async function reloadDemo(): Promise<void> {
  await clearWorkroom()
  await load()
}
