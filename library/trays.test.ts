import { isOfPurpose } from '@core/process/baths'
import { uuid, logOf, SHEET, T0 } from '@core/fixtures/logs'
import { sheet } from '@core/fixtures/workroom'
import { materialsOf } from '@core/judge/materials'
import { printRecord, type PrintWork, type RoomRecords } from '@core/judge/printRecord'
import { bathCondition, passesOf } from '@core/process/baths'
import { beginning, startingChoices } from '@core/process/plan'
import { exchangeOf } from '@core/process/trayExchange'
import { replay } from '@core/run/run'
import type { Bath } from '@core/schema/bath'
import type { Happening } from '@core/schema/event'
import { emptyHoldings } from '@core/schema/records'
import { processes, substances } from './index'

// Sheets that are floated and soaked take from their trays, with the library's own processes.

const albumen = processes['albumen-type']!
const planned = {
  ...sheet,
  widthMillimetres: 203.2,
  heightMillimetres: 254,
  process: { id: albumen.id, version: albumen.version },
}
const tray = (n: number, bath: string, substanceId: string, percent: number, millilitres: number): Bath => ({
  id: uuid(n), processId: albumen.id, bath, name: bath, contents: [{ substanceId, percent }], millilitres,
  madeAt: T0, manner: 'reused', replenished: [], filtered: [T0 + 600_000], note: '', changedAt: T0,
}) // prettier-ignore
const silverBath = tray(60, 'silver', 'silver-nitrate', 12, 500)
const salted = tray(61, 'albumen', 'ammonium-chloride', 2.38, 800)

/** A sheet that was floated on the albumen and, after it had dried, on the silver; nothing is known of a dry bath. */
function floated(number: number, choices: Record<string, string> = {}): PrintWork {
  const one = {
    ...planned,
    id: number === 1 ? SHEET : uuid(500 + number),
    choices: { ...startingChoices(albumen), ...choices },
  }
  const begun = beginning(albumen, one, {}, 90)
  let at = 3600 * number
  const log: [number, Happening][] = [[at, begun]]
  const baths: Record<string, string> = {
    albumenize: salted.id,
    'albumenize-soak': salted.id,
    'silver-float': silverBath.id,
  }
  for (const step of begun.steps) {
    if (step.begins === 'press') log.push([++at, { type: 'stepStarted', step: step.id }])
    const bathId = baths[step.id]
    log.push([
      (at += (step.leastSeconds ?? 60) + 1),
      { type: 'stepFinished', step: step.id, ...(bathId && { bathId }) },
    ])
    if (step.id === 'silver-float') break
  }
  return { sheet: one, state: replay(one.id, logOf(log, one.id)), definition: albumen }
}
const room = (prints: PrintWork[]): RoomRecords => ({
  ...emptyHoldings(),
  prints,
  baths: [silverBath, salted],
  treatments: [],
  substances,
})
const rowsOf = (work: PrintWork, prints: PrintWork[]) =>
  Object.fromEntries(
    materialsOf(printRecord(work, room(prints)), substances, { length: 'in', temperature: 'degC' }).map(
      ([name, value]) => [name, value.replace(/\u00a0/g, ' ')],
    ),
  )

