import type { Register, RegisterAdvice } from '@core/scan/registerError'
import { digits } from '@core/quantity/format'

/** To a hundredth: what is less was not measured. */
const hundredths = (value: number) => String(Math.round(Math.abs(value) * 100) / 100)
const mm = (value: number) => `${hundredths(value)} mm`
const percent = (share: number) => `${hundredths(100 * share)} %`

/** How the layers are, line by line. */
export const registerLines = ({
  shift,
  turnDegrees,
  stretchAcross,
  stretchDown,
  worst,
  residual,
}: Register): [string, string][] => [
  [
    'Shift',
    `${mm(shift[0])} to the ${shift[0] < 0 ? 'left' : 'right'}, ${mm(shift[1])} ${shift[1] < 0 ? 'up' : 'down'}`,
  ],
  ['Rotation', `${hundredths(turnDegrees)}° ${turnDegrees < 0 ? 'counterclockwise' : 'clockwise'}`],
  [
    'Stretch',
    `${percent(stretchAcross)} ${stretchAcross < 0 ? 'shorter' : 'longer'} across, ${percent(stretchDown)} ${stretchDown < 0 ? 'shorter' : 'longer'} down`,
  ],
  ['Largest error', mm(worst)],
  ['Reading error', `about ${mm(Math.max(residual, 0.02))}`],
]

/** What to do, in a printer's words. */
export function adviceLine(advice: RegisterAdvice): string {
  switch (advice.kind) {
    case 'good':
      return 'The layers are in register as closely as the eye can see. Change nothing.'
    case 'move':
      return `Move the upper film ${mm(advice.right)} to the ${advice.right < 0 ? 'left' : 'right'} and ${mm(advice.down)} ${advice.down < 0 ? 'up' : 'down'}.`
    case 'turn':
      return `Turn the upper film ${hundredths(advice.degrees)}° ${advice.degrees < 0 ? 'counterclockwise' : 'clockwise'} (${mm(advice.atEdge)} at the corners). Tape the film at two marks before you let go.`
    case 'stretch':
      return `The sheet has ${advice.across + advice.down > 0 ? 'shrunk' : 'grown'} by ${mm(advice.millimetres)} at the edge since its first layer. Next time, soak and dry the paper once before the first layer, and dry it flat before the second. Or print the upper film at ${digits(100 - 100 * advice.across, 4)} % width and ${digits(100 - 100 * advice.down, 4)} % height.`
    case 'uneven':
      return `The marks disagree by about ${mm(advice.millimetres)}: the paper has cockled, or the film was not flat. Press the sheet flat, then scan and read it again.`
  }
}
