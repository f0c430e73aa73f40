import type { Mend } from '@core/chemistry/audits'
import { digits } from '@core/quantity/format'

/** What a mend does, as the words on its button. */
export function mendWords(mend: Mend): string {
  switch (mend.act) {
    case 'restate':
      return `Change the label to ${digits(mend.percent)} %`
    case 'topUpTo':
      return `Top up to ${digits(mend.millilitres)} ml`
    case 'weigh':
      return `Weigh ${digits(mend.grams)} g`
    case 'useForm':
      return 'Use the form in your jar'
    case 'weaken':
      return `Make it ${digits(mend.percent)} %`
  }
}
