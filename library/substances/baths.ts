import type { Substance } from '@core/schema/substance'
import { CLP, CRC, HANDBOOK, harmless, HEAPED, irritant, REMEMBERED, SUPPLIER } from './standing'

const anhydrous = (formula: string) => ({ id: 'anhydrous', name: 'anhydrous', formula })

/** What fixes, clears, tones, bleaches and hardens. */
export const bathSubstances: readonly Substance[] = [
  {
    id: 'sodium-thiosulfate', name: 'sodium thiosulfate', synonyms: ['hypo', 'fixer crystals'],
    forms: [{ id: 'pentahydrate', name: 'pentahydrate, crystals', formula: 'Na2S2O3·5H2O' }, anhydrous('Na2S2O3')],
    state: 'solid', purityPercent: 99, solubility: { form: 'anhydrous', at: [[0, 52.5], [20, 70.1], [40, 104]], ...CRC }, bulk: { least: 0.9, most: 1.1, ...HEAPED },
    hazard: harmless, reacts: ['thiosulfate'], waste: 'fixer', storage: 'Dry, away from acids.', caution: 'thiosulfate',
  },
  {
    id: 'ammonium-thiosulfate', name: 'ammonium thiosulfate', synonyms: ['rapid fixer salt'], forms: [anhydrous('(NH4)2S2O3')],
    state: 'liquid', purityPercent: 99, liquid: { gramsPerMillilitre: 1.32, percentWw: 60, ...REMEMBERED }, hazard: harmless,
    reacts: ['ammonium', 'thiosulfate'], waste: 'fixer', storage: 'Closed. Too strong for most hand-coated silver.', caution: 'thiosulfate',
  },
  {
    id: 'sodium-sulfite', name: 'sodium sulfite', synonyms: [], forms: [anhydrous('Na2SO3'), { id: 'heptahydrate', name: 'heptahydrate', formula: 'Na2SO3·7H2O' }],
    state: 'solid', purityPercent: 98, solubility: { at: [[0, 14.4], [20, 26.3], [40, 37.2]], ...CRC }, bulk: { least: 1.2, most: 1.6, ...HEAPED },
    hazard: harmless, reacts: ['sulfite'], waste: 'plain', storage: 'Tightly closed: air spoils it. Gives sulfur dioxide with acid.', caution: 'sulfite',
  },
  {
    id: 'sodium-metabisulfite', name: 'sodium metabisulfite', synonyms: ['sodium pyrosulfite'], forms: [anhydrous('Na2S2O5')],
    state: 'solid', purityPercent: 98, solubility: { at: [[20, 54]], ...REMEMBERED }, bulk: { least: 1.0, most: 1.3, ...HEAPED },
    hazard: { statements: ['H302', 'H318'], ...CLP }, reacts: ['sulfite'], waste: 'plain', storage: 'Tightly closed.', caution: 'metabisulfite',
  },
  {
    id: 'sodium-sulfide', name: 'sodium sulfide', synonyms: ['residual silver test'], forms: [{ id: 'nonahydrate', name: 'nonahydrate', formula: 'Na2S·9H2O' }, { id: 'anhydrous', name: 'anhydrous', formula: 'Na2S' }],
    state: 'solid', purityPercent: 98, bulk: { least: 0.7, most: 1.0, ...HEAPED },
    hazard: { statements: ['H290', 'H302', 'H311', 'H314', 'H400'], ...CLP }, reacts: ['sulfide'], waste: 'base', storage: 'Tightly closed, apart from every acid and from photographic paper.', caution: 'sulfide',
  },
  {
    id: 'selenium-toner', name: 'selenium toner concentrate', synonyms: ['sodium selenosulfate toner'], forms: [],
    state: 'liquid', purityPercent: 100, liquid: { gramsPerMillilitre: 1.3, percentWw: 100, ...REMEMBERED },
    hazard: { statements: ['H301', 'H331', 'H373', 'H411'], ...SUPPLIER },
    reacts: ['ammonium', 'sulfite', 'thiosulfate'], waste: 'selenium', colour: '#b9a58c', storage: 'Closed, under extraction.', caution: 'selenium',
  },
  {
    id: 'thiourea', name: 'thiourea', synonyms: ['thiocarbamide'], forms: [anhydrous('CH4N2S')], state: 'solid', purityPercent: 99, solubility: { at: [[20, 13.6]], ...REMEMBERED },
    hazard: { statements: ['H302', 'H351', 'H361d', 'H411'], ...CLP }, reacts: [], waste: 'fixer', storage: 'Closed.', caution: 'reproductive',
  },
  {
    id: 'ammonium-thiocyanate', name: 'ammonium thiocyanate', synonyms: [], forms: [anhydrous('NH4SCN')], state: 'solid', purityPercent: 98, solubility: { at: [[0, 120], [20, 170]], ...CRC },
    hazard: { statements: ['H302', 'H312', 'H332', 'H412'], ...CLP }, reacts: ['ammonium', 'thiocyanate'], waste: 'fixer', storage: 'Tightly closed, away from acids.', caution: 'thiocyanate',
  },
  {
    id: 'ammonium-dichromate', name: 'ammonium dichromate', synonyms: ['ammonium bichromate'], forms: [anhydrous('(NH4)2Cr2O7')],
    state: 'solid', purityPercent: 99, solubility: { at: [[0, 18.2], [20, 35.6], [40, 58.5]], ...CRC },
    hazard: { statements: ['H272', 'H301', 'H312', 'H314', 'H317', 'H330', 'H334', 'H335', 'H340', 'H350', 'H360FD', 'H372', 'H410'], limits: [{ statement: 'H317', fromPercent: 0.2 }, { statement: 'H334', fromPercent: 0.2 }, { statement: 'H335', fromPercent: 5 }], ...CLP },
    reacts: ['ammonium', 'dichromate', 'oxidiser'], waste: 'chromium', colour: '#d9782a', storage: 'Locked, alone, away from everything that burns.', caution: 'dichromate',
  },
  {
    id: 'potassium-dichromate', name: 'potassium dichromate', synonyms: ['potassium bichromate'], forms: [anhydrous('K2Cr2O7')],
    state: 'solid', purityPercent: 99, solubility: { at: [[0, 4.7], [20, 12.3], [40, 26.3]], ...CRC }, bulk: { least: 1.2, most: 1.6, ...HEAPED },
    hazard: { statements: ['H272', 'H301', 'H312', 'H314', 'H317', 'H330', 'H334', 'H335', 'H340', 'H350', 'H360FD', 'H372', 'H410'], limits: [{ statement: 'H317', fromPercent: 0.2 }, { statement: 'H334', fromPercent: 0.2 }, { statement: 'H335', fromPercent: 5 }], ...CLP },
    reacts: ['dichromate', 'oxidiser'], waste: 'chromium', colour: '#d98a2a', storage: 'Locked, alone, away from everything that burns.', caution: 'dichromate',
  },
  {
    id: 'formaldehyde', name: 'formaldehyde', synonyms: ['formalin', 'methanal solution'], forms: [anhydrous('CH2O')],
    state: 'liquid', purityPercent: 100, liquid: { gramsPerMillilitre: 1.09, percentWw: 37, ...HANDBOOK },
    hazard: { statements: ['H301', 'H311', 'H314', 'H317', 'H331', 'H335', 'H341', 'H350'], limits: [{ statement: 'H314', fromPercent: 25 }, { statement: 'H315', fromPercent: 5 }, { statement: 'H317', fromPercent: 0.2 }, { statement: 'H319', fromPercent: 5 }, { statement: 'H335', fromPercent: 5 }], ...CLP },
    reacts: ['flammable', 'formaldehyde'], waste: 'aldehyde', storage: 'Under extraction, cool.', caution: 'formaldehyde',
  },
  {
    id: 'glyoxal', name: 'glyoxal', synonyms: ['ethanedial solution'], forms: [anhydrous('C2H2O2')],
    state: 'liquid', purityPercent: 100, liquid: { gramsPerMillilitre: 1.27, percentWw: 40, ...REMEMBERED },
    hazard: { statements: ['H315', 'H317', 'H319', 'H332', 'H341'], ...CLP }, reacts: [], waste: 'aldehyde', storage: 'Cool, closed.', caution: 'glyoxal',
  },
  {
    id: 'chrome-alum', name: 'chrome alum', synonyms: ['potassium chromium(III) sulfate'], forms: [{ id: 'dodecahydrate', name: 'dodecahydrate', formula: 'KCr(SO4)2·12H2O' }],
    state: 'solid', purityPercent: 98, solubility: { at: [[20, 24]], ...REMEMBERED }, bulk: { least: 0.9, most: 1.1, ...HEAPED }, hazard: irritant, reacts: [], waste: 'chromium', colour: '#5a5a78', storage: 'Closed.', caution: 'irritant',
  },
  {
    id: 'hydrogen-peroxide', name: 'hydrogen peroxide', synonyms: ['peroxide'], forms: [anhydrous('H2O2')],
    state: 'liquid', purityPercent: 100, liquid: { gramsPerMillilitre: 1.11, percentWw: 30, ...HANDBOOK },
    densities: { at: [[1, 1.0022], [2, 1.0058], [4, 1.0131], [6, 1.0204], [8, 1.0277], [10, 1.0351], [20, 1.0725], [30, 1.1122]], ...HANDBOOK },
    hazard: { statements: ['H302', 'H318'], limits: [{ statement: 'H271', fromPercent: 70 }, { statement: 'H272', fromPercent: 50 }, { statement: 'H314', fromPercent: 50 }, { statement: 'H315', fromPercent: 35 }, { statement: 'H318', fromPercent: 8 }, { statement: 'H319', fromPercent: 5 }, { statement: 'H335', fromPercent: 35 }], ...CLP }, reacts: ['oxidiser', 'peroxide'], waste: 'peroxide', storage: 'Dark, cool, vented cap.', caution: 'peroxide',
  },
  {
    id: 'sodium-hypochlorite', name: 'sodium hypochlorite', synonyms: ['bleach'], forms: [anhydrous('NaOCl')],
    state: 'liquid', purityPercent: 100, liquid: { gramsPerMillilitre: 1.07, percentWw: 5, ...REMEMBERED },
    hazard: { statements: ['H314', 'H400', 'H410'], aquaticFactor: 10, ...CLP }, reacts: ['hypochlorite', 'oxidiser'], waste: 'hypochlorite', storage: 'Cool, vented, never beside acids or ammonia.', caution: 'hypochlorite',
  },
] // prettier-ignore
