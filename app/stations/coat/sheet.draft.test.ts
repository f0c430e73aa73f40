import { bottle } from '@core/fixtures/substances'
import { mixesFor, partsOf } from '@core/process/mixPlan'
import { startingChoices } from '@core/process/plan'
import type { ProcessDefinition } from '@core/schema/definition'
import { Sheet } from '@core/schema/records'
import { processes } from '@library/index'
import { classicCyanotype } from '@library/processes/classicCyanotype'
import { sheet } from '@core/fixtures/workroom'
import { T0, uuid } from '@core/fixtures/logs'
import { readDraft } from './sheet.draft'
import { draftOf, type SheetDraft } from './newSheet'
import { draft, room, read } from './sheet.draft.fixture'

describe('readDraft', () => {
  it('asks for no more than a title and a size', () => {
    const { read: got, faults } = read()
    expect(faults).toEqual({})
    expect(got).toMatchObject({
      sheet: {
        widthMillimetres: 203.2,
        exposureSeconds: 425,
        parts: { sensitizer: [1, 1] },
        coverageMillilitresPerM2: 38.8,
      },
      papers: [],
      bottles: [],
    })
    expect(got?.lights).toMatchObject([{ kind: 'uvBox', name: 'UV box' }])
  })

  it('writes down what is named for the first time, at the chosen strength', () => {
    const { read: got } = read({
      paperName: 'Old rag',
      paperWeight: '300 g/m²',
      bottles: { iron: 'A-1', ferricyanide: '' },
      exposure: '7 min 30',
    })
    expect(got?.papers).toMatchObject([{ name: 'Old rag', gramsPerM2: 300 }])
    expect(got?.bottles).toMatchObject([
      {
        label: 'A-1',
        kind: 'solution',
        contents: [{ substanceId: 'ferric-ammonium-citrate', percent: 25 }],
      },
    ])
    expect(got?.sheet).toMatchObject({
      exposureSeconds: 450,
      paperId: got?.papers[0]?.id,
      bottles: { iron: got?.bottles[0]?.id },
    })
  })

  it('takes what is on the shelf already', () => {
    const papers = [{ id: uuid(1), name: 'Old rag', gramsPerM2: 300, note: '', changedAt: T0 }]
    const lights = [
      { id: uuid(2), name: 'The box', kind: 'uvBox' as const, usualSeconds: 500, note: '', changedAt: T0 },
    ]
    const { read: got } = read({ paperName: 'Old rag', light: uuid(2) }, { papers, lights })
    expect(got).toMatchObject({
      papers: [],
      lights: [],
      sheet: { paperId: uuid(1), lightId: uuid(2), exposureSeconds: 500 },
    })
  })

  it.each<[keyof SheetDraft, string]>([
    ['title', ' '],
    ['size', '8 x'],
    ['coats', 'one'],
    ['sheets', '0'],
    ['coverage', 'much'],
    ['dropper', '0'],
    ['exposure', '8'],
    ['exposure', '0 s'],
  ])('says what is wrong with %s “%s”, and reads the rest', (field, text) => {
    const { read: got, faults } = read({ [field]: text })
    expect(got).toBeNull()
    expect(Object.keys(faults)).toEqual([field])
    expect(faults[field]?.remedy).toMatch(/\w/)
  })

  it('takes a ratio of one’s own, and refuses one of another length', () => {
    expect(read({ ratios: { sensitizer: '2 : 1' } }).read?.sheet.parts).toEqual({ sensitizer: [2, 1] })
    expect(read({ ratios: { sensitizer: '1 : 2 : 1' } }).faults.ratios?.remedy).toMatch(/1 : 1/)
  })

  it('refuses a weight that is no weight', () => {
    expect(Object.keys(read({ paperName: 'Rag', paperWeight: 'heavy' }).faults)).toEqual(['paperWeight'])
  })

  it('gives the same sheet again from its own draft', () => {
    const box = { id: uuid(2), name: 'The box', kind: 'uvBox' as const, note: '', changedAt: T0 }
    const shelf = room({ lights: [box] })
    const planned = { ...sheet, lightId: box.id }
    const again = readDraft(
      classicCyanotype,
      { ...draftOf(planned, shelf, '8 x 10 in'), choices: sheet.choices },
      shelf,
    )
    expect(again.read?.sheet).toEqual({
      ...planned,
      id: undefined,
      number: undefined,
      createdAt: undefined,
    })
  })
})

