import type { Figure } from '@core/quantity/figure'
import { digits, formatSpan } from '@core/quantity/format'

/** A figure as the page writes it: `2.00 ml`, `12.5 % w/v`, `8 min`, `20 drops`. */
export function figureText(figure: Figure): string {
  if (figure.unit === 's') return formatSpan(figure.value)
  const keepZeros = figure.unit === 'ml'
  const unit = figure.unit ? `\u00a0${figure.unit}` : ''
  return `${digits(figure.value, 3, keepZeros)}${unit}`
}
