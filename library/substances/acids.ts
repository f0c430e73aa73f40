import type { Substance } from '@core/schema/substance'
import { CLP, CRC, HANDBOOK, harmless, HEAPED, irritant, REMEMBERED, SUPPLIER } from './standing'

/** Acids, bases and what binds metals. */
export const acidSubstances: readonly Substance[] = [
  {
    id: 'citric-acid', name: 'citric acid', synonyms: ['2-hydroxypropane-1,2,3-tricarboxylic acid'],
    forms: [{ id: 'anhydrous', name: 'anhydrous', formula: 'C6H8O7' }, { id: 'monohydrate', name: 'monohydrate', formula: 'C6H8O7·H2O' }],
    state: 'solid', purityPercent: 99.5, solubility: { at: [[10, 118], [20, 147], [30, 183], [40, 217]], ...REMEMBERED }, bulk: { least: 0.75, most: 0.95, ...HEAPED },
    hazard: { ...irritant, statements: ['H319', 'H335'] }, reacts: ['acid'], waste: 'acid', storage: 'Dry; solutions mould in weeks.', caution: 'acid',
  },
  {
    id: 'tartaric-acid', name: 'tartaric acid', synonyms: ['L-(+)-tartaric acid'], forms: [{ id: 'anhydrous', name: 'anhydrous', formula: 'C4H6O6' }],
    state: 'solid', purityPercent: 99.5, solubility: { at: [[0, 115], [20, 139], [40, 176]], ...CRC }, bulk: { least: 0.8, most: 1.0, ...HEAPED },
    hazard: { statements: ['H318'], ...SUPPLIER }, reacts: ['acid'], waste: 'acid', storage: 'Dry.', caution: 'acidEyes',
  },
  {
    id: 'oxalic-acid', name: 'oxalic acid', synonyms: ['ethanedioic acid'],
    forms: [{ id: 'dihydrate', name: 'dihydrate', formula: 'H2C2O4·2H2O' }, { id: 'anhydrous', name: 'anhydrous', formula: 'H2C2O4' }],
    state: 'solid', purityPercent: 99.5, solubility: { form: 'anhydrous', at: [[0, 3.54], [20, 9.52], [40, 21.5], [60, 44.3]], ...CRC }, bulk: { least: 0.7, most: 1.0, ...HEAPED },
    hazard: { statements: ['H302', 'H312', 'H318'], ...CLP }, reacts: ['acid', 'strongAcid'], waste: 'acid', storage: 'Closed and labelled as poison, out of reach.', caution: 'oxalate',
  },
  {
    id: 'hydrochloric-acid', name: 'hydrochloric acid', synonyms: ['muriatic acid'], forms: [{ id: 'gas', name: 'hydrogen chloride', formula: 'HCl' }],
    state: 'liquid', purityPercent: 100, liquid: { gramsPerMillilitre: 1.184, percentWw: 37, ...HANDBOOK },
    densities: { at: [[1, 1.0032], [2, 1.0082], [4, 1.0181], [6, 1.0279], [8, 1.0376], [10, 1.0474], [20, 1.098], [30, 1.1492], [36, 1.1789], [38, 1.1885]], ...HANDBOOK },
    hazard: { statements: ['H290', 'H314', 'H335'], limits: [{ statement: 'H290', fromPercent: 3.6 }, { statement: 'H314', fromPercent: 25 }, { statement: 'H315', fromPercent: 10 }, { statement: 'H319', fromPercent: 10 }, { statement: 'H335', fromPercent: 10 }], ...CLP }, reacts: ['acid', 'strongAcid', 'hydrochloricAcid'], waste: 'acid', storage: 'Vented, low down, away from metal and from hypochlorite.', caution: 'hydrochloric',
  },
  {
    id: 'acetic-acid', name: 'acetic acid', synonyms: ['glacial acetic acid', 'ethanoic acid'], forms: [{ id: 'anhydrous', name: 'glacial', formula: 'C2H4O2' }],
    state: 'liquid', purityPercent: 99.8, liquid: { gramsPerMillilitre: 1.049, percentWw: 99.8, ...HANDBOOK },
    hazard: { statements: ['H226', 'H314'], limits: [{ statement: 'H226', fromPercent: 80 }, { statement: 'H314', fromPercent: 25 }, { statement: 'H315', fromPercent: 10 }, { statement: 'H319', fromPercent: 10 }], ...CLP }, reacts: ['acid', 'strongAcid', 'flammable'], waste: 'acid', storage: 'Cool, vented, away from flames.', caution: 'hydrochloric',
  },
  {
    id: 'nitric-acid', name: 'nitric acid', synonyms: ['aqua fortis'], forms: [{ id: 'anhydrous', name: 'nitric acid', formula: 'HNO3' }],
    state: 'liquid', purityPercent: 100, liquid: { gramsPerMillilitre: 1.391, percentWw: 65, ...HANDBOOK },
    hazard: { statements: ['H272', 'H290', 'H314', 'H331'], limits: [{ statement: 'H272', fromPercent: 65 }, { statement: 'H290', fromPercent: 3 }, { statement: 'H314', fromPercent: 5 }, { statement: 'H315', fromPercent: 1 }, { statement: 'H319', fromPercent: 1 }], ...CLP }, reacts: ['acid', 'strongAcid', 'nitricAcid', 'oxidiser'], waste: 'oxidisingAcid', storage: 'Cool, vented, apart from everything that burns.', caution: 'nitric',
  },
  {
    id: 'sulfamic-acid', name: 'sulfamic acid', synonyms: ['amidosulfonic acid'], forms: [{ id: 'anhydrous', name: 'anhydrous', formula: 'H3NSO3' }],
    state: 'solid', purityPercent: 99, solubility: { at: [[0, 14.7], [20, 21.3], [40, 29.5]], ...REMEMBERED }, bulk: { least: 0.9, most: 1.2, ...HEAPED },
    hazard: { statements: ['H315', 'H319', 'H412'], ...CLP }, reacts: ['acid', 'strongAcid'], waste: 'acid', storage: 'Dry.', caution: 'acid',
  },
  {
    id: 'ascorbic-acid', name: 'ascorbic acid', synonyms: ['vitamin C'], forms: [{ id: 'anhydrous', name: 'anhydrous', formula: 'C6H8O6' }],
    state: 'solid', purityPercent: 99, solubility: { at: [[20, 30]], ...REMEMBERED }, bulk: { least: 0.7, most: 1.0, ...HEAPED },
    hazard: harmless, reacts: ['acid'], waste: 'acid', storage: 'Dark and dry; a solution lasts days.',
  },
  {
    id: 'boric-acid', name: 'boric acid', synonyms: ['orthoboric acid'], forms: [{ id: 'anhydrous', name: 'anhydrous', formula: 'H3BO3' }],
    state: 'solid', purityPercent: 99.5, solubility: { at: [[0, 2.67], [20, 5.04], [40, 8.72], [60, 14.8]], ...CRC }, bulk: { least: 0.7, most: 0.9, ...HEAPED },
    hazard: { statements: ['H360FD'], ...CLP }, reacts: [], waste: 'plain', storage: 'Closed.', caution: 'reproductive',
  },
  {
    id: 'tannic-acid', name: 'tannic acid', synonyms: ['tannin', 'gallotannic acid'], forms: [{ id: 'anhydrous', name: 'decagalloyl glucose', formula: 'C76H52O46' }],
    state: 'solid', purityPercent: 95, bulk: { least: 0.3, most: 0.6, ...HEAPED }, hazard: harmless, reacts: [], waste: 'plain', colour: '#a5814a', storage: 'Dry; stains iron black.',
  },
  {
    id: 'gallic-acid', name: 'gallic acid', synonyms: ['3,4,5-trihydroxybenzoic acid'],
    forms: [{ id: 'monohydrate', name: 'monohydrate', formula: 'C7H6O5·H2O' }, { id: 'anhydrous', name: 'anhydrous', formula: 'C7H6O5' }],
    state: 'solid', purityPercent: 98, solubility: { at: [[20, 1.2], [100, 33]], ...REMEMBERED }, bulk: { least: 0.4, most: 0.7, ...HEAPED },
    hazard: { ...irritant, statements: ['H315', 'H319', 'H335'] }, reacts: [], waste: 'plain', storage: 'Dry.', caution: 'irritant',
  },
  {
    id: 'disodium-edta', name: 'disodium EDTA', synonyms: ['disodium ethylenediaminetetraacetate'], forms: [{ id: 'dihydrate', name: 'dihydrate', formula: 'C10H14N2Na2O8·2H2O' }],
    state: 'solid', purityPercent: 99, solubility: { at: [[20, 10]], ...REMEMBERED }, bulk: { least: 0.7, most: 1.0, ...HEAPED },
    hazard: { statements: ['H332', 'H373'], ...SUPPLIER }, reacts: [], waste: 'iron', storage: 'Dry.', caution: 'harmful',
  },
  {
    id: 'tetrasodium-edta', name: 'tetrasodium EDTA', synonyms: ['tetrasodium ethylenediaminetetraacetate'],
    forms: [{ id: 'dihydrate', name: 'dihydrate', formula: 'C10H12N2Na4O8·2H2O' }, { id: 'anhydrous', name: 'anhydrous', formula: 'C10H12N2Na4O8' }],
    state: 'solid', purityPercent: 98, solubility: { at: [[20, 100]], ...REMEMBERED }, bulk: { least: 0.6, most: 0.9, ...HEAPED },
    hazard: { statements: ['H302', 'H318', 'H332'], ...CLP }, reacts: [], waste: 'iron', storage: 'Dry.', caution: 'eyeDamage',
  },
  {
    id: 'ammonia', name: 'ammonia solution', synonyms: ['ammonium hydroxide', 'aqueous ammonia'], forms: [{ id: 'gas', name: 'ammonia', formula: 'NH3' }],
    state: 'liquid', purityPercent: 100, liquid: { gramsPerMillilitre: 0.91, percentWw: 25, ...HANDBOOK },
    hazard: { statements: ['H314', 'H335', 'H400'], limits: [{ statement: 'H335', fromPercent: 5 }], ...CLP }, reacts: ['ammonia'], waste: 'ammonia', storage: 'Cool, vented; never beside silver waste or hypochlorite.', caution: 'ammonia',
  },
] // prettier-ignore
