import { draftOfPaper, readPaperDraft } from './paper.draft'

const draft = { ...draftOfPaper(null, '22.5 x 30 in'), name: 'Rag' }

describe('a paper on its page', () => {
  it('reads a measured sheet', () => {
    const { read } = readPaperDraft(
      { ...draft, weight: '300 g/m²', sheets: '5', buffered: 'yes', price: '7,50' },
      'in',
    )
    expect(read).toMatchObject({
      name: 'Rag',
      widthMillimetres: 571.5,
      heightMillimetres: 762,
      gramsPerM2: 300,
      sheets: 5,
      buffered: 'yes',
      price: 7.5,
    })
  })

  it('reads what water does to it, and shows it again', () => {
    const { read } = readPaperDraft({ ...draft, drop: '45', soak: '40 min', soakHeld: 'tore' }, 'in')
    expect(read).toMatchObject({ dropSeconds: 45, soaked: { seconds: 2400, held: false } })
    const again = draftOfPaper({ ...read!, id: 'x', changedAt: 0 }, '')
    expect(readPaperDraft({ ...again, name: 'Rag' }, 'in').read).toMatchObject({
      dropSeconds: 45,
      soaked: { seconds: 2400, held: false },
    })
  })

  it('asks for no more than a name', () => {
    expect(readPaperDraft({ ...draftOfPaper(null, ''), name: 'Rag' }, 'in').read).toEqual({
      name: 'Rag',
      buffered: 'unknown',
      note: '',
    })
  })

  it.each([
    ['name', ' '],
    ['size', '22.5'],
    ['weight', 'heavy'],
    ['sheets', 'a few'],
    ['price', 'dear'],
    ['drop', '2 h'],
    ['soak', '0'],
  ] as const)('says what is wrong with %s “%s”', (field, text) => {
    const { read, faults } = readPaperDraft({ ...draft, [field]: text }, 'in')
    expect(read).toBeNull()
    expect(Object.keys(faults)).toEqual([field])
  })
})
