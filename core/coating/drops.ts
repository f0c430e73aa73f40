import { CoreError } from '../errors'
import { DROPS_PER_MILLILITRE } from './coatVolume'
import type { Figure } from '../quantity/figure'

/** Whole drops for every component of a mix. */
export interface DropCount {
  /** Drops a component, shape (n,), in the order of the parts; none is ever 0. */
  drops: number[]
  total: number
  /** Largest relative departure of any component from its share, as a fraction of that share. */
  worstError: number
}

/**
 * The best whole drops for a total: of all ways to share it out, the one whose worst component departs least from its
 * true share, relative to that share.
 *
 * @param parts shape (n,), the ratio by volume, each above 0.
 * @param total whole drops to share out, at least one a component.
 * @throws CoreError `out-of-range` for parts or a total that cannot be shared out.
 */
export function shareDrops(parts: readonly number[], total: number): DropCount {
  const sum = parts.reduce((all, part) => all + part, 0)
  if (!parts.length || parts.some((part) => !(part > 0) || !Number.isFinite(part)))
    throw outOfRange('ratio', 'Every part of the ratio must be above zero.', 'Enter a ratio such as 1 : 1.')
  if (!Number.isInteger(total) || total < parts.length)
    throw outOfRange(
      'drops',
      `${total} drops cannot be divided into ${parts.length} parts.`,
      'Mix more: choose a larger area or a second coat.',
    )

  const shares = parts.map((part) => (total * part) / sum)
  // The least worst error is one at which some component sits exactly, so only those need trying, in rising order.
  const candidates = shares
    .flatMap((share) => around(share, parts.length, total).map((count) => Math.abs(count - share) / share))
    .sort((a, b) => a - b)
  for (const error of candidates) {
    const drops = fitWithin(shares, total, error)
    if (drops) return { drops, total, worstError: worst(drops, shares) }
  }
  throw new Error('a share within the widest error always exists')
}

/**
 * A slightly larger total that keeps the ratio clearly better, to be offered beside the exact one.
 *
 * @returns the smallest total within `upTo` more drops that at least halves the worst error; `null` when the ratio is
 *   kept within one percent already or no such total exists.
 */
export function betterTotal(
  parts: readonly number[],
  total: number,
  upTo = Math.max(3, Math.round(total / 8)),
): DropCount | null {
  const now = shareDrops(parts, total)
  if (now.worstError <= 0.01) return null
  for (let larger = total + 1; larger <= total + upTo; larger++) {
    const offered = shareDrops(parts, larger)
    // An exact half is a half, whatever the last binary digit says.
    if (offered.worstError <= now.worstError / 2 + 1e-9) return offered
  }
  return null
}

/**
 * Whole drops that hold a volume.
 *
 * @param volumeMillilitres above 0.
 * @param dropsPerMillilitre of the dropper in hand.
 * @param components the total is never less than one drop a component.
 */
export function totalDrops(
  volumeMillilitres: number,
  dropsPerMillilitre: number,
  components: number,
): Figure {
  if (!(dropsPerMillilitre > 0))
    throw outOfRange('dropper', 'Drops per ml must be above zero.', 'Enter a number; 20 is common practice.')
  return {
    value: Math.max(components, Math.round(volumeMillilitres * dropsPerMillilitre)),
    unit: 'drops',
    working: {
      words: 'volume × drops in a millilitre, to the nearest whole drop',
      formula: 'N = round(V·d)',
      inputs: [
        { name: 'volume', symbol: 'V', value: volumeMillilitres, unit: 'ml' },
        {
          name: 'dropper',
          symbol: 'd',
          value: dropsPerMillilitre,
          unit: 'drops/ml',
          standing: dropperStanding(dropsPerMillilitre),
        },
      ],
      ...dropperWorking(dropsPerMillilitre),
    },
  }
}

/**
 * Volume of so many drops.
 *
 * @returns millilitres.
 */
export function dropsVolume(drops: number, dropsPerMillilitre: number): Figure {
  return {
    value: drops / dropsPerMillilitre,
    unit: 'ml',
    working: {
      words: 'drops over drops in a millilitre',
      formula: 'V = N / d',
      inputs: [
        { name: 'drops', symbol: 'N', value: drops, unit: 'drops' },
        {
          name: 'dropper',
          symbol: 'd',
          value: dropsPerMillilitre,
          unit: 'drops/ml',
          standing: dropperStanding(dropsPerMillilitre),
        },
      ],
      ...dropperWorking(dropsPerMillilitre),
    },
  }
}

/** How far the whole drops depart from the wanted ratio, in percent of the component that suffers most. */
export function ratioError(count: DropCount, parts: readonly number[]): Figure {
  return {
    value: 100 * count.worstError,
    unit: '%',
    working: {
      words: 'largest departure of a component from its share',
      formula: 'e = max |kᵢ − N·pᵢ/Σp| / (N·pᵢ/Σp)',
      inputs: count.drops.flatMap((drops, i) => [
        { name: `component ${i + 1}, counted`, symbol: `k${i + 1}`, value: drops, unit: 'drops' },
        {
          name: `component ${i + 1}, in the ratio`,
          symbol: `p${i + 1}`,
          value: parts[i] as number,
          unit: 'parts',
        },
      ]),
      standing: 'arithmetic',
      source: 'Whole numbers chosen for the least worst error',
    },
  }
}

const dropperStanding = (dropsPerMillilitre: number) =>
  dropsPerMillilitre === DROPS_PER_MILLILITRE ? ('practice' as const) : ('yours' as const)

const dropperWorking = (dropsPerMillilitre: number) => ({
  standing: dropperStanding(dropsPerMillilitre),
  source:
    dropsPerMillilitre === DROPS_PER_MILLILITRE
      ? 'Drops of 0.05 ml, common practice until the dropper is weighed'
      : 'Your own dropper, as weighed or as you set it',
})

function around(share: number, reach: number, total: number): number[] {
  const from = Math.max(1, Math.floor(share) - reach)
  const to = Math.min(total, Math.ceil(share) + reach)
  return Array.from({ length: to - from + 1 }, (_, i) => from + i)
}

/** Counts that sum to `total` with no component further off than `error`, or null. Spare drops go where most is missing. */
function fitWithin(shares: readonly number[], total: number, error: number): number[] | null {
  const slack = 1e-9
  const least = shares.map((share) => Math.max(1, Math.ceil(share * (1 - error) - slack)))
  const most = shares.map((share) => Math.floor(share * (1 + error) + slack))
  const sum = (counts: readonly number[]) => counts.reduce((all, count) => all + count, 0)
  if (least.some((count, i) => count > (most[i] as number)) || sum(least) > total || sum(most) < total)
    return null
  const drops = [...least]
  for (let spare = total - sum(least); spare > 0; spare--) {
    let neediest = -1
    let need = -Infinity
    for (const [i, share] of shares.entries()) {
      const missing = (share - (drops[i] as number)) / share
      if ((drops[i] as number) < (most[i] as number) && missing > need) [neediest, need] = [i, missing]
    }
    drops[neediest] = (drops[neediest] as number) + 1
  }
  return drops
}

const worst = (drops: readonly number[], shares: readonly number[]): number =>
  Math.max(...drops.map((count, i) => Math.abs(count - (shares[i] as number)) / (shares[i] as number)))

const outOfRange = (field: string, problem: string, remedy: string) =>
  new CoreError({ code: 'out-of-range', field, problem, remedy })
