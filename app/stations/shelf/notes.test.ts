import { bottle } from '@core/fixtures/substances'
import { T0 } from '@core/fixtures/logs'
import { clocksOf } from '@core/run/deadlines'
import { replay } from '@core/run/run'
import { logOf, plan, SHEET, wholeJob } from '@core/fixtures/logs'
import { startingChoices } from '@core/process/plan'
import { incompatibilities, processes, substances } from '@library/index'
import { planNotes, chalkNotes, roomNotes } from '../../words/planNotes'
import { bottleNotes } from './bottleNotes'
import { precursorNotes } from './precursorNotes'
import { draftOfStock } from './recipeRows'
import { readSolution } from './solution.draft'
import { endWords, ledgeLine } from '../../words/clockWords'
import { correctionWords } from '../../words/findingWords'
import { dateOf } from '../../words/moments'

describe('what the margin says of a metal salt', () => {
  const made = (substanceId: string, percent: number) => {
    const stock = { solutes: [{ substanceId, percentWv: percent }], making: [], standing: 'memory', source: '' } as const
    const draft = draftOfStock('Metal', { ...stock, solutes: [...stock.solutes], making: [] }, '100 ml')
    const room = { book: substances, incompatibilities, bottles: [], taken: new Map(), dropsPerMillilitre: 20, celsius: 20, now: T0 }
    return precursorNotes(readSolution(draft, room).solution)
  } // prettier-ignore

  it('weighs out what a chloropalladite is made from', () => {
    const [note] = made('sodium-chloropalladite', 15)
    expect(note?.title).toBe('Or make the sodium chloropalladite')
    // By hand, as in library/precursors.test.ts.
    expect(note?.lines[0]?.replace(/\u00a0/g, ' ')).toBe(
      'In place of the salt: 9.04 g of palladium chloride and 5.96 g of sodium chloride.',
    )
  })
  it('tells how an old ferric oxalate is tested, and nothing of other salts', () => {
    expect(made('ferric-oxalate', 20)[0]?.lines[0]).toContain('blue is ferrous iron')
    expect(made('silver-nitrate', 10)).toEqual([])
    // A toner is made from the stock, not from powder of a few hundredths of a gram.
    expect(made('sodium-chloropalladite', 0.05)).toEqual([])
    expect(precursorNotes(null)).toEqual([])
  })
})

const titles = (notes: readonly { title: string }[]) => notes.map((note) => note.title)

describe('what the margin says of a plan', () => {
  const gold = processes['gold-platinum']!

  it('warns of what will be in the hand, and says why each school was chosen', () => {
    const notes = planNotes(gold, startingChoices(gold), 'no')
    expect(titles(notes)).toEqual([
      'Gold-platinum, printing out',
      'Safety: oxalates and oxalic acid',
      'Safety: platinum salts',
      'Safety: gold and palladium salts',
      'Platinum salt: Ammonium',
      'Hydrochloric acid, 2 %: By weight',
      'Printed: Bone dry',
      'Printed through: A negative',
      'Room light',
      'Between coat and negative',
    ])
  })

  it('warns only of what these choices use', () => {
    const platinum = processes['platinum-palladium']!
    const plain = planNotes(platinum, startingChoices(platinum), 'no')
    const chlorate = planNotes(platinum, { ...startingChoices(platinum), contrast: 'chlorate' }, 'no')
    expect(titles(plain)).not.toContain('Safety: chlorate')
    expect(titles(chlorate)).toContain('Safety: chlorate')
  })

  it('minds the chalk of a buffered paper where the process cannot bear it', () => {
    expect(chalkNotes(gold, 'yes')[0]).toMatchObject({ title: 'This paper is buffered', tone: 'caution' })
    expect(chalkNotes(gold, 'unknown')[0]?.title).toBe('If the paper is buffered')
    expect(chalkNotes(gold, 'no')).toEqual([])
    expect(chalkNotes(processes['salted-paper']!, 'yes')).toEqual([])
  })

  it('says which film keeps the negative safe, where one is wanted', () => {
    expect(roomNotes(gold)[1]?.lines[0]).toMatch(/0.05 mm/)
    expect(titles(roomNotes(processes['classic-cyanotype']!))).toEqual(['Room light'])
  })
})

