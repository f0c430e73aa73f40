import type { Moment } from '@core/judge/faultBook'
import { counted } from '../../words/counted'

/** Sentences of Prints, page by page. */
export const texts = {
  // PrintsStation
  everySheetYouStartAppears: 'Every sheet you start appears here from its first drop, with its whole record.',
  noPrintMatches:
    'No print matches. Try one word or part of a word. Words in “quotes” are searched as a phrase.',

  // CorrectRecord
  correctRecord: 'Correct the record',
  bothAreKept:
    'Change what was recorded wrongly. The log keeps the first entry, and everything that follows is computed again. A time without a date is on the recorded day.',
  stillUnderWay: 'In progress.',
  doneWithoutPress: 'Something you did and did not enter',
  nothingMissed: 'Nothing missed',
  saveCorrections: 'Save corrections',

  // measure.draft
  thisValueNotPlausibleFor: 'This value is not plausible for a print.',
  enterDensityFrom05: 'Enter a density from −0.5 to 6, or an L* from 0 to 100.',
  enterAtLeastOneDensity: 'Enter at least one density or colour.',
  enterLab: 'Enter L*, a* and b*, such as 20 -1 -30.',

  // BinPage
  binKeepsWholeRecordSheet:
    'Bin keeps the whole record of a sheet: its history, photos, and what it used from bottles and baths. Restoring a sheet brings everything back.',
  deletingPermanentlyCannotBeUndone:
    'Deleting permanently cannot be undone. Make a backup first if you are not sure.',
  sheetsYouDeleteComeHere: 'Sheets you delete come here, and you can restore them.',
  deletePermanently: ({ sheets }: { sheets: number }) =>
    `${counted(sheets, 'sheet')} will be deleted with all records and photos. This cannot be undone.`,

  // ComparePage
  whatUsuallyChangesPrintMost:
    'What usually changes a print most comes first. This is what the records say, not proof: change one thing at a time to be sure.',
  viewFromTwoStepsAway:
    'The view from two steps away shows large tones and balance, not detail. Press space to hide the text.',
  photosTakenInDifferentLight:
    'Photos taken in different light or with a different camera exposure do not show which print is darker. Measured densities do.',
  printDeleted: 'One of these prints has been deleted.',
  noneJudgedYet: 'None of these prints has been judged or measured dry yet.',
  recordsAreSame: 'Their records are the same. What made the difference was not recorded.',

  // DiagnosePage
  whatDoYouSeeChoose: 'What do you see? Choose everything that applies.',
  resultOfTest: ({ outcome, isJudged }: { outcome: string; isJudged: boolean }) =>
    `Result: ${outcome}${isJudged ? ', as its print was judged' : ''}. The causes above include this result.`,
  letterNotInFont: ({ box }: { box: string }) => `${box}: a letter that the font of this page does not have.`,
  chosenAsJudged: 'What you said when you judged it is chosen already. Change it if it is not so.',
  whenFirstSeen: 'When did you first see it?',
  toldApartBy: ({ fact }: { fact: string }) => `but then: ${fact}`,
  printCannotBeFixed: 'This print cannot be fixed. Print it again.',
  firstWaterSoured: 'the first water had acid in it',
  tapIs: { yes: 'tap water here is alkaline', no: 'tap water here is not alkaline' },
  noneOfThese: 'Ruled out. The next causes are below.',
  testSeparates: ({ gone, left }: { gone: string; left: string }) =>
    `It tells “${gone.toLowerCase()}” from “${left.toLowerCase()}”: with the first the fault is gone, with the other it stays.`,
  faultGonePointsTo: ({ causes, bits }: { causes: string; bits: string }) =>
    `If the fault disappears, it points to ${causes}. Expected information: ${bits} bits.`,

  // PrintThread
  sheetOfAnotherWorkroom:
    'The sheet may belong to another workroom. Import its archive, or look in All prints.',

  // RegisterPage
  registerCheckNeedsSheetWith: 'A register check needs a sheet with two or more layers.',

  // TrendsPage
  measureDmaxAndPaperWhite:
    'Measure Dmax and paper white of dry prints, measure the lamp now and then, and save base exposures. Anything measured twice is shown here.',
  controlLimitsNeedAtLeast: 'Control limits need at least four values.',

  // CauseList
  confirmedInYourPrints: ({ count, factor }: { count: number; factor: string }) =>
    `Confirmed cause in ${counted(count, 'print')} of your own: starting weight ${factor} times the usual.`,

  // JudgePrint
  earlyCheckPrintMayStill: 'Early check: the print may still change. The time of this check is recorded.',

  // MeasurePrint
  clippedInPhoto: ({ values }: { values: string }) =>
    `Clipped in the photo: ${values}. Treat these values as limits.`,
  fromItsPhotoWithGrey: 'from its photo, with a grey card',

  // PhotoSpots
  pointAtGreyCardAt:
    'Point at the grey card, at paper white and at Dmax, and at both ends of a step scale if there is one. Grey card and print need the same even light without reflections.',
  photoPointAtArrowKeys: 'Photo to point at; arrow keys move the selected point',

  // PrintIdentity
  enterEditionNumber: 'Enter 3/7 or proof 2, or leave it empty.',
  enterTitleSoThatYou: 'Enter a title so that you can find this print later.',

  // printNotes
  slightChangeJustVisibleBeside: 'Slight change: just visible beside a new print.',
  clearChangeFindCauseWhile:
    'Clear change. Find the cause while other prints of that batch can still be washed or fixed again.',
  thisChangeSettlingAnyLater: 'This change is settling. Any later change is fading.',
  willSettle: ({
    name,
    difference,
    lab,
    others,
  }: {
    name: string
    difference: string
    lab: string
    others: string
  }) =>
    `${name}: will settle by about ΔE₀₀ ${difference}, to L* a* b* ${lab}, as ${others} did. Judge the colour then.`,
  aimForWetBlack: ({ wanted, aim }: { wanted: string; aim: string }) =>
    `For a black of ${wanted} above paper white when dry, aim for ${aim} in the tray.`,

  // useDiagnosePage
  nothingInRecordPointsFault:
    'Nothing in the record points to a fault. Steps that were not recorded cannot be checked.',
  eachCauseStartsWithHow:
    'Each cause starts with how often it occurs. What you see and what is recorded then makes it more or less likely.',
  ownCasesIncluded: ({ count }: { count: number }) =>
    `${counted(count, 'confirmed case')} of your own ${count === 1 ? 'is' : 'are'} included.`,
  causesYouConfirmAdjustRanking: 'Causes you confirm adjust the ranking for your prints.',

  // usePhotoSpots
  stepScaleNeedsBothEnds: 'The step scale needs both ends and a number of steps.',
  pointAtItsFirstAnd: 'Point at its first and last step, and enter the number of steps.',

  // usePrintsStation
  selectAnotherPrintSeeDifferences: 'Select another print to see the differences.',
  judgeEachBesideYourLast: 'Judge each beside your last good print, in the same light.',
  printsDryDarkerAndBlue:
    'Prints dry darker, and blue deepens for a day. Judge after one day, and check again after two weeks.',

  // useRegisterPage
  borderTooNarrow: 'The border must be 8 to 100 mm wide to hold register marks.',
  enterBorderFilmsWereMade: 'Enter the border the films were made with.',
  filmEachLayerHasIts:
    'The film of each layer has its own crosses in the middle of each side. The crosses in the corners are for aligning the films.',
  scanWholeSheetWithIts:
    'Scan the whole sheet with its borders at 300 ppi or more. A photo at an angle works too.',
  registerErrorThatShows:
    'An error of 0.2 mm is not visible at reading distance. A larger one shows as a coloured edge.',

  // useTrendsPage
  lessLightAtSameDistance:
    'Less light at the same distance: the tubes are ageing or something blocks the light. Expose by dose, or replace the tubes.',
  risingBaseExposureMeansDimming:
    'A rising base exposure means a dimming lamp or an ageing lot. A falling one means a stronger mix.',
  fallingDmaxFirstSignOld: 'A falling Dmax is the first sign of an old lot, a thin coat or a dim lamp.',
  darkerPaperWhiteMeansPoor:
    'A darker paper white means poor clearing, fogged coat, or too much light in the room.',
  checkErrorsGrowWhenPrinter:
    'Check errors grow when printer, film, mix or light has changed. Print a new chart.',
  limitsMeanFirstEightValues:
    'Limits are the mean of the first eight values ± three standard deviations, estimated from the mean moving range divided by 1.128.',
  controlLimitSource:
    'NIST/SEMATECH e-Handbook of Statistical Methods, 6.3.2.2. At least four values are needed.',
  newLotLampOrPaper:
    'A new lot, lamp or paper changes the level, as expected. Check what changed that day before you correct anything.',

  // DiagnosePage
  causeConfirmed: 'Confirmed. This case counts for later prints.',

  // printNotes
  printsThatSettled: ({ prints, onThisPaper }: { prints: number; onThisPaper: number }) => {
    const count = `${counted(prints, 'print')} of the process`
    if (prints === onThisPaper) return `${count} on this paper`
    return onThisPaper ? `${count}, ${onThisPaper} of them on this paper,` : count
  },
}

/** When a fault is first to be seen, as a button or a line has it. */
export const momentNames: Readonly<Record<Moment, string>> = {
  coat: 'on the dry coat',
  light: 'in the frame',
  water: 'in the developer or first water',
  bath: 'in a later bath',
  dry: 'when it was dry',
  weeks: 'after days or weeks',
}
