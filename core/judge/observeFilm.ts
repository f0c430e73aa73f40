import { digits } from '../quantity/format'
import type { Calibration } from '../schema/light'
import type { Observed } from './diagnosis'
import { fact } from './observeWetSide'
import { wordsOf, type PrintRecord } from './printRecord'

const REGISTER_SEEN = 0.2

/** Register, and the curve of the negative: whether it has one, and whether it is its own. */
export function film({ registerWorst, films, curves, sheet }: PrintRecord): Observed[] {
  const known: Observed[] = []
  if (registerWorst !== null)
    known.push(
      fact(
        'register-off',
        registerWorst > REGISTER_SEEN,
        `the largest register error was ${digits(registerWorst, 2)} mm`,
      ),
    )
  if (films.length && sheet.choices.subject !== 'photogram') {
    const curved = films.some((film) => film.calibrationId !== undefined)
    known.push(
      fact(
        'no-curve',
        !curved,
        curved
          ? 'the negative was made with a correction curve'
          : 'the negative was made without a correction curve',
      ),
    )
    const other = curves.map((curve) => otherThan(curve, sheet)).find((said) => said !== null)
    if (curves.length)
      known.push(fact('other-curve', other !== undefined, other ?? 'the curve is of this process and paper'))
  }
  return known
}

/** What of a calibration is not as the sheet has it, in words; `null` where all that it tells is the same. */
function otherThan(curve: Calibration, { process, paperId, lightId }: PrintRecord['sheet']): string | null {
  if (curve.processId !== undefined && curve.processId !== process.id)
    return 'the curve of the negative is of another process'
  if (curve.paperId !== undefined && paperId !== undefined && curve.paperId !== paperId)
    return 'the curve of the negative is of another paper'
  if (curve.lightId !== undefined && lightId !== undefined && curve.lightId !== lightId)
    return 'the curve of the negative is of another light'
  return null
}

/** Whether the print under a layer of gum was toned, where it was made here. */
export function layerBelow({ below }: PrintRecord): Observed[] {
  if (!below?.definition.steps.some(({ role }) => role === 'tone')) return []
  const isToned = below.state.steps.some(
    (step) => step.status === 'done' && !step.skipped && wordsOf(below.definition, step)?.role === 'tone',
  )
  const which = `sheet ${below.sheet.number} under the gum`
  return [fact('base-untoned', !isToned, isToned ? `${which} was toned` : `${which} was not toned`)]
}
