import type { ChartPlan } from '@core/chart/chart'
import { chartPixels, drawChart } from '@core/chart/chartFilm'
import { scanChart, type ChartScan } from '@core/scan/chartScan'
import type { Anchor } from '@core/scan/response'
import { writingRoom } from '@core/negative/film'
import type { FilmWords } from '@core/formats/filmWords'
import type { ChannelMix } from '@core/negative/grey'
import { negativeSize, renderNegative, type NegativePlan } from '@core/negative/render'
import { resampled, wholeOf, type GreyPicture, type LightRows } from '@core/negative/resample'
import type { Point } from '@core/negative/homography'
import { readRegister } from '@core/scan/register'
import { type MarkPair } from '@core/scan/registerError'
import { readTabletScan } from '@core/scan/tabletScan'
import { inkOf, type NegativeCurve } from '@core/tone/curve'
import { serve, type Call } from './call'
import { decodePicture } from './decodePicture'
import { writeFilm, type FilmFormat } from './filmFile'
import { writingIn } from './writing'

/** How a film is written. */
export interface FilmWish {
  format: FilmFormat
  tint: readonly [number, number, number]
  /** A line in its border or label. */
  writing: string
  /** What its file says of itself. */
  words?: FilmWords
}

/** What the page asks: a small grey picture to look at, the negative itself, a chart's film, or a chart's readings. */
export type NegativeQuestion =
  | { act: 'look'; file: Blob; mix: ChannelMix | null; longestSide: number }
  | ({ act: 'make'; file: Blob; mix: ChannelMix | null; plan: NegativePlan } & FilmWish)
  | ({
      act: 'chart'
      plan: ChartPlan
      pixelsPerInch: number
      isMirrored: boolean
      curve: Pick<NegativeCurve, 'tones' | 'inks'> | null
    } & FilmWish)
  | { act: 'scan'; file: Blob; tablet: number[] | null }
  | { act: 'tablet'; file: Blob; densities: number[] }
  | {
      act: 'register'
      file: Blob
      film: { width: number; height: number; border: number }
      layers: [number, number]
      longestSide: number
    }

/** A film as a file, and its size in pixels. */
export interface MadeFilm {
  file: Blob
  width: number
  height: number
}

/** What each question is answered with. News of the work is the share that is done. */
export interface NegativeAnswers {
  look: { preview: GreyPicture; width: number; height: number; bits: number; notes: string[] }
  make: MadeFilm
  chart: MadeFilm
  scan: ChartScan
  tablet: Anchor[]
  register: {
    pairs: MarkPair[]
    seen: { lower: Point[]; upper: Point[] }
    preview: GreyPicture
    width: number
  }
}

serve<NegativeQuestion, NegativeAnswers[keyof NegativeAnswers], number>('the picture', answer)

/** Often enough for the eye; every word of it costs the page a redraw. */
const TOLD_EVERY = 250

async function answer(
  question: NegativeQuestion,
  call: Call<number>,
): Promise<NegativeAnswers[keyof NegativeAnswers]> {
  switch (question.act) {
    case 'look': {
      const { picture, bits, notes } = await decodePicture(question.file, question.mix)
      const preview = shrunkTo(picture, question.longestSide)
      call.handOver(preview.data.buffer)
      return { preview, width: picture.width, height: picture.height, bits, notes }
    }
    case 'scan': {
      const { picture, codes, isByCamera } = await decodePicture(question.file, null, true)
      const known = { codes: codes ?? undefined, tablet: question.tablet ?? undefined, isByCamera }
      return scanChart(wholeOf(picture), known)
    }
    case 'tablet': {
      const { picture } = await decodePicture(question.file, null, true)
      return readTabletScan(wholeOf(picture), question.densities)
    }
    case 'register': {
      const { picture } = await decodePicture(question.file, null)
      const whole = wholeOf(picture)
      const { pairs, seen } = readRegister(whole, question.film, question.layers)
      const preview = shrunkTo(whole, question.longestSide)
      call.handOver(preview.data.buffer)
      return { pairs, seen, preview, width: picture.width }
    }
    case 'make': {
      const { plan, mix } = question
      const size = negativeSize(plan)
      const room = question.writing
        ? writingRoom(plan.border, plan.widthMillimetres, plan.pixelsPerInch)
        : null
      const writing = room ? await writingIn(question.writing, room) : undefined
      const { picture } = await decodePicture(question.file, mix)
      return film(renderNegative(picture, plan, writing), size, plan.pixelsPerInch, question, call)
    }
    case 'chart': {
      const { plan, pixelsPerInch, isMirrored, curve } = question
      const { label, ...size } = chartPixels(plan, pixelsPerInch)
      const rows = drawChart(plan, {
        pixelsPerInch,
        isMirrored,
        inkOfStep: curve ? inkOf(curve) : undefined,
        writing: question.writing ? await writingIn(question.writing, label) : undefined,
      })
      return film(rows, size, pixelsPerInch, question, call)
    }
  }
}

async function film(
  rows: Iterable<Float32Array>,
  size: { width: number; height: number },
  pixelsPerInch: number,
  { format, tint, words }: FilmWish,
  { tell }: Call<number>,
): Promise<MadeFilm> {
  let toldAt = 0
  const file = await writeFilm(rows, { format, tint, words, pixelsPerInch, ...size }, (share) => {
    if (performance.now() - toldAt < TOLD_EVERY) return
    toldAt = performance.now()
    tell(share)
  })
  return { file, ...size }
}

function shrunkTo(picture: GreyPicture | LightRows, longestSide: number): GreyPicture {
  const scale = Math.min(1, longestSide / Math.max(picture.width, picture.height))
  const [width, height] = [picture.width, picture.height].map((side) =>
    Math.max(1, Math.round(side * scale)),
  ) as [number, number]
  const data = new Float32Array(width * height)
  let at = 0
  for (const row of resampled(picture, width, height)) {
    data.set(row, at)
    at += width
  }
  return { width, height, data }
}
