import { startingChoices } from '@core/process/plan'
import { processes } from '@library/index'
import { paperNotes } from './paperNotes'
import { blueLightLines, spectrumNotes } from './spectrumNotes'

const salted = processes['salted-paper']!
const cyanotype = processes['classic-cyanotype']!
const said = (notes: { lines: readonly string[] }[]) =>
  notes
    .flatMap(({ lines }) => lines)
    .join(' ')
    .replace(/\u00a0/g, ' ')

describe('a paper that was tested with water', () => {
  const choices = startingChoices(salted)
  it('is silent about a paper that was not tested, and one that does well', () => {
    expect(paperNotes(salted, choices, null)).toEqual([])
    expect(paperNotes(salted, choices, { dropSeconds: 90, soaked: { seconds: 86_400, held: true } })).toEqual([])
  })
  it('says that it drinks, tears, or was not soaked long enough', () => {
    expect(said(paperNotes(salted, choices, { dropSeconds: 4 }))).toMatch(/drinks.*Size it/)
    expect(said(paperNotes(salted, choices, { soaked: { seconds: 600, held: false } }))).toMatch(/tore after 10 min/)
    expect(said(paperNotes(salted, choices, { soaked: { seconds: 120, held: true } }))).toMatch(/2 min only/)
    // A tear in a soak much longer than the baths says nothing about them.
    expect(paperNotes(cyanotype, startingChoices(cyanotype), { soaked: { seconds: 86_400, held: false } })).toEqual([])
  })
}) // prettier-ignore

describe('a lamp by its peak', () => {
  const lamp = (peakNanometres?: number) => ({ name: 'the bench', ...(peakNanometres && { peakNanometres }) })
  it('is told of where the coat answers slowly or hardly', () => {
    expect(spectrumNotes(salted, startingChoices(salted), lamp(405))).toMatchObject([
      { title: 'the bench and this coat', lines: [expect.stringMatching(/Silver chloride at 405 nm: prints slowly/)] },
    ])
    expect(said(spectrumNotes(salted, startingChoices(salted), lamp(450)))).toMatch(/hardly/)
  })
  it('is silent where it prints well, or its peak is not known', () => {
    expect(spectrumNotes(cyanotype, startingChoices(cyanotype), lamp(405))).toEqual([])
    expect(spectrumNotes(salted, startingChoices(salted), lamp(365))).toEqual([])
    expect(spectrumNotes(salted, startingChoices(salted), lamp())).toEqual([])
  })
  it('warns of violet light in the eye, and not of black light', () => {
    expect(blueLightLines(20, 405)[0]).toMatch(/reached in 2.s/)
    expect(blueLightLines(60, 405)[0]).toMatch(/reached in less than a second/)
    expect(blueLightLines(5, 365)).toEqual([])
    expect(blueLightLines(20, undefined)).toEqual([])
  })
}) // prettier-ignore
