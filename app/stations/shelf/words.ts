/** Sentences of Shelf, page by page. */
export const texts = {
  orCountDrops: ({ drops, percent }: { drops: number; percent: number }) =>
    `or ${drops} drops of a ${percent} % solution`,
  traysToBuy: ({ trays, size }: { trays: number; size: string }) =>
    trays === 1 ? `1 tray, a little larger than ${size}` : `${trays} trays, a little larger than ${size}`,
  strengthAssumed:
    'Its strength was not stated: this is what the recipe assumes. If the bottle says something else, add it with its own strength.',
  // ShelfStation
  chooseBottleSeeItsContents: 'Choose a bottle to see its contents and hazards.',
  addChemicalsYouHaveThen:
    'Add the chemicals you have, then make solutions from them. Ember Sheet works out what to weigh, checks it, and tracks amounts and age.',
  youCanPlanSheetsWithout: 'You can plan sheets without a shelf. The app then assumes the usual strengths.',
  noBottleOrJarHas: 'No bottle or jar has that name.',
  noProcessHasAllIts: 'No process has all its solutions yet. See the shopping list.',

  // DropperPage
  putSmallGlassOnBalance:
    'Put a small glass on the balance and set it to zero. Hold the dropper upright and count 20 drops of water at your usual pace.',
  doThisThreeTimesSpread: 'Do this three times. The spread shows how repeatable you and the dropper are.',
  otherLiquidsGiveOtherDrop:
    'Other liquids give other drop sizes. Calibrate with the liquid you use, and enter its density.',
  withoutCalibrationAppAssumes20:
    'Without calibration, the app assumes 20 drops per ml, 0.05 ml each (common practice).',

  // MakeSolution
  readMeasuringCylinderAtEye:
    'Read a measuring cylinder at eye level, at the bottom of the curve. Rinse it into the mix with part of the water.',

  // ShoppingPage
  coatsAreaCoverageNumberSheets:
    'Coats: area × coverage × number of sheets. Trays: a little larger than the sheet, 15 mm deep, filled once.',
  onlyRestedSolutionsWithinTheir: 'Only rested solutions within their shelf life count as ready.',
  askForSafetyDataSheet:
    'Ask for the safety data sheet of each chemical, and check whether local rules allow it at home.',

  // WastePage
  enterHowMuchYouPour: 'Enter how much you pour in, for example 250 ml.',
  ferricyanideWithStrongAcidHydrogen:
    'Ferricyanide with strong acid: hydrogen cyanide. Sulfite or hypo with acid: sulfur dioxide. Silver with ammonia, stored: explosive. Hypochlorite with acid, ammonia or hypo: poisonous gas. Peroxide with iron: the jar can burst.',
  useOneLabelledJarPer:
    'Use one labelled jar per class, at most four fifths full. Use a vented cap where gas can form.',
  askYourLocalLicensedWaste: 'Ask your local licensed waste service. Their rules and local law come first.',
  everythingInItThatYou: 'everything in it that you know of',
  wasteThrownAwayAtShelf:
    'Waste is thrown away at the shelf, and what you pour in here, is kept by its kind until the licensed service takes it.',

  // recipeRows
  byWeightOrByVolume: ({
    percent,
    byWeight,
    concentrate,
    byVolume,
  }: {
    percent: string
    byWeight: string
    concentrate: string
    byVolume: string
  }) =>
    `${percent} % w/v, by weight: ${byWeight} ml of ${concentrate} % concentrate in a litre. ${percent} % v/v, by volume: ${byVolume} ml.`,

  // solution.draft
  thisIngredientNotInLibrary: 'This ingredient is not in the library.',

  // useBottlePanel
  amountInThisBottleNot: 'The amount in this bottle is not known.',
  enterHowMuchYouPour2: 'Enter how much you pour into the waste jar; an estimate is fine.',
  bottleRemoved: ({ label }: { label: string }) =>
    `${label} removed. Its ingredients are back in their bottles.`,

  // TakeIn, its ready solutions and kits
  powderOrSolution: ({ name }: { name: string }) =>
    `${name[0]?.toUpperCase()}${name.slice(1)} is added here as a powder. Is yours already dissolved?`,
  asLabelSays: 'Enter what the label says, or leave the field empty.',
  emptyWhenNotStated: 'leave empty if the label does not say',
  notStatedMeans: 'Not stated. The usual strength is assumed, and the record says so.',
  kitGoesFar:
    'Two bottles of 100 ml make several dozen prints of 8 × 10 in. Keep them cool, dark and dry, never beside food. Where the label says no strength, the app counts it as assumed.',
  emptyIfNotInKit: 'leave empty if it is not in the kit',
  kitRests: ({ span }: { span: string }) =>
    `Shake each bottle until everything has dissolved, and let it rest ${span}. Until then it counts as not ready.`,
  kitIsReady: 'The bottles count as ready at once.',
  noBottleInKit: 'Enter the volume of at least one bottle.',

  // useTakeIn
  enterWhatLabelSaysAnd:
    'Enter what the label says and what you paid. Ember Sheet handles hydrates and purity and tracks what is left.',
}
