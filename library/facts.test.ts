import { densityByStrength } from '@core/chemistry/dilution'
import { auditSolubility } from '@core/chemistry/audits'
import { orderFindings } from '@core/process/orderRules'
import { schoolStocks, startingChoices, stepsFor } from '@core/process/plan'
import { layingsOf, silverLaid } from '@core/process/silverOnPaper'
import { slipsOf } from '@core/run/timing'
import { emptyRun, type RunState } from '@core/run/runState'
import { bathCondition } from '@core/process/baths'
import { PRINT_SQUARE_METRES } from '@core/process/bathCapacity'
import { saltBalance, USUAL_UPTAKE } from '@core/chemistry/saltBalance'
import { solutesOf } from '@core/chemistry/lots'
import type { ProcessDefinition } from '@core/schema/definition'
import { sheet } from '@core/fixtures/workroom'
import { incompatibilities, processes, substances, treatments } from './index'

const definitionOf = (id: string) => (processes[id] ?? treatments[id]) as ProcessDefinition
const stepOf = (id: string, step: string) => definitionOf(id).steps.find((one) => one.id === step)!

/** A sheet that lay in one bath for so long. */
function after(definition: ProcessDefinition, stepId: string, seconds: number): RunState {
  const words = stepOf(definition.id, stepId)
  return {
    ...emptyRun(sheet.id),
    begunAt: 0,
    current: 1,
    steps: [
      {
        planned: {
          id: stepId,
          station: 'wet',
          place: 'water',
          kind: 'bath',
          begins: 'press',
          leastSeconds: words.time?.leastSeconds,
          mostSeconds: words.time?.mostSeconds,
        },
        status: 'done',
        startedAt: 0,
        finishedAt: seconds * 1000,
        holds: [],
        waters: [],
        drawn: [],
      } as never,
    ],
  }
}
const lateAfter = (id: string, step: string, seconds: number) =>
  slipsOf(after(definitionOf(id), step, seconds), definitionOf(id), seconds * 1000).some(
    (one) => one.kind === 'late',
  )

describe('fixing and washing', () => {
  // Common practice: 4 to 4.5 min and 10 min are minimums; a few seconds past 3 min in weak hypo do nothing.
  it.each([
    ['collodion-chloride', 'fix', 300],
    ['collodion-chloride', 'fix', 600],
    ['collodion-chloride', 'final-wash', 3600],
    ['van-dyke', 'fix', 185],
    ['van-dyke', 'fix', 240],
    ['salted-paper', 'fix', 660],
    ['albumen-type', 'fix', 360],
    ['kallitype', 'rinse-clear', 120],
    ['gold-platinum', 'wash-2', 600],
  ])('%s: %s for %d s is no fault', (id, step, seconds) => expect(lateAfter(id, step, seconds)).toBe(false))

  it('half an hour in hypo is', () => {
    for (const id of ['van-dyke', 'salted-paper', 'collodion-chloride', 'albumen-type'])
      expect([id, lateAfter(id, 'fix', 1800)]).toEqual([id, true])
  })

  // From memory: albumen-type prints are fixed for keeping in two baths of 3 to 5 minutes.
  it('albumen-type starts with two baths', () => {
    const albumen = definitionOf('albumen-type')
    const steps = stepsFor(albumen, startingChoices(albumen)).map((one) => one.id)
    expect(steps).toEqual(expect.arrayContaining(['fix', 'fix-2']))
  })
})

describe('Van Dyke', () => {
  const vanDyke = definitionOf('van-dyke')
  const words = JSON.stringify(vanDyke)

  // Common practice: it darkens in the fixer and dries about a quarter darker, so it is printed lighter everywhere.
  it('is printed lighter, and no sentence says deeper', () => {
    expect(vanDyke.deeper?.stops).toBeLessThan(0)
    expect(words).not.toMatch(/deeper than wanted|darker than wanted/)
    expect(words).toMatch(/lighter than you want it/)
  })

  it('keeps its silver water like every silver paper', () => {
    for (const id of ['van-dyke', 'salted-paper', 'albumen-type', 'collodion-chloride']) {
      const first = definitionOf(id).steps.find((one) => one.station === 'wet')
      expect([id, first?.isKept]).toEqual([id, 'silver'])
    }
    const unkept = {
      ...vanDyke,
      steps: vanDyke.steps.map((step) => (step.id === 'water' ? { ...step, isKept: undefined } : step)),
    }
    expect(orderFindings(unkept, {}, substances, incompatibilities).map((one) => one.code)).toEqual([
      'first-water-not-kept',
    ])
  })
})

