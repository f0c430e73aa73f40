import { formatHex } from 'culori'
import { hexOf, INK_CHART, inkPatches, patchNamed, rgbOfHsl } from './inkColours'

describe('the chart of ink colours', () => {
  const patches = inkPatches()
  it('has every patch once, none over another, all on the film', () => {
    expect(new Set(patches.map(({ id }) => id)).size).toBe(144)
    for (const { x, y } of patches) {
      expect(x).toBeGreaterThanOrEqual(0)
      expect(x + INK_CHART.patch).toBeLessThan(INK_CHART.width)
      expect(y + INK_CHART.patch).toBeLessThan(INK_CHART.height)
    }
    const near = patches.some((a, i) =>
      patches.slice(i + 1).some((b) => Math.abs(a.x - b.x) < INK_CHART.patch && Math.abs(a.y - b.y) < INK_CHART.patch),
    )
    expect(near).toBe(false)
  })
  it('runs through the hues, and from black to clear film', () => {
    const hex = (name: string) => hexOf(patchNamed(name)!.rgb)
    expect(['1a', '9a', '17a', '5a'].map(hex)).toEqual(['#ff0000', '#00ff00', '#0000ff', '#ffff00'])
    expect([hex('1f'), hex('24f')]).toEqual(['#000000', '#ffffff'])
  })
  it('finds a patch as it is read off the print, and none that is not there', () => {
    expect(patchNamed(' 9C ')?.id).toBe('9c')
    expect(['25a', '9g', '', 'black'].map(patchNamed)).toEqual([null, null, null, null])
  })
  it('makes colours as culori does', () => {
    for (let h = 0; h < 360; h += 7)
      for (const [s, l] of [[1, 0.5], [0.4, 0.3], [1, 0.1], [0, 0.7]] as const)
        for (const [i, channel] of rgbOfHsl(h, s, l).entries())
          expect(Math.abs(channel - parseInt(formatHex({ mode: 'hsl', h, s, l }).slice(2 * i + 1, 2 * i + 3), 16))).toBeLessThanOrEqual(1)
  })
}) // prettier-ignore