describe('what the margin says of a bottle', () => {
  const standing = (more: object) => ({
    bottle: bottle(1, { madeAt: T0, ...more }),
    left: 61,
    level: 0.6,
    condition: null,
    colour: '#aaaaaa',
    strength: '12 %',
  })

  it('names the caution before the cap comes off, and every hazard statement in words', () => {
    const notes = bottleNotes(standing({}), T0 + 86_400_000)
    const caution = notes.find((note) => note.tone === 'caution')
    expect(caution?.title).toBe('Before you open it: silver nitrate')
    expect(caution?.lines[0]).toMatch(/Goggles and gloves/)
    expect(notes.find((note) => note.title.startsWith('Hazard statements'))?.lines).toContain(
      'H314 Causes severe skin burns and eye damage',
    )
    expect(notes[0]?.lines.join(' ')).toMatch(/61 ml left of 100/)
  })

  it('sets stated against true', () => {
    const notes = bottleNotes(standing({ statedPercent: 15 }), T0)
    expect(notes.find((note) => note.title === 'Stated and actual strength')?.lines[0]).toBe(
      '12 % actual strength, 15 % on the label.',
    )
    expect(titles(bottleNotes(standing({ statedPercent: 12.1 }), T0))).not.toContain(
      'Stated and actual strength',
    )
  })

  it('says when nobody measured, and what a powder weighs', () => {
    const solid = { ...standing({ kind: 'solid', amount: undefined }), left: null }
    expect(bottleNotes(solid, T0)[0]?.lines).toContain('Amount not measured.')
    expect(bottleNotes({ ...standing({ kind: 'solid' }) }, T0)[0]?.lines.join(' ')).toMatch(/61 g left/)
  })
})

describe('words of clocks and corrections', () => {
  const rested = plan.map((step) =>
    step.id === 'dry' ? { ...step, keepsLeastSeconds: 10_800, keepsSeconds: 14_400 } : step,
  )
  const state = replay(
    SHEET,
    logOf([[0, { type: 'begun', steps: rested, looks: [] }], ...wholeJob.slice(1, 8)]),
  )
  const cyanotype = processes['classic-cyanotype']!

  it('a coat rests before it is printed, then keeps', () => {
    const [rest, keeps] = clocksOf(state, T0 + 3_600_000)
    expect(ledgeLine(cyanotype, rest!, T0)).toBe('resting, do not print yet')
    expect(endWords(cyanotype, rest!)).toBe('rested, ready to use')
    expect(ledgeLine(cyanotype, keeps!, T0)).toMatch(/^print before/)
    expect(endWords(cyanotype, keeps!)).toBe('the coat is too old')
  })

  it.each([
    [{ act: 'restate', percent: 16.7 }, 'Change the label to 16.7 %'],
    [{ act: 'topUpTo', millilitres: 6.67 }, 'Top up to 6.67 ml'],
    [{ act: 'weigh', grams: 40 }, 'Weigh 40 g'],
    [{ act: 'useForm', form: 'monohydrate' }, 'Use the form in your jar'],
    [{ act: 'weaken', percent: 12.7 }, 'Make it 12.7 %'],
  ] as const)('%p is said as “%s”', (correction, words) => expect(correctionWords(correction)).toBe(words))

  it('a date carries its year only when that is another one', () => {
    const at = (year: number) => new Date(year, 10, 24).getTime()
    expect(dateOf(at(2026), at(2026))).toBe('24 Nov')
    expect(dateOf(at(2031), at(2026))).toBe('24 Nov 2031')
  })
})
