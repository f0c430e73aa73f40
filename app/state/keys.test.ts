import { createPinia, setActivePinia } from 'pinia'
import { keyCap, useKeys, type KeyRow } from './keys.store'

/** As much of an element as the keys ask of one. */
class FakeElement {
  isContentEditable = false
  constructor(
    private readonly kind: string,
    private readonly isInDialog = false,
  ) {}
  matches(selector: string): boolean {
    if (this.kind === 'radio') return selector.startsWith('button') || false
    return selector.split(',').some((one) => one.trim().startsWith(this.kind))
  }
  closest(): FakeElement | null {
    return this.isInDialog ? this : null
  }
}
Object.assign(globalThis, { HTMLElement: FakeElement })

const press = (key: string, change: object = {}) => {
  const event = {
    key,
    ctrlKey: false,
    metaKey: false,
    altKey: false,
    repeat: false,
    target: null,
    preventDefault: jest.fn(),
    ...change,
  }
  useKeys().answer(event as unknown as KeyboardEvent)
  return event
}
const row = (key: string, run = jest.fn()): KeyRow & { run: jest.Mock } => ({ key, name: key, run })

beforeEach(() => setActivePinia(createPinia()))

describe('the keys', () => {
  it('run what they are offered for, and keep the browser from acting too', () => {
    const space = row(' ')
    useKeys().groups.set('here', () => [space])
    const event = press(' ')
    expect(space.run).toHaveBeenCalledTimes(1)
    expect(event.preventDefault).toHaveBeenCalled()
  })

  it('do nothing and leave the browser alone where nothing is offered', () => {
    expect(press('q').preventDefault).not.toHaveBeenCalled()
  })

  it('prefer the view on the page to the shell', () => {
    const [shell, view] = [row('n'), row('n')]
    useKeys().groups.set('Everywhere', () => [shell])
    useKeys().groups.set('Coat', () => [view])
    press('n')
    expect(view.run).toHaveBeenCalled()
    expect(shell.run).not.toHaveBeenCalled()
  })

  it('do not care for capitals', () => {
    const undo = row('u')
    useKeys().groups.set('here', () => [undo])
    press('U')
    expect(undo.run).toHaveBeenCalled()
  })

  it.each([
    ['a chord of the browser', { ctrlKey: true }],
    ['a chord of the system', { metaKey: true }],
    ['an alternative', { altKey: true }],
    ['a key held down', { repeat: true }],
    ['typing in a field', { target: new FakeElement('input') }],
    ['typing in a note', { target: new FakeElement('textarea') }],
    ['a dialog', { target: new FakeElement('div', true) }],
  ])('leave alone %s', (_, change) => {
    const water = row('w')
    useKeys().groups.set('here', () => [water])
    press('w', change)
    expect(water.run).not.toHaveBeenCalled()
  })

  it('leave space to a button that was reached by keyboard, but no other key', () => {
    const [space, water] = [row(' '), row('w')]
    useKeys().groups.set('here', () => [space, water])
    press(' ', { target: new FakeElement('button') })
    press('w', { target: new FakeElement('button') })
    expect(space.run).not.toHaveBeenCalled()
    expect(water.run).toHaveBeenCalled()
  })

  it('are listed group by group, without empty ones', () => {
    useKeys().groups.set('empty', () => [])
    useKeys().groups.set('here', () => [row('a')])
    expect(useKeys().rows.map((group) => group.name)).toEqual(['here'])
  })

  it.each([
    [' ', 'space'],
    ['enter', 'enter'],
    ['escape', 'esc'],
    ['w', 'w'],
  ])('write %p on the cap as %s', (key, cap) => expect(keyCap(key)).toBe(cap))
})
