import { isOverExposed } from './deadlines'
import { digits, formatSpan } from '../quantity/format'
import type { ProcessDefinition } from '../schema/definition'
import type { CountedDose, SheetEvent, Tested } from '../schema/event'
import { elapsedSeconds } from './clock'
import { amendmentSaid, type AmendmentNames } from './amendmentSaid'
import { historyOf } from './history'
import { replay } from './run'
import { missingSeconds } from './shortened'
import { clockOf, wordsIdOf, type StepState } from './runState'

/** One line of a sheet's record, as a printer would have written it on the back. */
export interface StoryLine {
  at: number
  /** Which kind of moment: decides how the line is drawn. */
  tone: 'work' | 'note' | 'judgement' | 'ended'
  what: string
  detail: string
}

const MOMENT = {
  wet: 'Wet check',
  dry: 'Dry check',
  settled: 'Two-week check',
  later: 'Later check',
} as const
const VERDICT = { keep: 'kept', again: 'print it again', undecided: 'not decided' } as const
const SHADOWS = { thin: 'shadows too light', right: 'shadows right', blocked: 'shadows blocked' } as const
const HIGHLIGHTS = {
  blank: 'highlights blank',
  right: 'highlights right',
  veiled: 'highlights grey',
} as const
const WHITES = {
  clean: 'whites clean',
  yellow: 'whites yellow',
  blue: 'whites blue',
  pink: 'whites pink',
  brown: 'whites brown',
  grey: 'whites grey',
} as const

/**
 * The log told in lines, oldest first: drops summed up, each step with how long it really took, what was undone
 * left out.
 *
 * @param definition supplies the names of steps and components; a step it no longer knows keeps its id.
 */
export function storyOf(
  sheetId: string,
  log: readonly SheetEvent[],
  definition: ProcessDefinition,
): StoryLine[] {
  const state = replay(sheetId, log)
  const titles = new Map(definition.steps.map((step) => [step.id, step.title]))
  const components = new Map(definition.components.map((component) => [component.id, component.name]))
  const lines: StoryLine[] = []
  const stepNames = new Map<string, string>()
  for (const [index, step] of state.steps.entries()) {
    const named = titles.get(wordsIdOf(step.planned)) ?? step.planned.id
    const title = (step.planned.coat ?? 1) > 1 ? `${named}, coat ${step.planned.coat}` : named
    stepNames.set(step.planned.id, title)
    const at = doneAt(step, state.steps[index - 1]?.finishedAt ?? state.begunAt)
    if (at !== null)
      lines.push({ at, tone: 'work', what: title, detail: detailOf(step, components, stepNames) })
  }
  const { happened, amendments } = historyOf(log)
  for (const event of happened) {
    const line = lineOf(event) ?? skippedLine(event, stepNames)
    if (line) lines.push(line)
  }
  const names: AmendmentNames = {
    step: (id) => stepNames.get(id) ?? id,
    component: (id) => components.get(id) ?? id,
  }
  for (const amendment of amendments)
    lines.push({ at: amendment.madeAt, tone: 'note', ...amendmentSaid(amendment, names) })
  return lines.sort((a, b) => a.at - b.at)
}

/** When a step was done; where it is under way, since when; `null` for one that has not begun. */
function doneAt({ planned, startedAt, finishedAt, drops }: StepState, since: number | null): number | null {
  if (planned.kind === 'hang') return startedAt ?? null
  const isCounting = planned.kind === 'count' && Object.values(drops).some((count) => count > 0)
  return finishedAt ?? startedAt ?? (isCounting ? since : null)
}

