import { refusalOf, type Refusal } from '@core/errors'
import type { ChartPlan } from '@core/chart/chart'
import { chartPixels, drawChart } from '@core/chart/chartFilm'
import { scanChart, type Anchor, type ChartScan } from '@core/scan/chartScan'
import { writingRoom } from '@core/negative/film'
import type { ChannelMix } from '@core/negative/grey'
import { negativeSize, renderNegative, type NegativePlan } from '@core/negative/render'
import { resampled, wholeOf, type GreyPicture, type LightRows } from '@core/negative/resample'
import type { Point } from '@core/negative/homography'
import { readRegister, type MarkPair } from '@core/scan/register'
import { readTabletScan } from '@core/scan/tabletScan'
import { inkOf, type NegativeCurve } from '@core/tone/curve'
import { decodePicture } from './decodePicture'
import { writeFilm, type FilmFormat } from './filmFile'
import { writingIn } from './writing'

/** How a film is written. */
export interface FilmWish {
  format: FilmFormat
  tint: readonly [number, number, number]
  /** A line in its border or label. */
  writing: string
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
  | { act: 'scan'; file: Blob }
  | { act: 'tablet'; file: Blob; densities: number[] }
  | {
      act: 'register'
      file: Blob
      film: { width: number; height: number; border: number }
      layers: [number, number]
      longestSide: number
    }

export type NegativeAnswer =
  | { kind: 'looked'; preview: GreyPicture; width: number; height: number; bits: number }
  | { kind: 'share'; share: number }
  | { kind: 'made'; file: Blob; width: number; height: number }
  | { kind: 'scanned'; scan: ChartScan }
  | { kind: 'tablet'; anchors: Anchor[] }
  | {
      kind: 'register'
      pairs: MarkPair[]
      seen: { lower: Point[]; upper: Point[] }
      preview: GreyPicture
      width: number
    }
  | { kind: 'refused'; refusal: Refusal }

const say = (answer: NegativeAnswer, transfer: Transferable[] = []) => postMessage(answer, { transfer })
/** Often enough for the eye; every word of it costs the page a redraw. */
const SAID_EVERY = 250
let lastSaid = 0
function heard(share: number): void {
  if (performance.now() - lastSaid < SAID_EVERY) return
  lastSaid = performance.now()
  say({ kind: 'share', share })
}

addEventListener('message', async ({ data }: MessageEvent<NegativeQuestion>) => {
  try {
    await answer(data)
  } catch (error) {
    say({ kind: 'refused', refusal: refusalOf(error, 'the picture') })
  }
})

async function answer(question: NegativeQuestion): Promise<void> {
  switch (question.act) {
    case 'look': {
      const { picture, bits } = await decodePicture(question.file, question.mix)
      const preview = shrunkTo(picture, question.longestSide)
      say({ kind: 'looked', preview, width: picture.width, height: picture.height, bits }, [
        preview.data.buffer,
      ])
      return
    }
    case 'scan': {
      const { picture, codes } = await decodePicture(question.file, null, true)
      say({ kind: 'scanned', scan: scanChart(wholeOf(picture), codes ?? undefined) })
      return
    }
    case 'tablet': {
      const { picture } = await decodePicture(question.file, null, true)
      say({ kind: 'tablet', anchors: readTabletScan(wholeOf(picture), question.densities) })
      return
    }
    case 'register': {
      const { picture } = await decodePicture(question.file, null)
      const whole = wholeOf(picture)
      const { pairs, seen } = readRegister(whole, question.film, question.layers)
      const preview = shrunkTo(whole, question.longestSide)
      say({ kind: 'register', pairs, seen, preview, width: picture.width }, [preview.data.buffer])
      return
    }
    case 'make': {
      const { plan, mix } = question
      const size = negativeSize(plan)
      const room = question.writing
        ? writingRoom(plan.border, plan.widthMillimetres, plan.pixelsPerInch)
        : null
      const writing = room ? await writingIn(question.writing, room) : undefined
      const { picture } = await decodePicture(question.file, mix)
      await film(renderNegative(picture, plan, writing), size, plan.pixelsPerInch, question)
      return
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
      await film(rows, size, pixelsPerInch, question)
    }
  }
}

async function film(
  rows: Iterable<Float32Array>,
  size: { width: number; height: number },
  pixelsPerInch: number,
  { format, tint }: FilmWish,
): Promise<void> {
  const file = await writeFilm(rows, { format, tint, pixelsPerInch, ...size }, heard)
  say({ kind: 'made', file, ...size })
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
