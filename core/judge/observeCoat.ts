import { usualCoverage } from '../coating/coverage'
import { partsOf } from '../process/mixPlan'
import { schoolStocks } from '../process/plan'
import { digits, formatSpan } from '../quantity/format'
import { elapsedSeconds } from '../run/clock'
import { lifeBefore } from '../run/coatLife'
import { clockOf, type StepState } from '../run/runState'
import { slackOf } from '../run/shortened'
import type { Observed } from './diagnosis'
import { fact } from './observeWetSide'
import { exposureOf, wordsOf, type PrintRecord } from './printRecord'

/** What the record says of chalk in the paper; nothing where the process bears chalk. */
export function paper({ paper: stock, isTreated, definition, preparations }: PrintRecord): Observed[] {
  if (definition.chalk.bears || !stock) return []
  // An acid bath that was cut short may have left some chalk: nothing is known then.
  const inAcid = preparations.filter(({ acid }) => acid !== 'none')
  const isShort = inAcid.length > 0 && inAcid.every(({ acid }) => acid === 'short')
  if (isTreated && isShort && stock.buffered !== 'no') return []
  const half = inAcid.find(({ isHalf }) => isHalf)
  if (!isTreated && half && stock.buffered === 'yes')
    return [
      fact('chalk-in', true, `only half of the piece was treated (${half.definition.name})`),
      fact('half-treated', true, `only half of the piece was treated (${half.definition.name})`),
    ]
  if (isTreated) return [fact('chalk-in', false, `${stock.name} was treated with acid`)]
  if (stock.buffered === 'no') return [fact('chalk-in', false, `${stock.name} is not buffered`)]
  if (stock.buffered === 'yes')
    return [fact('chalk-in', true, `${stock.name} is buffered, and no acid treatment is recorded`)]
  return []
}

/** How much went into the coat, in which ratio, and how silver and salt came out. */
export function coat(record: PrintRecord): Observed[] {
  const { state, sheet, balance, definition } = record
  const known: Observed[] = []
  const counted = state.steps.filter((step) => {
    const mix = definition.mixes.find(({ id }) => id === wordsOf(definition, step)?.mix)
    return step.planned.kind === 'count' && step.status === 'done' && !step.skipped && !mix?.preparesPaper
  })
  const [drops, wanted] = [
    counted.flatMap((step) => Object.values(step.drops)),
    counted.flatMap((step) => (step.planned.drops ?? []).map((one) => one.count)),
  ].map((list) => list.reduce((sum, one) => sum + one, 0))
  const usual = Math.min(usualCoverage(sheet.tool).value, definition.coverage?.millilitresPerM2 ?? Infinity)
  const share =
    ((drops ?? 0) / (wanted || (drops ?? 1) || 1)) * Math.min(1, sheet.coverageMillilitresPerM2 / usual)
  if (counted.length) {
    const isShort = share < 0.8 || state.coatsJudged.some((one) => one.said === 'short')
    known.push(
      fact(
        'coat-thin',
        isShort,
        state.coatsJudged.some((one) => one.said === 'short')
          ? 'the coat was recorded as not enough'
          : `${digits(100 * share, 2)} % of the usual amount was mixed for the coat`,
      ),
    )
    const off = Math.max(0, ...counted.map(ratioOff))
    known.push(
      fact(
        'ratio-off',
        off > 0.15,
        off > 0.15
          ? `one component was ${digits(100 * off, 2)} % off its planned share of drops`
          : 'drops were counted as planned',
      ),
    )
  }
  if (balance)
    known.push(
      fact(
        'silver-short',
        balance.verdict === 'silverShort',
        `${digits(balance.ratio.value, 2)} moles of silver for each of halide`,
      ),
    )
  return known
}

/** How far the shares of drops that went in are off those planned, the worst of them. */
function ratioOff(step: StepState): number {
  const planned = step.planned.drops ?? []
  const sum = (values: readonly number[]) => values.reduce((all, one) => all + one, 0)
  const [put, meant] = [sum(Object.values(step.drops)), sum(planned.map((one) => one.count))]
  if (!put || !meant) return 0
  return Math.max(
    ...planned.map(({ component, count }) =>
      Math.abs((step.drops[component] ?? 0) / put / (count / meant) - 1),
    ),
  )
}