describe('rules of order', () => {
  it('run on what really stands in a tray', () => {
    const kallitype = definitionOf('kallitype')
    const choices = { ...startingChoices(kallitype), rinse: 'acid' }
    const found = (contents?: { substanceId: string }[]) =>
      orderFindings(kallitype, choices, substances, incompatibilities, (id) =>
        id === 'citrate' ? contents : undefined,
      ).map((one) => one.code)
    expect(found()).toEqual([])
    // Somebody developed in a sulfite solution: from there it may not go straight into the acid.
    expect(found([{ substanceId: 'sodium-sulfite' }])).toEqual(['must-not-meet'])
  })

  it('know the silver of a floated sheet', () => {
    const albumen = definitionOf('albumen-type')
    const withoutWash = { ...albumen, steps: albumen.steps.filter((step) => step.id !== 'wash') }
    expect(
      orderFindings(withoutWash, startingChoices(albumen), substances, incompatibilities).map(
        (one) => one.code,
      ),
    ).toContain('silver-before-gold')
  })
})

describe('printing-out margins', () => {
  const wordsOf = (id: string) =>
    definitionOf(id)
      .steps.filter((step) => step.kind === 'expose')
      .map((step) => JSON.stringify([step.looks, step.endpoint]))
      .join(' ')

  // Common practice: the margin darkens in the colour of its process.
  it.each([
    ['salted-paper', /turns red-brown first/],
    ['albumen-type', /turns red-brown first/],
    ['collodion-chloride', /turns red-brown first/],
    ['palladium-printing-out', /turns brown first/],
    ['gold-platinum', /turns grey to blue-grey first/],
  ])('%s', (id, words) => expect(wordsOf(id)).toMatch(words))

  it('salted paper: grey means contamination, uneven salt or too much salt', () =>
    expect(wordsOf('salted-paper')).toMatch(
      /Grey instead of red-brown: contamination, uneven salt or too much salt/,
    ))

  it('never blame chalk where the process bears it', () => {
    for (const definition of Object.values(processes).filter((one) => one.chalk.bears))
      expect([definition.id, wordsOf(definition.id)]).toEqual([
        definition.id,
        expect.not.stringMatching(/buffer|chalk/i),
      ])
  })

  it('gum is not looked at through the back', () => {
    const step = stepOf('gum-over', 'expose')
    expect(step.why).toMatch(/cannot see progress through the back/)
    expect(step.habit).toBeUndefined()
    expect(step.looks).toEqual([])
  })
})

describe('solutions', () => {
  // Common practice: silver nitrate in brown glass keeps for years; the coated sheet lasts hours.
  it('silver nitrate keeps for years, the coated sheet for hours', () => {
    for (const id of ['salted-paper', 'kallitype', 'albumen-type']) {
      const silver = definitionOf(id).components.find((one) => one.id === 'silver')!
      expect(silver.stock.keepsSeconds).toBeGreaterThanOrEqual(2 * 365 * 86_400)
    }
    const dry = stepOf('salted-paper', 'dry')
    expect(dry.keeps?.mostSeconds).toBeLessThanOrEqual(6 * 3600)
  })

  // Trade lore, from memory: 20 % chloroplatinite is about full at room temperature. 0.93 g at 16 °C is not its figure.
  it('chloroplatinite of 10 and 20 % can be made', () => {
    for (const percent of [10, 20])
      expect(auditSolubility(substances['potassium-chloroplatinite']!, percent, 20)).toBeNull()
    expect(auditSolubility(substances['potassium-chloroplatinite']!, 60, 20)?.problem).toMatch(/from memory/)
  })

  // Handbook density tables, from memory: 2 % hydrochloric acid weighs 1.008 g/ml, 37 % 1.184 (as sold), 10 % 1.047.
  it.each([
    [2, 1.0082],
    [10, 1.0474],
    [37, 1.184],
  ])('%d %% hydrochloric acid takes its density from the table', (percent, density) =>
    expect(densityByStrength(substances['hydrochloric-acid']!, percent)?.value).toBeCloseTo(density, 3),
  )

  it('a liquid without a table lies between water and what is sold', () => {
    const half = densityByStrength(substances['acetic-acid']!, 49.9)?.value
    expect(half).toBeCloseTo((0.998 + 1.049) / 2, 3)
    expect(densityByStrength(substances['citric-acid']!, 10)).toBeNull()
  })

  // By hand: 37 % acid of 1.184 g/ml holds 0.438 g/ml; 20 ml of it in a litre are 0.876 %.
  it('2 % hydrochloric acid is by weight or by volume of concentrate, as one chooses', () => {
    const gold = definitionOf('gold-platinum')
    const percent = (choice: string) =>
      schoolStocks(gold, { ...startingChoices(gold), 'acid-strength': choice }).acid?.[0]?.percentWv ?? 2
    expect(percent('weight')).toBe(2)
    expect(percent('volume')).toBeCloseTo((20 * 1.184 * 37) / 1000, 2)
  })

  it('lithium ferric oxalate takes ascorbic acid and no booster', () => {
    const palladium = definitionOf('palladium-printing-out')
    const lithium = palladium.components.find((one) => one.id === 'lithium-iron')!
    expect(lithium.stock.solutes.map((one) => one.substanceId)).toContain('ascorbic-acid')
    const booster = palladium.mixes[0]!.parts.find((one) => one.component === 'ferric')!
    expect(booster.when).toContainEqual({ choice: 'iron', is: ['ammonium'] })
  })
})

