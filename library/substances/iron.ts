import type { Substance } from '@core/schema/substance'
import { CLP, CRC, HEAPED, irritant, REMEMBERED, SUPPLIER } from './standing'

/** Iron salts and what develops them. */
export const ironSubstances: readonly Substance[] = [
  {
    // Its iron varies from about 14 to 22 % by lot, so it carries no formula and no molar strength is claimed.
    id: 'ferric-ammonium-citrate', name: 'ferric ammonium citrate', synonyms: ['ammonium iron(III) citrate', 'FAC', 'iron citrate, green'], forms: [],
    state: 'mixture', purityPercent: 100, solubility: { at: [[20, 120]], ...REMEMBERED }, bulk: { least: 0.6, most: 1.0, ...HEAPED },
    hazard: irritant, reacts: ['ammonium', 'ironSalt'], waste: 'iron', colour: '#8f9a4a', storage: 'Dark and dry, tightly closed: it attracts moisture.', caution: 'iron',
  },
  {
    id: 'ferric-oxalate', name: 'ferric oxalate', synonyms: ['iron(III) oxalate'],
    forms: [{ id: 'hexahydrate', name: 'hexahydrate', formula: 'Fe2(C2O4)3·6H2O' }, { id: 'anhydrous', name: 'anhydrous', formula: 'Fe2(C2O4)3' }],
    state: 'solid', purityPercent: 98, bulk: { least: 0.5, most: 0.9, ...HEAPED },
    hazard: { statements: ['H302', 'H312', 'H315', 'H319'], ...SUPPLIER },
    reacts: ['ironSalt'], waste: 'iron', colour: '#b3b862', storage: 'Dark, dry and cool; an old powder no longer dissolves clear.', caution: 'oxalate',
  },
  {
    id: 'ammonium-ferric-oxalate', name: 'ammonium ferric oxalate', synonyms: ['ammonium iron(III) oxalate', 'AFO'],
    forms: [{ id: 'trihydrate', name: 'trihydrate', formula: '(NH4)3[Fe(C2O4)3]·3H2O' }],
    state: 'solid', purityPercent: 98, solubility: { at: [[0, 42.7], [20, 65]], ...REMEMBERED }, bulk: { least: 0.7, most: 1.0, ...HEAPED },
    hazard: { statements: ['H302', 'H312', 'H315', 'H319'], ...SUPPLIER },
    reacts: ['ammonium', 'ironSalt'], waste: 'iron', colour: '#a9b85a', storage: 'Dark and dry.', caution: 'oxalate',
  },
  {
    id: 'lithium-ferric-oxalate', name: 'lithium ferric oxalate', synonyms: ['lithium iron(III) oxalate'],
    forms: [{ id: 'trihydrate', name: 'trihydrate', formula: 'Li3[Fe(C2O4)3]·3H2O' }],
    state: 'solid', purityPercent: 98,
    hazard: { statements: ['H302', 'H312', 'H319'], ...SUPPLIER },
    reacts: ['ironSalt'], waste: 'iron', colour: '#a9b85a', storage: 'Dark and dry.', caution: 'oxalate',
  },
  {
    id: 'potassium-ferricyanide', name: 'potassium ferricyanide', synonyms: ['potassium hexacyanoferrate(III)', 'red prussiate of potash'],
    forms: [{ id: 'anhydrous', name: 'anhydrous', formula: 'K3[Fe(CN)6]' }],
    state: 'solid', purityPercent: 99, solubility: { at: [[0, 30.2], [20, 46], [40, 59.5], [60, 70]], ...CRC }, bulk: { least: 0.9, most: 1.2, ...HEAPED },
    hazard: { statements: ['H412'], ...SUPPLIER },
    reacts: ['ferricyanide'], waste: 'cyanoferrate', colour: '#c8913d', storage: 'Dark and dry, well away from acids.', caution: 'ferricyanide',
  },
  {
    id: 'potassium-oxalate', name: 'potassium oxalate', synonyms: ['dipotassium oxalate'],
    forms: [{ id: 'monohydrate', name: 'monohydrate', formula: 'K2C2O4·H2O' }, { id: 'anhydrous', name: 'anhydrous', formula: 'K2C2O4' }],
    state: 'solid', purityPercent: 99, solubility: { form: 'anhydrous', at: [[0, 25.5], [20, 36.4], [40, 43.8], [60, 53.2]], ...CRC }, bulk: { least: 0.9, most: 1.2, ...HEAPED },
    hazard: { statements: ['H302', 'H312'], ...CLP },
    reacts: [], waste: 'iron', storage: 'Closed and labelled, out of reach.', caution: 'oxalate',
  },
  {
    id: 'ammonium-oxalate', name: 'ammonium oxalate', synonyms: ['diammonium oxalate'],
    forms: [{ id: 'monohydrate', name: 'monohydrate', formula: '(NH4)2C2O4·H2O' }],
    state: 'solid', purityPercent: 99, solubility: { at: [[0, 2.6], [20, 5.2], [40, 9.4]], ...REMEMBERED }, bulk: { least: 0.7, most: 1.0, ...HEAPED },
    hazard: { statements: ['H302', 'H312'], ...CLP },
    reacts: ['ammonium'], waste: 'iron', storage: 'Closed and labelled, out of reach.', caution: 'oxalate',
  },
] // prettier-ignore
