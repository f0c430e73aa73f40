/**
 * The line protocol of the instruments, in the manner of IEEE 488.2 and SCPI: commands in words separated by colons, a
 * question mark for what wants an answer, answers that begin with their own header. See docs/instruments.md.
 */

/** What an instrument can measure, with the header of its answers, the question for it, and bounds of belief. */
export const QUANTITIES = {
  irradiance: { header: 'IRR', question: 'MEAS:IRR?', unit: 'mW/cm²', low: 0, high: 1000 },
  density: { header: 'DENS', question: 'MEAS:DENS?', unit: 'D', low: -0.5, high: 6 },
  mass: { header: 'MASS', question: 'MEAS:MASS?', unit: 'g', low: -10_000, high: 100_000 },
  temperature: { header: 'TEMP', question: 'MEAS:TEMP?', unit: '°C', low: -40, high: 125 },
  humidity: { header: 'HUM', question: 'MEAS:HUM?', unit: '%', low: 0, high: 100 },
} as const

export type MeasuredQuantity = keyof typeof QUANTITIES

/** One line from an instrument, understood or not. */
export type InstrumentLine =
  | { kind: 'reading'; quantity: MeasuredQuantity; value: number }
  | { kind: 'identity'; maker: string; model: string; serial: string; version: string }
  | { kind: 'switch'; isOn: boolean }
  | { kind: 'error'; code: number; text: string }
  /** Anything else: a broken line, a number out of all bounds, another device's talk. */
  | { kind: 'noise' }

const NOISE: InstrumentLine = { kind: 'noise' }

/** No answer is longer; what is, is not one. */
export const LONGEST_LINE = 120

/** Numbers as IEEE 488.2 writes them: NR1 `12`, NR2 `1.25`, NR3 `1.25E+00`. Nothing else, not even blanks inside. */
const NUMBER = /^[+-]?(?:\d{1,15}|\d{0,15}\.\d{1,15}|\d{1,15}\.)(?:E[+-]?\d{1,2})?$/i

const BY_HEADER = new Map<string, MeasuredQuantity>(
  (Object.keys(QUANTITIES) as MeasuredQuantity[]).map((quantity) => [QUANTITIES[quantity].header, quantity]),
)

/**
 * Reads one line from an instrument. Never throws: whatever cannot be trusted is noise.
 *
 * @param line without its line feed; a carriage return at its end is let pass.
 */
export function readLine(line: string): InstrumentLine {
  const text = line.replace(/\r$/, '')
  if (text.length > LONGEST_LINE || !/^[\x20-\x7e]+$/.test(text)) return NOISE
  const space = text.indexOf(' ')
  if (space < 1) return NOISE
  const [header, rest] = [text.slice(0, space), text.slice(space + 1)]
  const quantity = BY_HEADER.get(header)
  if (quantity) {
    const value = readNumber(rest)
    const { low, high } = QUANTITIES[quantity]
    return value !== null && value >= low && value <= high ? { kind: 'reading', quantity, value } : NOISE
  }
  if (header === 'OUTP') return rest === '1' || rest === '0' ? { kind: 'switch', isOn: rest === '1' } : NOISE
  if (header === 'ERR') {
    const match = /^([+-]?\d{1,6}),"([^"]*)"$/.exec(rest)
    return match ? { kind: 'error', code: Number(match[1]), text: match[2] ?? '' } : NOISE
  }
  if (header === 'IDN') {
    const parts = rest.split(',')
    const [maker, model, serial, version] = parts
    return parts.length === 4 && maker && model
      ? { kind: 'identity', maker, model, serial: serial ?? '', version: version ?? '' }
      : NOISE
  }
  return NOISE
}

/** A number as IEEE 488.2 writes it, or `null`. */
export function readNumber(text: string): number | null {
  if (!NUMBER.test(text)) return null
  const value = Number(text)
  return Number.isFinite(value) ? value : null
}

/** An answer of a measurement, in NR3 with five digits; what is too small to be read is nothing. */
export function writeReading(quantity: MeasuredQuantity, value: number): string {
  const [digits = '', power = ''] = (Math.abs(value) < 1e-9 ? 0 : value).toExponential(4).split('e')
  return `${QUANTITIES[quantity].header} ${digits}E${power[0]}${power.slice(1).padStart(2, '0')}`
}

/** A command as an instrument hears it. */
export interface Command {
  /** Upper case, in its short form: `MEAS:IRR`, `*IDN`. */
  header: string
  isQuestion: boolean
  args: string[]
}

/** Reads a command, or `null` for what is none. Long forms such as `MEASure:IRRadiance?` are taken like short ones. */
export function readCommand(line: string): Command | null {
  const match = /^\s*(\*?[A-Za-z]{2,16}(?::[A-Za-z]{2,16}){0,4})(\?)?(?:\s+([\x20-\x7e]{1,2000}))?\s*$/.exec(
    line.replace(/\r$/, ''),
  )
  if (!match) return null
  const header = (match[1] ?? '').toUpperCase().split(':').map(shortForm).join(':')
  return { header, isQuestion: match[2] === '?', args: match[3]?.split(',').map((arg) => arg.trim()) ?? [] }
}

const SHORT: Readonly<Record<string, string>> = {
  MEASURE: 'MEAS', IRRADIANCE: 'IRR', DENSITY: 'DENS', TEMPERATURE: 'TEMP', HUMIDITY: 'HUM', CONTINUOUS: 'CONT',
  OUTPUT: 'OUTP', CALIBRATE: 'CAL', CALIBRATION: 'CAL', SYSTEM: 'SYST', ERROR: 'ERR', SENSE: 'SENS', ABORT: 'ABOR',
} // prettier-ignore
const shortForm = (word: string): string => SHORT[word] ?? word

/**
 * Cuts a stream of text into lines, however it comes in pieces. A line that never ends is thrown away, so that a mad
 * device cannot fill the memory.
 *
 * @returns a function that takes the next piece and gives the lines that it completed.
 */
export function lineSplitter(): (piece: string) => string[] {
  let rest = ''
  let isSkipping = false
  return (piece) => {
    const parts = (rest + piece).split('\n')
    rest = parts.pop() ?? ''
    const lines = isSkipping && parts.length ? parts.slice(1) : parts
    if (parts.length) isSkipping = false
    if (rest.length > LONGEST_LINE) {
      rest = ''
      isSkipping = true
    }
    return lines
  }
}
