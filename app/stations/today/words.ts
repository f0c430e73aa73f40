/** Sentences of Today, page by page. */
export const texts = {
  // TodayStation
  youNeedTwoBottlesIron:
    'You need two bottles (iron citrate and ferricyanide), a brush, a sheet of paper, something to print, and UV light.',
  emberSheetCountsDropsWith:
    'Ember Sheet counts the drops with you, times the coat, the exposure and the wash, and keeps the record as you work. Nothing leaves this computer.',
  startOneOrOpenPrints: 'to start one, or open Prints to see finished prints.',

  // calendarFile
  judgeItBesideYourLast: 'Judge it beside your last good print, in the same light.',
  calendarFileCouldNotBe: 'The calendar file could not be saved.',
  planAgainThenSaveCalendar: 'Plan again, then save the calendar file once more.',

  // PlanPage
  addSheetsYouWantPrint: 'Add the sheets you want to print, then plan the day.',
  removeSheetOrAllowMore: 'Remove a sheet, or allow more time.',

  // PreparePage
  costOfCoats: ({ money, left }: { money: string; left: string }) =>
    `Cost of the coats: ${money} in your currency${left}.`,
  solutionsThatMustRestMade:
    'Solutions that must rest are made early enough, and those that do not keep are made last. Allow 20 minutes to make a solution and 5 to fill a tray.',
  onlyRestedSolutionsWithinTheir: 'Only rested solutions within their shelf life count as ready.',
  preparationsSessionAndLaterChecks:
    'Preparations, the session and the later checks of its prints, in iCalendar format for any calendar app.',
  planDayFirstThisPage: 'Plan the day first. This page then lists what to make, fill and treat, and when.',

  // usePlanPage
  chooseSheetOrStartNew: 'Choose a sheet, or start a new one.',
  oneEquipmentNumbersNotWhole: 'One of the equipment numbers is not a whole number.',
  coatedFromOneMix: ({ sheets }: { sheets: string }) => `Sheets ${sheets} will be coated from one mix.`,
  coatsDryFullyAndPrinted:
    'Coats dry fully and are printed within their life. Prints go straight from the frame to the bath. No bath runs over its maximum time.',
  forOnePersonMix3:
    'For each person: mix 3 min, coat 2 min, load a frame 1 min, unload 30 s, move between trays 20 s, hang 1 min (common practice).',
  coatPastItsLife: ({ sheet }: { sheet: string }) =>
    `${sheet}: this coat is past its life. It is planned as if it were still good.`,

  // useTodayStation
  thesePrintsHaveDriedFor: 'These prints have dried for a day. Judge them now.',
  hasColourHeldForTwo: 'Has the colour held for two weeks?',
  measureSameSpotsInSame: 'Measure the same spots in the same light as before.',
  thisPlanCanNoLonger: 'This plan can no longer be met.',
  planAgainFromNowWith: 'Plan again from now with fewer sheets.',
  softBrushWithoutMetalDistilled:
    'A soft brush without metal, distilled water, and a contact frame or a sheet of glass.',
  spaceDoesNextStepD: 'Space does the next step, d switches to the dim room, ? lists all keys.',
  pressRPlanAgainFrom: 'Press r to plan again from now.',
  moveStepByKeys:
    'Press − 15 min or + 15 min, or use Alt and the arrow keys on a step. The app plans the rest again.',

  // PlanPage
  shortestPossiblePlan: 'This is the shortest possible plan.',
  shortestPlanFound: ({ earliest }: { earliest: string }) =>
    `The shortest plan found. No plan can finish before ${earliest}.`,
}
