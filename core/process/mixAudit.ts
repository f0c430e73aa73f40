import { auditAge, auditAmount, type Finding } from '../chemistry/audits'
import { digits } from '../quantity/format'
import type { SoluteDefinition } from '../schema/definition'
import type { MixPlan } from './mixPlan'

/** A bottle may depart from the recipe by this share before it is worth a word. */
const STRENGTH_SLACK = 0.05

/**
 * What is wrong with the lots of a mix: too little left, too old, not ripe, or of another strength than the process means.
 *
 * @param stocks what each component's bottle holds by the chosen school.
 * @param now milliseconds.
 */
export function auditMix(
  plan: MixPlan,
  stocks: Readonly<Record<string, readonly SoluteDefinition[]>>,
  now: number,
): Finding[] {
  return plan.pours.flatMap(({ component, millilitres, from, lots }) => {
    const findings: (Finding | null)[] = []
    const left = lots.reduce((sum, lot) => sum + (lot.leftMillilitres ?? Infinity), 0)
    if (Number.isFinite(left)) findings.push(auditAmount(component.name, millilitres, left, 'ml'))
    for (const { lot } of from) {
      if (!lot.bottleId) continue
      findings.push(auditAge(lot, now))
      for (const meant of stocks[component.id] ?? []) {
        const held = lot.solutes.find((solute) => solute.substanceId === meant.substanceId)
        if (held && Math.abs(held.percentWv - meant.percentWv) > STRENGTH_SLACK * meant.percentWv)
          findings.push({
            code: 'stated-strength',
            subject: lot.name,
            problem: `This bottle has ${digits(held.percentWv)} % ${held.name}; the process uses ${digits(meant.percentWv)} %.`,
            remedy: 'The mix shows the actual strengths. Change the ratio if you want the usual strength.',
            corrections: [],
          })
      }
    }
    return findings.filter((one) => one !== null)
  })
}
