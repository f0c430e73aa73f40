import { lastTests } from '@core/judge/permanence'
import { permanenceTests } from '@library/permanence'
import { texts } from './words'
import { dryDown, wetAim, type DriedPrint } from '@core/tone/dryDown'
import { changesSince, densityAt, DRY, fadingOf } from '@core/tone/measured'
import { driftPerDay, settlesTo, settling, STANDS_STILL, type Settling } from '@core/tone/settling'
import { digits } from '@core/quantity/format'
import type { Figure } from '@core/quantity/figure'
import { usualDryDown } from '@library/index'
import type { SheetInRoom } from '../../state/workroom.store'
import type { MarginNote } from '../../state/margin.store'
import { dateOf } from '../../words/moments'

const FADING = {
  none: 'No visible change.',
  seen: texts.slightChangeJustVisibleBeside,
  strong: texts.clearChangeFindCauseWhile,
} as const

/** How a print has changed since it was first measured dry. */
export function fadingNote({ state }: SheetInRoom, now: number): MarginNote[] {
  const changes = changesSince(state)
  if (!changes.length) return []
  const fading = fadingOf(changes)
  return [
    {
      title: 'Change since the first measurement',
      lines: [
        ...changes.map((one) => {
          const parts = [
            one.density === null
              ? ''
              : `density ${one.density >= 0 ? '+' : '−'}${Math.abs(one.density).toFixed(2)}`,
            one.colour === null ? '' : `ΔE₀₀ ${one.colour.toFixed(1)}`,
          ].filter(Boolean)
          return `${one.of === 'patch' ? one.name : one.of}: ${parts.join(', ')} since ${dateOf(one.from.at, now)}`
        }),
        fading ? FADING[fading] : texts.thisChangeSettlingAnyLater,
      ],
      tone: fading === 'strong' ? 'caution' : 'plain',
    },
  ]
}

const PLACES = [
  { of: 'black', name: 'Dmax' },
  { of: 'white', name: 'paper white' },
] as const

/** How the colour of such prints moves after drying, as other prints tell it. */
export function settlingOf(one: SheetInRoom, all: readonly SheetInRoom[]): Settling[] {
  const prints = all
    .filter((each) => each.sheet.id !== one.sheet.id && each.state.measurements.length)
    .map(dried)
  return PLACES.map(({ of }) => settling(dried(one), prints, { of, name: '' }))
}

/** What the colour of a print will come to, and whether it still moves. @param learned see `settlingOf`. */
export function settlingNote(
  { state }: SheetInRoom,
  learned: readonly Settling[],
  now: number,
): MarginNote[] {
  const lines = PLACES.flatMap(({ of, name }, i) => {
    const place = { of, name: '' }
    const others = learned[i]
    const to = others?.prints ? settlesTo(state, place, others) : null
    const drift = driftPerDay(state, place)
    return [
      ...(others && to && to.difference >= SEEN
        ? [
            texts.willSettle({
              name,
              difference: to.difference.toFixed(1),
              lab: labSaid(to.lab),
              others: texts.printsThatSettled(others),
            }),
          ]
        : []),
      ...(drift
        ? [
            drift.perDay > STANDS_STILL
              ? `${name}: still changing, ΔE₀₀ ${drift.perDay.toFixed(1)} a day since ${dateOf(drift.from, now)}.`
              : `${name}: stable since ${dateOf(drift.from, now)}.`,
          ]
        : []),
    ]
  })
  return lines.length ? [{ title: 'Colour settling', lines }] : []
}
/** Less than this no one sees side by side: common practice. */
const SEEN = 1
const labSaid = (lab: readonly number[]) => lab.map((value) => value.toFixed(1).replace('-', '−')).join(' ')

const dried = (one: SheetInRoom): DriedPrint => ({
  processId: one.sheet.process.id,
  ...(one.sheet.paperId && { paperId: one.sheet.paperId }),
  ...(one.sheet.lightId && { lightId: one.sheet.lightId }),
  state: one.state,
})

/** How much drying deepens such a print, and what to look for in the tray for the black of the last good one. */
export function dryDownOf(
  one: SheetInRoom,
  all: readonly SheetInRoom[],
): { share: Figure; aim: Figure | null; wanted: number | null } | null {
  const usual = usualDryDown[one.sheet.process.id] ?? null
  const share = dryDown(dried(one), all.filter((each) => each.state.measurements.length).map(dried), usual)
  if (share.working.standing !== 'yours' && !usual) return null
  const kept = all.find(
    (each) =>
      each.sheet.process.id === one.sheet.process.id &&
      each.sheet.paperId === one.sheet.paperId &&
      each.sheet.id !== one.sheet.id &&
      each.state.judgements.at(-1)?.verdict === 'keep' &&
      densityAt(each.state, 'black', DRY) !== null,
  )
  const wanted = kept
    ? (densityAt(kept.state, 'black', DRY) ?? 0) - (densityAt(kept.state, 'white', DRY) ?? 0)
    : null
  return { share, aim: wanted === null ? null : wetAim(wanted, share), wanted }
}

export function dryDownNote(one: SheetInRoom, all: readonly SheetInRoom[]): MarginNote[] {
  const found = dryDownOf(one, all)
  if (!found || Math.abs(found.share.value) < 0.01) return []
  const { share, aim, wanted } = found
  const spread = share.uncertainty === undefined ? '' : ` ± ${digits(100 * share.uncertainty, 2)}`
  return [
    {
      title: 'Dry-down',
      lines: [
        `Net density increases by ${digits(100 * share.value, 2)}${spread} % (${share.working.source.toLowerCase()}).`,
        ...(aim && wanted !== null
          ? [texts.aimForWetBlack({ wanted: wanted.toFixed(2), aim: aim.value.toFixed(2) })]
          : []),
      ],
    },
  ]
}

/** What the last tests of permanence showed, and what to do about it. */
export function permanenceNote(state: SheetInRoom['state']): MarginNote[] {
  const lines = lastTests(state.tested ?? []).flatMap(({ test, showed }) => {
    const words = permanenceTests.find(({ id }) => id === test)
    if (!words) return []
    return showed === 'nothing'
      ? [`${words.name}: ${words.clean}`]
      : [`${words.name}: ${words.stain}`, words.remedy]
  })
  const isStained =
    (state.tested ?? []).length > 0 &&
    lastTests(state.tested ?? []).some(({ showed }) => showed !== 'nothing')
  return lines.length
    ? [{ title: 'Permanence tests', lines, ...(isStained && { tone: 'caution' as const }) }]
    : []
}
