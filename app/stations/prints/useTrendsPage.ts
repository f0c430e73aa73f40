import { texts } from './words'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Signal } from '@core/judge/controlChart'
import { trendsOf, type Trend } from '@core/judge/trends'
import { digits, formatSpan } from '@core/quantity/format'
import { useCalibrationRows } from '../../state/queries'
import { useNow } from '../../state/useNow'
import { useWorkroom } from '../../state/workroom.store'
import { useLights } from '../../state/lights.store'
import type { ChartSeries } from '../../kit/useChartFigure'
import { useMarginNotes } from '../../state/margin.store'
import { dateOf } from '../../words/moments'

/** What drifts over months: lamps, base exposures, blacks, whites and charts, each with the limits of chance. */
export function useTrendsPage() {
  const [workroom, lights, now, router] = [useWorkroom(), useLights(), useNow(), useRouter()]
  const calibrations = useCalibrationRows()
  const portfolio = ref('')
  const portfolioOptions = computed(() => workroom.portfolios.map((id) => ({ id, name: id })))
  const trends = computed(() =>
    trendsOf({
      prints: workroom.sheets.filter((one) => !portfolio.value || one.sheet.portfolio === portfolio.value),
      bases: lights.bases,
      lightEntries: lights.entries,
      calibrations: calibrations.value ?? [],
    }),
  )

  const TITLE = {
    lamp: 'Lamp output',
    base: 'Base exposure',
    black: 'Dmax',
    white: 'Paper white',
    residual: 'Calibration check error',
  } as const
  const MEANS: Readonly<Record<Trend['kind'], string>> = {
    lamp: texts.lessLightAtSameDistance,
    base: texts.risingBaseExposureMeansDimming,
    black: texts.fallingDmaxFirstSignOld,
    white: texts.darkerPaperWhiteMeansPoor,
    residual: texts.checkErrorsGrowWhenPrinter,
  }
  const placeOf = ({ processId, paperId, lightId }: Trend) =>
    [
      processId && workroom.definitionOf(processId).name,
      paperId && workroom.papers.find((one) => one.id === paperId)?.name,
      lightId && workroom.lights.find((one) => one.id === lightId)?.name,
    ]
      .filter(Boolean)
      .join(', ')
  const valueText = (trend: Trend) => (value: number) =>
    trend.kind === 'base' ? formatSpan(value) : digits(value, 3)
  const SIGN: Readonly<Record<Signal, string>> = {
    beyond: 'is outside the control limits',
    run: 'is the eighth in a row on one side of the mean',
    drift: 'is the sixth in a row that rises or falls',
  }
  const warnings = (trend: Trend): string[] =>
    (trend.chart?.signals ?? []).slice(-3).map(({ index, sign }) => {
      const point = trend.points[index]
      return point ? `${valueText(trend)(point.value)} on ${dateOf(point.at, now.now)} ${SIGN[sign]}.` : ''
    })

  function series(trend: Trend): ChartSeries[] {
    const points = trend.points.map((one) => ({ x: one.at, y: one.value }))
    const [from, to] = [points[0]?.x ?? 0, points.at(-1)?.x ?? 0]
    const level = (name: string, y: number, dashed: boolean): ChartSeries => ({
      name,
      kind: 'line',
      colour: 'quiet',
      dashed,
      isDrawnOnly: true,
      points: [
        { x: from, y },
        { x: to, y },
      ],
    })
    const { chart } = trend
    const marked = new Set(chart?.signals.map((one) => one.index))
    return [
      ...(chart
        ? [
            level('mean', chart.mean, false),
            level('upper limit', chart.upper, true),
            level('lower limit', chart.lower, true),
          ]
        : []),
      { name: TITLE[trend.kind].toLowerCase(), kind: 'line', colour: 'ink', isDrawnOnly: true, points },
      {
        name: TITLE[trend.kind],
        kind: 'points',
        colour: 'ink',
        points,
      },
      ...(marked.size
        ? [
            {
              name: 'outside control limits',
              kind: 'points' as const,
              colour: 'ember' as const,
              points: points.filter((_, i) => marked.has(i)),
            },
          ]
        : []),
    ]
  }
  const keyOf = (trend: Trend) => [trend.kind, trend.processId, trend.paperId, trend.lightId].join('/')

  useMarginNotes(() => [
    {
      title: 'How control limits are computed',
      lines: [texts.limitsMeanFirstEightValues, texts.controlLimitSource],
    },
    {
      title: 'Change one thing',
      lines: [texts.newLotLampOrPaper],
    },
  ])
  return {
    now,
    router,
    portfolio,
    portfolioOptions,
    trends,
    TITLE,
    MEANS,
    placeOf,
    valueText,
    warnings,
    series,
    keyOf,
  }
}
