import type { Substance } from '@core/schema/substance'
import { CLP, CRC, harmless, HEAPED, irritant, REMEMBERED, SUPPLIER } from './standing'

const anhydrous = (formula: string) => ({ id: 'anhydrous', name: 'anhydrous', formula })

/** Salts for salting, buffering, restraining and making solutions less or more acid. */
export const saltSubstances: readonly Substance[] = [
  {
    id: 'sodium-chloride', name: 'sodium chloride', synonyms: ['table salt without additives', 'common salt'], forms: [anhydrous('NaCl')],
    state: 'solid', purityPercent: 99.5, solubility: { at: [[0, 35.65], [20, 35.89], [40, 36.37], [60, 37.04]], ...CRC }, bulk: { least: 1.1, most: 1.3, ...HEAPED },
    hazard: harmless, reacts: [], waste: 'plain', storage: 'Dry. No table salt with additives.',
  },
  {
    id: 'ammonium-chloride', name: 'ammonium chloride', synonyms: ['sal ammoniac'], forms: [anhydrous('NH4Cl')],
    state: 'solid', purityPercent: 99.5, solubility: { at: [[0, 29.4], [20, 37.2], [40, 45.8], [60, 55.2]], ...CRC }, bulk: { least: 0.6, most: 0.9, ...HEAPED },
    hazard: { statements: ['H302', 'H319'], ...CLP }, reacts: ['ammonium'], waste: 'plain', storage: 'Dry.', caution: 'irritant',
  },
  {
    id: 'potassium-chloride', name: 'potassium chloride', synonyms: [], forms: [anhydrous('KCl')],
    state: 'solid', purityPercent: 99.5, solubility: { at: [[0, 28], [20, 34.2], [40, 40.1], [60, 45.8]], ...CRC }, bulk: { least: 0.9, most: 1.2, ...HEAPED },
    hazard: harmless, reacts: [], waste: 'plain', storage: 'Dry.',
  },
  {
    id: 'lithium-chloride', name: 'lithium chloride', synonyms: [], forms: [anhydrous('LiCl')],
    state: 'solid', purityPercent: 99, solubility: { at: [[0, 69.2], [20, 83.5], [40, 89.8]], ...CRC },
    hazard: { statements: ['H302', 'H315', 'H319'], ...SUPPLIER }, reacts: [], waste: 'plain', storage: 'Very tightly closed: it attracts moisture.', caution: 'irritant',
  },
  {
    id: 'strontium-chloride', name: 'strontium chloride', synonyms: [], forms: [{ id: 'hexahydrate', name: 'hexahydrate', formula: 'SrCl2·6H2O' }, anhydrous('SrCl2')],
    state: 'solid', purityPercent: 99, solubility: { form: 'anhydrous', at: [[0, 43.5], [20, 52.9], [40, 65.3]], ...CRC },
    hazard: { statements: ['H318'], ...SUPPLIER }, reacts: [], waste: 'plain', storage: 'Dry.', caution: 'eyeDamage',
  },
  {
    id: 'potassium-bromide', name: 'potassium bromide', synonyms: [], forms: [anhydrous('KBr')],
    state: 'solid', purityPercent: 99, solubility: { at: [[0, 53.6], [20, 65.3], [40, 75.4]], ...CRC }, bulk: { least: 1.2, most: 1.6, ...HEAPED },
    hazard: irritant, reacts: [], waste: 'plain', storage: 'Dry.', caution: 'irritant',
  },
  {
    id: 'sodium-citrate', name: 'sodium citrate', synonyms: ['trisodium citrate'],
    forms: [{ id: 'dihydrate', name: 'dihydrate', formula: 'Na3C6H5O7·2H2O' }, anhydrous('Na3C6H5O7')],
    state: 'solid', purityPercent: 99, solubility: { at: [[25, 72]], ...REMEMBERED }, bulk: { least: 0.8, most: 1.0, ...HEAPED },
    hazard: harmless, reacts: [], waste: 'silver', storage: 'Dry.',
  },
  {
    id: 'potassium-citrate', name: 'potassium citrate', synonyms: ['tripotassium citrate'], forms: [{ id: 'monohydrate', name: 'monohydrate', formula: 'K3C6H5O7·H2O' }],
    state: 'solid', purityPercent: 99, solubility: { at: [[20, 155]], ...REMEMBERED }, hazard: harmless, reacts: [], waste: 'plain', storage: 'Tightly closed.',
  },
  {
    id: 'ammonium-citrate', name: 'ammonium citrate', synonyms: ['diammonium hydrogen citrate'], forms: [anhydrous('C6H14N2O7')],
    state: 'solid', purityPercent: 98, solubility: { at: [[20, 100]], ...REMEMBERED }, hazard: irritant, reacts: ['ammonium'], waste: 'plain', storage: 'Dry.', caution: 'irritant',
  },
  {
    id: 'potassium-chlorate', name: 'potassium chlorate', synonyms: [], forms: [anhydrous('KClO3')],
    state: 'solid', purityPercent: 99, solubility: { at: [[0, 3.3], [20, 7.3], [40, 13.9], [60, 23.8]], ...CRC }, bulk: { least: 1.0, most: 1.4, ...HEAPED },
    hazard: { statements: ['H271', 'H302', 'H332', 'H411'], ...CLP },
    reacts: ['chlorate', 'oxidiser'], waste: 'chlorate', storage: 'Alone: never ground, never with anything organic, sulfur or acid.', caution: 'oxidiser',
  },
  {
    id: 'sodium-carbonate', name: 'sodium carbonate', synonyms: ['washing soda', 'soda ash'],
    forms: [anhydrous('Na2CO3'), { id: 'monohydrate', name: 'monohydrate', formula: 'Na2CO3·H2O' }, { id: 'decahydrate', name: 'decahydrate, washing soda', formula: 'Na2CO3·10H2O' }],
    state: 'solid', purityPercent: 99.5, solubility: { at: [[0, 7], [10, 12.5], [20, 21.5], [30, 39.7]], ...CRC }, bulk: { least: 0.5, most: 1.1, ...HEAPED },
    hazard: { ...irritant, ...CLP }, reacts: ['carbonate'], waste: 'base', storage: 'Closed: the dry form takes up water, the decahydrate gives it off.', caution: 'irritant',
  },
  {
    id: 'potassium-carbonate', name: 'potassium carbonate', synonyms: ['potash'], forms: [anhydrous('K2CO3')],
    state: 'solid', purityPercent: 99, solubility: { at: [[0, 105], [20, 111], [40, 117]], ...CRC }, hazard: { ...irritant, statements: ['H315', 'H319', 'H335'] },
    reacts: ['carbonate'], waste: 'base', storage: 'Tightly closed.', caution: 'irritant',
  },
  {
    id: 'sodium-bicarbonate', name: 'sodium bicarbonate', synonyms: ['sodium hydrogencarbonate', 'baking soda'], forms: [anhydrous('NaHCO3')],
    state: 'solid', purityPercent: 99.5, solubility: { at: [[0, 6.9], [20, 9.6], [40, 12.7]], ...CRC }, bulk: { least: 0.8, most: 1.1, ...HEAPED },
    hazard: harmless, reacts: ['carbonate'], waste: 'plain', storage: 'Dry.',
  },
  {
    id: 'sodium-acetate', name: 'sodium acetate', synonyms: [], forms: [{ id: 'trihydrate', name: 'trihydrate', formula: 'NaC2H3O2·3H2O' }, anhydrous('NaC2H3O2')],
    state: 'solid', purityPercent: 99, solubility: { form: 'anhydrous', at: [[0, 36.2], [20, 46.4], [40, 65.4]], ...CRC }, bulk: { least: 0.7, most: 1.0, ...HEAPED },
    hazard: harmless, reacts: [], waste: 'plain', storage: 'Dry.',
  },
  {
    id: 'borax', name: 'borax', synonyms: ['sodium tetraborate'], forms: [{ id: 'decahydrate', name: 'decahydrate', formula: 'Na2B4O7·10H2O' }, anhydrous('Na2B4O7')],
    state: 'solid', purityPercent: 99.5, solubility: { form: 'anhydrous', at: [[0, 1.11], [20, 2.56], [40, 6.67], [60, 19]], ...CRC }, bulk: { least: 0.8, most: 1.0, ...HEAPED },
    hazard: { statements: ['H319', 'H360FD'], ...CLP }, reacts: [], waste: 'base', storage: 'Closed.', caution: 'reproductive',
  },
  {
    id: 'calcium-carbonate', name: 'calcium carbonate', synonyms: ['chalk', 'whiting'], forms: [anhydrous('CaCO3')],
    state: 'solid', purityPercent: 99, solubility: { at: [[20, 0.0013]], ...REMEMBERED }, hazard: harmless, reacts: ['carbonate'], waste: 'plain', storage: 'Dry.',
  },
] // prettier-ignore
