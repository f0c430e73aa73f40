import { texts } from './words'
import { parsePaperWeight } from '@core/paper/weight'
import type { SheetsToSave } from '../../state/actions/sheet.actions'
import { parseNumber } from '@core/quantity/number'
import { CoreError, type Refusal } from '@core/errors'
import { mixesFor, partsOf } from '@core/process/mixPlan'
import { comingIn, schoolStocks } from '@core/process/plan'
import { firstExposure } from '@core/process/stepTimes'
import { parseQuantity, parseRatio } from '@core/quantity/parse'
import { parseSize } from '@core/quantity/size'
import type { MixDefinition, ProcessDefinition } from '@core/schema/definition'
import type { Sheet } from '@core/schema/records'
import { Light } from '@core/schema/light'
import { Bottle, Paper } from '@core/schema/records'
import { paperKinds } from '@library/papers'
import { type SheetDraft } from './newSheet'

/** What is on the shelf already, and what a new record needs from outside. */
export interface DraftRoom {
  papers: readonly Paper[]
  bottles: readonly Bottle[]
  lights: readonly Light[]
  lengthUnit: string
  coverageMillilitresPerM2: number
  dropsPerMillilitre: number
  /** What a base exposure of one's own says for this process, paper and light; `null` where there is none. */
  proposed: { seconds: number; millijoulesPerCm2?: number } | null
  now: number
  newId: () => string
}

export type DraftFaults = Partial<Record<keyof SheetDraft, Refusal>>

/**
 * Reads a draft.
 *
 * @returns the sheet as far as it can be read, `null` where a field it cannot do without is wrong, and what is wrong.
 */
export function readDraft(
  definition: ProcessDefinition,
  draft: SheetDraft,
  room: DraftRoom,
): { read: SheetsToSave | null; faults: DraftFaults } {
  const faults: DraftFaults = {}
  const attempt = <Value>(field: keyof SheetDraft, read: () => Value): Value | null => {
    try {
      return read()
    } catch (error) {
      if (!(error instanceof CoreError)) throw error
      faults[field] = error.refusal
      return null
    }
  }
  const title = attempt('title', () =>
    required(draft.title, 'title', 'The sheet has no title.', texts.enterTitleSoThatYou),
  )
  const size = attempt('size', () => parseSize(draft.size, { field: 'size', bareUnit: room.lengthUnit }))
  const coats = attempt('coats', () => whole(draft.coats, 'coats', 9, 'Enter 1 or 2.'))
  const titles = attempt('names', () => readNames(draft.names))
  const sheets = titles?.length
    ? titles.length
    : attempt('sheets', () => whole(draft.sheets, 'sheets', 99, texts.enterNumberSheetsCoatFrom))
  const parts = attempt('ratios', () => readRatios(definition, draft))
  const coverage = attempt('coverage', () =>
    draft.coverage.trim()
      ? positive(draft.coverage, 'coverage', 'coverage', 'mlPerM2')
      : room.coverageMillilitresPerM2,
  )
  const dropper = attempt('dropper', () =>
    draft.dropper.trim()
      ? positive(draft.dropper, 'dropper', 'dropRate', 'dropsPerMl')
      : room.dropsPerMillilitre,
  )
  const paper = attempt('paperWeight', () => readPaper(draft, room))
  const papers = attempt('papers', () => readPapers(draft, sheets ?? 1, room))
  const light = attempt('light', () => readLight(definition, draft, room))
  const exposure =
    light &&
    attempt('exposure', () =>
      draft.exposure.trim()
        ? positiveTime(draft.exposure)
        : (room.proposed?.seconds ??
          firstExposure(definition, {
            kind: light.kind,
            choices: draft.choices,
            usualSeconds: light.usualSeconds,
          }).value),
    )
  /** A time that was typed is a time; one that follows from a base exposure is a dose. */
  const dose = draft.exposure.trim() || draft.strip ? undefined : room.proposed?.millijoulesPerCm2
  const bottles = readBottles(definition, draft, room)
  if (
    title === null ||
    !size ||
    coats === null ||
    sheets === null ||
    !titles ||
    !parts ||
    coverage === null ||
    dropper === null ||
    !paper ||
    !papers ||
    !light ||
    exposure === null
  )
    return { read: null, faults }

  const isNew = <Record extends { id: string }>(list: readonly Record[], known: readonly Record[]) =>
    list.filter((one) => !known.some((other) => other.id === one.id))
  return {
    faults,
    read: {
      sheets,
      titles,
      ...(papers.length && { paperIds: papers.map(({ id }) => id) }),
      ...(draft.cameIn && {
        cameIn: comingIn(
          definition,
          { choices: draft.choices, coats, exposureSeconds: exposure },
          draft.cameIn,
          paper.record?.gramsPerM2,
        ),
      }),
      sheet: {
        title,
        portfolio: draft.portfolio.trim(),
        process: { id: definition.id, version: definition.version },
        choices: { ...draft.choices },
        ...size,
        coats,
        tool: draft.tool,
        parts,
        ...(draft.pieceId && { pieceId: draft.pieceId }),
        coverageMillilitresPerM2: coverage,
        dropsPerMillilitre: dropper,
        subject: draft.subject.trim(),
        exposureSeconds: exposure,
        ...(dose !== undefined && { millijoulesPerCm2: dose }),
        ...(draft.strip && { strip: draft.strip }),
        ...(paper.record && { paperId: paper.record.id }),
        lightId: light.id,
        bottles: Object.fromEntries(bottles.map(({ component, bottle }) => [component, bottle.id])),
        changedAt: room.now,
      },
      papers: isNew([...(paper.record ? [paper.record] : []), ...papers], room.papers),
      bottles: isNew(
        bottles.map((one) => one.bottle),
        room.bottles,
      ),
      lights: isNew([light], room.lights),
    },
  }
}

