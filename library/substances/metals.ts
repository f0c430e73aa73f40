import type { Substance } from '@core/schema/substance'
import { CLP, CRC, HEAPED, REMEMBERED, SUPPLIER } from './standing'

const nobleHazard: Substance['hazard'] = {
  statements: ['H301', 'H315', 'H317', 'H318', 'H334'], ...CLP,
} // prettier-ignore
const goldHazard: Substance['hazard'] = {
  statements: ['H302', 'H314', 'H317'], ...SUPPLIER,
} // prettier-ignore

/** Silver and the noble metals. */
export const metalSubstances: readonly Substance[] = [
  {
    id: 'silver-nitrate', name: 'silver nitrate', synonyms: ['lunar caustic'], forms: [{ id: 'anhydrous', name: 'anhydrous', formula: 'AgNO3' }],
    state: 'solid', purityPercent: 99.9, solubility: { at: [[0, 122], [20, 216], [25, 235], [40, 311], [60, 440]], ...CRC }, bulk: { least: 1.9, most: 2.6, ...HEAPED },
    densities: { at: [[0, 0.9982], [1, 1.0068], [2, 1.0154], [5, 1.0422], [10, 1.0882], [20, 1.1947]], ...REMEMBERED },
    hazard: { statements: ['H272', 'H314', 'H410'], aquaticFactor: 1000, ...CLP },
    reacts: ['silver', 'oxidiser'], waste: 'silver', colour: '#a89e92', storage: 'Brown glass, dark, away from everything organic.', caution: 'silver',
  },
  {
    id: 'silver-oxide', name: 'silver oxide', synonyms: ['silver(I) oxide', 'argentous oxide'], forms: [{ id: 'anhydrous', name: 'anhydrous', formula: 'Ag2O' }],
    state: 'solid', purityPercent: 99, bulk: { least: 1.5, most: 2.5, ...HEAPED },
    hazard: { statements: ['H272', 'H318', 'H410'], ...SUPPLIER },
    reacts: ['silver', 'oxidiser'], waste: 'silver', colour: '#a89e92', storage: 'Dark, away from everything that burns and from ammonia.', caution: 'silverOxide',
  },
  {
    id: 'potassium-chloroplatinite', name: 'potassium chloroplatinite', synonyms: ['potassium platinum chloride', 'potassium tetrachloroplatinate(II)'], forms: [{ id: 'anhydrous', name: 'anhydrous', formula: 'K2PtCl4' }],
    state: 'solid', purityPercent: 99, solubility: { at: [[20, 23]], standing: 'memory', source: 'A 20 % stock is about full at room temperature and forms crystals when it cools; common practice, from memory' },
    hazard: nobleHazard, reacts: [], waste: 'noble', colour: '#a3502f', storage: 'Closed; a 20 % bottle forms crystals when cool and is warmed clear before use.', caution: 'platinum',
  },
  {
    id: 'ammonium-chloroplatinite', name: 'ammonium chloroplatinite', synonyms: ['ammonium platinum chloride', 'ammonium tetrachloroplatinate(II)'], forms: [{ id: 'anhydrous', name: 'anhydrous', formula: '(NH4)2PtCl4' }],
    state: 'solid', purityPercent: 99, hazard: nobleHazard, reacts: ['ammonium'], waste: 'noble', colour: '#a3502f', storage: 'Closed, dark.', caution: 'platinum',
  },
  {
    id: 'sodium-hexachloroplatinate', name: 'sodium hexachloroplatinate', synonyms: ['sodium hexachloroplatinate(IV)', 'sodium platinum chloride'],
    forms: [{ id: 'hexahydrate', name: 'hexahydrate', formula: 'Na2PtCl6·6H2O' }],
    state: 'solid', purityPercent: 98, hazard: nobleHazard, reacts: [], waste: 'noble', colour: '#c9822f', storage: 'Closed, dry.', caution: 'platinum',
  },
  {
    id: 'palladium-chloride', name: 'palladium chloride', synonyms: ['palladium(II) chloride'], forms: [{ id: 'anhydrous', name: 'anhydrous', formula: 'PdCl2' }],
    state: 'solid', purityPercent: 99, hazard: goldHazard, reacts: [], waste: 'noble', colour: '#7d4630', storage: 'Closed; dissolves only with a chloride beside it.', caution: 'noble',
  },
  {
    id: 'sodium-chloropalladite', name: 'sodium chloropalladite', synonyms: ['sodium palladium chloride', 'sodium tetrachloropalladate(II)'], forms: [{ id: 'anhydrous', name: 'anhydrous', formula: 'Na2PdCl4' }],
    state: 'solid', purityPercent: 98, hazard: goldHazard, reacts: [], waste: 'noble', colour: '#84503c', storage: 'Closed, dry.', caution: 'noble',
  },
  {
    id: 'potassium-chloropalladite', name: 'potassium chloropalladite', synonyms: ['potassium palladium chloride', 'potassium tetrachloropalladate(II)'], forms: [{ id: 'anhydrous', name: 'anhydrous', formula: 'K2PdCl4' }],
    state: 'solid', purityPercent: 98, hazard: goldHazard, reacts: [], waste: 'noble', colour: '#84503c', storage: 'Closed, dry.', caution: 'noble',
  },
  {
    id: 'lithium-chloropalladite', name: 'lithium chloropalladite', synonyms: ['lithium palladium chloride', 'lithium tetrachloropalladate(II)'], forms: [{ id: 'anhydrous', name: 'anhydrous', formula: 'Li2PdCl4' }],
    state: 'solid', purityPercent: 98, hazard: goldHazard, reacts: [], waste: 'noble', colour: '#84503c', storage: 'Closed, dry.', caution: 'noble',
  },
  {
    id: 'gold-chloride', name: 'gold chloride', synonyms: ['tetrachloroauric acid', 'hydrogen tetrachloroaurate(III)'],
    forms: [{ id: 'trihydrate', name: 'trihydrate', formula: 'HAuCl4·3H2O' }],
    state: 'solid', purityPercent: 99.9, hazard: goldHazard, reacts: ['gold'], waste: 'noble', colour: '#d9b74a', storage: 'Dark, closed: it liquefies in damp air and corrodes metal.', caution: 'noble',
  },
  {
    id: 'sodium-chloroaurate', name: 'sodium chloroaurate', synonyms: ['sodium gold chloride', 'sodium tetrachloroaurate(III)'],
    forms: [{ id: 'dihydrate', name: 'dihydrate', formula: 'NaAuCl4·2H2O' }],
    state: 'solid', purityPercent: 99, hazard: goldHazard, reacts: ['gold'], waste: 'noble', colour: '#d9b74a', storage: 'Dark, closed.', caution: 'noble',
  },
] // prettier-ignore