function detailOf(
  step: StepState,
  components: ReadonlyMap<string, string>,
  stepNames: ReadonlyMap<string, string>,
): string {
  const { planned } = step
  const parts: string[] = []
  if (planned.kind === 'count')
    for (const { component, count } of planned.drops ?? []) {
      const counted = step.drops[component] ?? 0
      const name = components.get(component) ?? component
      parts.push(
        counted === count ? `${name} ${counted} drops` : `${name} ${counted} drops, planned ${count}`,
      )
    }
  const clock = clockOf(step)
  if (clock && step.finishedAt !== undefined && planned.kind !== 'hang') {
    const took = elapsedSeconds(clock, step.finishedAt)
    parts.push(step.byHairDryer ? `${formatSpan(took)} with a hair dryer` : formatSpan(took))
    if (planned.kind === 'expose' && step.plannedSeconds !== undefined)
      parts.push(against(took, step.plannedSeconds, step.changes))
    else if (missingSeconds(step)) parts.push(`${formatSpan(missingSeconds(step))} under the minimum`)
    else if (planned.kind === 'act' && planned.mostSeconds !== undefined && took > planned.mostSeconds)
      parts.push(`${formatSpan(took - planned.mostSeconds)} over`)
  }
  if (step.lengthenedBy && planned.leastSeconds !== undefined)
    parts.push(
      `minimum ${formatSpan(planned.leastSeconds)}, since ${stepNames.get(step.lengthenedBy) ?? step.lengthenedBy} was short`,
    )
  if (step.dose) parts.push(doseSaid(step.dose, step.plannedSeconds))
  if (clock && step.finishedAt === undefined) parts.push('in progress')
  if (step.finishedAt === undefined)
    for (const change of step.changes)
      parts.push(`exposure changed by ${change.said} to ${formatSpan(change.plannedSeconds)}`)
  if (planned.kind === 'expose' && step.holds.length) parts.push(plural(step.holds.length, 'check'))
  if (step.waters.length) parts.push(plural(step.waters.length, 'change') + ' of water')
  return parts.join(', ')
}

/** What an exposure was meant to be: one figure, with the changes that led to it. */
function against(took: number, planned: number, changes: StepState['changes']): string {
  const isOver = isOverExposed(took, planned) ? ', over-exposed' : ''
  if (changes.length)
    return `planned ${formatSpan(planned)} (changed by ${changes.map(({ said }) => said).join(', ')})${isOver}`
  // Within a hundredth, or the three seconds it takes to reach the frame, an exposure was as planned.
  const isAsPlanned = Math.abs(took - planned) <= Math.max(3, planned / 100)
  return isAsPlanned ? 'as planned' : `planned ${formatSpan(planned)}${isOver}`
}

/** What an exposure came to, where more than a clock counted it. */
function doseSaid(
  { by, millijoulesPerCm2, seconds, silentSeconds }: CountedDose,
  plannedSeconds: number | undefined,
): string {
  // Seconds of the planned light are no time that passed, so they are said as a share.
  const amount =
    millijoulesPerCm2 === undefined
      ? plannedSeconds
        ? `${Math.round((100 * seconds) / plannedSeconds)}\u00a0% of the planned dose`
        : `as much as ${formatSpan(seconds)} of the light it was planned for`
      : `${digits(millijoulesPerCm2)}\u00a0mJ/cm²`
  const counted = by === 'meter' ? 'by the meter' : 'from the model of the light'
  const silent = silentSeconds ? `, ${formatSpan(silentSeconds)} of it without meter readings` : ''
  return by === 'steady' ? amount : `${amount} ${counted}${silent}`
}

function lineOf(event: SheetEvent): StoryLine | null {
  switch (event.type) {
    case 'noted':
      return { at: event.at, tone: 'note', what: 'Note', detail: event.text }
    case 'roomRead':
      return { at: event.at, tone: 'note', what: 'Room', detail: roomSaid(event) }
    case 'stripRead':
      return { at: event.at, tone: 'judgement', what: 'Test strip read', detail: stripSaid(event) }
    case 'photographed':
      return { at: event.at, tone: 'note', what: 'Photo added', detail: '' }
    case 'coatJudged':
      return { at: event.at, tone: 'note', what: `Coat ${event.coat}`, detail: coatSaid(event) }
    case 'setAside':
      return { at: event.at, tone: 'ended', what: 'Set aside', detail: event.reason }
    case 'measured':
      return {
        at: event.at,
        tone: 'judgement',
        what: `Measured ${event.moment}`,
        detail: measuredSaid(event),
      }
    case 'tested':
      return { at: event.at, tone: 'judgement', what: TEST[event.test], detail: testedSaid(event) }
    case 'judged': {
      const seen = [
        VERDICT[event.verdict],
        event.shadows && SHADOWS[event.shadows],
        event.highlights && HIGHLIGHTS[event.highlights],
        event.whites && WHITES[event.whites],
        event.note,
      ]
      return {
        at: event.at,
        tone: 'judgement',
        what: MOMENT[event.moment],
        detail: seen.filter(Boolean).join(', '),
      }
    }
    default:
      return null
  }
}

