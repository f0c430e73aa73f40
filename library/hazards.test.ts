import { auditNeighbours } from '@core/chemistry/audits'
import { labelElements } from '@core/chemistry/ghs'
import { hazardsOf } from '@core/shelf/label'
import type { Bottle } from '@core/schema/records'
import type { WasteClass } from '@core/schema/substance'
import { wasteClassOf } from '@core/chemistry/waste'
import { cautionOf, incompatibilities, processes, substances, treatments, wasteClasses } from './index'

const all = Object.values(substances)
const of = (id: string) => substances[id]!

/*
 * Which substances bring each danger, recorded by hand from common practice of laboratory safety. The matrix below
 * walks every pair of the library and finds these and no others.
 */
const STRONG = ['oxalic-acid', 'hydrochloric-acid', 'acetic-acid', 'nitric-acid', 'sulfamic-acid']
const ACIDS = [...STRONG, 'citric-acid', 'tartaric-acid', 'ascorbic-acid']
const SULFITES = ['sodium-sulfite', 'sodium-metabisulfite', 'selenium-toner']
const HYPOS = ['sodium-thiosulfate', 'ammonium-thiosulfate', 'selenium-toner']
const GOLDS = ['gold-chloride', 'sodium-chloroaurate']
const AMMONIUM = [
  'ammonium-chloride', 'ammonium-citrate', 'ammonium-oxalate', 'ammonium-thiosulfate', 'ammonium-thiocyanate',
  'ammonium-dichromate', 'ammonium-chloroplatinite', 'ferric-ammonium-citrate', 'ammonium-ferric-oxalate', 'selenium-toner',
] // prettier-ignore
const IRON = [
  'ferric-ammonium-citrate',
  'ferric-oxalate',
  'ammonium-ferric-oxalate',
  'lithium-ferric-oxalate',
]
const DICHROMATES = ['ammonium-dichromate', 'potassium-dichromate']
const CARBONATES = ['sodium-carbonate', 'potassium-carbonate', 'sodium-bicarbonate', 'calcium-carbonate']
const FLAMMABLE = [
  'collodion',
  'ethanol',
  'isopropanol',
  'ether',
  'lavender-oil',
  'acetic-acid',
  'formaldehyde',
]
const OXIDISERS = [
  'silver-nitrate', 'silver-oxide', 'nitric-acid', ...DICHROMATES, 'hydrogen-peroxide', 'sodium-hypochlorite', 'potassium-chlorate',
] // prettier-ignore
const PAIRS: Readonly<Record<string, readonly [readonly string[], readonly string[]]>> = {
  'hydrogen-cyanide': [['potassium-ferricyanide'], STRONG],
  'hydrogen-sulfide': [['sodium-sulfide'], ACIDS],
  'sulfur-dioxide': [SULFITES, ACIDS],
  'hypo-sulfur': [HYPOS, ACIDS],
  'gold-in-hypo': [GOLDS, HYPOS],
  'gold-in-sulfite': [GOLDS, SULFITES],
  'fulminating-silver': [['silver-nitrate', 'silver-oxide'], ['ammonia']],
  'fulminating-gold': [GOLDS, ['ammonia']],
  chlorine: [['sodium-hypochlorite'], ACIDS],
  chloramines: [['sodium-hypochlorite'], ['ammonia']],
  'chloramines-from-salts': [['sodium-hypochlorite'], AMMONIUM],
  'hypochlorite-and-hypo': [['sodium-hypochlorite'], HYPOS],
  'hypochlorite-and-sulfite': [['sodium-hypochlorite'], SULFITES],
  'cyanogen-chloride': [['sodium-hypochlorite'], ['potassium-ferricyanide']],
  'cyanogen-from-thiocyanate': [['sodium-hypochlorite'], ['ammonium-thiocyanate']],
  'oxygen-from-hypochlorite': [['sodium-hypochlorite'], ['hydrogen-peroxide']],
  'chlorine-dioxide': [['potassium-chlorate'], ACIDS],
  'ammonium-chlorate': [['potassium-chlorate'], AMMONIUM],
  'chlorate-and-thiosulfate': [['potassium-chlorate'], HYPOS],
  'chlorate-and-sulfite': [['potassium-chlorate'], SULFITES],
  'chlorate-and-thiocyanate': [['potassium-chlorate'], ['ammonium-thiocyanate']],
  'chlorine-from-dichromate': [DICHROMATES, ['hydrochloric-acid']],
  'aqua-regia': [['nitric-acid'], ['hydrochloric-acid']],
  'peroxide-and-iron': [['hydrogen-peroxide'], IRON],
  'peroxide-and-sulfite': [['hydrogen-peroxide'], SULFITES],
  'peroxide-and-hypo': [['hydrogen-peroxide'], HYPOS],
  'thiocyanate-and-acid': [['ammonium-thiocyanate'], ACIDS],
  'chloromethyl-ether': [['formaldehyde'], ['hydrochloric-acid']],
  'carbon-dioxide': [CARBONATES, ACIDS],
  fire: [OXIDISERS, FLAMMABLE],
}

