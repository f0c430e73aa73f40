import { ProcessDefinition } from '../schema/definition'
import {
  copyProcess,
  danglingReference,
  readProcessFile,
  writeProcessFile,
  withWashRoles,
} from './processFile'

const known = new Set(['silver-nitrate', 'sodium-chloride'])
const process: ProcessDefinition = {
  id: 'toy', version: 2, name: 'Toy', summary: 's', mark: 'umber', kind: 'process',
  components: [{ id: 'silver', name: 'Silver', letter: 'A', cautions: ['burns'], stock: { solutes: [{ substanceId: 'silver-nitrate', percentWv: 12 }], making: [], standing: 'practice', source: 's' } }],
  mixes: [{ id: 'mix', name: 'Mix', parts: [{ component: 'silver', parts: 1, when: [{ choice: 'c', is: ['a'] }] }] }],
  baths: [], chalk: { bears: true, why: 'w' }, tools: ['brush'],
  choices: [{ id: 'c', name: 'C', startsWith: 'a', options: [{ id: 'a', name: 'A', reason: 'r', standing: 'practice' }, { id: 'b', name: 'B', reason: 'r', standing: 'practice', stocks: { silver: [{ substanceId: 'silver-nitrate', percentWv: 10 }] } }] }],
  lights: [], cautions: [{ id: 'burns', title: 't', text: 't' }], secondLooks: [], colours: {},
  steps: [{ id: 'count', station: 'coat', place: 'bench', kind: 'count', mix: 'mix', title: 't', meanwhile: 'm', doing: 'd', why: 'w', cautions: ['burns'], begins: 'press', press: { start: 's', finish: 'f' }, lays: { component: 'silver', by: 'brush' } }],
} // prettier-ignore

/** The refusal of a file in which one thing was spoilt. */
function refusedAt(spoil: (process: ReturnType<typeof JSON.parse>) => void): string {
  const file = JSON.parse(writeProcessFile(process))
  spoil(file.process)
  try {
    readProcessFile(JSON.stringify(file), known)
    return 'accepted'
  } catch (error) {
    return (error as { refusal: { problem: string } }).refusal.problem
  }
}

describe('a process file', () => {
  it('comes back as it went out', () =>
    expect(readProcessFile(writeProcessFile(process), known)).toEqual(process))

  it.each<[string, (p: ReturnType<typeof JSON.parse>) => void, string]>([
    [
      'a time that is a word',
      (p) => (p.steps[0].time = { leastSeconds: 'long', standing: 'yours', source: 's' }),
      'process.steps.0.time.leastSeconds',
    ],
    ['a field nobody knows', (p) => (p.steps[0].script = 'x'), 'process.steps.0'],
    [
      'a substance nobody knows',
      (p) => (p.components[0].stock.solutes[0].substanceId = 'unobtainium'),
      'process.components.0.stock.solutes.0.substanceId: “unobtainium”',
    ],
    [
      'a strange substance in a choice',
      (p) => (p.choices[0].options[1].stocks.silver[0].substanceId = 'x'),
      'process.choices.0.options.1.stocks.silver.0.substanceId',
    ],
    [
      'a stock for nothing',
      (p) => (p.choices[0].options[1].stocks = { gold: [] }),
      'process.choices.0.options.1.stocks.gold',
    ],
    ['a start that is no option', (p) => (p.choices[0].startsWith = 'z'), 'process.choices.0.startsWith'],
    [
      'a part of nothing',
      (p) => (p.mixes[0].parts[0].component = 'gold'),
      'process.mixes.0.parts.0.component',
    ],
    [
      'a condition on no choice',
      (p) => (p.mixes[0].parts[0].when[0].choice = 'z'),
      'process.mixes.0.parts.0.when.0.choice',
    ],
    [
      'a condition on no option',
      (p) => (p.mixes[0].parts[0].when[0].is = ['z']),
      'process.mixes.0.parts.0.when.0.is.0',
    ],
    ['a count of no mix', (p) => delete p.steps[0].mix, 'process.steps.0.mix'],
    ['a tray of nothing', (p) => (p.steps[0].tray = 'z'), 'process.steps.0.tray'],
    ['a laying of nothing', (p) => (p.steps[0].lays.component = 'z'), 'process.steps.0.lays.component'],
    [
      'a caution that is not there',
      (p) => (p.components[0].cautions = ['z']),
      'process.components.0.cautions.0',
    ],
    ['two steps of one name', (p) => p.steps.push(p.steps[0]), 'process.steps.1.id'],
  ])('is refused with %s, by its path', (_, spoil, path) => expect(refusedAt(spoil)).toContain(path))

  it.each([
    ['not JSON', '{', 'not-json'],
    ['something else', '{"format":"a recipe"}', 'not-a-process'],
    ['nothing', 'null', 'not-a-process'],
  ])('is refused when it is %s', (_, text, code) =>
    expect(() => readProcessFile(text, known)).toThrow(expect.objectContaining({ code })),
  )

  it('has no loose end when it is sound', () => expect(danglingReference(process, known)).toBeNull())
})

describe('a file from before washes had a role', () => {
  it('gives it to them, by the ids that they were known by then, and to nothing else', () => {
    const [first] = process.steps
    const steps = ['wash-2', 'final-wash', 'whitewash', 'wash'].map((id) => ({ ...first!, id }))
    steps[3] = { ...steps[3]!, role: 'clear' }
    const read = withWashRoles({ ...process, steps }) as ProcessDefinition
    expect(read.steps.map(({ role }) => role)).toEqual(['wash', 'wash', first!.role, 'clear'])
    expect(withWashRoles('nothing')).toBe('nothing')
  })
})

describe('copyProcess', () => {
  it('gives an id that can be saved, also to a process named like a word of the language', () => {
    const copy = copyProcess(process, 'constructor', new Set())
    expect(copy.id).toBe('constructor-2')
    expect(ProcessDefinition.safeParse(copy).success).toBe(true)
  })

  it('gives a copy an id of its own, and says whose copy it is', () => {
    const copy = copyProcess(process, 'Toy, für Öl', new Set(['toy-fu-r-o-l']))
    expect(copy).toMatchObject({ id: 'toy-fu-r-o-l-2', version: 1, name: 'Toy, für Öl', copyOf: 'toy' })
    expect(copyProcess(process, '123', new Set()).id).toBe('process')
  })
})