describe('readDraft for every process', () => {
  const all = Object.values(processes)
  const draftFor = (definition: ProcessDefinition, changes: Partial<SheetDraft> = {}) => ({
    ...draft(),
    choices: startingChoices(definition),
    tool: definition.tools[0] ?? ('brush' as const),
    light: definition.lights[0]!.kind,
    ...changes,
  })

  it.each(all.map((one) => [one.name, one] as const))(
    '%s needs no more than a title and a size',
    (_, definition) => {
      const { read: got, faults } = readDraft(definition, draftFor(definition), room())
      expect(faults).toEqual({})
      expect(got?.sheet.process).toEqual({ id: definition.id, version: definition.version })
      for (const mix of mixesFor(definition, got!.sheet.choices))
        expect(got?.sheet.parts[mix.id]).toEqual(
          partsOf(definition, mix, got!.sheet.choices).map((part) => part.parts),
        )
      expect(Sheet.safeParse({ ...got!.sheet, id: uuid(1), number: 1, createdAt: T0 }).success).toBe(true)
    },
  )

  it.each(all.map((one) => [one.name, one] as const))('%s comes back from its own draft', (_, definition) => {
    const first = readDraft(
      definition,
      draftFor(definition, { exposure: '7:30', coverage: '31', dropper: '22', coats: '2' }),
      room(),
    )
    const made = { ...first.read!.sheet, id: uuid(1), number: 1, createdAt: T0 }
    const again = readDraft(
      definition,
      { ...draftOf(made, room(), '8 x 10 in'), light: definition.lights[0]!.kind },
      room(),
    )
    expect(again.read?.sheet).toEqual({ ...first.read!.sheet, lightId: expect.any(String) })
  })

  it('reads a row of sheets from one glass, and a torn piece', () => {
    const kallitype = processes.kallitype!
    const { read: got } = readDraft(kallitype, draftFor(kallitype, { sheets: '4', pieceId: uuid(9) }), room())
    expect(got?.sheets).toBe(4)
    expect(got?.sheet.pieceId).toBe(uuid(9))
    expect(
      readDraft(kallitype, draftFor(kallitype, { sheets: 'a few' }), room()).faults.sheets?.remedy,
    ).toMatch(/for example 1/)
  })

  it('takes a bottle of the shelf by its label, and makes one up only where there is none', () => {
    const kallitype = processes.kallitype!
    const shelf = [bottle(1, { label: 'KS-1', contents: [{ substanceId: 'silver-nitrate', percent: 9 }] })]
    const { read: got } = readDraft(
      kallitype,
      draftFor(kallitype, { bottles: { silver: 'KS-1', oxalate: 'FO-9' } }),
      room({ bottles: shelf }),
    )
    expect(got?.sheet.bottles.silver).toBe(shelf[0]!.id)
    expect(got?.bottles).toMatchObject([
      { label: 'FO-9', name: 'Ferric oxalate', contents: [{ substanceId: 'ferric-oxalate', percent: 20 }] },
    ])
    const gone = [{ ...shelf[0]!, ended: { at: T0, why: 'empty' as const } }]
    expect(
      readDraft(kallitype, draftFor(kallitype, { bottles: { silver: 'KS-1' } }), room({ bottles: gone })).read
        ?.bottles,
    ).toHaveLength(1)
  })
})

describe('an exposure that follows from a base exposure', () => {
  const proposed = { seconds: 390, millijoulesPerCm2: 1640 }

  it('is a dose, as long as no time is typed', () => {
    expect(read({}, { proposed }).read?.sheet).toMatchObject({
      exposureSeconds: 390,
      millijoulesPerCm2: 1640,
    })
    const typed = read({ exposure: '7 min' }, { proposed }).read?.sheet
    expect(typed).toMatchObject({ exposureSeconds: 420 })
    expect(typed).not.toHaveProperty('millijoulesPerCm2')
  })

  it('is a time where the light was not known when it was found', () => {
    const sheet = read({}, { proposed: { seconds: 390 } }).read?.sheet
    expect(sheet).toMatchObject({ exposureSeconds: 390 })
    expect(sheet).not.toHaveProperty('millijoulesPerCm2')
  })
})

