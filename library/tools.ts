import type { ToolName } from '@core/schema/definition'

/** What coats a sheet, and how it is got ready: common practice. */
export const tools: Readonly<Record<ToolName, { name: string; prepare: string; lay: string }>> = {
  brush: {
    name: 'Brush',
    prepare:
      'Soak the brush in distilled water, blot it until it is just damp. No metal in it; one brush a process.',
    lay: 'Crossing strokes, lighter and lighter, and stop.',
  },
  rod: {
    name: 'Glass rod',
    prepare: 'Wipe the rod clean and dry; a strip of card under the sheet keeps it from rolling off.',
    lay: 'Pour a line along one edge, draw it over and back, lift the rest off with the rod.',
  },
  sponge: {
    name: 'Sponge',
    prepare: 'Rinse the sponge in distilled water and press it dry.',
    lay: 'One way, then across, without pressing.',
  },
  cotton: {
    name: 'Rolled cotton',
    prepare:
      'Roll a fresh pad of cotton round a glass strip; damp it with distilled water. It is thrown away after.',
    lay: 'Crossing strokes, no puddle.',
  },
}
