/** Sentences of Light, page by page. */
export const texts = {
  // ContrastMeans
  makeThemMeet: 'What makes paper and negative meet',
  negativeTooLong: 'The negative is longer than this prints without any: make a softer negative.',
  negativeTooShort: 'The most of it still leaves the paper longer than the negative: make a harder negative.',

  notificationsBlocked: 'This browser blocks notifications here. Allow them in its site settings.',
  sunWasDown: 'The sun was down at that time.',
  enterWhenExposed: 'Enter the date and time at which you exposed.',
  offerNotify: 'A notification can tell you when the exposure ends, even while you use another window.',
  sunTrend: {
    rising: (until: string) =>
      `The light is getting stronger, so the exposure ends sooner than it would at the present strength: at ${until}.`,
    falling: (until: string) =>
      `The light is getting weaker, so the exposure ends later than it would at the present strength: at ${until}.`,
  },
  stopsFromSun: (stops: number) =>
    Math.abs(stops) < 0.1
      ? 'the same'
      : `${Math.abs(stops).toFixed(1)} stops ${stops < 0 ? 'weaker' : 'stronger'}`,
  sunWithoutPlace:
    'Enter the place of this sun in Lights first: then this base exposure can be used at another hour and under another sky.',
  // LightStation
  sheetAppearsHereWhenIts:
    'A sheet appears here when its coat is dry. Start the clock when you uncover the frame.',
  keepPrintOutDaylightUntil: 'Keep the print out of daylight until it is in the water.',
  meterJumped: ({ from, to }: { from: string; to: string }) =>
    `The meter jumped from ${from} to ${to} mW/cm². Check its unit and range. Until then the dose is counted from the earlier reading.`,
  meterRightUseNewReading: 'The meter is right: use the new reading',
  onlyLastStepStillExposing: 'Only the last step is still exposing',

  // exposureNotes
  eyeLimitAtThisLevel: ({ limit }: { limit: string }) =>
    `At this level the eye’s daily limit is reached in ${limit} (ICNIRP 2004, from memory). Close the cover before you switch the lamp on, and wear UV-blocking glasses. Local rules come first.`,

  // light.draft
  irradianceNotPlausible: ({ irradiance }: { irradiance: string }) =>
    `${irradiance} mW/cm² is not a plausible reading for a printing light.`,
  enterIrradianceLike: 'Check the unit. Enter it like 4.8 mW/cm2, 48 W/m2 or 4800 µW/cm2.',
  enterPercentageAbove0And: 'Enter a percentage above 0 and up to 100, for example 60 %.',
  notLatitudeAndLongitude: ({ typed }: { typed: string }) => `“${typed}” is not a latitude and a longitude.`,
  enterDegreesLatitudeFirstSuch: 'Enter degrees, latitude first, such as 52.09, 5.12 or 33.9 S 151.2 E.',
  enterLatitudeUp90And: 'Enter a latitude up to 90 and a longitude up to 180 degrees.',
  notDistanceAndReading: ({ row }: { row: string }) => `“${row}” is not a distance and a reading.`,

  // BasesPage
  chooseBothAddLightIn: 'Choose both. Add the light in Lights first if needed.',
  oneCombinationProcessSensitizerPaper:
    'One combination of process, sensitizer, paper, light and film. A new sheet of the same combination starts from this exposure.',
  ifLightWasMeasuredBase:
    'If the light was measured, the base exposure is saved as a dose. When the lamp dims, the app lengthens the time.',
  printAndReadOneTest: 'Print and read one test strip. Every later sheet then starts from its result.',

  // InstrumentsPage
  theseInstrumentsSimulatedByServer:
    'These instruments are simulated by the server that comes with Ember Sheet, so that you can try everything without real ones.',
  youCanMakeThemFail: 'You can make them fail to see how the exposure clock copes.',
  youCanConnectDeviceThat: 'You can connect a device that uses the same protocol. See docs/instruments.md.',
  thisBrowserCannotConnectYour:
    'This browser cannot connect to your own device. Try another browser, or type the values.',
  youCanTypeEveryValue:
    'You can type every value. Exposures are then counted by time or from the model of the light.',
  closeCoverBeforeYouSwitch: 'Close the cover before you switch the lamp on. Do not look into the lamp.',

  // LightsPage
  addLampOrWindowYou:
    'Add the lamp or the window you print with. Ember Sheet counts its hours and warns you when it dims.',

  // ReadStrip
  planTestStripFirstThen: 'Plan a test strip first, then read it here.',
  thisSheetNotTestStrip: 'This sheet is not a test strip',
  exposeAndProcessStripAnd: 'Expose and process the strip and let it dry, then read it here.',
  thisStripHasNotBeen: 'This strip has not been exposed yet',
  chooseFirstStepThatLooks: 'Choose the first step that looks as black as all later steps.',
  readAllStepsWithSimulated: 'Read all steps with the simulated densitometer',

  // StripPage
  layClearFilmAlongOne:
    'Lay clear film along one half of a coated strip and leave the other half bare. Step 1 is at the edge where the card starts.',
  stepsEqualRatioLookEven: 'Steps of equal ratio look even to the eye. A third of a stop is fine enough.',
  exposureClockTellsYouCover:
    'The exposure clock tells you “cover to step 3”. Turn on the voice in Workroom, or watch the page.',
  stripFindsBaseExposureShortest:
    'The strip finds the base exposure: the shortest exposure that prints maximum black through clear film. The negative does the rest.',
  planNewSheetForThis: 'Plan a new sheet for this strip',

  // SunPage
  likelyWithinFactor: ({ factor, sky }: { factor: string; sky: string }) =>
    `Two times in three, the light is within a factor of ${factor} of this value. The sky: ${sky}.`,
  eachMeterReadingUnderThis:
    'Each meter reading under this sun, and each metered exposure, fits the model to your place.',
  enterWhereYouPrintNothing: 'Enter where you print. Nothing leaves this computer.',
  updateSkyWhenItChanges: 'Update the sky when it changes. Entries older than six hours are ignored.',
  uvIndexForecastForHour: 'A UV index forecast for the hour is better than judging by eye.',
  holdEverythingInPlaceWith:
    'Hold everything in place with clips and glass. Cover the frame while you carry it, and start the clock when you uncover it.',
  notEnoughLightForOne: 'not enough light for one print on this day',
  doseNotReachedBeforeDark: ({ start }: { start: string }) =>
    `start ${start}, the print will not get its full dose before dark`,

  // TabletPage
  exampleOfTabletReadings: '1.42 1.40 1.36 1.28 … use a dash for a step you cannot read',

  // GiveMore
  plannedNow: ({ planned }: { planned: string }) => `Planned now: ${planned}. Use a minus to shorten it.`,

  // LightPanel
  warmUpTimeTwoThirds: 'Warm-up time (to two thirds of the rest)',

  // NegativeSuits
  tooContrasty: 'too contrasty: shadows or highlights will be lost',
  tooSoft: 'too soft: the print will be flat',
  papersAndMixesThatFit: 'Papers and mixes that fit this negative',

  // OwnTablet
  stepTabletNeedsAtLeast: 'A step tablet needs at least six steps.',
  enterDensityEachStepClear: 'Enter the density of each step, clear film first.',
  densitiesItsStepsClearFilm: 'Densities of its steps, clear film first',

  // SunPlace
  enterMetresAboveSeaLevel: 'Enter metres above sea level, from −500 to 6000.',

  // useDoseClock
  meterNotRespondingDoseCounted:
    'The meter is not responding. The dose is counted from its last reading, and the record will say so.',
  meterReadingHasNotChanged: 'The meter reading has not changed for ten seconds. The meter may be stuck.',

  // useLightPanel
  exponentNotPlausible: ({ exponent }: { exponent: number }) =>
    `${exponent} is not a plausible exponent for a coat.`,
  enterExponentBetween: 'Enter a value between 0.5 and 1.2. Most coats have 1.',

  // useLightsPage
  itsOutputMayHaveChanged: 'Its output may have changed since the last reading.',
  peakIsOnLamp:
    'It is printed on the lamp or in its data sheet: about 365 nm for black-light tubes, 395 to 405 nm for violet diodes. A box of mixed lamps has none.',
  eyeLimitUnderLight: ({ light, limit }: { light: string; limit: string }) =>
    `Under ${light} the eye’s daily limit is reached in ${limit} (ICNIRP 2004, from memory).`,
  closeCoverAndWearGlasses:
    'Close the cover before you switch the lamp on. Do not look into the lamp, and wear UV-blocking glasses. Local rules come first.',
  lampsDimSlowlySoSame: 'Lamps dim slowly, so the same time no longer gives the same print.',
  measureAtSamePlaceIn:
    'Measure at the same place in the frame with the lamp warm. Without a meter, each new base exposure shows the same change.',

  // useReadStrip
  stripTooShortItsLast:
    'The strip is too short: its last step is not black yet. Expose another strip about three times as long.',
  stripStartsTooLateIts:
    'The strip starts too late: its first step is already black. Expose another strip that starts at a tenth of this time.',
  longestStepsPrintLighterAgain:
    'The longest steps print lighter again: the coat bronzes. Use shorter exposures.',
  stepFarOffCurve: ({ step }: { step: number }) =>
    `Step ${step} is far off the curve (a hair, a fibre or a wrong digit). It was not used.`,
  blacksChangeAsTheyDry:
    'Blacks change as they dry. Wait a day if you can; an hour in warm air is enough for a first guess.',
  measureUnderClearFilmIn:
    'Measure under the clear film, in the middle of each step, three times. Use the middle value.',
  clockCanUseDose: ({ dose }: { dose: string }) =>
    `${dose}. The clock can use this dose under a dimmer lamp too.`,

  // useSunDay
  timeAtNoonAsFirstGuess: ({ time }: { time: string }) => `${time} at noon on this day, as a first guess`,
  changesSkyOneTimeIn: 'changes of the sky; one time in three the result is outside this range',

  // useTabletPage
  readingsDoNotMatchTablet: ({ readings, steps }: { readings: number; steps: number }) =>
    `There are ${readings} readings, but the tablet has ${steps} steps.`,
  chooseAnotherTabletOrRemove: 'Choose another tablet, or remove duplicate readings.',
  tabletEndsBeforeCurveLevels: ({ advice }: { advice: string }) =>
    `the tablet ends here, before the curve levels out: ${advice}`,
  tabletEndsAndCurveContinues: ({ density, advice }: { density: string; advice: string }) =>
    `the tablet ends here, and the curve continues to about ${density}: ${advice}`,
  stepsPrintLighterWithMoreLight: ({ steps }: { steps: readonly number[] }) =>
    steps.length === 1
      ? `Step ${steps[0]} prints lighter with more light. Keep exposures below it. The curve leaves it out.`
      : `Steps ${steps.join(', ')} print lighter with more light. Keep exposures below them. The curve leaves them out.`,
  noStandardCurveFitsThese:
    'No standard curve fits these readings, so the range is read from the lightest and darkest steps. The interval shows how far noise may shift it.',
  stepsToMeasureAgain: ({ steps }: { steps: readonly number[] }) =>
    `${steps.length === 1 ? 'Step' : 'Steps'} ${steps.join(', ')}: measure again, or look for a hair or a spot. The curve leaves ${steps.length === 1 ? 'it' : 'them'} out.`,
  putTabletInFrameLike:
    'Put the tablet in the frame like a negative and use the base exposure. Measure the middle of each step when the print is dry.',
  tabletShowsHowMuchDensity:
    'The tablet shows how much density range a negative needs to use the whole paper. Print one for each contrast additive, humidity or paper, and compare.',
  ifCurveLevelsOutYou:
    'If the curve levels out, you see the limit of the paper. If it just stops, you see the limit of the tablet, and the true range is longer.',

  // LightPanel
  relativeToFirstReading:
    'The percentage is relative to your first reading. Measure new tubes once they have burned in.',
}
