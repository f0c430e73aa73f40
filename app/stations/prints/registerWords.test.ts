import { registerOf } from '@core/scan/registerError'
import { adviceLine, registerLines } from './registerWords'

const moved = (right: number, down: number) =>
  registerOf(
    ([[0, -100], [80, 0], [0, 100], [-80, 0]] as const).map(([x, y]) => ({ lower: [x, y], upper: [x + right, y + down] as const })),
  ) // prettier-ignore

describe('the register in words', () => {
  it('says which way the upper layer lies', () => {
    const lines = Object.fromEntries(registerLines(moved(0.4, -0.2)))
    expect(lines.Shift).toBe('0.4 mm to the right, 0.2 mm up')
    expect(lines['Largest error']).toBe('0.45 mm')
    expect(Object.fromEntries(registerLines(moved(-0.4, 0.2))).Shift).toBe('0.4 mm to the left, 0.2 mm down')
  })

  it.each([
    [{ kind: 'good' }, /Change nothing/],
    [{ kind: 'move', right: -0.8, down: 0.5 }, /0.8 mm to the left and 0.5 mm down/],
    [{ kind: 'turn', degrees: -0.3, atEdge: 0.7 }, /0.3° counterclockwise .0.7 mm/],
    [
      { kind: 'stretch', across: 0.003, down: 0.001, millimetres: 0.3 },
      /has shrunk .* 99.7 % width and 99.9 % height/,
    ],
    [{ kind: 'stretch', across: -0.003, down: 0, millimetres: 0.3 }, /has grown/],
    [{ kind: 'uneven', millimetres: 0.4 }, /cockled/],
  ] as const)('advises %o', (advice, said) => expect(adviceLine(advice)).toMatch(said))
})
