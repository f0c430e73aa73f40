import { texts } from './words'
import { parseQuantity } from '@core/quantity/parse'
import { numberOrNull, parseNumber, writtenNumber } from '@core/quantity/number'
import { MOST_LAYERS } from '@core/negative/registerMarks'
import { CoreError, type Refusal } from '@core/errors'
import { LEAST_MARKED, NO_BORDER, type Border } from '@core/negative/film'
import { MIDDLE, turnedSize, wholeWithin, type Framing } from '@core/negative/frame'
import type { ChannelMix } from '@core/negative/grey'
import { pointsOfLayer, SEPARATIONS, type Layer } from '@core/negative/layers'
import { negativeSize, type NegativePlan } from '@core/negative/render'
import { AS_IT_IS, checkPoints, type TonePoint } from '@core/negative/tone'
import { pointsOfLines, UNCHANGED, type ToneControls } from '@core/negative/toneControls'
import { parseSize } from '@core/quantity/size'
import { PLAIN_INVERSION, type NegativeCurve } from '@core/tone/curve'
import type { FilmFormat } from '../../workers/filmFile'

/** What a print is separated into. */
export type Parting = 'one' | keyof typeof SEPARATIONS

/** One layer as it is recorded. */
export interface LayerDraft {
  name: string
  /** Per cent of each channel; all empty for luminance. */
  red: string
  green: string
  blue: string
  from: string
  to: string
  curveId: string
}

/** A negative as it is in the form: what is typed stays as it was typed. */
export interface NegativeDraft {
  sheetId: string
  size: string
  resolution: string
  curveId: string
  points: TonePoint[]
  /** What the points were set by; all 0 where they were pulled by hand or not at all. */
  controls: ToneControls
  /** A drawing or writing: black or white at a threshold, in L*. */
  isLines: boolean
  threshold: number
  /** A positive film prints lines white on a dark ground. */
  isPositive: boolean
  /** The whole picture as large as the size lets it be, or so much of it as fills the size. */
  fit: 'whole' | 'fill'
  framing: Framing
  /** Per cent. */
  localContrast: number
  sharpening: number
  mix: 'luminance' | 'red' | 'green' | 'blue'
  border: string
  isInked: boolean
  hasMarks: boolean
  /** Which layer of a sheet the marks are for, from 0. */
  marksLayer: string | undefined
  hasStrip: boolean
  hasLabel: boolean
  tint: string
  isMirrored: boolean
  format: FilmFormat
  parting: Parting
  layers: LayerDraft[]
}

export const emptyDraft = (size: string, tint = '#000000'): NegativeDraft => ({
  sheetId: '',
  size,
  resolution: '360',
  curveId: 'plain',
  points: AS_IT_IS.map((point) => ({ ...point })),
  controls: { ...UNCHANGED },
  isLines: false,
  threshold: 50,
  isPositive: false,
  fit: 'whole',
  framing: { ...MIDDLE },
  localContrast: 0,
  sharpening: 0,
  mix: 'luminance',
  border: '0',
  isInked: true,
  hasMarks: true,
  marksLayer: '0',
  hasStrip: true,
  hasLabel: true,
  tint,
  isMirrored: true,
  format: 'png',
  parting: 'one',
  layers: [],
})

/** The layers of a parting, to be changed from there. */
export const layersOf = (parting: Parting, curveId: string): LayerDraft[] =>
  parting === 'one'
    ? []
    : SEPARATIONS[parting].map(({ name, mix, from, to }) => ({
        name,
        red: mix ? String(100 * mix.red) : '',
        green: mix ? String(100 * mix.green) : '',
        blue: mix ? String(100 * mix.blue) : '',
        from: String(from),
        to: String(to),
        curveId,
      }))

/** One film to be made. */
export interface FilmPlan {
  /** Empty for the only one. */
  layer: string
  mix: ChannelMix | null
  plan: NegativePlan
  curveId: string
}

const MIXES: Record<NegativeDraft['mix'], ChannelMix | null> = {
  luminance: null,
  red: { red: 1, green: 0, blue: 0 },
  green: { red: 0, green: 1, blue: 0 },
  blue: { red: 0, green: 0, blue: 1 },
}

/**
 * The films that a draft asks for.
 *
 * @param curves of calibrations by id; what is not among them is a plain inversion.
 * @param picture its size in pixels; without one the picture is cropped to the size.
 */