describe('what must not meet', () => {
  it('is known for every pair of substances in the library', () => {
    const expected = (a: string, b: string) =>
      Object.entries(PAIRS)
        .filter(([, [x, y]]) => (x.includes(a) && y.includes(b)) || (x.includes(b) && y.includes(a)))
        .map(([id]) => id)
    let walked = 0
    for (const [i, a] of all.entries())
      for (const b of all.slice(i + 1)) {
        const dangers = auditNeighbours([a, b], incompatibilities).map((one) => one.problem)
        const found = incompatibilities.filter((one) => dangers.includes(one.danger)).map((one) => one.id)
        // Three kinds of chlorate with sulfur share one sentence.
        const same = (ids: readonly string[]) =>
          [...new Set(ids.map((id) => incompatibilities.find((one) => one.id === id)?.danger))].sort()
        expect([a.id, b.id, same(found)]).toEqual([a.id, b.id, same(expected(a.id, b.id))])
        walked++
      }
    expect(walked).toBe((all.length * (all.length - 1)) / 2)
  })

  it('warns of silver fulminate only when all three are there, wherever they come from', () => {
    const danger = (names: string[][]) =>
      auditNeighbours(
        names.map((ids) => ({ name: ids.join('+'), reacts: ids.flatMap((id) => of(id).reacts) })),
        incompatibilities,
      ).some((one) => one.problem.includes('fulminate'))
    expect(danger([['silver-nitrate'], ['nitric-acid'], ['ethanol']])).toBe(true)
    expect(danger([['silver-nitrate', 'nitric-acid'], ['ethanol']])).toBe(true)
    expect(danger([['silver-nitrate'], ['nitric-acid']])).toBe(false)
    expect(danger([['silver-nitrate'], ['ethanol']])).toBe(false)
  })
})

describe('waste classes', () => {
  it('never collect substances that must not meet', () => {
    for (const wasteClass of Object.keys(wasteClasses)) {
      const inJar = all.filter((one) => one.waste === wasteClass)
      expect([wasteClass, auditNeighbours(inJar, incompatibilities)]).toEqual([wasteClass, []])
    }
  })

  // Each of these pairs shared a jar before; common practice of waste collection keeps them apart.
  it.each([
    ['ammonia', 'sodium-hypochlorite'],
    ['nitric-acid', 'acetic-acid'],
    ['potassium-chlorate', 'hydrogen-peroxide'],
    ['silver-nitrate', 'sodium-thiosulfate'],
    ['ascorbic-acid', 'sodium-sulfite'],
  ])('%s and %s have jars of their own', (a, b) => expect(of(a).waste).not.toBe(of(b).waste))

  it.each<[string, string[], WasteClass]>([
    ['collodion emulsion', ['collodion', 'silver-nitrate', 'citric-acid', 'lithium-chloride'], 'solvent'],
    ['ferric oxalate with chlorate', ['ferric-oxalate', 'potassium-chlorate'], 'chlorate'],
    ['silver with citric acid', ['silver-nitrate', 'citric-acid'], 'silver'],
    ['fixer with a little silver', ['sodium-thiosulfate', 'silver-nitrate'], 'fixer'],
    ['gum sensitizer', ['gum-arabic', 'ammonium-dichromate'], 'chromium'],
    ['cyanotype sensitizer', ['ferric-ammonium-citrate', 'potassium-ferricyanide'], 'cyanoferrate'],
    ['a peroxide bath', ['hydrogen-peroxide'], 'peroxide'],
    ['nothing', [], 'plain'],
  ])('%s goes into the right jar', (_, ids, wasteClass) =>
    expect(
      wasteClassOf(
        ids.map((substanceId) => ({ substanceId })),
        substances,
      ),
    ).toBe(wasteClass),
  )

  it('have a vented cap where gas may form', () => {
    const vented = Object.entries(wasteClasses).flatMap(([id, one]) => (one.cap === 'vented' ? [id] : []))
    expect(vented).toEqual(
      expect.arrayContaining([
        'acid',
        'ammonia',
        'chlorate',
        'fixer',
        'hypochlorite',
        'oxidisingAcid',
        'peroxide',
      ]),
    )
  })

  it('never take a solution of the library whose parts react, but for the known recipes', () => {
    const stocks = [...Object.values(processes), ...Object.values(treatments)].flatMap((definition) =>
      [...definition.components, ...definition.baths].map(
        (one) => [`${definition.id}/${one.id}`, one.stock] as const,
      ),
    )
    const odd = stocks.filter(
      ([, stock]) =>
        auditNeighbours(
          stock.solutes.flatMap(({ substanceId }) => substances[substanceId] ?? []),
          incompatibilities,
        ).length,
    )
    // Silver nitrate in collodion: the recipe itself, with its own caution.
    expect(odd.map(([id]) => id)).toEqual(['collodion-chloride/emulsion'])
  })
})

