/** Sentences of Paper, page by page. */
export const texts = {
  dropTest: 'a minute: well sized; a few seconds: wants size',
  soakTest: 'as long as the baths of your process',
  // PaperStation
  untreatedThisPaperPrintsWeak:
    'Untreated, this paper prints weak in every iron process. Treat it with acid first, or treat one half of a piece and compare.',
  somePapersHaveSmootherSide:
    'Some papers have a smoother side: use that one. A wetted sheet dries with a curl: print on the side it curls away from. Mark the side in pencil before you tear.',
  useMeasuredSize: 'A sheet sold as 22 x 30 in often measures 22.5 x 30. Use the measured size.',
  measureLargeSheetAndEnter:
    'Measure a large sheet and enter its weight. Ember Sheet finds the best way to tear it, and works out the acid bath and the size.',

  // NewPaper
  sizeAndWeightOfSheets:
    'A sheet sold as 22 x 30 in often measures 22.5 x 30. Paper of 140 lb (22 x 30 in) is about 300 g/m².',
  putDropWeakAcidOn: 'Put a drop of weak acid on it: chalk fizzes. The maker’s data sheet also says.',

  // TreatPage
  thisMorePaperThanOne:
    'This is more paper than one tray can treat. Replace the acid when new sheets stop fizzing, or use a deeper tray.',

  // TreatmentPage
  dipOnlyHalf: ({ piece }: { piece: string }) => `; dip only one half of ${piece} into the bath`,
  sheetsReadyWettedSheetDries:
    'The sheets are ready. A wetted sheet dries with a curl: print on the side it curls away from.',

  // paper.draft
  enterNameYouUseFor: 'Enter the name you use for it.',

  // useTearing
  tearingPlanCouldNotBe: 'The tearing plan could not be computed.',

  // useTearingPage
  laySteelRuleOnMark:
    'Lay a steel rule on the mark, hold the sheet flat and tear upwards along the rule. Keep the sheet the same way round for every tear.',
  beforeFirstTearMarkPrinting:
    'Before the first tear, mark the printing side of every piece with a pencil cross.',
  planUsesAsMuchSheet:
    'The plan uses as much of the sheet as possible with straight tears through the whole piece, and then the fewest tears.',

  // useTreatPage
  areaThatCanBeTreated: ({ area }: { area: string }) => `can be treated; your sheets are ${area} m²`,
  definitionPercentWeightPerVolume:
    'Definition of percent weight per volume, at the strength of common practice',
  dipOnlyOneHalfPiece:
    'Dip only one half of a piece and print it. A hard line shows that the paper needs the treatment; no line shows that it does not.',
}
