import { texts } from './words'
import type { LightCourse, Sample } from '@core/run/dose'
import { eyeLimitSeconds } from '@core/light/eyeLimit'
import type { Figure } from '@core/quantity/figure'
import { formatSpan, formatStops } from '@core/quantity/format'
import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import type { MarginNote } from '../../state/margin.store'
import { blueLightLines } from '../../words/spectrumNotes'
import { doseText, irradianceText } from './lightWords'

/** What the margin says of a sheet in the light: looks, when to look again, the eyes, how the dose is counted. */
export function exposureNotes(of: {
  definition: ProcessDefinition
  step: StepDefinition | null
  /** Per cent of the planned exposure that it has had. */
  share: number
  course: LightCourse | null
  samples: readonly Sample[]
  plannedSeconds: number
  /** The light now, where it is known. */
  milliwattsPerCm2: number | null
  deeper: Figure | null
  /** Where a lamp's light is strongest, where that is known. */
  peakNanometres?: number | undefined
}): MarginNote[] {
  const notes: MarginNote[] = []
  const soon = (of.step?.looks ?? []).findLast((look) => of.share >= look.share * 100)
  if (soon) notes.push({ title: 'Dose so far', lines: [soon.lookFor] })
  const every = of.step?.lookEvery
  if (every)
    notes.push({
      title: 'Check progress',
      lines: [
        `Every ${formatSpan(every.leastSeconds ?? 0)} to ${formatSpan(every.mostSeconds ?? 0)}. ${every.source}.`,
      ],
    })
  if (of.deeper && of.definition.deeper && Math.abs(of.deeper.value) > 0.01)
    notes.push({
      title: `Print ${of.deeper.value < 0 ? 'lighter' : 'deeper'} by ${formatStops(Math.abs(of.deeper.value)).replace('+', '')}`,
      lines: [of.definition.deeper.why],
    })
  if (of.milliwattsPerCm2 && of.milliwattsPerCm2 > 0.05)
    notes.push({
      title: 'Eyes',
      tone: 'caution',
      lines: [
        texts.eyeLimitAtThisLevel({
          limit: formatSpan(Math.round(eyeLimitSeconds(of.milliwattsPerCm2).value)),
        }),
        ...blueLightLines(of.milliwattsPerCm2, of.peakNanometres),
      ],
    })
  const reference = of.course?.referenceMilliwattsPerCm2
  if (reference && of.milliwattsPerCm2) {
    const wanted = of.plannedSeconds * reference
    const counted = (of.share / 100) * wanted
    notes.push({
      title: 'Time by dose',
      lines: [
        `${doseText(wanted)} needed`,
        `${doseText(counted)} counted so far`,
        ...(wanted > counted
          ? [
              `${doseText(wanted - counted)} ÷ ${irradianceText(of.milliwattsPerCm2)} = ${formatSpan(Math.round((wanted - counted) / of.milliwattsPerCm2))}`,
            ]
          : []),
      ],
    })
  }
  return notes
}
