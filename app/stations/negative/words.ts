/** Sentences of Negative, page by page. */
export const texts = {
  inkChartTitle: 'Ink colours: print at 100 %, without colour management, ink side up on the coat',
  inkChartHow:
    'Black ink is not always the densest to ultraviolet. Print the chart on film with the settings of your negatives, lay it on a coated sheet with the ink side up, so that it can be read, and give it your base exposure. The patch that prints lightest is the colour that blocks the most.',
  noSuchPatch: 'The chart has no such patch.',
  patchExample: 'Enter the number above it and the letter beside it, such as 9c.',
  inkColourSaved: 'Ink colour saved for your films. Calibrations made with another ink no longer hold.',
  readingAndBaseSaved:
    'Reading saved and curve computed. Its exposure is now the base exposure for this process, paper and light.',
  curveMayBeOff: ({ total }: { total: string }) =>
    `Its tones should be right within ± ${total} L* (95 %). Sheets coated alike differ by about 0.8 L* besides.`,
  mostIsScan:
    'Most of that is the scanner: measure the black with a densitometer and enter it, or lay a step tablet beside the chart.',
  curveFromElsewhereUnchecked:
    'No one knows yet how this curve, made elsewhere, prints here. Print its check chart.',
  curveMadeElsewhere:
    'A curve that another program made, as a 1D table (.cube) or CSV of two columns. It is taken at its word until its check chart has been printed and read.',
  curveFileTaken: ({ file, tones }: { file: string; tones: number }) => `${file}: ${tones} tones.`,
  codesOfGreyPicture: 'values of a grey picture (sRGB)',
  whiteOfPrintThroughIt: 'of a print through this curve, or about that of the paper',
  blackOfPrintThroughIt: 'of a print through this curve, or the deepest you know of this process',
  chartChecksTheCurve: 'The chart by which the curve is checked:',
  sheetsAreAveraged: ({ sheets }: { sheets: number }) =>
    `${sheets === 1 ? 'One sheet was' : `${sheets} sheets were`} read. Two or three sheets of the same chart level out coat and light. Checks start over with a new reading.`,
  anotherRoundIsChance: ({ rms, expected }: { rms: string; expected: string }) =>
    `This check is off by ${rms} L*, and two sheets coated alike differ by about ${expected} L*: another correction would follow chance.`,
  correctionIsPartial: ({ rms, expected }: { rms: string; expected: string }) =>
    `This check is off by ${rms} L*, more than two sheets differ (${expected} L*). A correction follows what goes beyond that.`,
  // NegativeStation
  orDropFileHereTiff: 'or drop a file here: TIFF or PNG (8 or 16 bit), JPEG, WebP',
  cropped: ({ percent }: { percent: number }) =>
    percent < 0.5 ? 'Nothing is cropped.' : `${Math.round(percent)} % of the picture is cropped.`,
  looksLikeLines: 'This looks like a drawing or writing, not like a photograph.',
  filmSaysOfItself: (film: {
    curve: string
    pixelsPerInch: number
    isMirrored: boolean
    isPositive: boolean
  }) =>
    [
      film.isPositive ? 'Positive film' : 'Negative',
      `curve: ${film.curve}`,
      `${film.pixelsPerInch} ppi`,
      film.isMirrored ? 'mirrored, printed side to the coat' : 'not mirrored',
      'print at 100 %',
    ].join('; '),
  printFilmSo: [
    'Print at 100 %, without fitting it to the page.',
    'Best quality, the film set as a glossy medium, colour management off.',
    'Let the ink dry before you touch it.',
  ],

  // chartReading
  readingsDoNotMatchChart: ({
    readings,
    patches,
    tones,
  }: {
    readings: number
    patches: number
    tones: number
  }) => `There are ${readings} readings, but the chart has ${patches} patches of ${tones} tones.`,
  enterEveryPatchRowBy:
    'Enter every patch row by row, or one reading per tone. Use a dash for a patch you cannot read.',

  // negative.draft
  channelMixGivesNoLight: ({ layer }: { layer: string }) => `The channel mix of ${layer} gives no light.`,
  enterPercentagesRedGreenAnd: 'Enter percentages of red, green and blue.',
  enterTwoLightnesses: 'Enter two L* values from 0 to 100, at least 5 apart.',

  // CalibratePage
  noCalibrationsYetWithPlain:
    'No calibrations yet. With plain inversion the tones are not controlled. Print a chart to control them.',

  // CalibrationPath
  printChartOnFilmAt:
    'Print the chart on film at its exact size, without scaling or colour management, at the best print quality.',
  noBaseExposureSavedFor: 'No base exposure is saved for this process and light.',

  // CheckPart
  sameChartMadeWithCurve:
    'The same chart, made with the curve: its print should have even steps. The check shows how good the curve is, and can correct it.',

  // FilmFields
  marginLeavesRoomForMarks: '8 mm or more leaves room for marks',

  // LayerFields
  cyanAbsorbsRedLightMagenta:
    'Cyan absorbs red light, magenta green, yellow blue. A layer without channel percentages is made from luminance. All films of one print have the same size and register marks.',

  // MadeList
  removedFromThisListSaved: 'Removed from this list. The saved file stays where it is.',

  // ReadChart
  measuredOnceOrAboutThat: 'measured once, or about that of the paper',
  printedThroughClearFilmCorrects: 'printed through clear film; corrects scanner flare',
  readingsRowByRowFrom: 'Readings, row by row from the top left',
  exampleOfChartReadings:
    '1.42 0.08 1.37 … use a dash for a damaged patch, or one reading per tone, clear film first',

  // ScanTablet
  reflectionStepTabletKnown: 'a reflection step tablet whose densities are known, of three or more steps',
  tabletHasThreeSteps: 'A tablet has three or more steps that get darker.',
  enterTabletDensities: 'Enter their densities, lightest first: 0.05 0.20 0.35.',
  layTabletBesideChart:
    'Lay it 1 to 4 cm beside the chart, its steps along one edge, in the same light. With it, pictures of cameras and telephones can be read too.',
  cropTabletScan:
    'Scan it with the same settings as the chart, and crop the picture to the edges of the tablet.',

  // useCalibratePage
  youPrintAndReadChart:
    'You print and read a chart once. Every later negative then gives the planned tones at one fixed exposure. Calibration takes an evening, and you can pause at any step for days.',
  curveAppliesItsProcessPaper:
    'A curve applies to its process, paper, light, film and base exposure. When you change one of these, print a check chart.',
  noBaseExposureSavedFor2:
    'No base exposure is saved for this process and light. Print a test strip through clear film first. A chart with the wrong exposure is of little use.',

  // useCalibrationPath
  curveWasCorrectedWithThis: 'The curve was corrected with this check.',
  worstTone: ({
    tone,
    wanted,
    read,
    density,
  }: {
    tone: number
    wanted: string
    read: string
    density: string
  }) => `Tone ${tone} should print at L* ${wanted} but printed at ${read}, density ${density}.`,
  lastCheckClearlyWorseThan:
    'The last check is clearly worse than an earlier one. Has the lamp dimmed, or did you change lot or paper? Correct the curve with the check, or print a new chart.',
  coatSheetLittleLargerThan:
    'Coat a sheet a little larger than the film, expose at the base exposure, then process and dry as usual. The coat must reach beyond all four rings.',
  youCanCutOffStrip:
    'You can cut off the strip of clear film and expose it in steps first. Its black shows whether the exposure is right.',
  scanDryFlatPrintIn:
    'Scan the dry, flat print in any orientation with all automatic corrections off. A photo works too, with a step tablet beside the chart: from straight above, in even light, not too bright.',

  // useNegativeStation
  layPrintedDullerSideFilm:
    'Lay the printed (duller) side of the film on the coat. The film is therefore mirrored.',
  printChartOnceOnFilm:
    'Print a chart once on film at your base exposure and scan it in Calibrate. Every later negative then gives the planned tones.',

  // useReadChart
  thisNotPlausibleDensityFor: 'This is not a plausible density for paper white.',
  enterPaperWhiteDensity: 'Enter a density, usually 0.05 to 0.12 for paper.',
  thisBlackNotDarkerThan: 'This black is not darker than the white.',
  enterDensityPrintUnderClear: 'Enter the density of the print under clear film, or leave the field empty.',
  differentChart: ({ tones, repeats, curve }: { tones: number; repeats: number; curve: number | null }) =>
    `This is a different chart: ${tones} tones, each ${repeats} times, ${curve ? `made with curve ${curve}` : 'without a curve'}.`,
  scanCheckChartMarked: ({ tag }: { tag: number }) =>
    `Scan the check chart of this calibration, marked ${tag}.`,
  scanChartThatWasMade: 'Scan the chart that was made for this calibration.',

  // CalibrationPath
  chartSaved: 'Chart saved. Print it on film, then make a contact print of it.',
  exposeChart: ({ time }: { time: string | null }) =>
    `Expose the chart ${time ? `for ${time} (base exposure)` : 'at your base exposure'}, and let the print dry for a day.`,

  // ToneLadder
  tonesThatMerge: ({ merging, of }: { merging: number; of: number }) =>
    `Tones from picture to print; ${merging} of ${of} merge`,
}
