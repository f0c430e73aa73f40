import type { ThreadStretch } from '@core/run/thread'
import type { PlaceName } from '@core/schema/definition'

/** One sheet's thread before it is laid out. */
export interface DayThread {
  sheetId: string
  number: number
  mark: string
  stretches: ThreadStretch[]
}

export interface DrawnStretch {
  stepId: string
  /** Step of the plan that may be moved, with the moment at which it begins. */
  planId: string | null
  from: number
  x: number
  y1: number
  y2: number
  manner: ThreadStretch['manner']
  ahead: boolean
  label: string | null
}

export interface DrawnThread {
  sheetId: string
  number: number
  mark: string
  /** Where the round mark with the number sits. */
  head: { x: number; y: number }
  stretches: DrawnStretch[]
  /** Curves from one place to the next. */
  joins: { path: string; ahead: boolean }[]
}

/** A stretch of the hands, drawn beside the threads. */
export interface DrawnHands {
  y1: number
  y2: number
  mark: string
}

export interface DayLayout {
  /** How long one pixel of the page is, in milliseconds. */
  millisecondsPerPixel: number
  hands: DrawnHands[]
  /** Where the column of the hands stands. */
  handsX: number
  columns: { place: PlaceName; title: string; x: number }[]
  hours: { y: number; at: number }[]
  nowY: number
  threads: DrawnThread[]
}

const COLUMNS: readonly { place: PlaceName; title: string }[] = [
  { place: 'bench', title: 'Bench' },
  { place: 'dark', title: 'Dark drawer' },
  { place: 'light', title: 'Light' },
  { place: 'water', title: 'Water' },
  { place: 'line', title: 'Line' },
]

const TOP = 40
const LEFT = 70
/** Width of the column of the hands, where a plan tells them. */
const HANDS_WIDTH = 44
const LANE = 27
/** The page shows about an hour and a quarter either side of the present: what the hands are busy with. */
const SPAN_MS = 75 * 60_000
const HEAD = 13
/** About the width of a letter of the labels. */
const LETTER = 7.4
/** A plan is shown for as long ahead as this. */
const MOST_AHEAD_MS = 8 * 3_600_000
const QUARTER_MS = 900_000

/**
 * Lays threads out on the page: a column a place, time running down, each sheet in its own lane of a column.
 *
 * @param words what to write beside a stretch that needs hands or light; null for none.
 */
