import { isChosen } from '../process/mixPlan'
import { stepsFor } from '../process/plan'
import type { ProcessDefinition } from '../schema/definition'
import type { Light } from '../schema/light'
import type { Sheet } from '../schema/records'
import type { Trait } from './faultBook'

const NOBLE = /platinate|platinite|palladite|gold-chloride/

/**
 * What a print is made of and by, from its process and what was chosen of it.
 *
 * @param light it was exposed under; where that is not known, it may have been a lamp or the sun.
 */
export function traitsOf(
  definition: ProcessDefinition,
  sheet: Pick<Sheet, 'choices' | 'over'>,
  light: Pick<Light, 'kind'> | null = null,
): ReadonlySet<Trait> {
  const parts = definition.mixes.flatMap((mix) =>
    mix.parts.filter((part) => isChosen(part.when, sheet.choices)).map((part) => part.component),
  )
  const steps = stepsFor(definition, sheet.choices)
  const laid = steps.flatMap((step) => (step.lays ? [step.lays.component] : []))
  const inUse = new Set([...parts, ...laid])
  const components = definition.components.filter((one) => !inUse.size || inUse.has(one.id))
  const held = components.flatMap((one) => one.stock.solutes.map((solute) => solute.substanceId))
  const has = (pattern: RegExp) => held.some((id) => pattern.test(id))
  const does = (role: string) => steps.some((step) => step.role === role)

  const traits = new Set<Trait>()
  const note = (trait: Trait, is: boolean) => void (is && traits.add(trait))
  note('iron', has(/ferric|ferri/))
  note('silver', has(/silver-(nitrate|oxide)/))
  note('ferricyanide', has(/ferricyanide/))
  note('noble', has(NOBLE))
  note('gold', has(/gold-chloride/))
  note('pigment', has(/dichromate/))
  note('halide', has(/-chloride$/) && has(/silver-nitrate/))
  note('develops', does('develop'))
  note('clears', does('clear'))
  note('tones', does('tone'))
  note('fixes', does('fix'))
  note('printsOut', !does('develop') && !has(/ferricyanide|dichromate/))
  note('hatesChalk', !definition.chalk.bears)
  note('layers', sheet.over !== undefined || steps.filter((step) => step.kind === 'expose').length > 1)
  note('negative', sheet.choices.subject !== 'photogram')
  note('coated', parts.length > 0)
  note('lamp', light?.kind !== 'sun')
  note('sun', !light || light.kind === 'sun')
  return traits
}
