import type { SubstanceFacts } from '@core/process/plan'

/**
 * Substances the processes are mixed from. Ferric ammonium citrate has no one composition (its iron varies from about
 * 14 to 22 % by lot), so it carries no formula and no molar strength is claimed for it.
 */
export const substances: Readonly<Record<string, SubstanceFacts>> = {
  'ferric-ammonium-citrate': { substanceId: 'ferric-ammonium-citrate', name: 'ferric ammonium citrate' },
  'potassium-ferricyanide': {
    substanceId: 'potassium-ferricyanide',
    name: 'potassium ferricyanide',
    formula: 'K3[Fe(CN)6]',
  },
}
