import { computed, shallowRef, watch } from 'vue'
import { CoreError } from '@core/errors'
import { croppedShare, partOf, turnedSize } from '@core/negative/frame'
import { departures } from '@core/negative/provenance'
import { filmInk, histogramOf, negativeSize } from '@core/negative/render'
import { looksLikeLines } from '@core/negative/toneControls'
import { AS_IT_IS, lightOf, toneCurve } from '@core/negative/tone'
import { PLAIN_INVERSION } from '@core/tone/curve'
import { printColours } from '@library/index'
import { useNow } from '../../state/useNow'
import { useWorkroom } from '../../state/workroom.store'
import { usePreferences } from '../../state/preferences.store'
import type { MarginNote } from '../../state/margin.store'
import { useNegativeDesk } from './desk.store'
import { readDraft, type FilmPlan } from './negative.draft'
import { coatOf, ladder, printFor, sizeAgainst, willItPrint } from './negativeWords'
import { proofOf, type Proof } from './proofing'
import { useCalibrations } from './useCalibrations'

/** What the desk's draft comes to: films, their proof, the ladder of their tones, and what the margin says of them. */
export function useFilms(shownLayer: { value: number }) {
  const [desk, workroom, preferences, now] = [useNegativeDesk(), useWorkroom(), usePreferences(), useNow()]
  const { withCurve } = useCalibrations()
  const curves = computed(
    () => new Map(withCurve.value.map(({ calibration, curve }) => [calibration.id, curve])),
  )
  const sheet = computed(() => workroom.find(desk.draft.sheetId) ?? null)
  const mark = computed(() => sheet.value?.definition.mark ?? 'graphite')

  const read = computed(() => readDraft(desk.draft, curves.value, preferences.chosen.length, desk.picture))
  const film = computed<FilmPlan | null>(
    () => read.value.films?.[Math.min(shownLayer.value, read.value.films.length - 1)] ?? null,
  )
  const calibration = computed(
    () => withCurve.value.find((one) => one.calibration.id === film.value?.curveId) ?? null,
  )
  const curve = computed(() => calibration.value?.curve ?? null)
  const print = computed(() => printFor(curve.value, mark.value))
  const pixels = computed(() => (film.value ? negativeSize(film.value.plan) : null))

  const proof = shallowRef<Proof | null>(null)
  let frame = 0
  watch(
    [() => desk.picture, film],
    () => {
      cancelAnimationFrame(frame)
      frame = requestAnimationFrame(() => {
        const [picture, of] = [desk.picture, film.value]
        if (!picture || !of) return
        try {
          proof.value = proofOf(picture.preview, of.plan)
        } catch (error) {
          // What cannot be made is already refused beside its field; the last proof stays.
          if (!(error instanceof CoreError)) throw error
        }
      })
    },
    { immediate: true },
  )

  const planned = computed(() => {
    const tone = toneCurve(film.value?.plan.points ?? AS_IT_IS)
    return (share: number) => tone(lightOf(100 * share))
  })
  const ink = computed(() =>
    filmInk({
      curve: curve.value ?? PLAIN_INVERSION,
      ...(film.value?.plan.isPositive && { isPositive: true }),
    }),
  )
  const rungs = computed(() => ladder(planned.value, ink.value, print.value))
  const histogram = computed(() => (desk.picture ? histogramOf(desk.picture.preview) : []))
  /** Shares of the picture that its points make black and white. */
  const ends = computed(() => {
    const total = histogram.value.reduce((sum, one) => sum + one, 0) || 1
    let [black, white] = [0, 0]
    histogram.value.forEach((count, lightness) => {
      const tone = planned.value(lightness / 100)
      if (tone <= 0.004) black += count
      if (tone >= 0.996) white += count
    })
    return { black: black / total, white: white / total }
  })
  /** The part of the picture that the film is made of, and the share of it that is cropped. */
  const used = computed(() => {
    const [picture, of] = [desk.picture, film.value]
    if (!picture || !of) return { pixels: 0, cropped: 0 }
    const size = turnedSize(picture, of.plan.framing.turns)
    const part = partOf(size, of.plan.widthMillimetres / of.plan.heightMillimetres, of.plan.framing)
    return { pixels: part.width * part.height, cropped: croppedShare(size, part) }
  })
  /** It seems to be a drawing, and is not treated as one. */
  const seemsLines = computed(() => !desk.draft.isLines && looksLikeLines(histogram.value))
  const outside = computed(() => {
    const [of, at] = [calibration.value?.calibration, sheet.value?.sheet]
    if (!of) return []
    const made = of.checks.at(-1)?.at ?? of.readAt ?? of.at
    return departures(
      { ...of, at: made },
      {
        processId: at?.process.id,
        paperId: at?.paperId,
        lightId: at?.lightId,
        seconds: at?.exposureSeconds,
        now: now.now,
      },
    )
  })
  const notes = computed((): MarginNote[] =>
    desk.picture && pixels.value
      ? willItPrint({
          curve: curve.value,
          ...(calibration.value && { standing: calibration.value.standing }),
          departures: outside.value,
          rungs: rungs.value,
          blackShare: ends.value.black,
          whiteShare: ends.value.white,
          picturePixels: used.value.pixels,
          isLines: desk.draft.isLines,
          size: sizeAgainst(film.value?.plan ?? null, sheet.value?.sheet ?? null),
          negativePixels: pixels.value.width * pixels.value.height,
        })
      : [],
  )
  const colours = computed(() => printColours[mark.value])
  const dryDown = computed(() => coatOf(mark.value).dryDown)
  return {
    withCurve,
    sheet,
    read,
    film,
    curve,
    print,
    pixels,
    proof,
    rungs,
    histogram,
    used,
    seemsLines,
    notes,
    colours,
    dryDown,
  }
}
