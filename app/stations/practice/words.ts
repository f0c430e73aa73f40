// Every sentence of more than six words that this station says.

export const texts = {
  nothingIsUsed:
    'A practice print exists only in numbers: no chemicals are used, and nothing is recorded. Its figures are plausible, not measured; on paper your own test strip decides.',
  whatToWatch:
    'Watch the clear edge, where the coat meets the light directly: it shows how far the exposure is. The frame is closed while the light is on; open it to look.',
  cautionsHold:
    'The cautions of the real process apply on paper: gloves, goggles, ventilation, and the safety data sheets.',
  clearUntilWhite: 'Clear until no yellow is left in the whites, and no longer.',
  fixFor: ({ time }: { time: string }) =>
    `Fix for about ${time}. Less does not last; much longer lightens the print.`,
  developUntilStill: 'Develop until nothing gets deeper any more.',
  judgeDry: 'Wet prints look lighter than dry ones. Judge the print a day later.',
  hiddenFault: 'One thing is wrong with this sheet. Find it when the print is dry.',
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
  nameTheCause: 'Name the cause to finish this lesson.',
  whatTryingShows:
    'Two ways to make the same print, finished and dry. Set what you would change, and compare. The exposure is counted in stops from the best one of a usual sheet.',
  tryingIsNoRecord:
    'Nothing is recorded or used. The figures of the virtual coat are plausible, not measured: they show in which direction a change goes, not how far.',
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
  looksSaid: ({ looks }: { looks: number }) =>
    looks === 0
      ? 'The frame was not opened before the end.'
      : `The frame was opened ${looks === 1 ? 'once' : `${looks} times`}. Three looks cost nothing.`,
} as const
