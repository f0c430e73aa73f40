import { mean, standardDeviation, sumOf } from '../quantity/statistics'
import type { RunState } from '../run/runState'
import type { Figure, FigureInput } from '../quantity/figure'
import type { Reading } from '../schema/judgement'
import { densityOfReading, lastMeasured } from './measured'

/** A print as far as its dry-down goes. */
export interface DriedPrint {
  processId: string
  paperId?: string
  lightId?: string
  state: Pick<RunState, 'measurements'>
}

/** What the trade says of a process before one has measured: share of net density that drying adds. */
export interface UsualDryDown {
  share: number
  standing: 'practice' | 'memory'
  source: string
}

/** A narrower circle starts from the wider one and trusts it like so many prints. */
const TRUST = 2

/** What a narrower circle of prints makes of what the wider one said, so that one odd print moves little. */
export const narrowed = (wider: number, own: readonly number[]): number =>
  (TRUST * wider + sumOf(own)) / (TRUST + own.length)

const LEAST_NET = 0.15

/**
 * Share of its net density (density above paper white) that one print gained in drying, mean over its places: 0.25 for
 * a quarter, below 0 where it lost. Places thinner than 0.15 when wet say too little and are left out.
 *
 * @returns `null` where it was not measured both wet and dry.
 */
export function dryShare(state: Pick<RunState, 'measurements'>): number | null {
  const [wet, dry] = [
    lastMeasured(state, 'wet'),
    lastMeasured(state, 'settled') ?? lastMeasured(state, 'dry'),
  ]
  if (!wet || !dry) return null
  const white = (readings: readonly Reading[]) => {
    const found = readings.find((one) => one.of === 'white')
    return found ? densityOfReading(found) : null
  }
  const [bareWet, bareDry] = [white(wet.readings) ?? 0, white(dry.readings) ?? 0]
  const shares = wet.readings.flatMap((reading) => {
    if (reading.of === 'white') return []
    const other = dry.readings.find((one) => one.of === reading.of && one.name === reading.name)
    const [before, after] = [densityOfReading(reading), other ? densityOfReading(other) : null]
    if (before === null || after === null || before - bareWet < LEAST_NET) return []
    return [(after - bareDry) / (before - bareWet) - 1]
  })
  return shares.length ? mean(shares) : null
}

/**
 * How much of its net density a print gains in drying: what one's own prints did, first of all processes' kind, then of
 * this paper, then under this light too. Each circle starts from the wider one, so that one odd print moves little.
 *
 * @param wanted the combination to judge for.
 * @returns share of net density, 0.25 for a quarter; `uncertainty` is the spread of the narrowest circle with two.
 */
export function dryDown(
  wanted: Omit<DriedPrint, 'state'>,
  prints: readonly DriedPrint[],
  usual: UsualDryDown | null,
): Figure {
  const circles = [
    prints.filter((one) => one.processId === wanted.processId),
    prints.filter((one) => one.processId === wanted.processId && one.paperId === wanted.paperId),
    prints.filter(
      (one) =>
        one.processId === wanted.processId &&
        one.paperId === wanted.paperId &&
        one.lightId === wanted.lightId,
    ),
  ].map((circle) => circle.flatMap((one) => dryShare(one.state) ?? []))
  const names = ['prints of the process', 'of these on this paper', 'of these under this light']
  let value = usual?.share ?? 0
  let spread: number | undefined
  const inputs: FigureInput[] = [
    {
      name: 'usual',
      symbol: 'd₀',
      value: 100 * value,
      unit: '%',
      standing: usual?.standing ?? 'practice',
    },
  ]
  for (const [i, shares] of circles.entries()) {
    const n = shares.length
    value = narrowed(value, shares)
    spread = standardDeviation(shares) ?? spread
    inputs.push({ name: names[i] as string, symbol: `n${i + 1}`, value: n, unit: '', standing: 'yours' })
  }
  const isOwn = (circles[0]?.length ?? 0) > 0
  return {
    value,
    unit: '',
    ...(spread !== undefined && { uncertainty: spread }),
    working: {
      words: 'net density dry over net density wet, less one; each circle starts from the wider one',
      formula: 'd = (2·d₋₁ + Σdᵢ) / (2 + n), for process, paper, light',
      inputs,
      standing: isOwn ? 'yours' : (usual?.standing ?? 'practice'),
      source: isOwn ? 'Your own prints, measured wet and dry' : (usual?.source ?? 'No usual value is known'),
      leavesOut: 'that deep tones may gain more than light ones',
    },
  }
}

/**
 * What to look for in the tray to get a density when dry.
 *
 * @param wanted net density, dry.
 * @param share what drying adds (see `dryDown`).
 */
export function wetAim(wanted: number, share: Figure): Figure {
  return {
    value: wanted / (1 + share.value),
    unit: '',
    ...(share.uncertainty !== undefined && {
      uncertainty: (wanted * share.uncertainty) / (1 + share.value) ** 2,
    }),
    working: {
      words: 'wanted net density divided by one plus the dry-down',
      formula: 'D_wet = D_dry / (1 + d)',
      inputs: [
        { name: 'wanted, dry', symbol: 'D_dry', value: wanted, unit: '' },
        {
          name: 'drying adds',
          symbol: 'd',
          value: 100 * share.value,
          unit: '%',
          standing: share.working.standing,
        },
      ],
      standing: share.working.standing,
      source: share.working.source,
    },
  }
}

/** Average gradient of the straight part, where no step tablet tells it: common practice for hand-coated papers. */
const USUAL_GRADIENT = 1.3

/**
 * Exposure to hold back, in stops below 0, since drying will deepen what looks right in the tray.
 *
 * @param net density that looked right wet.
 * @param gradient average gradient of the paper, density for a tenfold of light.
 */
export const stopsForDrying = (net: number, share: number, gradient = USUAL_GRADIENT): number =>
  -(net * share) / gradient / Math.log10(2)
