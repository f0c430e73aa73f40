import type { ToolName } from '@core/schema/definition'

/** What coats a sheet, and how it is got ready: common practice. */
export const tools: Readonly<Record<ToolName, { name: string; prepare: string; lay: string }>> = {
  brush: {
    name: 'Brush',
    prepare:
      'Soak the brush in distilled water and blot it until just damp. Use brushes without metal, one for each metal salt.',
    lay: 'Load the brush and press it out on the rim of the glass. Brush in crossed strokes, lighter and lighter, then stop. Wash it in distilled water at once.',
  },
  rod: {
    name: 'Glass rod',
    prepare: 'Wipe the rod clean and dry. A strip of card under the sheet keeps the rod from rolling off.',
    lay: 'Pour a line along one edge, draw the rod over and back, and lift the rest off with the rod.',
  },
  sponge: {
    name: 'Sponge',
    prepare: 'Rinse the sponge in distilled water and press it dry.',
    lay: 'Wipe one way, then across, without pressing.',
  },
  cotton: {
    name: 'Rolled cotton',
    prepare:
      'Roll a fresh pad of cotton around a glass strip and dampen it with distilled water. Discard it afterwards.',
    lay: 'Use crossed strokes and leave no puddles.',
  },
}
