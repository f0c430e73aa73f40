import { toSignificant } from '../quantity/number'
import { formatSpan } from '../quantity/format'
import type { Incompatibility, ReactionClass, Substance } from '../schema/substance'
import { formOf, hydrateFactor } from './forms'
import { labelElements } from './ghs'
import { solubilityLimit } from './solubility'

/** What would put it right, as something a program can do when the user says so. */
export type Correction =
  | { act: 'restate'; percent: number }
  | { act: 'topUpTo'; millilitres: number }
  | { act: 'weigh'; grams: number }
  | { act: 'useForm'; form: string }
  | { act: 'weaken'; percent: number }

/** A slip that was noticed: said once, plainly. The user may go on. */
export interface Finding {
  code:
    | 'stated-strength'
    | 'halved-by-mixing'
    | 'over-solubility'
    | 'spoon'
    | 'wrong-hydrate'
    | 'past-life'
    | 'not-ripe'
    | 'incompatible'
    | 'unknown-contents'
    | 'short'
  /** What it is about, such as a substance or a bottle. */
  subject: string
  problem: string
  remedy: string
  corrections: readonly Correction[]
}

/** Departures under this share of the true strength are within what a label means. */
const LABEL_SLACK = 0.025
/** A figure from memory is no reason to doubt a stock that is a little stronger. */
const MEMORY_SLACK = 1.5
/** A spoon whose content may differ by more than this is no measure for anything that decides a print. */
const SPOON_SLACK = 0.1

/**
 * The stated percent against what went in: 30 g in a litre is 3 %, not 30; 1 g topped up to 6 ml is 16.7 %, not 15.
 *
 * @param stated % w/v that is said or written on the label.
 * @param grams of the pure substance in it; @param millilitres finished volume.
 */
export function auditStrength(
  subject: string,
  stated: number,
  grams: number,
  millilitres: number,
): Finding | null {
  const truth = (100 * grams) / millilitres
  if (!(truth > 0) || Math.abs(stated - truth) <= LABEL_SLACK * truth) return null
  const ratio = stated / truth
  const isTenfold = [0.001, 0.01, 0.1, 10, 100, 1000].some((power) => Math.abs(ratio / power - 1) < 0.03)
  return {
    code: 'stated-strength',
    subject,
    problem: `${neat(grams)} g in ${neat(millilitres)} ml is ${neat(truth)} %, not ${neat(stated)} %.${isTenfold ? ' Possibly a factor-of-ten error.' : ''}`,
    remedy:
      stated < truth
        ? `Label it ${neat(truth)} %, or top up to ${neat((100 * grams) / stated)} ml.`
        : `Label it ${neat(truth)} %, or weigh ${neat((stated * millilitres) / 100)} g.`,
    corrections: [
      { act: 'restate', percent: rounded(truth) },
      stated < truth
        ? { act: 'topUpTo', millilitres: rounded((100 * grams) / stated) }
        : { act: 'weigh', grams: rounded((stated * millilitres) / 100) },
    ],
  }
}

/**
 * Stocks that are poured together weaken one another: two 10 % stocks half and half hold 5 % of each.
 *
 * @param stated what the mix is called, % w/v of this solute; @param inStock its strength in its own bottle;
 * @param inMix its true strength in the mix.
 */
export function auditMixing(subject: string, stated: number, inStock: number, inMix: number): Finding | null {
  if (Math.abs(stated - inMix) <= LABEL_SLACK * inMix) return null
  const isStock = Math.abs(stated - inStock) <= LABEL_SLACK * inStock
  return {
    code: isStock ? 'halved-by-mixing' : 'stated-strength',
    subject,
    problem: isStock
      ? `The bottle is ${neat(inStock)} %, but the combined mix is ${neat(inMix)} %.`
      : `The mix is ${neat(inMix)} %, not ${neat(stated)} %.`,
    remedy: `Use ${neat(inMix)} % for the mix.`,
    corrections: [{ act: 'restate', percent: rounded(inMix) }],
  }
}

/**
 * More than the water can hold at this temperature.
 *
 * @param percentWv of the form `form`, the usual one when left out.
 */
export function auditSolubility(
  substance: Substance,
  percentWv: number,
  celsius: number,
  form?: string,
): Finding | null {
  const limit = solubilityLimit(substance, celsius, form)
  const isRemembered = substance.solubility?.standing === 'memory'
  if (!limit || percentWv <= limit.value * (isRemembered ? MEMORY_SLACK : 1)) return null
  const warmer = [30, 40, 50, 60, 80, 100].find(
    (degrees) => degrees > celsius && (solubilityLimit(substance, degrees, form)?.value ?? 0) >= percentWv,
  )
  return {
    code: 'over-solubility',
    subject: substance.name,
    problem: `${neat(percentWv)} % is above the solubility at ${neat(celsius)} °C: about ${neat(limit.value)} %${isRemembered ? ', from memory' : ''}.`,
    remedy: warmer
      ? `Make it weaker, or keep it at ${warmer} °C and check for crystals before each use.`
      : `Make it at most ${neat(limit.value)} %. Crystals at the bottom mean that the solution is saturated.`,
    corrections: [{ act: 'weaken', percent: floored(limit.value) }],
  }
}

