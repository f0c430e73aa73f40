import { VIRTUAL_COATS } from '../tone/printResponse'
import { pointsOfLayer, SEPARATIONS } from './layers'
import { colourOf, expectedPrint, srgbOf, wetLightness } from './proof'
import {
  AS_IT_IS,
  checkPoints,
  lightnessOf,
  lightOf,
  threePoints,
  toneCurve,
  withPointMore,
  withPointMoved,
} from './tone'

describe('what a print will look like', () => {
  it.each(Object.entries(VIRTUAL_COATS))('behind ink it grows lighter: %s', (_, coat) => {
    const print = expectedPrint(coat)
    let before = -1
    for (let ink = 0; ink <= 1.0001; ink += 0.05) {
      expect(print(ink)).toBeGreaterThanOrEqual(before)
      before = print(ink)
    }
    expect(print(0)).toBeLessThan(30)
    expect(print(1)).toBeGreaterThan(75)
  })

  it('is lighter while it is wet, the more so the darker it is, and the paper stays', () => {
    expect(wetLightness(95, 0.08, 95)).toBeCloseTo(95, 6)
    expect(wetLightness(20, 0.08, 95) - 20).toBeGreaterThan(2)
    expect(wetLightness(60, 0.08, 95) - 60).toBeLessThan(wetLightness(40, 0.08, 95) - 40 + 1)
    expect(wetLightness(40, 0, 95)).toBeCloseTo(40, 6)
  })

  // Values of the CIE's own white, black and mid grey; sRGB of L* 50 is 119 (IEC 61966-2-1).
  it.each([
    [{ L: 100, a: 0, b: 0 }, [255, 255, 255]],
    [{ L: 0, a: 0, b: 0 }, [0, 0, 0]],
    [{ L: 50, a: 0, b: 0 }, [119, 119, 119]],
  ])('the colour %j is %j', (colour, wanted) => {
    srgbOf(colour).forEach((value, i) => expect(Math.abs(value - wanted[i]!)).toBeLessThanOrEqual(1))
  })

  it('has the hue that lies between its deep, middle and light tones', () => {
    const colours = {
      deep: { L: 20, a: 8, b: 0 },
      middle: { L: 50, a: 0, b: -20 },
      paper: { L: 95, a: 0, b: 4 },
    }
    expect(colourOf(colours, 35)).toEqual({ L: 35, a: 4, b: -10 })
    expect(colourOf(colours, 50)).toEqual(colours.middle)
    expect(colourOf(colours, 10)).toEqual({ L: 10, a: 8, b: 0 })
    expect(colourOf(colours, 99)).toEqual({ L: 99, a: 0, b: 4 })
  })
})

describe('tones', () => {
  it('light and lightness turn into each other', () => {
    for (const lightness of [0, 3, 8, 20, 50, 99, 100])
      expect(lightnessOf(lightOf(lightness))).toBeCloseTo(lightness, 9)
  })

  it('points too near, falling or beyond are refused', () => {
    for (const points of [
      [{ from: 0, to: 0 }],
      [
        { from: 0, to: 0 },
        { from: 1, to: 100 },
      ],
      [
        { from: 0, to: 50 },
        { from: 50, to: 40 },
        { from: 100, to: 100 },
      ],
      [
        { from: -1, to: 0 },
        { from: 100, to: 100 },
      ],
      [
        { from: 0, to: 50 },
        { from: 100, to: 52 },
      ],
      [
        { from: 0, to: Number.NaN },
        { from: 100, to: 100 },
      ],
    ])
      expect(() => checkPoints(points)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
    expect(() => checkPoints(AS_IT_IS)).not.toThrow()
  })
})

describe('handles', () => {
  it('come in where there is most room, on the line that is there', () => {
    const three = withPointMore(AS_IT_IS)
    expect(three[1]).toEqual({ from: 50, to: 50 })
    const four = withPointMore(withPointMoved(three, 1, 'from', 30))
    expect(four[2]).toEqual({ from: 65, to: 75 })
    expect(() => checkPoints(four)).not.toThrow()
  })

  it('go no further than their neighbours let them', () => {
    const three = withPointMore(AS_IT_IS)
    expect(withPointMoved(three, 1, 'from', 200)[1]!.from).toBe(98)
    expect(withPointMoved(three, 1, 'to', -5)[1]!.to).toBe(0)
    expect(withPointMoved(three, 0, 'from', 49.9)[0]!.from).toBe(48)
    expect(withPointMoved(three, 1, 'to', 61.3)[1]!.to).toBe(61.5)
    expect(three[1]).toEqual({ from: 50, to: 50 })
  })
})

describe('layers', () => {
  it('carry the light that their pigment takes away', () => {
    expect(SEPARATIONS.three.map(({ mix }) => mix)).toEqual([
      { red: 1, green: 0, blue: 0 },
      { red: 0, green: 1, blue: 0 },
      { red: 0, green: 0, blue: 1 },
    ])
    expect(SEPARATIONS.two[0].mix.green).toBe(SEPARATIONS.two[0].mix.blue)
  })

  it('of a tonal range are bare above it and full below it', () => {
    const tone = toneCurve(pointsOfLayer(AS_IT_IS, SEPARATIONS.gum[0]))
    expect(tone(lightOf(60))).toBe(1)
    expect(tone(lightOf(0))).toBe(0)
    expect(tone(lightOf(22.5))).toBeCloseTo(0.5, 6)
    expect(pointsOfLayer(threePoints(10, 90), { from: 0, to: 100 })).toEqual(threePoints(10, 90))
  })

  it('follow the points of the whole picture', () => {
    const points = pointsOfLayer(threePoints(10, 90, 60), { from: 30, to: 100 })
    expect(points[0]).toEqual({ from: 30, to: 0 })
    expect(points[1]!.from).toBe(50)
    expect(points[1]!.to).toBeCloseTo((100 * 30) / 70, 6)
    expect(() => checkPoints(points)).not.toThrow()
  })
})
