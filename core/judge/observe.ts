import { measuredAgainst } from '../light/ageing'
import { usualCoverage } from '../coating/coverage'
import { elapsedSeconds } from '../run/clock'
import { airFor } from '../run/air'
import { lifeBefore } from '../run/coatLife'
import { clockOf, type StepState } from '../run/runState'
import { digits, formatSpan } from '../quantity/format'
import type { Observed } from './diagnosis'
import { exposureOf, secondsGiven, type PrintRecord, wordsOf } from './printRecord'
import { slackOf } from '../run/shortened'
import { fact, wetSteps, bathsMet, waited } from './observeWetSide'

/** A sixth of a stop, the least change one gives on purpose. */
const SIXTH = 2 ** (1 / 6)
/** Off a base exposure by more than this is worth a word: a third of a stop. */
const THIRD = 2 ** (1 / 3)
/** A lamp under this gives visibly less, percent: a quarter of a stop. */
const DIM = 85
const REGISTER_SEEN = 0.2

/**
 * Everything the record of a print says of known faults: what was wrong, and what was in order. What it does not tell is
 * left out.
 */
export const observe = (record: PrintRecord): Observed[] =>
  [
    ...exposure(record),
    ...lampFacts(record),
    ...paper(record),
    ...coat(record),
    ...air(record),
    ...lots(record),
    ...wetSteps(record),
    ...bathsMet(record),
    ...waited(record),
    ...contrast(record),
    ...picture(record),
  ].map((one) => ({ ...one, isRecorded: true }))

function exposure({ state, base }: PrintRecord): Observed[] {
  const step = exposureOf(state)
  const given = secondsGiven(step)
  if (!step || given === null) return []
  const planned = step.plannedSeconds
  const known: Observed[] = []
  if (planned)
    known.push(
      fact(
        'exposed-short',
        given < planned / SIXTH,
        `exposed ${formatSpan(given)}, planned ${formatSpan(planned)}`,
      ),
      fact(
        'exposed-long',
        given > planned * SIXTH,
        `exposed ${formatSpan(given)}, planned ${formatSpan(planned)}`,
      ),
    )
  if (base) {
    const said = `exposed ${formatSpan(given)}, base exposure ${formatSpan(base.base.seconds)}`
    known.push(
      fact('below-base', given < base.base.seconds / THIRD, said),
      fact('above-base', given > base.base.seconds * THIRD, said),
    )
  }
  return known
}

function lampFacts({ lamp, light }: PrintRecord): Observed[] {
  if (!lamp || !light) return []
  return [
    fact(
      'lamp-dim',
      lamp.percent < DIM,
      `${light.name} gave ${digits(lamp.percent, 2)} % ${measuredAgainst(lamp.firstReadAtHours)}`,
    ),
  ]
}

/** What the record says of chalk in the paper; nothing where the process bears chalk. */
export function paper({ paper: stock, isTreated, definition, preparations }: PrintRecord): Observed[] {
  if (definition.chalk.bears || !stock) return []
  // An acid bath that was cut short may have left some chalk: nothing is known then.
  const inAcid = preparations.filter(({ acid }) => acid !== 'none')
  const isShort = inAcid.length > 0 && inAcid.every(({ acid }) => acid === 'short')
  if (isTreated && isShort && stock.buffered !== 'no') return []
  const half = inAcid.find(({ isHalf }) => isHalf)
  if (!isTreated && half && stock.buffered === 'yes')
    return [fact('chalk-in', true, `only half of the piece was treated (${half.definition.name})`)]
  if (isTreated) return [fact('chalk-in', false, `${stock.name} was treated with acid`)]
  if (stock.buffered === 'no') return [fact('chalk-in', false, `${stock.name} is not buffered`)]
  if (stock.buffered === 'yes')
    return [fact('chalk-in', true, `${stock.name} is buffered, and no acid treatment is recorded`)]
  return []
}

function coat(record: PrintRecord): Observed[] {
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
  known.push(...dried(record))
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

function dried({ state }: PrintRecord): Observed[] {
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

function air({ state }: PrintRecord): Observed[] {
  if (!state.room) return []
  const said = `room humidity was ${digits(state.room.relativeHumidity, 2)} %`
  return [
    fact('air-dry', airFor(state.room.relativeHumidity) === 'dry', said),
    fact('air-damp', airFor(state.room.relativeHumidity) === 'damp', said),
  ]
}

function lots({ bottles, mixedAt }: PrintRecord): Observed[] {
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

function picture({ registerWorst, films, sheet }: PrintRecord): Observed[] {
  const known: Observed[] = []
  if (registerWorst !== null)
    known.push(
      fact(
        'register-off',
        registerWorst > REGISTER_SEEN,
        `the largest register error was ${digits(registerWorst, 2)} mm`,
      ),
    )
  if (films.length && sheet.choices.subject !== 'photogram') {
    const curved = films.some((film) => film.calibrationId !== undefined)
    known.push(
      fact(
        'no-curve',
        !curved,
        curved
          ? 'the negative was made with a correction curve'
          : 'the negative was made without a correction curve',
      ),
    )
  }
  return known
}

/** Whether a means of contrast was chosen for the coat or the developer. */
function contrast({ definition, sheet }: PrintRecord): Observed[] {
  const choice = definition.choices.find(({ id }) => id === 'contrast')
  const option = choice?.options.find(({ id }) => id === sheet.choices.contrast)
  // Where something is always chosen for contrast, as the dichromate of a gum, nothing is added.
  if (choice?.startsWith !== 'plain' || !option) return []
  return [fact('contrast-added', option.id !== choice.startsWith, `contrast: ${option.name.toLowerCase()}`)]
}
