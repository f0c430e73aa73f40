/** Sentences of Coat, page by page. */
export const texts = {
  manySheets:
    'Names in pencil on the backs before anything else. Drying racks with their backs to the lamps. One clock, one timetable, and a pair of hands for each tray.',
  everythingMeasured: 'Everything measured',
  byMarkedCup: 'or by a marked cup: one part is',
  papersForSheets: ({ papers, sheets }: { papers: number; sheets: number }) =>
    `${papers} papers are named for ${sheets === 1 ? 'one sheet' : `${sheets} sheets`}.`,
  weighedAsWater:
    'Weighed like water: 1 g counts as 1 ml. Of a strong solution less is in the glass than that.',
  onePaperEach: 'Name one for each sheet, with semicolons between, or none.',
  onePaperEachHint: 'where they differ, one for each, with semicolons between',
  onShelfOrMade: 'On the shelf, or to be made',
  // workCardPdf
  cardGentle: 'Suited to children, with an adult who makes the solutions and stays with them.',
  cardNotGentle: 'For adults only.',
  cardDefers:
    'Read the safety data sheet of every chemical. Local rules and the licensed waste service come first.',
  formStays: 'This form stays as it is meanwhile.',
  coatWithGlass: 'Coat with what is in the glass',
  oneNameEach: 'one for each; leave empty for the title',
  // CoatStation
  choosePicturePaperAndSize:
    'Choose picture, paper and size. Ember Sheet works out the drops and counts them with you.',
  coatedFromMixOfSheet: ({ number }: { number: number }) =>
    `Coated from the mix counted for sheet ${number}.`,
  exposureConverted: ({ was, light }: { was: string; light: string }) =>
    `converted from ${was} under ${light}, for the same dose`,
  exposureCleared: ({ was }: { was: string }) =>
    `${was} was for another light whose strength is not known; leave empty for a first guess`,
  washOfPaper: ({ time, isKnown }: { time: string; isKnown: boolean }) =>
    isKnown ? `${time} of washing at least` : `${time} of washing at least; heavy paper takes longer`,
  guessLeavesOut: ({ what }: { what: string }) => `It leaves out ${what}.`,
  guessed: ({ time, between }: { time: string; between: string }) =>
    `${time}${between} exposure as a first guess`,
  glassAge: ({ age, limit }: { age: string; limit: string }) =>
    `The glass is ${age} old; coat from it within ${limit}.`,
  coatNext: ({ number, age }: { number: number; age: string | null }) =>
    `Coat sheet ${number}${age ? `: the glass is ${age} old` : ''}`,
  coatedCoatNext: ({ number, age }: { number: number; age: string | null }) =>
    `Coated. Coat sheet ${number}${age ? `: the glass is ${age} old` : ''}`,
  glassOld: ({ age, limit }: { age: string; limit: string }) =>
    `The glass is ${age} old, past its ${limit}. Mix a new one: an old mix prints weak and may fog.`,
  countThatMatchesRatioBetter: ({ total, drops }: { total: number; drops: string }) =>
    `${total} drops in all (${drops}) would match the ratio better.`,

  // layerNotes
  printBelowWasTonedSo: 'The print below was toned, so it can be wetted again.',
  printBelowWasNotToned:
    'The print below was not toned. Tone it first: re-wetting an untoned print lightens and mottles it.',
  dryPrintRightThroughFirst:
    'Dry the print right through first. Damp paper moves, and the layers will not register.',
  useSeparateNegativeAndLine:
    'Use a separate negative and line up its register marks. Keep the marks clear of the coat.',

  // BeginSheet
  settingsInShort: (set: {
    sheets: string
    coats: string
    coverage: string
    drops: string
    ratios: string
    portfolio: string
  }) =>
    [
      `sheets ${set.sheets}`,
      `coats ${set.coats}`,
      `${set.coverage}\u00A0ml/m²`,
      `${set.drops}\u00A0drops/ml`,
      set.ratios && `ratio ${set.ratios}`,
      set.portfolio,
    ]
      .filter(Boolean)
      .join(', '),

  // SaltBalance
  tooLittleSilverForSalt:
    'Too little silver for the salt: expect pale grey-red patches. Use less salt or more silver.',
  barelyEnoughSilverForSalt:
    'Barely enough silver for the salt. A second silver coat or a weaker salt solution is safer.',
  enoughSilverWithExcessThat: 'Enough silver, with an excess that printing out needs.',

  // sheet.draft
  enterTitleSoThatYou: 'Enter a title so that you can find this sheet later.',
  enterNumberSheetsCoatFrom: 'Enter the number of sheets to coat from one mix, for example 1.',
  lightThisSheetMissingFrom: 'The light of this sheet is missing from this workroom.',
  shortenItAndPutRest: 'Shorten it, and put the rest in a note.',
  exposureTimeMustBeAbove: 'The exposure time must be above zero.',
  enterTimeLike: 'Enter a time such as 7:30 or 8 min.',

  // useStartPage
  blueTwoBottlesAndWater:
    'Blue. Two bottles and water, and the least hazardous chemicals. Start with this one.',
  brownOneBottleWithSilver: 'Brown. One bottle, with silver: wear gloves and goggles. Fixed in weak hypo.',
  redBrownVioletSaltAnd: 'Red-brown to violet. Salt and silver; the image appears as it prints.',
  brownBlackDevelopedThenFour: 'Brown to black. Developed, then four baths and an optional toner.',
  sheetPlannedWithUsualDrops:
    'The sheet is planned with the usual drops, times and baths. In Coat, the app counts the drops with you, then guides you through each step.',
  youCanChangeEverythingUntil: 'You can change everything until you count the first drop.',
}
