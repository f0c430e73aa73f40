import { texts } from './words'
import { addTabletPrint, undoTabletPrint } from '../../state/actions/light.actions'
import { computed, ref } from 'vue'
import { CoreError, type Refusal } from '@core/errors'
import { densityBehind, type Characteristic } from '@core/tone/characteristic'
import { TABLETS } from '@core/tone/tablet'
import { useWorkroom } from '../../state/workroom.store'
import type { ChartSeries } from '../../kit/useChartFigure'
import { useMarginNotes, type MarginNote } from '../../state/margin.store'
import { useNotice } from '../../state/notice.store'
import { useLights } from '../../state/lights.store'
import { readRow } from '@core/tone/typedReadings'
import { useCurves } from './useCurves'

/** A printed step tablet being read, and the curves of those that were kept. */
export function useTabletPage() {
  const [workroom, lights, notice] = [useWorkroom(), useLights(), useNotice()]
  const HAND = 'in hand'

  const tabletId = ref<string | undefined>(TABLETS[0].id)
  const tablets = computed(() => [
    ...TABLETS.map(({ id, name, densities }) => ({
      id: id as string,
      name: name as string,
      densities: densities as readonly number[],
    })),
    ...lights.tablets,
  ])
  const tablet = computed(() => tablets.value.find((one) => one.id === tabletId.value) ?? TABLETS[0])
  const name = ref('')
  const typed = ref('')
  const scale = ref<string | undefined>('density')
  const processId = ref('')
  const isByInstrument = ref(false)
  const processOptions = computed(() => workroom.allProcesses.map((one) => ({ id: one.id, name: one.name })))

  /** Readings in a row, clear step first; a dash for a step that could not be read. */
  const read = computed((): { print: (number | null)[] | null; fault?: Refusal } => {
    if (!typed.value.trim()) return { print: null }
    try {
      const print = readRow(typed.value, scale.value === 'lightness' ? 'lightness' : 'density')
      if (print.length > tablet.value.densities.length)
        throw new CoreError({
          code: 'too-many',
          field: 'readings',
          problem: texts.readingsDoNotMatchTablet({
            readings: print.length,
            steps: tablet.value.densities.length,
          }),
          remedy: texts.chooseAnotherTabletOrRemove,
        })
      return {
        print: [
          ...print,
          ...Array.from({ length: tablet.value.densities.length - print.length }, () => null),
        ],
      }
    } catch (error) {
      if (error instanceof CoreError) return { print: null, fault: error.refusal }
      throw error
    }
  })
  function take(value: number): void {
    isByInstrument.value = true
    typed.value = `${typed.value.trim()} ${value.toFixed(3)}`.trim()
  }

  // --- curves
  const shownIds = ref<string[]>([])
  const question = computed(() => [
    ...(read.value.print ? [{ id: HAND, tablet: [...tablet.value.densities], print: read.value.print }] : []),
    ...lights.tabletPrints.map((one) => ({ id: one.id, tablet: one.tablet, print: one.print })),
  ])
  const curves = useCurves(() => question.value)
  const curveOf = (id: string): Characteristic | null => {
    const found = curves.value[id]
    return found && 'curve' in found ? found.curve : null
  }
  const refusalOfHand = computed(() => {
    const found = read.value.print ? curves.value[HAND] : undefined
    return found && 'refusal' in found ? found.refusal : undefined
  })
  const inHand = computed(() => (read.value.print ? curveOf(HAND) : null))
  const kept = computed(() => [...lights.tabletPrints].sort((a, b) => b.at - a.at))
  const isShown = (id: string) => shownIds.value.includes(id)
  const toggle = (id: string) =>
    (shownIds.value = isShown(id) ? shownIds.value.filter((one) => one !== id) : [...shownIds.value, id])
  /** What the figures are of: the one in hand, else the one shown last, else the newest. */
  const figured = computed(() => {
    if (inHand.value) return { name: name.value.trim() || 'in hand', curve: inHand.value }
    const one = kept.value.find((print) => print.id === shownIds.value.at(-1)) ?? kept.value[0]
    const curve = one && curveOf(one.id)
    return one && curve ? { name: one.name, curve } : null
  })

  const COLOURS = ['ember', 'prussian', 'umber', 'plum', 'ink'] as const
  const drawn = computed(() => [
    ...(read.value.print && inHand.value
      ? [
          {
            id: HAND,
            name: name.value.trim() || 'in hand',
            tablet: [...tablet.value.densities],
            print: read.value.print,
            curve: inHand.value,
          },
        ]
      : []),
    ...kept.value
      .filter((one, at) => isShown(one.id) || (!inHand.value && !shownIds.value.length && at === 0))
      .flatMap((one) => {
        const curve = curveOf(one.id)
        return curve ? [{ id: one.id, name: one.name, tablet: one.tablet, print: one.print, curve }] : []
      }),
  ])
  const series = computed<ChartSeries[]>(() =>
    drawn.value.flatMap(({ name: title, tablet: steps, print, curve }, n) => {
      const last = Math.max(...steps)
      const colour = COLOURS[n % COLOURS.length]
      return [
        { name: title, kind: 'points' as const, colour, points: steps.flatMap((density, i) => (print[i] == null ? [] : [{ x: -density, y: print[i] }])) },
        {
          name: `${title}, curve`, kind: 'line' as const, colour, isDrawnOnly: true,
          points: Array.from({ length: 61 }, (_, i) => (last * i) / 60).map((density) => ({ x: -density, y: densityBehind(curve, density) })),
        },
      ] // prettier-ignore
    }),
  )
  const outliers = computed(
    () => figured.value?.curve.outliers.flatMap((is, at) => (is ? [at + 1] : [])) ?? [],
  )
  const ends = computed(() => {
    const curve = figured.value?.curve
    if (!curve) return []
    const said = (title: string, end: Characteristic['minimum'], word: string) =>
      end.isMet
        ? { title, value: end.fitted.toFixed(2), says: 'the tablet reaches this point' }
        : {
            title,
            value: end.reached.toFixed(2),
            says:
              Math.abs(end.fitted - end.reached) < 0.005
                ? texts.tabletEndsBeforeCurveLevels({ advice: word })
                : texts.tabletEndsAndCurveContinues({ density: end.fitted.toFixed(2), advice: word }),
          }
    return [
      said('whitest', curve.minimum, 'use a longer tablet or less exposure'),
      said('deepest', curve.maximum, 'use more exposure to show it'),
    ]
  })

  async function keep(): Promise<void> {
    if (!read.value.print) return
    try {
      const id = await addTabletPrint({
        name: name.value.trim() || `tablet ${lights.tabletPrints.length + 1}`,
        tablet: [...tablet.value.densities],
        print: read.value.print,
        by: isByInstrument.value ? 'instrument' : 'typed',
        ...(processId.value && { processId: processId.value }),
        note: '',
      })
      shownIds.value = [...shownIds.value, id]
      ;[name.value, typed.value, isByInstrument.value] = ['', '', false]
      notice.say('Tablet saved.', () => undoTabletPrint(id))
    } catch (error) {
      notice.refuse(error, 'the tablet')
    }
  }

  /** Kept tablets that gave a curve. */
  const measured = computed(() =>
    kept.value.flatMap((one) => {
      const curve = curveOf(one.id)
      return curve ? [{ id: one.id, name: one.name, processId: one.processId, curve }] : []
    }),
  )

  const bronzed = computed(() => figured.value?.curve.bronzed.flatMap((is, at) => (is ? [at + 1] : [])) ?? [])

  useMarginNotes(() => {
    const notes: MarginNote[] = []
    if (bronzed.value.length)
      notes.push({
        title: 'The coat bronzes',
        tone: 'caution',
        lines: [texts.stepsPrintLighterWithMoreLight({ steps: bronzed.value })],
      })
    if (figured.value?.curve.curve.by === 'readings')
      notes.push({
        title: 'Read without a model',
        lines: [texts.noStandardCurveFitsThese],
      })
    if (outliers.value.length)
      notes.push({
        title: 'Off the curve',
        tone: 'caution',
        lines: [texts.stepsToMeasureAgain({ steps: outliers.value })],
      })
    notes.push(
      {
        title: 'How to print it',
        lines: [texts.putTabletInFrameLike],
      },
      {
        title: 'What it shows',
        lines: [texts.tabletShowsHowMuchDensity],
      },
      {
        title: 'Ends of the curve',
        lines: [texts.ifCurveLevelsOutYou],
      },
    )
    return notes
  })
  return {
    workroom,
    tabletId,
    tablets,
    tablet,
    name,
    typed,
    scale,
    processId,
    processOptions,
    read,
    take,
    curveOf,
    refusalOfHand,
    inHand,
    kept,
    isShown,
    toggle,
    figured,
    drawn,
    series,
    ends,
    keep,
    measured,
  }
}
