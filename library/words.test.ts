import { cautions } from './cautions'
import { cautionOf, hazardStatements, processes, substances, tools, treatments, wasteClasses } from './index'

const all = [...Object.values(processes), ...Object.values(treatments)]

describe('cautions', () => {
  it.each(Object.entries(cautions))(
    '%s is found by the name that steps and substances give it',
    (id, caution) => {
      expect(cautionOf(caution.id)).toBe(caution)
      expect(cautionOf(id)).toBe(caution)
      expect(caution.title).toMatch(/^[A-Z]/)
    },
  )

  it('are each shown somewhere: by a substance or by a process', () => {
    const used = new Set([
      ...Object.values(substances).flatMap((one) => one.caution ?? []),
      ...all.flatMap((one) => one.cautions.map((caution) => caution.id)),
    ])
    expect([...used].sort()).toEqual(expect.arrayContaining(Object.keys(cautions).sort()))
  })

  // The handbook's list of what every printer is warned of.
  it.each([
    ['silver', /Goggles and gloves before.*ammonia/],
    ['dichromate', /cancer.*never down the drain/i],
    ['formaldehyde', /cancer.*extraction/i],
    ['ferricyanide', /strong acid.*hydrogen cyanide/],
    ['hydrochloric', /acid into water/],
    ['hypochlorite', /Never mix with acid, ammonia/],
    ['oxalate', /kidneys/],
    ['selenium', /Ventilate/],
    ['peroxide', /8 %/],
    ['uv', /do not look at the source/],
    ['warmth', /never goes back to the kitchen/],
  ] as const)('of %s says what matters', (id, words) => expect(cautions[id].text).toMatch(words))
})

describe('words of the room', () => {
  it('tools are got ready and laid, each in its own way', () => {
    expect(Object.keys(tools)).toEqual(['brush', 'rod', 'sponge', 'cotton'])
    for (const tool of Object.values(tools))
      expect([tool.prepare, tool.lay].every((line) => line.endsWith('.'))).toBe(true)
    for (const definition of all) for (const tool of definition.tools) expect(tools).toHaveProperty([tool])
  })

  it('every waste jar has a question for the licensed service', () => {
    for (const { ask } of Object.values(wasteClasses)) expect(ask).toMatch(/\?/)
  })

  it('hazard statements are sentences, none of them unused', () => {
    const used = new Set(Object.values(substances).flatMap((one) => one.hazard.statements))
    for (const [code, words] of Object.entries(hazardStatements)) {
      expect(words).toMatch(/^[A-Z]/)
      expect(used).toContain(code)
    }
  })

  it('no sentence of the library ends in the middle', () => {
    for (const definition of all)
      for (const step of definition.steps) {
        expect(step.doing).toMatch(/[.!?]$/)
        expect(step.why).toMatch(/[.!?]$/)
        expect(step.meanwhile).toMatch(/^[a-z]/)
      }
  })
})
