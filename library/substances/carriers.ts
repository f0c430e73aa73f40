import type { Substance } from '@core/schema/substance'
import { CLP, HANDBOOK, harmless, HEAPED, REMEMBERED, SUPPLIER } from './standing'

/** What carries, sizes, wets and dissolves. */
export const carrierSubstances: readonly Substance[] = [
  {
    id: 'water', name: 'distilled water', synonyms: ['deionised water'], forms: [{ id: 'liquid', name: 'water', formula: 'H2O' }],
    state: 'liquid', purityPercent: 100, liquid: { gramsPerMillilitre: 0.998, percentWw: 100, ...HANDBOOK }, hazard: harmless, reacts: [], waste: 'plain', storage: 'Closed; tap water brings iron and chlorine.',
  },
  {
    id: 'gelatin', name: 'gelatin', synonyms: ['photographic gelatin'], forms: [], state: 'mixture', purityPercent: 100, bulk: { least: 0.5, most: 0.8, ...HEAPED },
    hazard: harmless, reacts: [], waste: 'plain', colour: '#d8cb9a', storage: 'Dry; a made-up size keeps a few days in the cold.',
  },
  {
    id: 'black-tea', name: 'black tea', synonyms: ['tea bags'], forms: [], state: 'mixture', purityPercent: 100, bulk: { least: 0.3, most: 0.5, ...HEAPED },
    hazard: harmless, reacts: [], waste: 'plain', colour: '#8a5a33', storage: 'Dry; a cup that toned prints never goes back to the kitchen.',
  },
  {
    id: 'coffee', name: 'instant coffee', synonyms: ['coffee'], forms: [], state: 'mixture', purityPercent: 100, bulk: { least: 0.2, most: 0.4, ...HEAPED },
    hazard: harmless, reacts: [], waste: 'plain', colour: '#4a2f22', storage: 'Dry; a cup that toned prints never goes back to the kitchen.',
  },
  {
    id: 'gum-arabic', name: 'gum arabic', synonyms: ['acacia gum'], forms: [], state: 'mixture', purityPercent: 100, solubility: { at: [[20, 50]], ...REMEMBERED }, bulk: { least: 0.5, most: 0.8, ...HEAPED },
    hazard: harmless, reacts: [], waste: 'plain', colour: '#cfa860', storage: 'Dry; made up it sours unless it is kept cold.',
  },
  {
    id: 'arrowroot', name: 'arrowroot starch', synonyms: ['arrowroot'], forms: [], state: 'mixture', purityPercent: 100, bulk: { least: 0.5, most: 0.7, ...HEAPED },
    hazard: harmless, reacts: [], waste: 'plain', storage: 'Dry.',
  },
  {
    id: 'egg-white', name: 'egg white', synonyms: ['albumen'], forms: [], state: 'mixture', purityPercent: 100, liquid: { gramsPerMillilitre: 1.04, percentWw: 100, ...REMEMBERED },
    hazard: harmless, reacts: [], waste: 'plain', colour: '#e0d8b8', storage: 'Cold; never back to the kitchen.',
  },
  {
    id: 'watercolour-pigment', name: 'watercolour pigment', synonyms: ['tube watercolour'], forms: [], state: 'mixture', purityPercent: 100,
    hazard: harmless, reacts: [], waste: 'plain', colour: '#6a5a4a', storage: 'Closed. Read the tube: some pigments hold cadmium or cobalt.',
  },
  {
    id: 'collodion', name: 'plain collodion', synonyms: ['nitrocellulose in ether and alcohol'], forms: [], state: 'liquid', purityPercent: 100, liquid: { gramsPerMillilitre: 0.77, percentWw: 4, ...REMEMBERED },
    hazard: { statements: ['H224', 'H302', 'H319', 'H336'], ...SUPPLIER }, reacts: ['alcohol', 'flammable'], waste: 'solvent', colour: '#dcd3b0', storage: 'Cold, closed, no flame or spark in the room.', caution: 'collodion',
  },
  {
    id: 'ethanol', name: 'alcohol', synonyms: ['ethanol', 'spirit'], forms: [{ id: 'liquid', name: 'ethanol', formula: 'C2H6O' }], state: 'liquid', purityPercent: 100, liquid: { gramsPerMillilitre: 0.81, percentWw: 93.8, ...HANDBOOK },
    hazard: { statements: ['H225', 'H319'], limits: [{ statement: 'H225', fromPercent: 50 }, { statement: 'H226', fromPercent: 5 }], ...CLP }, reacts: ['alcohol', 'flammable'], waste: 'solvent', storage: 'Cool, closed, no flame.', caution: 'alcohol',
  },
  {
    id: 'isopropanol', name: 'isopropyl alcohol', synonyms: ['propan-2-ol'], forms: [{ id: 'liquid', name: 'propan-2-ol', formula: 'C3H8O' }], state: 'liquid', purityPercent: 100, liquid: { gramsPerMillilitre: 0.786, percentWw: 99.5, ...HANDBOOK },
    hazard: { statements: ['H225', 'H319', 'H336'], limits: [{ statement: 'H225', fromPercent: 30 }, { statement: 'H226', fromPercent: 5 }], ...CLP }, reacts: ['alcohol', 'flammable'], waste: 'solvent', storage: 'Cool, closed, no flame.', caution: 'alcohol',
  },
  {
    id: 'ether', name: 'ether', synonyms: ['diethyl ether'], forms: [{ id: 'liquid', name: 'diethyl ether', formula: 'C4H10O' }], state: 'liquid', purityPercent: 100, liquid: { gramsPerMillilitre: 0.713, percentWw: 99.5, ...HANDBOOK },
    hazard: { statements: ['H224', 'H302', 'H336'], ...CLP }, reacts: ['flammable'], waste: 'solvent', storage: 'Dark, cold; old ether can explode. Date it.', caution: 'ether',
  },
  {
    id: 'lavender-oil', name: 'lavender oil', synonyms: ['oil of spike lavender'], forms: [], state: 'liquid', purityPercent: 100, liquid: { gramsPerMillilitre: 0.88, percentWw: 100, ...REMEMBERED },
    hazard: { statements: ['H226', 'H304', 'H317'], ...SUPPLIER }, reacts: ['flammable'], waste: 'solvent', colour: '#d9cf9a', storage: 'Closed; oily rags can ignite without a flame.', caution: 'solvent',
  },
  {
    id: 'polysorbate', name: 'polysorbate 20', synonyms: ['wetting agent'], forms: [], state: 'liquid', purityPercent: 100, liquid: { gramsPerMillilitre: 1.1, percentWw: 100, ...REMEMBERED },
    hazard: harmless, reacts: [], waste: 'plain', storage: 'Closed.',
  },
  {
    id: 'glycerol', name: 'glycerol', synonyms: ['glycerine'], forms: [{ id: 'liquid', name: 'glycerol', formula: 'C3H8O3' }], state: 'liquid', purityPercent: 99.5, liquid: { gramsPerMillilitre: 1.26, percentWw: 99.5, ...HANDBOOK },
    hazard: harmless, reacts: [], waste: 'plain', storage: 'Closed.',
  },
] // prettier-ignore