/** A solution of these, % w/v. */
const solution = (contents: Readonly<Record<string, number>>): Pick<Bottle, 'kind' | 'contents'> => ({
  kind: 'solution',
  contents: Object.entries(contents).map(([substanceId, percent]) => ({ substanceId, percent })),
})

describe('labels of mixtures', () => {
  /*
   * Worked by hand from the mixture rules of the UN GHS (rev. 9) and the EU's specific concentration limits, all from
   * memory. For acute toxicity: 100 over the sum of strength / converted estimate.
   */
  it.each<[string, Readonly<Record<string, number>>, 'danger' | 'warning' | 'none', string[]]>([
    ['0.5 % dichromate: sensitizer, carcinogen, mutagen, reproductive toxin', { 'potassium-dichromate': 0.5 }, 'danger', ['H317', 'H334', 'H340', 'H350', 'H360FD', 'H412']],
    ['0.15 % dichromate: below its own limit for allergy', { 'potassium-dichromate': 0.15 }, 'danger', ['H340', 'H350']],
    ['20 % dichromate: toxic if swallowed in category 4 (10 000 / 20 = 500), corrosive', { 'ammonium-dichromate': 20 }, 'danger', ['H302', 'H314', 'H317', 'H330', 'H334', 'H335', 'H340', 'H350', 'H360FD', 'H372', 'H411']],
    ['2 % hydrochloric acid carries nothing of the concentrate', { 'hydrochloric-acid': 2 }, 'none', []],
    ['12 % hydrochloric acid irritates', { 'hydrochloric-acid': 12 }, 'warning', ['H290', 'H315', 'H319', 'H335']],
    ['30 % hydrochloric acid burns', { 'hydrochloric-acid': 30 }, 'danger', ['H290', 'H314', 'H335']],
    ['12 % silver nitrate burns', { 'silver-nitrate': 12, 'citric-acid': 6 }, 'danger', ['H314', 'H410']],
    ['Van Dyke, 3.8 % silver nitrate: eye damage, irritates the skin', { 'ferric-ammonium-citrate': 9, 'tartaric-acid': 1.5, 'silver-nitrate': 3.8 }, 'danger', ['H315', 'H318', 'H410']],
    ['20 % chloroplatinite: category 4 by mouth (100 / 0.2 = 500)', { 'potassium-chloroplatinite': 20 }, 'danger', ['H302', 'H315', 'H317', 'H318', 'H334']],
    ['5 % tetrasodium EDTA: serious eye damage', { 'tetrasodium-edta': 5 }, 'danger', ['H318']],
    ['2 % tetrasodium EDTA: eye irritant', { 'tetrasodium-edta': 2 }, 'warning', ['H319']],
    ['3 % peroxide carries nothing', { 'hydrogen-peroxide': 3 }, 'none', []],
    ['9 % peroxide: serious eye damage', { 'hydrogen-peroxide': 9 }, 'danger', ['H318']],
    ['1 % borax: reproductive toxin', { borax: 1 }, 'danger', ['H360FD']],
    ['0.2 % borax carries nothing', { borax: 0.2 }, 'none', []],
    ['10 % hypo carries nothing', { 'sodium-thiosulfate': 10 }, 'none', []],
    ['10 % gold chloride burns', { 'gold-chloride': 10 }, 'danger', ['H314', 'H317']],
    ['0.02 % gold toner carries nothing', { 'gold-chloride': 0.02, 'sodium-bicarbonate': 0.1 }, 'none', []],
    ['1 % formaldehyde: allergy, cancer', { formaldehyde: 1 }, 'danger', ['H317', 'H341', 'H350']],
    ['collodion emulsion, 70 % collodion: flammable', { collodion: 2.8, 'silver-nitrate': 2.5 }, 'danger', ['H224', 'H302', 'H315', 'H319', 'H336', 'H410']],
    ['albumen with 3.6 % alcohol does not burn', { 'ammonium-chloride': 4.76, ethanol: 3.62, 'egg-white': 49.5 }, 'none', []],
    ['27 % ferric oxalate: harmful by mouth (500 / 0.27 = 1850), irritant', { 'ferric-oxalate': 27 }, 'warning', ['H302', 'H315', 'H319']],
  ])('%s', (_, contents, signal, statements) => {
    const found = hazardsOf(solution(contents), substances)
    expect([found.signal, found.statements]).toEqual([signal, statements])
  }) // prettier-ignore

  it('carry the hazards of a concentrate only at its usual strength', () => {
    const acid = (percent: number) =>
      hazardsOf({ kind: 'liquid', contents: [{ substanceId: 'hydrochloric-acid', percent }] }, substances)
    expect(acid(37).statements).toEqual(['H290', 'H314', 'H335'])
    expect(acid(2).statements).toEqual([])
  })
})