describe('baths and sizes', () => {
  it('sulfite takes out the iron that light did not change', () =>
    expect(
      stepOf('gold-platinum', 'sulfite').why + stepOf('palladium-printing-out', 'sulfite').why,
    ).not.toMatch(/iron that light changed/))

  it('toned before fixing goes slightly past the colour', () => {
    for (const [id, step] of [['salted-paper', 'tone'], ['collodion-chloride', 'tone'], ['kallitype', 'tone-noble'], ['kallitype', 'tone-selenium']] as const)
      expect([id, stepOf(id, step).doing]).toEqual([id, expect.stringMatching(/slightly past the colour/)])
  }) // prettier-ignore

  // Common practice: glyoxal hardens over hours and is rinsed out; twenty minutes belong to formaldehyde.
  it.each(['gelatin-size', 'gum-over'])('%s: glyoxal hardens for hours and is rinsed', (id) => {
    const definition = definitionOf(id)
    const steps = (hardener: string) => stepsFor(definition, { ...startingChoices(definition), hardener })
    const glyoxal = steps('glyoxal')
    expect(glyoxal.find((one) => one.id === 'harden')?.time?.leastSeconds).toBeGreaterThanOrEqual(6 * 3600)
    expect(glyoxal.map((one) => one.id)).toContain('rinse-glyoxal')
    expect(steps('formaldehyde').map((one) => one.id)).not.toContain('harden')
  })

  it('two-layer cyanotype: the greenish blue is something to expect', () => {
    const coat = stepOf('two-layer-cyanotype', 'spread-second')
    expect(coat.why).toMatch(/reacts with the tannin.*greenish blue/)
    expect(JSON.stringify(coat)).not.toMatch(/dissolve the first/)
  })
})

describe('silver', () => {
  const planned = (id: string, choices: object = {}) => {
    const definition = definitionOf(id)
    return {
      ...sheet,
      coats: 1,
      parts: {},
      choices: { ...startingChoices(definition), ...choices },
      coverageMillilitresPerM2: definition.coverage?.millilitresPerM2 ?? 38.8,
    }
  }
  const laid = (id: string, choices: object = {}) =>
    silverLaid(definitionOf(id), planned(id, choices), substances).value

  // By hand: 38.8 ml/m² × 12 % × 107.87 / 169.87; kallitype 34.9 ml/m² × 5 %; Van Dyke 38.8 × 3.8 %.
  it('laid by brush follows from the coat', () => {
    const silver = 107.868 / 169.872
    expect(laid('salted-paper')).toBeCloseTo(38.8 * 0.12 * silver, 2)
    expect(laid('kallitype')).toBeCloseTo(34.9 * 0.05 * silver, 2)
    expect(laid('van-dyke')).toBeCloseTo(38.8 * 0.038 * silver, 2)
    expect(laid('classic-cyanotype')).toBe(0)
  })

  it('of a floated sheet is never short of its own recipe, and more than a brushed one', () => {
    const albumen = definitionOf('albumen-type')
    for (const chloride of ['usual', 'strong'])
      for (const coating of ['float', 'soak']) {
        const one = planned('albumen-type', { chloride, coating })
        const stocks = schoolStocks(albumen, one.choices)
        const layings = layingsOf(albumen, one, (id) => solutesOf(stocks[id] ?? [], substances))
        expect([chloride, coating, saltBalance(layings, USUAL_UPTAKE).verdict]).not.toContain('silverShort')
      }
    expect(laid('albumen-type')).toBeGreaterThan(laid('salted-paper'))
  })

  // From memory: a single bath for keeping holds about 0.5 g of silver a litre, the first of two about 2 g.
  it('decides how far a fixer goes: four times as far with a second bath behind it', () => {
    const salted = definitionOf('salted-paper')
    const use = salted.baths.find((one) => one.id === 'hypo')!.use
    const bath = { id: '', processId: 'salted-paper', bath: 'hypo', name: 'Hypo', contents: [], millilitres: 1000, madeAt: 0, manner: 'reused' as const, replenished: [], filtered: [], note: '', changedAt: 0 } // prettier-ignore
    const silverPerM2 = silverLaid(salted, planned('salted-paper'), substances)
    const left = (isFirstOfTwo: boolean, prints = 0) => {
      const passes = Array.from({ length: prints }, (_, at) => ({
        sheetId: '', at, squareMetres: PRINT_SQUARE_METRES, silverGrams: silverPerM2.value * PRINT_SQUARE_METRES,
      })) // prettier-ignore
      return bathCondition(bath, use, passes, undefined, 100, { isFirstOfTwo, silverPerM2 })
    }
    // 2.96 g/m² on 0.0516 m² are 0.153 g a print: 3 in a single litre, 13 in the first of two.
    expect(left(false).printsLeft).toBe(3)
    expect(left(true).printsLeft).toBe(13)
    expect(left(false, 4).verdict).toBe('spent')
    expect(left(true, 4).verdict).toBe('serves')
    expect(left(false, 2).used?.working.inputs.map((one) => one.unit)).toEqual(['g', 'g/l', 'l', 'g/m²'])
  })
})