/** How long the coat dried, and how old it was in the light. */
export function dried({ state }: PrintRecord): Observed[] {
  const known: Observed[] = []
  const expose = exposureOf(state)
  const before = expose && state.steps[state.steps.indexOf(expose) - 1]
  if (before?.planned.kind !== 'wait' || before.finishedAt === undefined) return known
  const clock = clockOf(before)
  const least = before.planned.leastSeconds
  if (clock && least !== undefined) {
    const took = elapsedSeconds(clock, before.finishedAt)
    known.push(
      fact(
        'dried-short',
        took < least - slackOf(least),
        `dried ${formatSpan(took)}, minimum ${formatSpan(least)}`,
      ),
    )
  }
  const life = expose && lifeBefore(state.steps, state.steps.indexOf(expose))
  const keeps = life?.step.planned.keepsBestSeconds ?? life?.step.planned.keepsSeconds
  if (life && keeps !== undefined && expose?.startedAt !== undefined) {
    const waited = (expose.startedAt - life.from) / 1000
    const limit = life.step.planned.keepsBestSeconds ? 'best within' : 'usable for'
    known.push(
      fact(
        'coat-old',
        waited > keeps,
        `the coat was ${formatSpan(waited)} old at exposure, ${limit} ${formatSpan(keeps)}`,
      ),
    )
  }
  return known
}

/** Whether a bottle was past its shelf life. */
export function lots({ bottles, mixedAt }: PrintRecord): Observed[] {
  const dated = bottles.filter(({ bottle }) => bottle.bestUntil !== undefined)
  if (!dated.length) return []
  const old = dated.find(({ bottle }) => (bottle.bestUntil ?? Infinity) < mixedAt)
  return [
    fact(
      'lot-old',
      old !== undefined,
      old
        ? `${old.bottle.label} was ${formatSpan((mixedAt - (old.bottle.bestUntil ?? 0)) / 1000)} past its shelf life`
        : 'every bottle was within its shelf life',
    ),
  ]
}

/** Handwork beyond its limit by so much is worth a word. */
const TOO_LONG = 1.25

/** Whether the coat was brushed until it had begun to set. */
export function brushed({ state, definition }: PrintRecord): Observed[] {
  return state.steps.flatMap((step) => {
    const [clock, most] = [clockOf(step), step.planned.mostSeconds]
    const isCoat = step.planned.kind === 'act' && wordsOf(definition, step)?.station === 'coat'
    if (!isCoat || !clock || most === undefined || step.finishedAt === undefined) return []
    const took = elapsedSeconds(clock, step.finishedAt)
    // A press that was forgotten looks the same, so only the printer can say that it was not so.
    return took > TOO_LONG * most && took < 10 * most
      ? [fact('brush-worked', true, `coating took ${formatSpan(took)}, at most ${formatSpan(most)}`)]
      : []
  })
}

/** A solution under this share of the recipe's strength is weak, over its inverse strong. */
const WEAK = 0.8

/** Whether a bottle was weaker than the recipe, where nothing in the ratio makes up for it. */
export function strengths({ bottles, definition, sheet }: PrintRecord): Observed[] {
  const stocks = schoolStocks(definition, sheet.choices)
  const isOwnRatio = definition.mixes.some((mix) => {
    const parts = sheet.parts[mix.id]
    return parts && partsOf(definition, mix, sheet.choices).some((one, i) => one.parts !== parts[i])
  })
  if (isOwnRatio) return []
  const stated = bottles
    .filter(({ bottle }) => bottle.kind === 'solution' && !bottle.isAssumed)
    .flatMap(({ component, bottle }) =>
      (stocks[component] ?? []).flatMap(({ substanceId, percentWv }) => {
        const held = bottle.contents.find((one) => one.substanceId === substanceId)
        return held ? [{ bottle, held: held.percent, percentWv }] : []
      }),
    )
  if (!stated.length) return []
  const weakest = stated.reduce((least, one) =>
    one.held / one.percentWv < least.held / least.percentWv ? one : least,
  )
  const isWeak = weakest.held < WEAK * weakest.percentWv
  return [
    fact(
      'solution-weak',
      isWeak,
      isWeak
        ? `${weakest.bottle.label} is ${digits(weakest.held)} %, the recipe has ${digits(weakest.percentWv)} %`
        : 'solutions were as strong as the recipe',
    ),
  ]
}
