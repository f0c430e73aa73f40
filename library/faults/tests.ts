import type { FaultTest } from '@core/judge/faultBook'

/** Next sheets with one thing changed, and which causes each would take away. */
export const tests: readonly FaultTest[] = [
  {
    id: 'more-light', name: 'Twice the light', effort: 1,
    doing: 'Print the same on a scrap, with one stop more exposure.',
    cures: { 'under-exposed': 0.93, 'lamp-dim': 0.93, 'solution-weak': 0.2, 'film-dense': 0.2, 'developed-short': 0.1, 'air-dry': 0.2, 'warm-wash': 0.25 },
    change: { stops: 1 },
  },
  {
    id: 'less-light', name: 'Half the light', effort: 1,
    doing: 'Print the same on a scrap, with one stop less exposure.',
    cures: { 'over-exposed': 0.93, 'film-thin': 0.15 },
    change: { stops: -1 },
  },
  {
    id: 'other-paper', name: 'On another paper', effort: 1,
    doing: 'Use the same mix on a scrap of a paper that has worked before, or one treated with acid.',
    cures: { chalk: 0.95, 'half-treated': 0.95, 'paper-sizing': 0.9, 'paper-unfit': 0.92, 'salt-uneven': 0.4, 'over-salted': 0.1 },
  },
  {
    id: 'bare-coat', name: 'A coated scrap, never exposed', effort: 1,
    doing: 'Coat a scrap, dry it cool in full darkness, and take it at once through all the baths without any light.',
    shows: ['fogged', 'whites-yellow', 'whites-blue', 'whites-brown', 'whites-grey', 'whites-pink', 'odd-coat', 'specks-dark', 'heavy'],
    cures: { 'room-light': 0.95, 'heat-dried': 0.95, 'coat-old': 0.95, 'air-damp': 0.5, 'over-exposed': 0.9, 'film-thin': 0.9 },
    needs: ['coated'],
  },
  {
    id: 'fresh-lot', name: 'From a fresh bottle', effort: 3,
    doing: 'Make fresh sensitizer solutions, and change nothing else.',
    cures: { 'lot-old': 0.95, 'tap-water': 0.6, 'ratio-off': 0.7, metal: 0.5, 'silver-unfiltered': 0.9, 'solution-weak': 0.93 },
  },
  {
    id: 'filtered', name: 'Filtered silver', effort: 1,
    doing: 'Filter the silver solution through cotton, wipe film and glass, and coat a scrap.',
    cures: { 'silver-unfiltered': 0.93, metal: 0.3, dust: 0.3 },
    needs: ['silver'],
  },
  {
    id: 'cleaned', name: 'Film and glass wiped', effort: 1,
    doing: 'Wipe film, glass and paper, and print the same scrap twice: specks that stay in place are on the film.',
    cures: { dust: 0.9, metal: 0.15 },
  },
  {
    id: 'clean-tools', name: 'New brush and distilled water', effort: 1,
    doing: 'A brush without metal, never used, wetted with distilled water; a clean glass.',
    cures: { metal: 0.85, 'tap-water': 0.92, brush: 0.2 },
    needs: ['coated'],
  },
  {
    id: 'more-coat', name: 'Thicker coat', effort: 1,
    doing: 'Use 50 % more mix, coated wet with few strokes.',
    cures: { 'coat-thin': 0.92, brush: 0.55, 'over-salted': 0.15, 'ratio-off': 0.1 },
    change: { coverage: 1.5 },
    needs: ['coated'],
  },
  {
    id: 'more-silver', name: 'A second coat of silver', effort: 1,
    doing: 'The same salted paper with a second coat of silver, dried between.',
    cures: { 'over-salted': 0.93, 'coat-thin': 0.6, 'salt-uneven': 0.2 },
    change: { coats: 2 },
    needs: ['halide', 'silver'],
  },
  {
    id: 'salted-anew', name: 'Salt again, keep moving', effort: 2,
    doing: 'Salt a new piece: keep moving and turning it, or brush crosswise until it shines evenly.',
    cures: { 'salt-uneven': 0.9, 'over-salted': 0.2, 'paper-sizing': 0.1 },
    needs: ['halide'],
  },
  {
    id: 'by-rod', name: 'Coated by rod, laid flat', effort: 1,
    doing: 'Coat with a glass rod, remove the surplus, and leave the sheet flat until dull.',
    cures: { brush: 0.92, puddle: 0.9, 'drying-uneven': 0.8 },
    needs: ['coated'],
  },
  {
    id: 'half-humid', name: 'At 50 % humidity', effort: 2,
    doing: 'Keep the coated paper at about 50 % humidity for an hour before exposure.',
    cures: { 'air-dry': 0.92, 'air-damp': 0.9, 'coat-damp': 0.3, 'drying-uneven': 0.4 },
  },
  {
    id: 'bone-dry', name: 'Dry longer', effort: 1,
    doing: 'Dry twice as long in cool air, and put the film on only when the coat does not feel cool.',
    cures: { 'coat-damp': 0.93, 'air-damp': 0.6 },
    needs: ['coated'],
  },
  {
    id: 'fresh-coat', name: 'Printed at once', effort: 1,
    doing: 'Coat, dry cool in the dark, and print as soon as it is dry.',
    cures: { 'coat-old': 0.94, 'heat-dried': 0.85, 'air-damp': 0.2 },
    needs: ['coated'],
  },
  {
    id: 'pressed', name: 'Pressed well, film turned over', effort: 1,
    doing: 'Print a scrap with the printed side on the coat, nothing between, and felt behind.',
    cures: { contact: 0.9, 'wrong-side': 0.97, interleaf: 0.95 },
    needs: ['negative'],
  },
  {
    id: 'hinged', name: 'Hinged, without checks', effort: 1,
    doing: 'Hinge the film and expose without opening the frame.',
    cures: { moved: 0.95, contact: 0.2 },
  },
  {
    id: 'turned', name: 'Turn the frame', effort: 1,
    doing: 'Turn the frame by 180° at half the exposure.',
    cures: { 'light-uneven': 0.9 },
    needs: ['lamp'],
  },
  {
    id: 'by-marks', name: 'Pre-shrunk paper, register marks', effort: 2,
    doing: 'Wet and dry the paper once before the first layer, and align both films by their crosses.',
    cures: { register: 0.92 },
    needs: ['layers'],
  },
  {
    id: 'chart', name: 'A chart instead of the picture', effort: 2,
    doing: 'Print a chart at the same exposure. Its ends show how much light the film blocks.',
    cures: { 'film-thin': 0.5, 'film-dense': 0.5, 'no-curve': 0.85 },
    needs: ['negative'],
  },
  {
    id: 'longer-wash', name: 'Washed twice as long', effort: 1,
    doing: 'Wash one half of a scrap, or this print, twice as long with three changes of water.',
    cures: { 'washed-short': 0.92, 'hypo-left': 0.8, 'cleared-short': 0.1 },
  },
  {
    id: 'fresh-clearing', name: 'In a fresh clearing bath', effort: 1,
    doing: 'Cut this print in two and put one half into a fresh clearing bath for its full time.',
    cures: { 'clearing-spent': 0.93, 'cleared-short': 0.9, 'paper-unfit': 0.1 },
    needs: ['clears'],
  },
  {
    id: 'fresh-fixer', name: 'In a fresh fixer', effort: 1,
    doing: 'Print a scrap and fix it in a fresh bath for the full time. A drop of sulfide or selenium toner on its white must leave no stain.',
    cures: { 'fixer-spent': 0.93, 'fixed-short': 0.93 },
    needs: ['fixes'],
  },
  {
    id: 'weak-fixer', name: 'In weak plain hypo', effort: 1,
    doing: 'Fix a scrap in half-strength plain hypo for exactly the planned time.',
    cures: { 'fixed-strong': 0.92 },
    needs: ['fixes'],
  },
  {
    id: 'fresh-developer', name: 'In a fresh developer', effort: 1,
    doing: 'Print a scrap and develop it in fresh developer for the full time.',
    cures: { 'developer-spent': 0.94, 'developed-short': 0.94, 'developer-alkaline': 0.9 },
    needs: ['develops'],
  },
  {
    id: 'clear-rinse', name: 'Rinsed until clear, fresh toner', effort: 1,
    doing: 'Change the water until it stays clear in a dark tray, then tone in fresh toner.',
    cures: { 'carried-over': 0.93, 'toner-spent': 0.8, bubbles: 0.1 },
    needs: ['tones'],
  },
  {
    id: 'rocked', name: 'Slid in and rocked', effort: 1,
    doing: 'Slide a scrap in face down without splashing, and rock it in both directions all the time.',
    cures: { bubbles: 0.95, 'developed-short': 0.2 },
  },
  {
    id: 'cool-water', name: 'In cool still water', effort: 1,
    doing: 'Wash a scrap in cool still water, changed gently.',
    cures: { 'warm-wash': 0.93, 'layer-lifts': 0.7 },
  },
] // prettier-ignore
