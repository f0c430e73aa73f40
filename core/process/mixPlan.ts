import { drawFromLots, type Lot, type LotShare } from '../chemistry/lots'
import { metalContent, type MetalShare } from '../chemistry/metalContent'
import { mix as mixed, type MixedSolute } from '../chemistry/mixture'
import { BRUSH_COVERAGE, coatVolume, imageArea } from '../coating/coatVolume'
import { betterTotal, ratioError, shareDrops, totalDrops, type DropCount } from '../coating/drops'
import { CoreError } from '../errors'
import type { Figure } from '../quantity/figure'
import type { ComponentDefinition, MixDefinition, ProcessDefinition, WhenChosen } from '../schema/definition'
import type { Draw } from '../schema/event'
import type { Sheet } from '../schema/records'

/** What of a sheet decides how much is mixed for it. */
export type MixInput = Pick<
  Sheet,
  | 'widthMillimetres'
  | 'heightMillimetres'
  | 'coats'
  | 'parts'
  | 'choices'
  | 'coverageMillilitresPerM2'
  | 'dropsPerMillilitre'
  | 'batch'
>

/** One component of a mix, and the lots it is poured from. */
export interface PlannedPour {
  component: ComponentDefinition
  millilitres: number
  from: LotShare[]
  /** Every lot it could be poured from. */
  lots: readonly Lot[]
}

/** What goes into one glass. */
export interface MixPlan {
  mix: MixDefinition
  /** Area of one sheet. */
  area: Figure
  /** Sheets that are coated from this glass. */
  sheets: number
  volume: Figure
  total: Figure
  count: DropCount
  /** A slightly larger count that keeps the ratio better, where there is one. */
  offer: DropCount | null
  ratioError: Figure
  pours: PlannedPour[]
  /** True strength of each solute in the mix. */
  mixture: MixedSolute[]
  /** Gold, platinum, palladium and silver in it. */
  metals: MetalShare[]
  /** What it costs, as far as the prices of its lots are known; `null` where none is. */
  cost: Figure | null
  /** What is taken off which bottle. */
  draws: Draw[]
}

/** Whether a thing belongs to a run with these choices. */
export const isChosen = (when: WhenChosen | undefined, choices: Readonly<Record<string, string>>): boolean =>
  (when ?? []).every(({ choice, is }) => is.includes(choices[choice] ?? ''))

/** Components of a mix under these choices, in the order in which they go in, each with its part. */
export function partsOf(
  definition: ProcessDefinition,
  mix: MixDefinition,
  choices: Readonly<Record<string, string>>,
): { component: ComponentDefinition; parts: number }[] {
  return mix.parts
    .filter((part) => isChosen(part.when, choices))
    .flatMap(({ component: id, parts }) => {
      const component = definition.components.find((one) => one.id === id)
      return component ? [{ component, parts }] : []
    })
}

/** Mixes that are counted in a run with these choices, in the order of its steps. */
export function mixesFor(
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
): MixDefinition[] {
  const counted = definition.steps.filter((step) => step.mix && isChosen(step.when, choices))
  return counted.flatMap((step) => definition.mixes.filter((mix) => mix.id === step.mix))
}

/** The ratio of every mix as the process has it, for a plan that starts again. */
export const startingParts = (
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
): Record<string, number[]> =>
  Object.fromEntries(
    mixesFor(definition, choices).map((mix) => [
      mix.id,
      partsOf(definition, mix, choices).map((part) => part.parts),
    ]),
  )

/**
 * Volume, whole drops, lots, true strengths and metal of one mix.
 *
 * @param lots lots each component may be poured from, by component id, in the order in which they are used.
 * @param drops drops really counted, in the order of the components; the best count when left out.
 * @throws CoreError `out-of-range` from the coat, the drops or a ratio of another length; `no-strength` for a component
 *   without a lot.
 */
