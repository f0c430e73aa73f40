import type { Register, RegisterAdvice } from '@core/scan/registerError'
import { digits } from '@core/quantity/format'

/** To a hundredth: what is less was not measured. */
const hundredths = (value: number) => String(Math.round(Math.abs(value) * 100) / 100)
const mm = (value: number) => `${hundredths(value)} mm`
const percent = (share: number) => `${hundredths(100 * share)} %`

/** How the layers lie, line by line. */
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
  ['Turn', `${hundredths(turnDegrees)}° ${turnDegrees < 0 ? 'against the clock' : 'with the clock'}`],
  [
    'Stretch',
    `${percent(stretchAcross)} ${stretchAcross < 0 ? 'shorter' : 'longer'} across, ${percent(stretchDown)} ${stretchDown < 0 ? 'shorter' : 'longer'} down`,
  ],
  ['Worst mark', mm(worst)],
  ['Read to', `about ${mm(Math.max(residual, 0.02))}`],
]

/** What to do, in a printer's words. */
export function adviceLine(advice: RegisterAdvice): string {
  switch (advice.kind) {
    case 'good':
      return 'The layers lie on each other as closely as the eye can see. Leave everything as it was.'
    case 'move':
      return `Lay the upper film ${mm(advice.right)} further to the ${advice.right < 0 ? 'left' : 'right'} and ${mm(advice.down)} further ${advice.down < 0 ? 'up' : 'down'}.`
    case 'turn':
      return `Turn the upper film by ${hundredths(advice.degrees)}° ${advice.degrees < 0 ? 'against' : 'with'} the clock: that is ${mm(advice.atEdge)} at the corners. Tape it at two marks before you let go.`
    case 'stretch':
      return `The sheet has ${advice.across + advice.down > 0 ? 'shrunk' : 'grown'} since its first layer, ${mm(advice.millimetres)} at the edge. Soak and dry it once before the first layer next time, and dry it flat and as dry again before the second; or print the upper film at ${digits(100 - 100 * advice.across, 4)} % across and ${digits(100 - 100 * advice.down, 4)} % down.`
    case 'uneven':
      return `The marks do not move together, by about ${mm(advice.millimetres)}: the paper has cockled, or the film did not lie flat. Press the sheet before it is scanned, and read it again.`
  }
}