describe('pictograms', () => {
  // UN GHS rev. 9, 1.4.10.5: statement to sign, and which sign gives way; from memory.
  it.each([
    ['potassium-chloroplatinite', ['skull', 'healthHazard', 'corrosion']],
    ['tetrasodium-edta', ['corrosion', 'exclamation']],
    ['silver-nitrate', ['corrosion', 'flameOverCircle', 'environment']],
    ['citric-acid', ['exclamation']],
    ['potassium-ferricyanide', []],
    ['ethanol', ['flame', 'exclamation']],
    ['selenium-toner', ['skull', 'healthHazard', 'environment']],
    ['hydrochloric-acid', ['corrosion', 'exclamation']],
  ])('of %s are %p', (id, pictograms) =>
    expect(labelElements(of(id).hazard.statements).pictograms).toEqual(pictograms),
  )
})

describe('cautions', () => {
  const hazardous = (codes: string[]) =>
    all.filter((one) => one.hazard.statements.some((code) => codes.includes(code)))

  it('say serious eye damage or burns wherever a substance causes it', () => {
    for (const one of hazardous(['H314', 'H318']))
      expect([one.id, cautionOf(one.caution)?.text]).toEqual([
        one.id,
        expect.stringMatching(/eye damage|\bburns?\b/i),
      ])
  })

  it('give first aid for everything that burns or poisons', () => {
    for (const one of hazardous(['H301', 'H311', 'H314', 'H318', 'H330', 'H331']))
      expect([one.id, cautionOf(one.caution)?.firstAid]).toEqual([
        one.id,
        expect.stringMatching(/rinse.*15 minutes.*doctor/),
      ])
  })

  it('are their own for collodion, ether, alcohol, platinum and formaldehyde', () => {
    expect(cautionOf(of('collodion').caution)?.text).toMatch(/dried collodion burns in a flash/)
    expect(cautionOf(of('ether').caution)?.text).toMatch(/explosive peroxides/)
    expect(cautionOf(of('ether').caution)?.text).toMatch(/creeps along the floor/)
    expect(of('ethanol').caution).toBe('alcohol')
    expect(cautionOf(of('potassium-chloroplatinite').caution)?.text).toMatch(/Toxic if swallowed.*allergic/)
    expect(of('formaldehyde').caution).toBe('formaldehyde')
  })

  it('of formaldehyde stand at every step that takes a hardener', () => {
    const hardening = [...Object.values(processes), ...Object.values(treatments)].flatMap((definition) =>
      definition.steps
        .filter((step) => /hardener/i.test(step.doing) && !step.id.endsWith('glyoxal'))
        .map((step) => [definition, step] as const),
    )
    expect(hardening.length).toBeGreaterThan(0)
    for (const [definition, step] of hardening) {
      expect([step.id, step.cautions]).toEqual([step.id, expect.arrayContaining(['formaldehyde'])])
      expect(definition.cautions.map((one) => one.id)).toContain('formaldehyde')
    }
  })
})
