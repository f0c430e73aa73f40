import { ProcessDefinition } from './definition'

const sound: ProcessDefinition = {
  id: 'toy',
  version: 1,
  name: 'Toy',
  summary: 'For tests.',
  mark: 'plum',
  kind: 'process',
  components: [
    {
      id: 'salt',
      name: 'Salt',
      letter: 'A',
      cautions: [],
      stock: {
        solutes: [{ substanceId: 'sodium-chloride', percentWv: 2 }],
        making: ['m'],
        standing: 'practice',
        source: 's',
      },
    },
  ],
  mixes: [{ id: 'salt', name: 'Salt', parts: [{ component: 'salt', parts: 1 }] }],
  baths: [],
  chalk: { bears: true, why: 'w' },
  tools: ['brush'],
  choices: [],
  lights: [
    {
      kind: 'sun',
      name: 'Sun',
      leastSeconds: 1,
      mostSeconds: 2,
      standing: 'practice',
      source: 's',
      note: 'n',
    },
  ],
  steps: [
    {
      id: 'expose',
      station: 'light',
      place: 'light',
      kind: 'expose',
      title: 't',
      meanwhile: 'm',
      doing: 'd',
      why: 'w',
      looks: [{ share: 0.5, lookFor: 'l' }],
      endpoint: { good: 'g', doubt: 'd', swatch: ['#aabbcc'] },
      cautions: [],
      begins: 'press',
      press: { start: 's', finish: 'f' },
    },
  ],
  cautions: [],
  secondLooks: [],
  colours: { print: '#163f6b' },
}

/** The path of the first thing wrong with a definition that was changed in one place. */
function wrongAt(change: (definition: ProcessDefinition) => void): string {
  const definition = structuredClone(sound)
  change(definition)
  return ProcessDefinition.safeParse(definition).error?.issues[0]?.path.join('.') ?? 'nothing'
}
/** Sets a field to what its type forbids. */
const set = (record: object | undefined, field: string, value: unknown) =>
  Object.assign(record ?? {}, { [field]: value })

describe('a process definition', () => {
  it('is accepted when it is sound', () => expect(ProcessDefinition.parse(sound)).toEqual(sound))

  it.each<[string, (definition: ProcessDefinition) => void, string]>([
    ['an id with a blank', (d) => set(d, 'id', 'my process'), 'id'],
    ['an id every object answers to', (d) => set(d, 'id', 'constructor'), 'id'],
    ['a step every object answers to', (d) => set(d.steps[0], 'id', 'toString'), 'steps.0.id'],
    ['a version of nothing', (d) => set(d, 'version', 0), 'version'],
    ['a mark of its own', (d) => set(d, 'mark', 'teal'), 'mark'],
    ['a mix of nothing', (d) => set(d.mixes[0], 'parts', []), 'mixes.0.parts'],
    ['a negative part', (d) => set(d.mixes[0]?.parts[0], 'parts', -1), 'mixes.0.parts.0.parts'],
    [
      'a strength beyond all solubility',
      (d) => set(d.components[0]?.stock.solutes[0], 'percentWv', 4000),
      'components.0.stock.solutes.0.percentWv',
    ],
    ['a tool nobody coats with', (d) => set(d, 'tools', ['roller']), 'tools.0'],
    ['a letter that is a word', (d) => set(d.components[0], 'letter', 'Alpha'), 'components.0.letter'],
    ['no steps', (d) => set(d, 'steps', []), 'steps'],
    ['an unknown kind of step', (d) => set(d.steps[0], 'kind', 'pray'), 'steps.0.kind'],
    ['a step at no station', (d) => set(d.steps[0], 'station', 'kitchen'), 'steps.0.station'],
    ['a step without a reason', (d) => set(d.steps[0], 'why', ''), 'steps.0.why'],
    ['a look after the end', (d) => set(d.steps[0]?.looks?.[0], 'share', 1.5), 'steps.0.looks.0.share'],
    ['a colour by name', (d) => set(d.steps[0]?.endpoint, 'swatch', ['blue']), 'steps.0.endpoint.swatch.0'],
    [
      'a time without a standing',
      (d) => set(d.steps[0], 'time', { leastSeconds: 5, source: 's' }),
      'steps.0.time.standing',
    ],
    ['a light of no length', (d) => set(d.lights[0], 'leastSeconds', -5), 'lights.0.leastSeconds'],
    ['an unknown look', (d) => set(d, 'secondLooks', [{ id: 'never' }]), 'secondLooks.0.id'],
    ['a field nobody knows', (d) => set(d.steps[0], 'script', 'x'), 'steps.0'],
    [
      'one answer to a question',
      (d) => set(d, 'choices', [{ id: 'a', name: 'n', startsWith: 'b', options: [] }]),
      'choices.0.options',
    ],
  ])('is refused with %s, and says where', (_, change, path) => expect(wrongAt(change)).toBe(path))
})
