import { waysOf } from '@core/fixtures/ways'
import { lotsFor } from '@core/chemistry/lots'
import { sheet } from '@core/fixtures/workroom'
import { mixesFor, planMix, startingParts } from '@core/process/mixPlan'
import { beginning, schoolStocks, startingChoices } from '@core/process/plan'
import { firstExposure } from '@core/process/stepTimes'
import { ProcessDefinition } from '@core/schema/definition'
import { processes, substances, treatments } from './index'

const lotsOf = (definition: ProcessDefinition, choices: Record<string, string>) =>
  Object.fromEntries(
    Object.entries(schoolStocks(definition, choices)).map(([id, stock]) => [
      id,
      lotsFor(id, stock, [], new Map(), substances),
    ]),
  )

describe.each([...Object.values(processes), ...Object.values(treatments)])('$name', (definition) => {
  it('is a sound definition', () => expect(ProcessDefinition.parse(definition)).toEqual(definition))

  it('comes through a shared file unchanged', () =>
    expect(ProcessDefinition.parse(JSON.parse(JSON.stringify(definition)))).toEqual(
      JSON.parse(JSON.stringify(definition)),
    ))

  // The role decides, not the id; here both are held together, so that no wash of the library is forgotten.
  it('gives its washes their role', () => {
    const washes = (words: string[]) => words.sort()
    expect(washes(definition.steps.flatMap(({ id, role }) => (role === 'wash' ? [id] : [])))).toEqual(
      washes(
        definition.steps.flatMap(({ id }) => (id.startsWith('wash') || id === 'final-wash' ? [id] : [])),
      ),
    )
  })

  it('points only at what it holds', () => {
    const cautions = new Set(definition.cautions.map((caution) => caution.id))
    for (const holder of [...definition.steps, ...definition.components, ...definition.baths])
      for (const id of holder.cautions) expect(cautions).toContain(id)
    for (const choice of definition.choices)
      expect(choice.options.map((option) => option.id)).toContain(choice.startsWith)
    const solutes = [...definition.components, ...definition.baths].flatMap((one) => one.stock.solutes)
    for (const { substanceId } of solutes) expect(substances).toHaveProperty([substanceId])
    const components = definition.components.map((one) => one.id)
    const poured = [...components, ...definition.baths.map((one) => one.id)]
    const whens = [
      ...definition.steps.map((one) => one.when),
      ...definition.baths.map((one) => one.when),
      ...definition.mixes.flatMap((mix) => mix.parts.map((part) => part.when)),
    ]
    for (const { choice, is } of whens.flatMap((when) => when ?? [])) {
      const options = definition.choices.find(({ id }) => id === choice)?.options.map(({ id }) => id)
      for (const id of is) expect(options).toContain(id)
    }
    for (const step of definition.steps) {
      if (step.tray) expect(poured).toContain(step.tray)
      if (step.lays) expect(components).toContain(step.lays.component)
      if (step.kind === 'count') expect(definition.mixes.map((one) => one.id)).toContain(step.mix)
    }
    for (const part of definition.mixes.flatMap((mix) => mix.parts))
      expect(components).toContain(part.component)
    expect(new Set(definition.steps.map((step) => step.id)).size).toBe(definition.steps.length)
  })

  it('has the caution of every component among its own', () => {
    for (const component of definition.components)
      for (const id of component.cautions)
        expect(definition.cautions.map((caution) => caution.id)).toContain(id)
  })

  it('says of every step what to look for, why it is done, and how long it takes', () => {
    for (const step of definition.steps) {
      expect([step.id, step.endpoint?.good, step.endpoint?.doubt]).toEqual([
        step.id,
        expect.stringMatching(/\w/),
        expect.stringMatching(/\w/),
      ])
      if (step.kind !== 'count' && step.kind !== 'expose')
        expect([step.id, step.time?.source]).toEqual([step.id, expect.stringMatching(/\w/)])
    }
  })

  it('can be begun whatever is chosen, and starts with something to do', () => {
    for (const choices of waysOf(definition)) {
      const input = { ...sheet, choices, parts: startingParts(definition, choices) }
      const lots = lotsOf(definition, choices)
      const counts = Object.fromEntries(
        mixesFor(definition, choices).map((mix) => [
          mix.id,
          planMix(definition, mix, input, lots).count.drops,
        ]),
      )
      const { steps } = beginning(definition, input, counts, 300)
      expect(steps[0]?.begins).toBe('press')
      expect(new Set(steps.map((step) => step.id)).size).toBe(steps.length)
      for (const step of steps.filter((one) => one.kind === 'count'))
        expect(step.drops?.every((drop) => drop.count >= 1)).toBe(true)
    }
  })

  it('gives every substance’s own caution with the component that holds it', () => {
    const strong = ['silver', 'dichromate', 'noble', 'hydrochloric', 'formaldehyde', 'selenium']
    for (const { stock, cautions, name } of [...definition.components, ...definition.baths])
      for (const { substanceId } of stock.solutes) {
        const caution = substances[substanceId]?.caution
        if (caution && strong.includes(caution)) expect([name, ...cautions]).toContain(caution)
      }
  })
})

