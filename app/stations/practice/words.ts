// Every sentence of more than six words that this station says.

export const texts = {
  nothingIsUsed:
    'A practice print exists only in numbers: no chemicals are used, and nothing is recorded. Its figures are plausible, not measured; on paper your own test strip decides.',
  whatToWatch:
    'Watch the clear edge, where the coat meets the light directly: it shows how far the exposure is. The frame is closed while the light is on. Half of its back opens to look; the other half keeps the negative in place.',
  ghostToWatch:
    'In the frame this process shows only a faint ghost: the developer brings the print. Half of the back opens to look; the other half keeps the negative in place.',
  cautionsHold:
    'This print uses no chemicals and no lamp. What follows is what the real step needs: its cautions hold on paper.',
  figuresAre: ({ practice, invented, measured }: { practice: number; invented: number; measured: number }) =>
    `Figures of this coat: ${practice} from common practice, ${invented} invented${measured ? `, ${measured} measured by you` : ''}.`,
  driedBy: ({ change }: { change: number }) =>
    Math.abs(change) < 1
      ? 'Drying hardly changed the middle tones.'
      : `Dry, the middle tones are ${Math.abs(change).toFixed(0)} L* ${change < 0 ? 'lighter' : 'darker'} than they were wet.`,
  wetCheck: 'Wet check: once dry it will be',
  wetWasRight: 'Your wet check was right.',
  wetWasWrong: ({ said, is }: { said: string; is: string }) =>
    `Your wet check said ${said}; by its exposure the print is ${is}.`,
  hiddenFault: 'One thing is wrong with this sheet. Find it when the print is dry.',
  hiddenFaults: 'Two things are wrong with this sheet. Find both when the print is dry.',
  waterSaysNothing: 'Clear water in the dark tray: without chlorine no milk can show',
  testGone: 'the fault is gone',
  testPartly: 'one of two faults is gone',
  testSame: 'the fault is still there',
  causeCounts: 'The first causes that you named count.',
  notNamed: 'Not named yet. The first cause that you name counts.',
  washedWell: 'The fixer is washed out.',
  fixerLeft: ({ percent }: { percent: number }) =>
    `${percent} % of the fixer is left in the paper: wash longer, or the print fades.`,
  ladderTooShort:
    'No step is as black as this coat can be: the exposure was too short to show a base exposure.',
  ladderTooLong: 'Every step is black: the exposure was too long to show a base exposure.',
  stripSaid: ({ lastBlack }: { lastBlack: number }) =>
    `Step ${lastBlack} is the last one that is as black as possible: its light is the base exposure.`,
  tabletSaid: ({ lastBlack, lastTone, scale }: { lastBlack: number; lastTone: number; scale: string }) =>
    `Step ${lastBlack} is the last black, step ${lastTone} the last tone: an exposure scale of ${scale} stops.`,
  plainTones: ({ off }: { off: string }) =>
    `The tones of this print are up to ${off} L* from even steps. A correction curve makes them even.`,
  throughCurve: ({ off }: { off: string }) =>
    `Through the curve the tones are up to ${off} L* from even steps.`,
  lessonsTaken: ({ count }: { count: number }) =>
    `${count === 1 ? 'One lesson was' : `${count} lessons were`} added.`,
  lessonsAreApart:
    'Each takes a few minutes. Which ones you passed is kept on this device, apart from your records.',
  lessonsStartOver: 'Lessons start over; those of a teacher were removed.',
  teachersFile:
    'A lesson is a few lines of JSON: its sheet, what to notice, and the marks to reach. The format is in docs/lessons.md.',
  lessonPassed: 'Passed. What happened:',
  lessonFailed: 'Not passed yet. What happened:',
  aimSaid: ({ name, wanted, reached }: { name: string; wanted: number; reached: number }) =>
    `${name}: ${reached}, needed ${wanted}`,
  readTheSteps: 'Read the steps to finish this lesson.',
  nameTheCause: 'Name the cause to finish this lesson.',
  printCorrected: 'Correct the negative and print again to finish this lesson.',
  whatTryingShows:
    'Two ways to make the same print, finished and dry. Set what you would change, and compare. The exposure is in stops from the best one of a usual sheet.',
  tryingIsNoRecord:
    'Nothing is recorded or used. The figures of the virtual coat are plausible, not measured: they show in which direction a change goes, not how far.',
  followsOwnPrints: 'This process follows your own prints, and not this app’s figures.',
  whatTuningDoes:
    'The figures of this app are plausible, and yours are better: prints that you judged dry, exposed by a known dose, show where your coat differs.',
  howTuningWorks:
    'The dose of each of your last five prints counts, half a stop more where its shadows were thin and half a stop less where they were blocked. The middle one is taken; so is your measured Dmax.',
  tuningIsApart:
    'Only practice changes, never a record. The figures are kept on this device, and the app’s own come back at any time.',
  noPrints: 'No print with a known dose was judged dry.',
  tuningFound: ({
    prints,
    dose,
    stops,
    black,
  }: {
    prints: string
    dose: string
    stops: string
    black: string
  }) => `You: ${dose}, ${stops}${black} (${prints})`,
  tuningUsed: ({ name }: { name: string }) => `Practice of ${name} now follows your own prints.`,
  tuningLeft: ({ name }: { name: string }) => `Practice of ${name} uses the app’s own figures.`,
  noPlannedDose:
    'No dose is known for this plan: its light was never measured, or is the sun. The best exposure is shown in its place.',
  doseIsFarOff: ({ stops }: { stops: number }) =>
    `The planned dose is ${Math.abs(stops).toFixed(1)} stops ${stops > 0 ? 'above' : 'below'} the best one of this model, more than can be shown. Let practice follow your own prints first.`,
  noPrice: 'no price known for all of its parts',
  priced: ({ money }: { money: string }) => `${money} in your currency`,
  chooseCause: 'What was wrong with the sheet?',
  rightCause: ({ name }: { name: string }) => `That was it: ${name}.`,
  wrongCause: ({ name }: { name: string }) => `It was something else: ${name}.`,
  doseSaid: ({ stops }: { stops: number }) =>
    Math.abs(stops) < 0.15
      ? 'The exposure was right.'
      : `The exposure was ${Math.abs(stops).toFixed(1)} stops too ${stops > 0 ? 'long' : 'short'}.`,
  notExposed: 'This sheet was not exposed, or the lamp does not reach its coat.',
  clearedWell: 'The whites are clear.',
  stainLeft: ({ density }: { density: string }) =>
    `Sensitizer is left in the whites (density ${density}): clear longer.`,
  fixedWell: 'Fixing took next to nothing.',
  notFixed: 'The print was fixed too short: it will not last.',
  fixTook: ({ percent }: { percent: number }) => `The fixer took ${percent} % of the density: fix shorter.`,
  effortSaid: ({ looks, tests }: { looks: number; tests: number }) =>
    `${looks === 1 ? 'One look' : `${looks} looks`}, ${tests === 1 ? 'one test sheet' : `${tests} test sheets`}. Three looks and two tests cost nothing.`,
} as const
