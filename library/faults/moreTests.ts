import type { FaultTest } from '@core/judge/faultBook'

/** Tests for the causes by water, film, lamp and hands, and for gum; some need no sheet at all. */
export const moreTests: readonly FaultTest[] = [
  {
    id: 'read-lamp', name: 'Read the lamp', effort: 1,
    doing: 'Look at every tube on white paper, warm the lamp up, and read it at the frame, with and without the glass.',
    cures: { 'lamp-dim': 0.9, 'tube-dead': 0.95, 'lamp-cold': 0.85, 'glass-blocks': 0.9 },
    needs: ['lamp'],
  },
  {
    id: 'without-glass', name: 'Half without the glass', effort: 1,
    doing: 'Expose a coated strip half under the glass and half beside it, for the same time.',
    cures: { 'glass-blocks': 0.95 },
  },
  {
    id: 'steady-light', name: 'Under a steady light', effort: 1,
    doing: 'The same scrap under a lamp that is warm, or under a clear sky, for the usual time.',
    cures: { 'sky-changed': 0.95, 'lamp-cold': 0.93 },
  },
  {
    id: 'count-again', name: 'Count again', effort: 1,
    doing: 'Mix the same coat once more, counted drop by drop, on a scrap of the same paper.',
    cures: { 'ratio-off': 0.9, 'forgot-coat': 0.93, 'coat-thin': 0.3 },
    needs: ['coated'],
  },
  {
    id: 'sour-water', name: 'First water with acid', effort: 1,
    doing: 'Cut this print’s test strip or a scrap in two: one half in plain water first, one in water with 3 g of citric acid a litre.',
    cures: { 'alkaline-water': 0.93, 'over-washed': 0.3 },
    needs: ['iron'],
  },
  {
    id: 'short-wash', name: 'Washed by the clock', effort: 1,
    doing: 'A scrap of the same print, washed for the planned time and no longer.',
    cures: { 'over-washed': 0.93, 'warm-wash': 0.3 },
  },
  {
    id: 'short-clearing', name: 'Cleared until white and no longer', effort: 1,
    doing: 'A scrap taken out of the clearing bath the moment its whites are clean.',
    cures: { 'cleared-too-long': 0.93 },
    needs: ['clears'],
  },
  {
    id: 'weak-toner', name: 'In a weaker toner', effort: 1,
    doing: 'Tone a scrap in the same toner with its own volume of water, and watch the light tones.',
    cures: { 'toner-strong': 0.92 },
    needs: ['tones'],
  },
  {
    id: 'warm-developer', name: 'Developer at its temperature', effort: 1,
    doing: 'Bring the developer to the temperature that you have noted, and develop one half of a scrap.',
    cures: { 'developer-cold': 0.93 },
    needs: ['develops'],
  },
  {
    id: 'sour-developer', name: 'Developer made acid again', effort: 1,
    doing: 'Add a little of its own acid to a part of the developer until pH paper shows 5 to 6, and develop a scrap in it.',
    cures: { 'developer-alkaline': 0.92 },
    needs: ['develops', 'iron'],
  },
  {
    id: 'unexposed-piece', name: 'An unexposed piece of the same sheet', effort: 1,
    doing: 'Cover a strip of the next coated sheet in the frame, or cut one off, and take it through all the baths with the rest.',
    shows: ['fogged', 'whites-yellow', 'whites-blue', 'whites-brown', 'whites-grey', 'heavy', 'pigment-stain'],
    cures: { 'over-exposed': 0.93, 'film-thin': 0.93, 'gum-over-exposed': 0.9, 'waited-after': 0.5 },
  },
  {
    id: 'fresh-baths', name: 'Fresh baths in clean trays', effort: 3,
    doing: 'Wash all trays and tongs, make every bath fresh, and take one scrap through.',
    cures: { 'tray-contaminated': 0.93, 'toner-spent': 0.7, 'fixer-spent': 0.7, 'clearing-spent': 0.7, 'developer-spent': 0.7 },
  },
  {
    id: 'plain-coat', name: 'Without contrast agent', effort: 1,
    doing: 'The same coat on a scrap without the contrast agent.',
    cures: { 'contrast-agent': 0.94 },
    needs: ['iron'],
  },
  {
    id: 'fresh-salt', name: 'In a fresh salt bath', effort: 2,
    doing: 'Salt a scrap in a fresh bath at its strength, and silver it as usual.',
    cures: { 'little-salt': 0.93, 'salt-uneven': 0.3, 'over-salted': 0.3 },
    needs: ['halide'],
  },
  {
    id: 'silver-tested', name: 'Silver bath tested and restored', effort: 2,
    doing: 'Count drops of salt water into 1 ml of the silver bath, add what is missing, and print a scrap.',
    cures: { 'silver-bath-weak': 0.93, 'over-salted': 0.5 },
    needs: ['halide', 'silver'],
  },
  {
    id: 'still-float', name: 'Floated still', effort: 1,
    doing: 'Lower a scrap by two corners without a break and leave it until it is flat.',
    cures: { 'float-short': 0.93 },
    needs: ['halide'],
  },
  {
    id: 'salted-water', name: 'A pinch of salt in the first water', effort: 1,
    doing: 'Wash a scrap in water with a pinch of salt, and change it until no milk shows.',
    cures: { 'no-chlorine': 0.93, 'carried-over': 0.7 },
    needs: ['halide', 'silver'],
  },
  {
    id: 'at-once', name: 'Straight into the bath', effort: 1,
    doing: 'Expose a scrap and take it into its first bath within a minute.',
    cures: { 'waited-after': 0.94 },
  },
  {
    id: 'film-looked-at', name: 'Look at the film', effort: 1,
    doing: 'Lay the film on a window and look along it with a loupe, both ways round; then print another film on the same coat.',
    cures: { 'film-marks': 0.95, 'halo-film': 0.9, mirror: 0.95, 'other-curve': 0.3 },
    needs: ['negative'],
  },
  {
    id: 'own-curve', name: 'A step tablet beside it', effort: 2,
    doing: 'Print a step tablet or a chart under the same light: it shows whether the paper or the film bends the middle tones.',
    cures: { 'other-curve': 0.92, 'no-curve': 0.6, 'contrast-agent': 0.4 },
    needs: ['negative'],
  },
  {
    id: 'other-side', name: 'On the other side', effort: 1,
    doing: 'Coat a piece of the same sheet on its other side.',
    cures: { 'wrong-side-paper': 0.93, abraded: 0.5 },
    needs: ['coated'],
  },
  {
    id: 'sized-piece', name: 'On a sized piece', effort: 2,
    doing: 'Size one half of a piece with 3 % gelatin, let it dry, and coat both halves from one glass.',
    cures: { 'unsized-paper': 0.92, 'paper-sizing': 0.7, 'gum-unsized': 0.92 },
  },
  {
    id: 'next-sheet', name: 'Another batch of paper', effort: 1,
    doing: 'The same mix on a sheet of another batch or paper, handled by its border with clean gloves.',
    cures: { 'metal-in-paper': 0.92, fingers: 0.93, abraded: 0.8, 'unsized-paper': 0.5 },
  },
  {
    id: 'stored-apart', name: 'Half kept apart', effort: 2,
    doing: 'Cut a spoiled print in two. Keep one half in the dark between unbuffered sheets, the other where it hung, and compare in a month.',
    cures: { 'alkaline-mount': 0.85, 'hypo-left': 0.1 },
  },
  {
    id: 'look-at-coat', name: 'Look at the bare coat', effort: 1,
    doing: 'Coat a scrap of a paper that has worked before, with a new brush, and look at its colour by dim light for ten minutes.',
    cures: { 'coat-reacted': 0.9, chalk: 0.6, 'tap-water': 0.5, 'lot-old': 0.3 },
    needs: ['coated'],
  },
  {
    id: 'toned-base', name: 'Gum over a toned print', effort: 2,
    doing: 'The same layer over a print of the kind that was toned first.',
    cures: { 'base-untoned': 0.94 },
    needs: ['pigment'],
  },
  {
    id: 'thin-gum', name: 'Half of the pigment, thin', effort: 1,
    doing: 'A strip with half of the pigment, brushed thin and evened out.',
    cures: { 'gum-heavy': 0.92, 'gum-unsized': 0.15 },
    needs: ['pigment'],
  },
  {
    id: 'gum-strip', name: 'A strip for this pigment', effort: 1,
    doing: 'A strip of five times, each half a stop apart, coated and printed within the hour.',
    cures: { 'gum-over-exposed': 0.93, 'gum-under-exposed': 0.93, 'gum-dark-hardened': 0.6 },
    needs: ['pigment'],
  },
  {
    id: 'gum-fresh', name: 'Gum printed at once', effort: 1,
    doing: 'Coat a strip, dry it cool for ten minutes, and print it at once.',
    cures: { 'gum-dark-hardened': 0.94 },
    needs: ['pigment'],
  },
] // prettier-ignore
