import type { Correction } from '@core/chemistry/audits'
import { digits } from '@core/quantity/format'

/** What a correction does, as the words on its button. */
export function correctionWords(correction: Correction): string {
  switch (correction.act) {
    case 'restate':
      return `Change the label to ${digits(correction.percent)} %`
    case 'topUpTo':
      return `Top up to ${digits(correction.millilitres)} ml`
    case 'weigh':
      return `Weigh ${digits(correction.grams)} g`
    case 'useForm':
      return 'Use the form in your jar'
    case 'weaken':
      return `Make it ${digits(correction.percent)} %`
  }
}
