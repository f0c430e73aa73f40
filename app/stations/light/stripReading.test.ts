import { readStrip } from './stripReading'

describe('the marks of a strip as they are typed', () => {
  it('leaves other marks alone where one cannot be read', () => {
    const { readings, faults } = readStrip(['1.1', 'black', ''], [60, 120, 240], 'density')
    expect(readings.map((one) => one.densities)).toEqual([[1.1], [], []])
    expect(faults.map((one) => one?.code)).toEqual([undefined, 'unreadable', undefined])
  })
})