/** A spoon where a balance is needed: the same spoon of crystals may weigh a third more or less. */
export function auditSpoon(substance: Substance, spoonMillilitres: number): Finding | null {
  const { bulk } = substance
  if (!bulk || substance.liquid) return null
  const middle = (bulk.least + bulk.most) / 2
  const spread = (bulk.most - bulk.least) / 2 / middle
  if (spread <= SPOON_SLACK && labelElements(substance.hazard.statements).signal !== 'danger') return null
  const grams = spoonMillilitres * middle
  return {
    code: 'spoon',
    subject: substance.name,
    problem: `${neat(spoonMillilitres)} ml by spoon can be from ${neat(spoonMillilitres * bulk.least)} to ${neat(spoonMillilitres * bulk.most)} g.`,
    remedy: `Weigh ${neat(grams)} g instead.`,
    corrections: [{ act: 'weigh', grams: rounded(grams) }],
  }
}

/**
 * Another hydrate in the jar than the recipe means.
 *
 * @param grams that the recipe asks for, of `asked`.
 */
export function auditHydrate(
  substance: Substance,
  grams: number,
  asked: string | undefined,
  inHand: string | undefined,
): Finding | null {
  const [from, to] = [formOf(substance, asked), formOf(substance, inHand)]
  if (!from || !to || from.id === to.id) return null
  const factor = hydrateFactor(substance, asked, inHand).value
  return {
    code: 'wrong-hydrate',
    subject: substance.name,
    problem: `The recipe is for the ${from.name} form, but your jar holds the ${to.name} form. You need ${neat(factor)} times as much.`,
    remedy: `Weigh ${neat(grams * factor)} g from this jar.`,
    corrections: [{ act: 'useForm', form: to.id }],
  }
}

/** A bottle as far as its age goes; moments in milliseconds. */
export interface Aged {
  name: string
  ripeAt?: number
  bestUntil?: number
}

/** Past its life, or not yet ripe. */
export function auditAge(bottle: Aged, now: number): Finding | null {
  if (bottle.ripeAt !== undefined && now < bottle.ripeAt)
    return {
      code: 'not-ripe',
      subject: bottle.name,
      problem: `This solution is still resting: ${formatSpan((bottle.ripeAt - now) / 1000)} to go.`,
      remedy: 'Let it rest, or use an older bottle.',
      corrections: [],
    }
  if (bottle.bestUntil !== undefined && now > bottle.bestUntil)
    return {
      code: 'past-life',
      subject: bottle.name,
      problem: `This bottle is past its shelf life by ${formatSpan((now - bottle.bestUntil) / 1000)}.`,
      remedy: 'Make a test strip first, or make a fresh solution.',
      corrections: [],
    }
  return null
}

/** Something that goes into a glass, a tray or a jar, and how it reacts. */
export interface Neighbour {
  name: string
  reacts: readonly ReactionClass[]
}

/** Everything among the neighbours that must not meet, each danger of the same neighbours once. */
export function auditNeighbours(
  neighbours: readonly Neighbour[],
  table: readonly Incompatibility[],
): Finding[] {
  return table.flatMap(({ between, danger, remedy }) =>
    groupsThatMeet(neighbours, between).map((group): Finding => ({
      code: 'incompatible',
      subject: group.map((one) => one.name).join(' and '),
      problem: danger,
      remedy,
      corrections: [],
    })),
  )
}

/** Pairs of neighbours of which each brings one of two classes; for three classes, all neighbours that bring any. */
function groupsThatMeet(
  neighbours: readonly Neighbour[],
  between: readonly ReactionClass[],
): (readonly Neighbour[])[] {
  const has = (one: Neighbour, what: ReactionClass | undefined) =>
    what !== undefined && one.reacts.includes(what)
  const [a, b] = between
  if (between.length === 2)
    return neighbours.flatMap((one, i) =>
      neighbours
        .slice(i + 1)
        .filter((other) => (has(one, a) && has(other, b)) || (has(one, b) && has(other, a)))
        .map((other) => [one, other]),
    )
  const group = neighbours.filter((one) => between.some((what) => has(one, what)))
  const areAllThere = between.every((what) => group.some((one) => has(one, what)))
  return areAllThere && group.length > 1 ? [group] : []
}

/** Less in the bottle than the work takes. */
export function auditAmount(name: string, needed: number, left: number, unit: string): Finding | null {
  if (left >= needed * (1 - 1e-9)) return null
  return {
    code: 'short',
    subject: name,
    problem: `You need ${neat(needed)} ${unit}, but ${neat(Math.max(0, left))} ${unit} are left.`,
    remedy: 'Open another lot, make more, or scale the recipe to what you have.',
    corrections: [],
  }
}

const floored = (limit: number) => Math.floor(limit * 10) / 10
const rounded = (value: number) => toSignificant(value, 3)
const neat = (value: number) => String(rounded(value))