describe('a floated sheet', () => {
  const prints = Array.from({ length: 11 }, (_, i) => floated(i + 1))
  const of = (work: PrintWork, id: string) => work.state.steps.find((step) => step.planned.id === id)!

  it('draws silver for its chloride, besides the film that it takes along', () => {
    // By hand: 60 ml of 2.38 % leave 1.428 g of ammonium chloride on a square metre, 26.7 mmol (53.49 g/mol). As much
    // silver is in 37.8 ml of 12 % nitrate (169.87 g/mol: 0.7064 mmol/ml).
    const exchange = exchangeOf(prints[0]!, of(prints[0]!, 'silver-float'), silverBath, substances)
    expect(exchange).toEqual({ takes: 60, brings: 0, spends: expect.closeTo(37.8, 1) })
    expect(exchangeOf(prints[0]!, of(prints[0]!, 'albumenize'), salted, substances)).toEqual({
      takes: 60,
      brings: 0,
    })
  })

  it('leaves the tray lower and weaker for the next', () => {
    const passes = passesOf(silverBath.id, prints, {
      exchange: (work, step) => exchangeOf(work, step, silverBath, substances),
    })
    const { level, strength } = bathCondition(silverBath, undefined, passes.slice(0, 10), undefined, T0)
    // Ten sheets of 8 × 10 in take 31 ml and draw the silver of 19.5 ml from about 486.
    expect(level.value).toBeCloseTo(469, 0)
    expect(strength.value).toBeCloseTo(0.96, 3)
  })

  it('has its tray on record: how full and how strong it was then, and what was taken on which area', () => {
    const [first, last] = [rowsOf(prints[0]!, prints), rowsOf(prints.at(-1)!, prints)]
    expect(first.silver).toMatch(
      /^floated: 500 ml in the tray, silver nitrate 12 %; first sheet in it; filtered .* before; took about 3\.1 ml on 516 cm²$/,
    )
    expect(last.silver).toMatch(
      /^floated: 469 ml in the tray, silver nitrate 11\.5 %; sheet 11 in it; .* took about 3\.1 ml on 516 cm²$/,
    )
    expect(first.albumen).toMatch(/^floated: 800 ml in the tray, ammonium chloride 2\.38 %/)
  })

  it('says where the strength of its tray was only assumed', () => {
    const records = { ...room(prints), baths: [{ ...silverBath, isAssumed: true as const }, salted] }
    const rows = Object.fromEntries(
      materialsOf(printRecord(prints[0]!, records), substances, { length: 'in', temperature: 'degC' }),
    )
    expect(rows.silver).toContain(', assumed: strength not stated; first sheet')
    expect(rows.albumen).not.toContain('assumed')
  })

  it('is balanced against what was in its tray, not what the school says', () => {
    const weak = { ...room(prints), baths: [{ ...silverBath, contents: [{ substanceId: 'silver-nitrate', percent: 3 }] }, salted] } // prettier-ignore
    const silverIn = (records: RoomRecords) => printRecord(prints[0]!, records).balance!.silver.value
    // The halide draws as much from either; the film that is carried away holds 60 ml/m² of what is there.
    expect(silverIn(room(prints)) - silverIn(weak)).toBeCloseTo((60 * 0.09 * 1000) / 169.87, 1)
  })

  it('takes up more where it is soaked, by the weight of its paper', () => {
    const soaked = floated(1, { coating: 'soak' })
    const step = of(soaked, 'albumenize-soak')
    expect(exchangeOf(soaked, step, salted, substances, 90)).toEqual({ takes: 45, brings: 0 })
    expect(exchangeOf(soaked, step, salted, substances, 300).takes).toBe(150)
    expect(rowsOf(soaked, [soaked]).albumen).toMatch(/^soaked: 800 ml in the tray/)
  })
})

describe('the words of a sheet on its tray', () => {
  const laid = Object.values(processes).flatMap(({ steps }) => steps.filter(({ lays, kind }) => lays && kind === 'wait'))
  it.each(laid.map((step) => [step.title, step] as const))('%s: are not those of drying', (_, step) => {
    expect(step.endpoint?.good).not.toMatch(/dull|cool/)
    expect(step.habit).toBeUndefined()
    expect(step.press.start).not.toMatch(/dry/)
  })
  it('are found in more than one process', () => expect(laid.length).toBeGreaterThan(3))
}) // prettier-ignore

describe('a print on the wet side', () => {
  it('goes dry into its first bath and wet into the next', () => {
    const kallitype = processes.kallitype!
    const choices = startingChoices(kallitype)
    const begun = beginning(kallitype, { ...sheet, choices }, { [kallitype.mixes[0]!.id]: [18, 18] }, 300)
    const state = replay(SHEET, logOf([[0, begun]]))
    const baths = state.steps.filter(({ planned: { kind } }) => kind === 'bath')
    const work = { sheet: { ...sheet, choices }, state, definition: kallitype }
    const exchanges = baths.map((step) => exchangeOf(work, step, silverBath, substances, 300))
    expect(exchanges[0]).toEqual({ takes: 150, brings: 0 })
    expect(exchanges.slice(1).every(({ takes, brings }) => takes === 100 && brings === 100)).toBe(true)
  })
})

describe('another solution in a tray', () => {
  const of = (id: string) => [{ substanceId: id }]
  it('serves the same purpose where it reacts alike: acetic for citric acid, and not hypo for either', () => {
    expect(isOfPurpose(of('acetic-acid'), of('citric-acid'), substances)).toBe(true)
    expect(isOfPurpose(of('sodium-thiosulfate'), of('citric-acid'), substances)).toBe(false)
    expect(isOfPurpose(of('ammonium-thiosulfate'), of('sodium-thiosulfate'), substances)).toBe(true)
  })
})
