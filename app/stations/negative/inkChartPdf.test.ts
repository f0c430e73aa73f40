import { inkChartPdf } from './inkChartPdf'

it('is a page of its exact size with every patch in its own colour', async () => {
  const text = Buffer.from(await inkChartPdf().arrayBuffer()).toString('latin1')
  const [, width, height] = /MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(text)!
  // Millimetres to points: 72 to the inch of 25.4 mm.
  expect(Number(width)).toBeCloseTo((196 * 72) / 25.4, 1)
  expect(Number(height)).toBeCloseTo((76 * 72) / 25.4, 1)
  expect(text.match(/ re\nf$/gm)).toHaveLength(144)
  const colours = new Set(text.match(/^[\d. ]+ (rg|g)$/gm))
  expect(colours.size).toBeGreaterThan(130)
  expect([...colours]).toContain('1. 0. 0. rg')
})