describe('a sheet whose light is not in this workroom', () => {
  const sheet = {
    ...read({}).read!.sheet,
    lightId: 'b1e0a1de-0000-4000-8000-0000000000ff',
    id: uuid(1),
    number: 1,
    createdAt: T0,
  }

  it('comes back into the form with no light chosen, and makes no light of its identity', () => {
    const draft = draftOf(sheet, room(), '8 x 10 in')
    expect(draft.light).toBe('')
    const { read: got, faults } = readDraft(classicCyanotype, { ...draft, exposure: '' }, room())
    expect(got).toBeNull()
    expect(faults.light?.remedy).toMatch(/choose the light/i)
  })

  it('says so where the identity stands in the field all the same', () => {
    const draft = { ...draftOf(sheet, room(), '8 x 10 in'), light: sheet.lightId }
    expect(readDraft(classicCyanotype, draft, room())).toMatchObject({
      read: null,
      faults: { light: { field: 'light' } },
    })
  })
})

describe('a test strip', () => {
  const strip = { firstSeconds: 60, lastSeconds: 960, count: 9, spacing: 'ratio', card: 'covers' } as const

  it('is a sheet with its own times, whatever a base exposure says', () => {
    const sheet = read({ strip, exposure: '16 min' }, { proposed: { seconds: 390, millijoulesPerCm2: 1640 } })
      .read?.sheet
    expect(sheet).toMatchObject({ strip, exposureSeconds: 960 })
    expect(sheet).not.toHaveProperty('millijoulesPerCm2')
  })

  it('comes back into the form when its plan is changed', () => {
    const sheet = read({ strip, exposure: '16 min' }).read!.sheet
    const again = draftOf(
      { ...sheet, id: uuid(1), number: 1, createdAt: T0 },
      { papers: [], bottles: [], lights: [] },
      '8 x 10 in',
    )
    expect(again.strip).toEqual(strip)
  })
})

describe('a row of sheets', () => {
  it('takes its names one by one, and has as many sheets as names', () => {
    const { read } = readDraft(
      classicCyanotype,
      draft({ sheets: '3', names: ' Ada, Ben;Cleo\n\nDan ' }),
      room(),
    )
    expect([read?.sheets, read?.titles]).toEqual([4, ['Ada', 'Ben', 'Cleo', 'Dan']])
    expect(readDraft(classicCyanotype, draft({ sheets: '3' }), room()).read).toMatchObject({
      sheets: 3,
      titles: [],
    })
  })
  it('is on as many papers as it names: those of the drawer, usual kinds, and new ones with their weight', () => {
    const bristol = { id: uuid(7), name: 'Bristol', note: '', changedAt: T0 }
    const { read } = readDraft(
      classicCyanotype,
      draft({ sheets: '4', papers: 'Bristol; Kozo paper, very thin; Rag, 320 g; Bristol' }),
      room({ papers: [bristol] }),
    )
    expect(read?.papers).toMatchObject([
      { name: 'Kozo paper, very thin', gramsPerM2: 40 },
      { name: 'Rag', gramsPerM2: 320 },
    ])
    const [kozo, rag] = read!.papers
    expect(read?.paperIds).toEqual([bristol.id, kozo!.id, rag!.id, bristol.id])
    expect(readDraft(classicCyanotype, draft({ sheets: '4' }), room()).read).not.toHaveProperty('paperIds')
  })
  it('refuses papers that are not one for each sheet', () => {
    const { faults } = readDraft(classicCyanotype, draft({ sheets: '3', papers: 'a; b' }), room())
    expect(faults.papers?.problem).toContain('2 papers are named for 3 sheets')
  })
  it('holds no more than 99', () => {
    const names = Array.from({ length: 100 }, (_, i) => `pupil ${i}`).join(',')
    expect(readDraft(classicCyanotype, draft({ names }), room()).faults.names?.problem).toContain('100 names')
  })
})

describe('a sheet that comes in half-way', () => {
  it('begins with all its steps, of which those before are behind it', () => {
    const { read } = readDraft(classicCyanotype, draft({ cameIn: 'exposed' }), room())
    expect(read?.cameIn).toMatchObject({ type: 'begun', cameIn: 'exposed' })
    expect(readDraft(classicCyanotype, draft(), room()).read).not.toHaveProperty('cameIn')
  })
})