export function layOutDay(
  threads: readonly DayThread[],
  now: number,
  size: { width: number; height: number },
  words: (sheetId: string, stretch: ThreadStretch) => string | null,
  plan: { hands: readonly { from: number; to: number; mark: string }[]; endsAt: number } | null = null,
): DayLayout {
  const left = LEFT + (plan ? HANDS_WIDTH : 0)
  const aheadMs = plan ? Math.min(Math.max(SPAN_MS, plan.endsAt - now + QUARTER_MS), MOST_AHEAD_MS) : SPAN_MS
  const all = threads.flatMap((thread) => thread.stretches)
  // What lies further back, such as a coat that waits since yesterday, comes in from the top edge.
  const from = Math.max(
    now - (plan ? SPAN_MS / 2 : SPAN_MS),
    Math.min(now - QUARTER_MS, ...all.map((stretch) => stretch.from)),
  )
  const to = Math.min(now + aheadMs, Math.max(now + 2 * QUARTER_MS, ...all.map((stretch) => stretch.to)))
  const y = (at: number) =>
    TOP + HEAD + ((Math.min(Math.max(at, from), to) - from) / (to - from)) * (size.height - TOP - HEAD - 14)
  const step = (size.width - left - 20) / COLUMNS.length
  const columnX = (place: PlaceName) =>
    left + 34 + COLUMNS.findIndex((column) => column.place === place) * step

  const lanes = laneOf(threads, from, to)
  const taken: { x: number; y: number; width: number }[] = []
  const drawn = threads.map((thread) => {
    const visible = thread.stretches.filter((stretch) => stretch.to > from && stretch.from < to)
    const x = (place: PlaceName) => columnX(place) + (lanes.get(`${thread.sheetId}/${place}`) ?? 0) * LANE
    const stretches = visible.map((stretch): DrawnStretch => {
      const [y1, y2] = [y(stretch.from), y(stretch.to)]
      const said = words(thread.sheetId, stretch)
      const at = { x: x(stretch.place), y: y1, width: (said?.length ?? 0) * LETTER + 24 }
      // Where two labels of one column would print over each other, the later one stays unsaid.
      const isFree = !taken.some(
        (other) => at.x < other.x + other.width && other.x < at.x + at.width && Math.abs(other.y - at.y) < 18,
      )
      if (said && isFree) taken.push(at)
      return {
        stepId: stretch.stepId,
        planId: stretch.ahead && stretch.manner !== 'waits' ? (stretch.planId ?? null) : null,
        from: stretch.from,
        x: at.x,
        y1,
        y2,
        manner: stretch.manner,
        ahead: stretch.ahead,
        label: said && isFree ? said : null,
      }
    })
    const first = stretches[0]
    return {
      sheetId: thread.sheetId,
      number: thread.number,
      mark: thread.mark,
      head: { x: first?.x ?? 0, y: first?.y1 ?? 0 },
      stretches,
      joins: stretches.slice(1).flatMap((stretch, i) => {
        const before = stretches[i] as DrawnStretch
        return before.x === stretch.x ? [] : [{ path: join(before, stretch), ahead: stretch.ahead }]
      }),
    }
  })
  return {
    millisecondsPerPixel: (to - from) / (size.height - TOP - HEAD - 14),
    handsX: LEFT + 14,
    hands: (plan?.hands ?? [])
      .filter((span) => span.to > from && span.from < to)
      .map((span) => ({ y1: y(span.from), y2: y(span.to), mark: span.mark })),
    columns: COLUMNS.map((column) => ({ ...column, x: columnX(column.place) })),
    hours: hoursBetween(from, to).map((at) => ({ at, y: y(at) })),
    nowY: y(now),
    threads: drawn.filter((thread) => thread.stretches.length),
  }
}

/** Lanes by first come in each column, so that sheets that lie beside each other are drawn beside each other. */
function laneOf(threads: readonly DayThread[], from: number, to: number): Map<string, number> {
  const lanes = new Map<string, number>()
  for (const { place } of COLUMNS) {
    const busyUntil: number[] = []
    const stays = threads
      .map((thread) => {
        const own = thread.stretches.filter(
          (stretch) => stretch.place === place && stretch.to > from && stretch.from < to,
        )
        return {
          key: `${thread.sheetId}/${place}`,
          from: own[0]?.from ?? Infinity,
          to: own.at(-1)?.to ?? -Infinity,
        }
      })
      .filter((stay) => stay.from !== Infinity)
      .sort((a, b) => a.from - b.from)
    for (const stay of stays) {
      const free = busyUntil.findIndex((until) => until < stay.from - QUARTER_MS)
      const lane = free >= 0 ? free : busyUntil.length
      busyUntil[lane] = stay.to
      lanes.set(stay.key, lane)
    }
  }
  return lanes
}

function join(before: DrawnStretch, after: DrawnStretch): string {
  const reach = (after.x - before.x) / 2
  return `M${before.x} ${before.y2}C${before.x + reach} ${before.y2 + 6} ${after.x - reach} ${after.y1 - 6} ${after.x} ${after.y1}`
}

function hoursBetween(from: number, to: number): number[] {
  const span = to - from
  const spacing = span > 5 * 3_600_000 ? 3_600_000 : span > 2 * SPAN_MS * 0.7 ? 1_800_000 : QUARTER_MS
  const hours: number[] = []
  // Offsets of time zones are whole quarters of an hour, so full half hours of UTC are full half hours nearly everywhere.
  for (let at = Math.ceil(from / spacing) * spacing; at <= to; at += spacing) hours.push(at)
  return hours
}
