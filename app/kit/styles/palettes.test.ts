import { readFileSync } from 'node:fs'
import { join } from 'node:path'

const css = readFileSync(join(__dirname, 'palettes.css'), 'utf8')

/** Colours of one palette, as written. */
function palette(name: string): Record<string, [number, number, number]> {
  const block = new RegExp(`data-palette='${name}'\\] \\{([^}]*)\\}`).exec(css)?.[1] ?? ''
  const colours = [...block.matchAll(/--es-([\w-]+): #([0-9a-f]{6});/g)]
  return Object.fromEntries(
    colours.map(([, key, hex]) => [
      key!,
      [0, 2, 4].map((at) => Number.parseInt(hex!.slice(at, at + 2), 16)) as [number, number, number],
    ]),
  )
}

// Relative luminance and contrast ratio as WCAG 2.2 defines them; from memory.
function luminance(rgb: readonly number[]): number {
  const [r, g, b] = rgb.map((byte) => {
    const c = byte / 255
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4
  }) as [number, number, number]
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}
function contrast(a: readonly number[], b: readonly number[]): number {
  const [high, low] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number]
  return (high + 0.05) / (low + 0.05)
}

describe('the palettes', () => {
  const [daylight, dim] = [palette('daylight'), palette('dim')]

  it('give every purpose a colour in both', () => {
    expect(Object.keys(daylight).length).toBeGreaterThan(15)
    expect(Object.keys(dim)).toEqual(Object.keys(daylight))
  })

  it.each(['page', 'margin', 'index', 'card'])(
    'keep words readable on the %s in daylight (WCAG AA, 4.5 : 1)',
    (ground) => {
      for (const words of ['ink', 'quiet', 'ember'])
        expect(contrast(daylight[words]!, daylight[ground]!)).toBeGreaterThanOrEqual(4.5)
    },
  )

  // The brightest amber that the limits of the dim room allow reaches about 7 : 1 on its black.
  it.each(['page', 'margin', 'index', 'card'])('keep words readable on the %s in the dim room', (ground) => {
    expect(contrast(dim.ink!, dim[ground]!)).toBeGreaterThanOrEqual(6.5)
    expect(contrast(dim.quiet!, dim[ground]!)).toBeGreaterThanOrEqual(4.8)
    expect(contrast(dim.ember!, dim[ground]!)).toBeGreaterThanOrEqual(4)
  })

  it('keep the target readable', () =>
    expect(contrast(daylight['target-ink']!, daylight.target!)).toBeGreaterThan(7))

  it.each(Object.entries(dim))(
    'keep blue under 6 %% and green under 45 %% in the dim room: %s',
    (_, [, green, blue]) => {
      expect(blue).toBeLessThan(0.06 * 255)
      expect(green).toBeLessThan(0.45 * 255)
    },
  )
})
