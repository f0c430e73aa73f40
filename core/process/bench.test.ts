import { begun, logOf, SHEET, T0 } from '../fixtures/logs'
import type { ProcessDefinition } from '../schema/definition'
import type { Happening, PlannedStep } from '../schema/event'
import { benchOf, liesIn } from './bench'
import { replay } from '../run/run'
import { unknownProcess } from './unknownProcess'

const wet = (id: string, more: object = {}) => ({ id, station: 'wet', kind: 'bath', title: id, ...more })
const acid = { id: 'acid', name: 'Acid', stock: { solutes: [], making: [] }, cautions: [] }
const definition = {
  ...unknownProcess('x'),
  baths: [acid, { ...acid, id: 'gold', when: [{ choice: 'toner', is: ['gold'] }] }],
  components: [],
  steps: [
    { id: 'expose', station: 'light', kind: 'expose', title: 'expose' },
    wet('acid-1', { tray: 'acid' }),
    wet('wash'),
    wet('acid-2', { tray: 'acid' }),
    wet('tone', { trays: ['gold'] }),
    { id: 'hang', station: 'line', kind: 'hang', title: 'hang' },
  ],
} as unknown as ProcessDefinition

const planned = (id: string): PlannedStep => ({
  id, station: 'wet', place: 'water', kind: 'bath', begins: 'press', leastSeconds: 60,
}) // prettier-ignore
const running = (ids: string[], started: boolean) =>
  replay(
    SHEET,
    logOf([
      [0, { ...begun, steps: ids.map(planned) } as Happening],
      ...(started ? [[1, { type: 'stepStarted', step: ids[0]! } as Happening] as const] : []),
    ]),
  )
const sheet = { choices: { toner: 'gold' } }

describe('the bench', () => {
  const ids = ['acid-1', 'wash', 'acid-2', 'tone', 'hang']
  const trays = benchOf(definition, [{ state: running(ids, true), sheet }])

  it('has a tray a solution, in the order of work, however often it is used', () => {
    expect(trays.map((tray) => [tray.id, tray.stepIds])).toEqual([
      ['acid', ['acid-1', 'acid-2']],
      ['wash', ['wash']],
      ['gold', ['tone']],
      ['hang', ['hang']],
    ])
    expect(trays.map((tray) => tray.solution?.id ?? null)).toEqual(['acid', null, 'gold', null])
    expect(trays.at(-1)!.isLine).toBe(true)
  })

  it('leaves out what no sheet here goes through', () => {
    const few = benchOf(definition, [{ state: running(['wash', 'hang'], false), sheet }])
    expect(few.map((tray) => tray.id)).toEqual(['wash', 'hang'])
    expect(
      benchOf(definition, [{ state: running(['tone'], false), sheet: { choices: { toner: 'none' } } }])[0]!
        .solution,
    ).toBeNull()
  })

  it('knows where a sheet lies', () => {
    expect(trays.map((tray) => liesIn(tray, running(ids, true)))).toEqual([true, false, false, false])
    expect(trays.some((tray) => liesIn(tray, running(ids, false)))).toBe(false)
    expect(running(ids, true).begunAt).toBe(T0)
  })
})