function readPaper(draft: SheetDraft, room: DraftRoom): { record: Paper | null } {
  const name = draft.paperName.trim()
  if (!name) return { record: null }
  const gramsPerM2 = draft.paperWeight.trim() ? parsePaperWeight(draft.paperWeight) : undefined
  return { record: paperFor(name, gramsPerM2, room) }
}

/** The paper of that name and weight, as it is in the drawer or as a new one. */
function paperFor(name: string, gramsPerM2: number | undefined, room: DraftRoom): Paper {
  const known = room.papers.find(
    (one) => one.name === name && (gramsPerM2 === undefined || one.gramsPerM2 === gramsPerM2),
  )
  if (known) return known
  return Paper.parse({
    id: room.newId(),
    ...paperKinds.find((one) => one.name === name),
    name,
    ...(gramsPerM2 && { gramsPerM2 }),
    note: '',
    changedAt: room.now,
  })
}

/** Papers of the sheets of a row, one for each; none where all are on the same. */
function readPapers(draft: SheetDraft, sheets: number, room: DraftRoom): Paper[] {
  const names = draft.papers.split(/[;\n]/).flatMap((name) => name.trim() || [])
  if (names.length && names.length !== sheets)
    throw wrong('papers', texts.papersForSheets({ papers: names.length, sheets }), texts.onePaperEach)
  const papers = new Map<string, Paper>()
  return names.map((name) => {
    const [, bare = name, weight] = /^(.*\S)\s*,\s*(\d.*)$/.exec(name) ?? []
    const paper =
      papers.get(name) ?? paperFor(bare, weight === undefined ? undefined : parsePaperWeight(weight), room)
    papers.set(name, paper)
    return paper
  })
}

function readLight(definition: ProcessDefinition, draft: SheetDraft, room: DraftRoom): Light {
  const known = room.lights.find((one) => one.id === draft.light)
  if (known) return known
  const { data: kind } = Light.shape.kind.safeParse(draft.light)
  if (!kind) throw wrong('light', texts.lightThisSheetMissingFrom, 'Choose the light for this exposure.')
  const name = definition.lights.find((one) => one.kind === kind)?.name ?? 'Light'
  const sameName = room.lights.find((one) => one.kind === kind && one.name === name)
  return sameName ?? { id: room.newId(), name, kind, note: '', changedAt: room.now }
}

/** Bottles named for the components; a label that is not on the shelf names a new one, of the chosen school's strength. */
function readBottles(
  definition: ProcessDefinition,
  draft: SheetDraft,
  room: DraftRoom,
): { component: string; bottle: Bottle }[] {
  const stocks = schoolStocks(definition, draft.choices)
  return definition.components.flatMap(({ id: component, name }) => {
    const label = draft.bottles[component]?.trim()
    const stock = stocks[component] ?? []
    if (!label) return []
    const known = room.bottles.find((one) => one.label === label && !one.ended)
    const bottle =
      known ??
      Bottle.parse({
        id: room.newId(),
        label,
        name,
        kind: 'solution',
        contents: stock.map(({ substanceId, percentWv }) => ({ substanceId, percent: percentWv })),
        isAssumed: true,
        note: '',
        changedAt: room.now,
      })
    return [{ component, bottle }]
  })
}

/** Names of the sheets of a row, one by one; none where nothing is typed. */
function readNames(text: string): string[] {
  const names = text
    .split(/[,;\n]/)
    .map((name) => name.trim())
    .filter(Boolean)
  if (names.length > 99)
    throw wrong('names', `${names.length} names are more than a row holds.`, 'Enter at most 99 names.')
  return names.map((name) => required(name, 'names', '', ''))
}

function readRatios(definition: ProcessDefinition, draft: SheetDraft): Sheet['parts'] {
  return Object.fromEntries(
    mixesFor(definition, draft.choices).map((mix) => [mix.id, readRatio(definition, mix, draft)]),
  )
}

function readRatio(definition: ProcessDefinition, mix: MixDefinition, draft: SheetDraft): number[] {
  const own = partsOf(definition, mix, draft.choices).map((part) => part.parts)
  const written = draft.ratios[mix.id]?.trim()
  return written ? parseRatio(written, own.length, 'ratio') : own
}

function required(text: string, field: string, problem: string, remedy: string): string {
  if (!text.trim()) throw wrong(field, problem, remedy)
  if (text.length > 200)
    throw wrong(field, 'This text is longer than 200 characters.', texts.shortenItAndPutRest)
  return text.trim()
}

function whole(text: string, field: string, most: number, remedy: string): number {
  try {
    return parseNumber(text, { field, isWhole: true, min: 1, max: most })
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    throw wrong(field, `“${text}” is not a number of ${field}.`, remedy)
  }
}

function positive(text: string, field: string, dimension: 'coverage' | 'dropRate', bareUnit: string): number {
  const value = parseQuantity(text, dimension, { field, bareUnit })
  if (!(value > 0)) throw wrong(field, `“${text}” is not above zero.`, 'Enter a number above zero.')
  return value
}

function positiveTime(text: string): number {
  const seconds = parseQuantity(text, 'time', { field: 'exposure' })
  if (!(seconds > 0)) throw wrong('exposure', texts.exposureTimeMustBeAbove, texts.enterTimeLike)
  return seconds
}

/** Seconds of an exposure as it is typed, or `null` where it cannot be read. */
export function timeOrNull(text: string): number | null {
  try {
    return positiveTime(text)
  } catch {
    return null
  }
}

const wrong = (field: string, problem: string, remedy: string) =>
  new CoreError({ code: 'unreadable', field, problem, remedy })
