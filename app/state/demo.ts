import { reactive } from 'vue'
import { clearWorkroom, prepareImport } from '../workers/archives'
import { db } from '../storage/db'
import { isDemo } from '../storage/whichWorkroom'
import { runStatesOf } from '../storage/runStates'

/** Where the server writes the demo scenario, relative to the present moment, as an ordinary archive. */
const DEMO_ARCHIVE = '/demo/workroom.zip'

/**
 * While the demo is being set up there is nothing to show yet, and an empty workroom would be wrong.
 * `share` is how much of it is done, from 0 to 1.
 */
export const loading = reactive({ isOn: isDemo, share: 0, doing: '' })

/** Parts of the time that fetching, reading and writing take. */
const [FETCHED, READ] = [0.15, 0.55]

async function load(): Promise<void> {
  const show = (from: number, to: number, doing: string) => (share: number) =>
    Object.assign(loading, { share: from + (to - from) * share, doing })
  show(0, 0, 'Drawing the prints of the past month')(0)
  const answer = await fetch(DEMO_ARCHIVE)
  if (!answer.ok) throw new Error(`the server replied ${answer.status} to the request for the demo`)
  const prepared = await prepareImport(
    await answer.blob(),
    show(FETCHED, READ, 'Reading records and pictures'),
  )
  await prepared.finish(new Set(), show(READ, 1, 'Saving them in this browser'))
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
    loading.isOn = false
  }
}

/** A demo whose last recorded moment is older than this has all its clocks far past their time. */
const STALE_MS = 2 * 3_600_000

/** Whether the demo was left for so long that its clocks show nothing useful. */
export async function isDemoStale(): Promise<boolean> {
  if (!isDemo) return false
  let latest: number | null = null
  for await (const piece of runStatesOf(db).pieces())
    for (const [, { lastAt }] of piece) latest = Math.max(latest ?? 0, lastAt)
  return latest !== null && Date.now() - latest > STALE_MS
}

/** Sets the demo up again, with its clocks running from now. */
export async function reloadDemo(): Promise<void> {
  await clearWorkroom()
  await load()
}