export function readDraft(
  draft: NegativeDraft,
  curves: ReadonlyMap<string, NegativeCurve>,
  bareUnit: 'in' | 'cm' | 'mm',
  picture: { width: number; height: number } | null = null,
): { films: FilmPlan[] | null; fault?: Refusal } {
  try {
    const border = borderOf(draft)
    const isWhole = draft.fit === 'whole'
    const size = parseSize(draft.size, { field: 'size', bareUnit })
    const upright = picture && turnedSize(picture, draft.framing.turns)
    const base = {
      ...(isWhole && upright ? wholeWithin(size, upright.width / upright.height) : size),
      pixelsPerInch: parseNumber(draft.resolution, { field: 'resolution', isPositive: true, example: '360' }),
      framing: isWhole ? { ...MIDDLE, turns: draft.framing.turns } : { ...draft.framing },
      localContrast: draft.isLines ? 0 : draft.localContrast / 100,
      sharpening: draft.isLines ? 0 : draft.sharpening / 100,
      ...(draft.isLines && draft.isPositive && { isPositive: true }),
      border,
      isMirrored: draft.isMirrored,
    }
    negativeSize(base)
    const points = draft.isLines
      ? pointsOfLines(draft.threshold)
      : draft.points.map((point) => ({ ...point }))
    checkPoints(points)
    const curveOf = (id: string) => {
      const curve = curves.get(id)
      return curve ? { tones: [...curve.tones], inks: [...curve.inks] } : { ...PLAIN_INVERSION }
    }
    if (!draft.layers.length)
      return {
        films: [
          {
            layer: '',
            mix: MIXES[draft.mix],
            plan: { ...base, points, curve: curveOf(draft.curveId) },
            curveId: draft.curveId,
          },
        ],
      }
    const films = draft.layers.map((written, i) => {
      const layer = readLayer(written, i)
      const own = pointsOfLayer(points, layer)
      checkPoints(own)
      const marked = { ...border, layer: Math.min(border.layer + i, MOST_LAYERS - 1) }
      const plan = { ...base, border: marked, points: own, curve: curveOf(written.curveId) }
      return { layer: layer.name, mix: layer.mix, plan, curveId: written.curveId }
    })
    return { films }
  } catch (error) {
    if (error instanceof CoreError) return { films: null, fault: error.refusal }
    throw error
  }
}

/** Width of the border in millimetres; `null` while it cannot be read. */
export function borderMillimetres(text: string): number | null {
  try {
    return parseQuantity(text || '0', 'length', { field: 'border', bareUnit: 'mm' })
  } catch {
    return null
  }
}

function borderOf(draft: NegativeDraft): Border {
  const millimetres = parseQuantity(draft.border || '0', 'length', { field: 'border', bareUnit: 'mm' })
  if (millimetres > 100) throw refuse('border', 'The border is too wide.', 'Enter 0 to 100 mm.')
  if (millimetres < LEAST_MARKED) return { ...NO_BORDER, millimetres, isInked: draft.isInked }
  return {
    millimetres,
    isInked: draft.isInked,
    hasMarks: draft.hasMarks,
    layer: writtenNumber(draft.marksLayer) || 0,
    hasStrip: draft.hasStrip,
  }
}

function readLayer(written: LayerDraft, i: number): Layer {
  const name = written.name.trim() || `layer ${i + 1}`
  const shares = [written.red, written.green, written.blue]
  const [red, green, blue] = shares.map((text) =>
    text.trim() ? parseQuantity(text, 'fraction', { field: 'layers', bareUnit: 'percent' }) / 100 : 0,
  ) as [number, number, number]
  const isMixed = shares.some((text) => text.trim())
  if (
    isMixed &&
    (![red, green, blue].every((share) => share >= -2 && share <= 3) || !(red + green + blue > 0.01))
  )
    throw refuse('layers', texts.channelMixGivesNoLight({ layer: name }), texts.enterPercentagesRedGreenAnd)
  const [from, to] = [toneIn(written.from), toneIn(written.to)]
  if (!(from >= 0 && to <= 100 && to - from >= 5))
    throw refuse('layers', `${name} has no valid tone range.`, texts.enterTwoLightnesses)
  return { name, mix: isMixed ? { red, green, blue } : null, from, to }
}

const toneIn = (text: string) => numberOrNull(text) ?? Number.NaN

/** A colour written as #rrggbb, each channel of 0 to 1. */
export const tintOf = (hex: string): [number, number, number] =>
  [1, 3, 5].map((at) => (writtenNumber(`0x${hex.slice(at, at + 2)}`) || 0) / 255) as [number, number, number]

/** Name of a film's file: the picture's, what it is, and the ending of its kind. */
export function fileNameOf(picture: string, layer: string, format: FilmFormat): string {
  const bare = picture.replace(/\.[^.]+$/, '').slice(0, 120) || 'picture'
  const part = layer ? `-${layer.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}` : ''
  return `${bare}${part}-negative.${format === 'tiff' ? 'tif' : format}`
}

const refuse = (field: string, problem: string, remedy: string) =>
  new CoreError({ code: 'out-of-range', field, problem, remedy })