const CAME_IN = {
  coated: 'already coated',
  exposed: 'already exposed',
  finished: 'as a finished print',
} as const

/** Steps of which nothing was recorded: left out, or done before the sheet came. */
function skippedLine(event: SheetEvent, stepNames: ReadonlyMap<string, string>): StoryLine | null {
  if (event.type === 'stepLeftOut')
    return { at: event.at, tone: 'work', what: stepNames.get(event.step) ?? event.step, detail: 'left out' }
  if (event.type !== 'begun' || !event.cameIn) return null
  return {
    at: event.at,
    tone: 'note',
    what: `Came ${CAME_IN[event.cameIn]}`,
    detail: 'the steps before were not recorded',
  }
}

const TEST = {
  silver: 'Silver test',
  hypo: 'Hypo test',
  iron: 'Iron test',
  fade: 'Fade test',
} as const
const SHOWED = { nothing: 'clean', trace: 'a trace', stain: 'a clear stain' } as const
const FADED = { nothing: 'no change', trace: 'a slight change', stain: 'faded' } as const

/** What a test of permanence showed, with how long and how much light where it was one of fading. */
function testedSaid({ test, showed, days, millijoulesPerCm2, note }: Tested): string {
  return [
    (test === 'fade' ? FADED : SHOWED)[showed],
    days === undefined ? '' : `after ${plural(days, 'day')}`,
    millijoulesPerCm2 === undefined ? '' : `${digits(millijoulesPerCm2)}\u00a0mJ/cm²`,
    note,
  ]
    .filter(Boolean)
    .join(', ')
}

const READ_BY = {
  typed: 'typed',
  instrument: 'by the densitometer',
  scan: 'from a scan',
  photo: 'from a photo',
} as const

function measuredSaid({ readings, by }: Extract<SheetEvent, { type: 'measured' }>): string {
  const said = readings.slice(0, 4).map(({ of, name, density, lab }) => {
    const values = [
      density === undefined ? '' : density.toFixed(2),
      lab ? `L* ${digits(lab[0])}, a* ${digits(lab[1])}, b* ${digits(lab[2])}` : '',
    ]
    return `${of === 'patch' ? name || 'patch' : of} ${values.filter(Boolean).join(', ')}`
  })
  if (readings.length > said.length) said.push(plural(readings.length - said.length, 'extra patch', 'es'))
  return `${said.join('; ')}; ${READ_BY[by]}`
}

const roomSaid = ({ celsius, relativeHumidity }: Extract<SheetEvent, { type: 'roomRead' }>): string =>
  `${digits(celsius)}\u00a0°C, ${digits(relativeHumidity, 2)}\u00a0% humidity`

function stripSaid({ by, densities, mark }: Extract<SheetEvent, { type: 'stripRead' }>): string {
  if (by === 'eye') return `by eye, step ${mark ?? ''}`
  const read = densities.filter((one) => one.length).length
  return `${plural(read, 'step')} ${by === 'instrument' ? 'by the densitometer' : 'typed'}`
}

const COAT = { short: 'not enough', right: 'just right', over: 'too much' } as const

const coatSaid = ({ said, byMillilitres }: Extract<SheetEvent, { type: 'coatJudged' }>): string =>
  byMillilitres ? `${COAT[said]}, by ${digits(byMillilitres)}\u00a0ml` : COAT[said]

const plural = (count: number, noun: string, ending = 's'): string =>
  `${count} ${noun}${count === 1 ? '' : ending}`
