import {
  Chart,
  LinearScale,
  LineElement,
  LogarithmicScale,
  PointElement,
  type ChartData,
  type ChartOptions,
  type Plugin,
} from 'chart.js'
import { computed, ref } from 'vue'
import { usePreferences } from '../state/preferences.store'

/** One row of values: a line through them, or the points themselves. */
export interface ChartSeries {
  name: string
  points: readonly { x: number; y: number }[]
  kind: 'line' | 'points'
  /** Name of the colour, by purpose. */
  colour?: 'ink' | 'ember' | 'quiet' | 'prussian' | 'umber' | 'plum'
  dashed?: boolean
  /** A line drawn finely has too many points for a table; then its values are left out of it. */
  isDrawnOnly?: boolean
}

/** What a ChartFigure is given. */
export interface ChartFigureProps {
  label: string
  series: readonly ChartSeries[]
  xName: string
  yName: string
  xText?: (x: number) => string
  yText?: (y: number) => string
  /** A stretch of x that is pointed out, and single places. */
  band?: { from: number; to: number } | null
  marks?: readonly { x: number; name: string }[]
  xLog?: boolean
  yMin?: number
  xMin?: number
  xMax?: number
  xTicks?: readonly number[]
}

/** The data and options of a chart in the colours of the palette, and its table. */
export function useChartFigure(props: Readonly<ChartFigureProps>) {
  Chart.register(LinearScale, LogarithmicScale, PointElement, LineElement)

  const preferences = usePreferences()
  const showsTable = ref(false)
  const at = ref(-1)

  const colour = (name: string) =>
    getComputedStyle(document.documentElement).getPropertyValue(`--es-${name}`).trim() || '#888888'
  const colours = computed(() => {
    void preferences.chosen.palette
    return {
      ink: colour('ink'), ember: colour('ember'), quiet: colour('quiet'), rule: colour('rule'), page: colour('page'),
      prussian: colour('prussian'), umber: colour('umber'), plum: colour('plum'),
    } // prettier-ignore
  })
  const data = computed<ChartData<'scatter'>>(() => ({
    datasets: props.series.map((one) => {
      const drawn = colours.value[one.colour ?? 'ink']
      return {
        label: one.name,
        data: [...one.points],
        showLine: one.kind === 'line',
        borderColor: drawn,
        backgroundColor: one.kind === 'points' ? drawn : 'transparent',
        borderWidth: 2,
        ...(one.dashed && { borderDash: [5, 5] }),
        pointRadius: one.kind === 'points' ? 4 : 0,
        pointHitRadius: 8,
        tension: 0,
      }
    }),
  }))
  const xShown = (x: number) => props.xText?.(x) ?? String(Math.round(x * 100) / 100)
  const yShown = (y: number) => props.yText?.(y) ?? String(Math.round(y * 100) / 100)
  const options = computed<ChartOptions<'scatter'>>(() => {
    const axis = (title: string, text: (value: number) => string) => ({
      title: { display: true, text: title, color: colours.value.quiet, font: { family: 'B612', size: 13 } },
      grid: { color: colours.value.rule },
      border: { color: colours.value.quiet },
      ticks: {
        color: colours.value.quiet,
        font: { family: 'B612', size: 12 },
        maxRotation: 0,
        callback: (value: number | string) => text(+value),
      },
    })
    const x = axis(props.xName, xShown)
    return {
      animation: false,
      responsive: true,
      maintainAspectRatio: false,
      events: [],
      scales: {
        x: {
          ...x,
          type: props.xLog ? 'logarithmic' : 'linear',
          ...(props.xMin !== undefined && { min: props.xMin }),
          ...(props.xMax !== undefined && { max: props.xMax }),
          ...(props.xTicks && {
            afterBuildTicks: (scale: { ticks: { value: number }[] }) => {
              scale.ticks = (props.xTicks ?? []).map((value) => ({ value }))
            },
          }),
        },
        y: { ...axis(props.yName, yShown), ...(props.yMin !== undefined && { min: props.yMin }) },
      },
    }
  })
  /** The band, the marks and the point in hand are over the drawing. */
  const overlay: Plugin<'scatter'> = {
    id: 'overlay',
    beforeDatasetsDraw({ ctx, chartArea: { top, bottom, left, right }, scales }) {
      const place = (x: number) => Math.min(right, Math.max(left, scales.x?.getPixelForValue(x) ?? left))
      ctx.save()
      if (props.band) {
        ctx.fillStyle = colours.value.rule
        ctx.globalAlpha = 0.5
        ctx.fillRect(place(props.band.from), top, place(props.band.to) - place(props.band.from), bottom - top)
        ctx.globalAlpha = 1
      }
      ctx.strokeStyle = colours.value.ember
      ctx.fillStyle = colours.value.ember
      ctx.font = '13px B612'
      const named: { from: number; to: number }[] = []
      for (const mark of props.marks ?? []) {
        ctx.beginPath()
        ctx.moveTo(place(mark.x), top)
        ctx.lineTo(place(mark.x), bottom)
        ctx.stroke()
        const isRight = place(mark.x) > (left + right) / 2
        const name = ` ${mark.name} `
        const width = ctx.measureText(name).width
        const from = isRight ? place(mark.x) - width : place(mark.x)
        // A name that would be over another goes one line down.
        const line = named.filter((one) => one.from < from + width && from < one.to).length
        named.push({ from, to: from + width })
        ctx.textAlign = isRight ? 'right' : 'left'
        ctx.fillText(name, place(mark.x), top + 12 + 16 * line)
      }
      ctx.restore()
    },
    afterDatasetsDraw({ ctx, scales }) {
      const point = reachable.value[at.value]
      if (!point) return
      ctx.save()
      ctx.strokeStyle = colours.value.ember
      ctx.lineWidth = 2
      ctx.beginPath()
      ctx.arc(
        scales.x?.getPixelForValue(point.x) ?? 0,
        scales.y?.getPixelForValue(point.y) ?? 0,
        8,
        0,
        2 * Math.PI,
      )
      ctx.stroke()
      ctx.restore()
    },
  }
  const tabled = computed(() => props.series.filter((one) => !one.isDrawnOnly))
  const reachable = computed(() =>
    tabled.value.flatMap((one) => one.points.map((point) => ({ ...point, name: one.name }))),
  )
  const spoken = computed(() => {
    const point = reachable.value[at.value]
    return point ? `${point.name}, ${xShown(point.x)}: ${yShown(point.y)}` : ''
  })
  function go(by: number): void {
    const count = reachable.value.length
    if (count) at.value = (Math.max(at.value, by > 0 ? -1 : count) + by + count) % count
  }
  /** The palette, the point in hand and what is over the drawing are not data; a new key draws it again. */
  const drawing = computed(
    () => `${preferences.chosen.palette}/${at.value}/${JSON.stringify([props.band, props.marks])}`,
  )
  return { showsTable, at, data, xShown, yShown, options, overlay, tabled, spoken, go, drawing }
}
