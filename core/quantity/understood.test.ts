import { understood } from './understood'

describe('what a typed quantity was understood as', () => {
  it.each([
    ['90', 'time', 'min', '1\u00a0h 30\u00a0min'],
    ['1,200', 'volume', 'ml', ''],
    ['1 200', 'volume', 'ml', '1200\u00a0ml'],
    ['0,5 l', 'volume', 'ml', '500\u00a0ml'],
    ['8 min 2 s', 'time', 'min', ''],
    ['482', 'time', 's', '8\u00a0min 2\u00a0s'],
    ['150', 'time', 'h', '150\u00a0h'],
    ['1/2 in', 'length', 'mm', '12.7\u00a0mm'],
    ['12 mm', 'length', 'mm', ''],
    ['', 'mass', 'g', ''],
    ['heavy', 'mass', 'g', ''],
  ] as const)('%j for %s in %s reads %j', (text, dimension, unit, said) =>
    expect(understood(text, dimension, unit)).toBe(said),
  )
})
