import { startingChoices } from '@core/process/plan'
import { formatSpan } from '@core/quantity/format'
import type { ProcessDefinition, ToolName } from '@core/schema/definition'
import type { CameIn } from '@core/schema/event'
import type { Sheet } from '@core/schema/records'
import { type DraftRoom } from './sheet.draft'

/** What is typed while a sheet is planned; every field a text until it is read. */
export interface SheetDraft {
  title: string
  portfolio: string
  subject: string
  /** How many sheets alike are coated from one glass. */
  sheets: string
  /** Names of the sheets of a row, such as pupils', separated by commas or lines; empty where all have the title. */
  names: string
  /** Papers of the sheets of a row, one for each, where they differ; empty where all are on the same. */
  papers: string
  /** How far it was worked before it came here; empty for a sheet that is still to be coated. */
  cameIn: CameIn | ''
  size: string
  coats: string
  tool: ToolName
  /** Id of a torn piece, empty for any paper. */
  pieceId: string
  paperName: string
  paperWeight: string
  choices: Record<string, string>
  /** Id of a light that is known here, or the kind of one that is not; empty where none is chosen. */
  light: string
  exposure: string
  /** Label of the bottle for each component; empty for none. */
  bottles: Record<string, string>
  /** Ratio of each mix, as it is written; empty for the process's own. */
  ratios: Record<string, string>
  /** Empty for what one's own coats have taught, or for the usual. */
  coverage: string
  /** Empty for the dropper that was weighed last, or for 20 to the millilitre. */
  dropper: string
  /** Set for a test strip: how it is laid out. */
  strip?: Sheet['strip']
}

/** The draft that would give this sheet again: for changing a plan, and for the next sheet of a row. */
export function draftOf(
  sheet: Omit<Sheet, 'id' | 'number' | 'createdAt' | 'changedAt'> & Partial<Sheet>,
  room: Pick<DraftRoom, 'papers' | 'bottles' | 'lights'>,
  size: string,
): SheetDraft {
  const paper = room.papers.find((one) => one.id === sheet.paperId)
  const labels = Object.entries(sheet.bottles).map(([component, id]) => [
    component,
    room.bottles.find((one) => one.id === id)?.label ?? '',
  ])
  return {
    title: sheet.title,
    portfolio: sheet.portfolio,
    subject: sheet.subject,
    size,
    sheets: String(sheet.batch?.of ?? 1),
    names: '',
    papers: '',
    cameIn: '',
    coats: String(sheet.coats),
    tool: sheet.tool,
    pieceId: sheet.pieceId ?? '',
    paperName: paper?.name ?? '',
    paperWeight: paper?.gramsPerM2 ? String(paper.gramsPerM2) : '',
    choices: { ...sheet.choices },
    light: room.lights.find((one) => one.id === sheet.lightId)?.id ?? '',
    exposure: formatSpan(sheet.exposureSeconds),
    bottles: Object.fromEntries(labels),
    ratios: Object.fromEntries(Object.entries(sheet.parts).map(([mix, parts]) => [mix, parts.join(' : ')])),
    coverage: String(sheet.coverageMillilitresPerM2),
    dropper: String(sheet.dropsPerMillilitre),
    ...(sheet.strip && { strip: sheet.strip }),
  }
}

/** Nothing typed yet. */
export const emptyDraft = (unit: 'in' | 'cm' | 'mm'): SheetDraft => ({
  title: '',
  portfolio: '',
  subject: '',
  sheets: '1',
  names: '',
  papers: '',
  cameIn: '',
  size: unit === 'in' ? '8 x 10 in' : unit === 'cm' ? '20 x 25 cm' : '200 x 250 mm',
  coats: '1',
  tool: 'brush',
  pieceId: '',
  paperName: '',
  paperWeight: '',
  choices: {},
  light: 'uvBox',
  exposure: '',
  bottles: {},
  ratios: {},
  coverage: '',
  dropper: '',
})

/** What starts again when another process is chosen. */
export const ofProcess = (definition: ProcessDefinition) => ({
  choices: startingChoices(definition),
  tool: definition.tools[0] ?? 'brush',
  bottles: {},
  ratios: {},
  coats: '1',
  coverage: '',
  exposure: '',
})