export function planMix(
  definition: ProcessDefinition,
  mix: MixDefinition,
  input: MixInput,
  lots: Readonly<Record<string, readonly Lot[]>>,
  drops?: readonly number[],
): MixPlan {
  const active = partsOf(definition, mix, input.choices)
  const parts = input.parts[mix.id] ?? active.map((part) => part.parts)
  if (parts.length !== active.length)
    throw new CoreError({
      code: 'out-of-range',
      field: 'ratio',
      problem: `${mix.name} is mixed from ${active.length} solutions, but the ratio has ${parts.length} parts.`,
      remedy: `Write it like ${active.map((part) => part.parts).join(' : ')}.`,
    })
  const volume = coatVolume({
    ...input,
    ...provenanceOf(input.coverageMillilitresPerM2, definition),
    ...(mix.coverage && {
      coverageMillilitresPerM2: mix.coverage.millilitresPerM2,
      coverageStanding: mix.coverage.standing,
      coverageSource: mix.coverage.source,
    }),
    coats: mix.coats ?? input.coats,
    ...(input.batch && { sheets: input.batch.of }),
  })
  const total = toWholeShares(totalDrops(volume.value, input.dropsPerMillilitre, parts.length), parts)
  const best = shareDrops(parts, total.value)
  const count = drops ? countOf(drops, parts) : best
  const pours = active.map(({ component }, index): PlannedPour => {
    const own = lots[component.id] ?? []
    if (!own.length)
      throw new CoreError({
        code: 'no-strength',
        field: component.name,
        problem: 'The contents of this bottle are not known.',
        remedy: 'Choose a bottle, or choose the strengths.',
      })
    const millilitres = (count.drops[index] as number) / input.dropsPerMillilitre
    return { component, millilitres, from: drawFromLots(millilitres, own), lots: own }
  })
  const poured = pours.flatMap((pour) => pour.from)
  return {
    mix,
    area: imageArea(input),
    sheets: input.batch?.of ?? 1,
    volume,
    total,
    count,
    offer: drops ? null : betterTotal(parts, total.value),
    ratioError: ratioError(count, parts),
    pours,
    mixture: mixed(
      poured.map(({ lot, millilitres }) => ({
        name: lot.name,
        volumeMillilitres: millilitres,
        solutes: lot.solutes,
      })),
    ),
    metals: metalContent(
      poured.flatMap(({ lot, millilitres }) =>
        lot.solutes.map((solute) => ({ ...solute, millilitres, pricePerMillilitre: lot.pricePerMillilitre })),
      ),
    ),
    cost: costOf(poured),
    draws: drawsOf(pours),
  }
}

/** Drops of a mix in equal parts, up to the next number that all parts share: 25 + 25, not 25 + 24. */
function toWholeShares(total: Figure, parts: readonly number[]): Figure {
  if (parts.some((part) => part !== parts[0])) return total
  const value = Math.ceil(total.value / parts.length) * parts.length
  if (value === total.value) return total
  return {
    ...total,
    value,
    working: { ...total.working, words: `${total.working.words}, then up to equal parts` },
  }
}

/** Where the coverage of a sheet comes from: the process's own, the usual one, or what the user's coats or hand have set. */
function provenanceOf(millilitresPerM2: number, { coverage }: ProcessDefinition) {
  if (coverage && millilitresPerM2 === coverage.millilitresPerM2)
    return { coverageStanding: coverage.standing, coverageSource: coverage.source }
  if (millilitresPerM2 === BRUSH_COVERAGE) return {}
  return {
    coverageStanding: 'yours' as const,
    coverageSource: 'As planned for this sheet: from your own coats, for another tool, or entered',
  }
}

/** What is taken off the shelf for these pours; pours from no known bottle are left out. */
export const drawsOf = (pours: readonly PlannedPour[]): Draw[] =>
  pours.flatMap(({ component, from }) =>
    from.flatMap(({ lot, millilitres }) =>
      lot.bottleId && millilitres > 0
        ? [{ bottleId: lot.bottleId, component: component.id, millilitres }]
        : [],
    ),
  )

function countOf(drops: readonly number[], parts: readonly number[]): DropCount {
  const total = drops.reduce((sum, count) => sum + count, 0)
  const whole = parts.reduce((sum, part) => sum + part, 0)
  const shares = parts.map((part) => (total * part) / whole)
  return {
    drops: [...drops],
    total,
    worstError: Math.max(...shares.map((share, i) => Math.abs((drops[i] ?? 0) - share) / share)),
  }
}

function costOf(poured: readonly LotShare[]): Figure | null {
  const priced = poured.filter(({ lot }) => lot.pricePerMillilitre !== undefined)
  if (!priced.length) return null
  return {
    value: priced.reduce((sum, { lot, millilitres }) => sum + millilitres * (lot.pricePerMillilitre ?? 0), 0),
    unit: '',
    working: {
      words: 'millilitres × price of each lot',
      formula: 'Σ Vᵢ·pᵢ',
      inputs: priced.flatMap(({ lot, millilitres }) => [
        { name: lot.name, symbol: 'Vᵢ', value: millilitres, unit: 'ml' },
        {
          name: 'price of a millilitre',
          symbol: 'pᵢ',
          value: lot.pricePerMillilitre as number,
          unit: '',
          standing: 'yours',
        },
      ]),
      standing: 'yours',
      source: 'Prices you entered, in your currency',
      ...(priced.length < poured.length && { leavesOut: 'lots without a price' }),
    },
  }
}
