import { texts } from './words'
import type FileChoice from '../../kit/FileChoice.vue'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { placeOf } from '@core/run/place'
import type { TonePoint } from '@core/negative/tone'
import { pointsOfControls, UNCHANGED, type ToneControls } from '@core/negative/toneControls'
import { formatSize } from '@core/quantity/format'
import { useNow } from '../../state/useNow'
import { useWorkroom } from '../../state/workroom.store'
import { useMarginNotes, type MarginNote } from '../../state/margin.store'
import { dateOf } from '../../words/moments'
import { usePreferences } from '../../state/preferences.store'
import { useNegativeDesk } from './desk.store'
import { fileNameOf, tintOf } from './negative.draft'
import { useNegativeQueue } from '../../state/queue.store'
import { useFilms } from './useFilms'

/** The picture in hand, what is decided for its negative, and the order of its films. */
export function useNegativeStation() {
  const [workroom, preferences, now] = [useWorkroom(), usePreferences(), useNow()]
  const [desk, queue] = [useNegativeDesk(), useNegativeQueue()]
  const shownLayer = ref(0)
  const {
    withCurve,
    sheet,
    read,
    film,
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
  } = useFilms(shownLayer)
  const file = useTemplateRef<InstanceType<typeof FileChoice>>('file')
  const PARTS = [
    { id: 'print', name: 'the print' },
    { id: 'picture', name: 'the picture' },
    { id: 'film', name: 'the film' },
    { id: 'layers', name: 'layers' },
  ] as const
  const part = ref<string | undefined>('print')

  /** Prints that may still need a negative. */
  const sheetOptions = computed(() =>
    workroom.sheets
      .filter(
        (one) =>
          one.sheet.id === desk.draft.sheetId ||
          (!one.state.setAside &&
            ['planned', 'coat', 'light'].includes(placeOf(one.state)) &&
            !one.sheet.strip),
      )
      .map((one) => ({ id: one.sheet.id, name: `Sheet ${one.sheet.number}, ${one.sheet.title}` })),
  )
  // A sheet may send for its negative.
  const { sheet: asked } = useRoute().query
  watch(sheet, (one) => {
    if (one)
      desk.draft.size = formatSize(one.sheet, { length: preferences.chosen.length, temperature: 'degC' })
  })
  if (typeof asked === 'string' && workroom.find(asked)) desk.draft.sheetId = asked
  const curveOptions = computed(() => [
    { id: 'plain', name: 'plain inversion' },
    ...withCurve.value.map(({ calibration }) => ({ id: calibration.id, name: calibration.name })),
  ])
  const curveName = (id: string) => curveOptions.value.find((one) => one.id === id)?.name ?? 'plain inversion'

  /** The preview is seen through the mix of the film that is shown. */
  const mix = computed(() => film.value?.mix ?? null)
  watch(
    () => JSON.stringify(mix.value),
    () => {
      if (desk.picture) void desk.look(desk.picture.file, mix.value)
    },
  )

  async function take(list: readonly File[]): Promise<void> {
    const chosen = list[0]
    if (chosen && (await desk.open(chosen)) && mix.value) await desk.look(chosen, mix.value)
  }

  /** Plain controls set the points of the ladder, which can be pulled further. */
  function setControls(controls: ToneControls): void {
    desk.draft.controls = controls
    desk.draft.points = pointsOfControls(controls)
  }

  /** Points that were pulled by hand are no longer what the controls say. */
  function setPoints(points: TonePoint[]): void {
    desk.draft.controls = { ...UNCHANGED }
    desk.draft.points = points
  }

  function make(isPlain = false): void {
    const [picture, films] = [desk.picture, read.value.films]
    if (!picture || !films) return
    if (isPlain) desk.draft.curveId = 'plain'
    const wanted = isPlain ? (read.value.films ?? []) : films
    const { draft } = desk
    queue.add(
      wanted.map(({ layer, mix: of, plan, curveId }) => {
        const fileName = fileNameOf(picture.name, layer, draft.format)
        const words = [
          sheet.value ? `Sheet ${sheet.value.sheet.number}` : picture.name,
          layer,
          curveName(curveId),
          dateOf(now.now, now.now),
        ]
        return {
          name: layer ? `${layer} of ${picture.name}` : `Negative of ${picture.name}`,
          fileName,
          question: {
            act: 'make',
            file: picture.file,
            mix: of,
            plan,
            format: draft.format,
            tint: tintOf(draft.tint),
            writing: draft.hasLabel ? words.filter(Boolean).join(' · ') : '',
            words: {
              title: [picture.name, layer].filter(Boolean).join(', '),
              description: texts.filmSaysOfItself({
                curve: curveName(curveId),
                pixelsPerInch: plan.pixelsPerInch,
                isMirrored: plan.isMirrored,
                isPositive: plan.isPositive === true,
              }),
              software: 'Ember Sheet',
              at: now.now,
              offsetMinutes: -new Date(now.now).getTimezoneOffset(),
            },
          },
          record: {
            picture: picture.name.slice(0, 200),
            ...(draft.sheetId && { sheetId: draft.sheetId }),
            ...(curveId !== 'plain' && { calibrationId: curveId }),
            curve: curveName(curveId),
            ...(layer && { layer }),
            widthMillimetres: plan.widthMillimetres,
            heightMillimetres: plan.heightMillimetres,
            pixelsPerInch: plan.pixelsPerInch,
          },
        }
      }),
    )
  }
  const makeLabel = computed(() =>
    desk.draft.layers.length ? `Make ${desk.draft.layers.length} negatives` : 'Make negative',
  )

  useMarginNotes(() => {
    const own: MarginNote[] = [
      ...notes.value,
      {
        title: 'Emulsion to emulsion',
        lines: [texts.layPrintedDullerSideFilm],
      },
    ]
    if (desk.picture) own.push({ title: 'Printing the film', lines: [...texts.printFilmSo] })
    if (!withCurve.value.length)
      own.push({
        title: 'Controlled tones',
        lines: [texts.printChartOnceOnFilm],
      })
    return own
  })
  return {
    desk,
    shownLayer,
    sheet,
    read,
    print,
    pixels,
    proof,
    rungs,
    histogram,
    used,
    seemsLines,
    setControls,
    setPoints,
    colours,
    dryDown,
    file,
    PARTS,
    part,
    sheetOptions,
    curveOptions,
    take,
    make,
    makeLabel,
  }
}