describe('the handbook’s figures', () => {
  const counted = (id: string, changes: object = {}, choices: Record<string, string> = {}) => {
    const definition = processes[id]!
    const chosen = { ...startingChoices(definition), ...choices }
    const { coverage } = definition
    const input = {
      ...sheet,
      ...changes,
      choices: chosen,
      parts: startingParts(definition, chosen),
      coverageMillilitresPerM2: coverage?.millilitresPerM2 ?? 38.8,
    }
    return mixesFor(definition, chosen).map((mix) =>
      planMix(definition, mix, input, lotsOf(definition, chosen)),
    )
  }
  const strengths = (plan: ReturnType<typeof counted>[number]) =>
    Object.fromEntries(plan.mixture.map((one) => [one.substanceId, one.strength.value]))

  // Common practice: about 40 drops of the one bottle for 8 x 10 in.
  it('Van Dyke brown: 40 drops for 8 x 10 in', () =>
    expect(counted('van-dyke')[0]?.count.drops).toEqual([40]))

  // Common practice: 18 + 18 drops for 8 x 10 in.
  it('kallitype: 18 and 18 drops for 8 x 10 in', () =>
    expect(counted('kallitype')[0]?.count.drops).toEqual([18, 18]))

  // Common practice: 3 drops of iron, 4 of palladium, 1 of ferric oxalate; 1 g topped up to 6 ml is 16.7 %.
  it('palladium printing out: 3 : 4 : 1, from a bottle of 16.7 %', () => {
    const plan = counted('palladium-printing-out')[0]!
    expect(plan.count.drops).toEqual([15, 20, 5])
    expect(strengths(plan)['potassium-chloropalladite']).toBeCloseTo(100 / 6 / 2, 6)
  })

  // Common practice: 4 : 1 : 3 drops, 75 % gold by drops of metal solution; by metal it is something else.
  // By hand: Au 196.97 of HAuCl4·3H2O 393.83; Pt 195.08 of (NH4)2PtCl4 372.97 g/mol (CIAAW weights, from memory).
  it('gold-platinum: 4 : 1 : 3, gold by metal mass and by mole', () => {
    const plan = counted('gold-platinum')[0]!
    expect(plan.count.drops).toEqual([20, 5, 15])
    const gold = plan.metals.find((one) => one.metal === 'Au')!
    const [au, pt] = [(3 * 196.97) / 393.83, 195.08 / 372.97]
    expect(gold.massShare.value).toBeCloseTo((100 * au) / (au + pt), 1)
    expect(gold.moleShare.value).toBeCloseTo((100 * 3) / 393.83 / (3 / 393.83 + 1 / 372.97), 1)
  })

  // Common practice: the second layer is a 1:1 mix of 10 % and 10 %, with its own volume of water: 2.5 % of each.
  it('two-layer cyanotype: the second layer is half of a 10 + 10 % pair', () => {
    const [first, second] = counted('two-layer-cyanotype')
    expect(strengths(first!)['ferric-ammonium-citrate']).toBeCloseTo(12.5, 9)
    expect(strengths(second!)['ferric-ammonium-citrate']).toBeCloseTo(2.5, 9)
    expect(strengths(second!)['potassium-ferricyanide']).toBeCloseTo(2.5, 9)
  })

  // Common practice: 65 and 60 min under one weak lamp; left about 3 h, never over 4 h.
  it('two-layer cyanotype: 65 and 60 min, after 3 and before 4 h', () => {
    const definition = processes['two-layer-cyanotype']!
    const choices = startingChoices(definition)
    const exposure = firstExposure(definition, { kind: 'lamp', choices }).value
    expect(exposure / 60).toBeCloseTo(65, 0)
    const { steps } = beginning(
      definition,
      { ...sheet, choices, exposureSeconds: 3900 },
      { first: [20, 20], second: [10, 10, 20] },
      300,
    )
    expect(steps.find((step) => step.id === 'expose-second')?.plannedSeconds).toBeCloseTo(3600, 6)
    expect(steps.find((step) => step.id === 'dry-second')).toMatchObject({
      keepsLeastSeconds: 3 * 3600,
      keepsSeconds: 4 * 3600,
    })
  })

  // Common practice: 9 g, 1.5 g and 3.8 g, each in a third of 100 ml.
  it('Van Dyke brown: 9, 1.5 and 3.8 % in the one bottle', () =>
    expect(processes['van-dyke']!.components[0]?.stock.solutes.map((one) => one.percentWv)).toEqual([
      9, 1.5, 3.8,
    ]))

  // Common practice: 12 g in 50 ml and 6 g in 50 ml, combined.
  it('salted paper: 12 % silver with 6 % citric acid', () =>
    expect(strengths(counted('salted-paper')[1]!)).toEqual({ 'silver-nitrate': 12, 'citric-acid': 6 }))

  // Common practice of demonstrations: 5 g ammonium chloride, 50 ml water, 5 ml alcohol, 50 ml egg white, 105 ml in all.
  // Half of it is where the app starts: 1.5 to 3 % is usual, from memory.
  it('albumen: 2.5 g of chloride in 105 ml, or 5 g as the strong school', () => {
    const { components, choices } = processes['albumen-type']!
    expect(components[0]?.stock.solutes[0]?.percentWv).toBeCloseTo(250 / 105, 2)
    const strong = choices.find((one) => one.id === 'chloride')?.options.find((one) => one.id === 'strong')
    expect(strong?.stocks?.albumen?.[0]?.percentWv).toBeCloseTo(500 / 105, 2)
  })

  // Common practice: 30 g of oxalic acid in a litre is 3 %, for a quarter of an hour; 40 g of gelatin in 200 ml.
  it('paper: 3 % oxalic acid 15 min, 20 % gelatin dried 20 min', () => {
    const acid = treatments['acid-bath']!
    expect(acid.components.find((one) => one.id === 'oxalic')?.stock.solutes[0]?.percentWv).toBe(3)
    expect(acid.steps[0]?.time?.leastSeconds).toBe(900)
    const size = treatments['gelatin-size']!
    expect(size.components[0]?.stock.solutes[0]?.percentWv).toBe(20)
    expect(size.steps.find((one) => one.id === 'hang')?.time?.leastSeconds).toBe(1200)
  })

  // Common practice for 310 g/m2: sulfite 10, wash 5, acid 15, wash 2-3, acid, wash 2, EDTA 10, wash 5, EDTA 10, wash 45-60 min.
  it('gold-platinum: clears in this order and for so long', () => {
    const definition = processes['gold-platinum']!
    const { steps } = beginning(
      definition,
      { ...sheet, choices: startingChoices(definition) },
      { sensitizer: [20, 5, 15] },
      310,
    )
    const baths = steps.filter((step) => step.kind === 'bath')
    expect(baths.map((step) => (step.leastSeconds ?? 0) / 60)).toEqual([10, 5, 15, 2, 15, 2, 10, 5, 10, 45])
  })
})
