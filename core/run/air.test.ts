import { airFor } from './air'

describe('the air of the room', () => {
  // Common practice: coat and print at about 50 % relative humidity.
  it.each([
    [18, 'dry'],
    [38, 'right'],
    [50, 'right'],
    [65, 'right'],
    [82, 'damp'],
  ])('at %i %% is %s', (humidity, said) => {
    expect(airFor(humidity)).toBe(said)
  })
})
