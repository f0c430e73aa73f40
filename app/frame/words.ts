import { counted } from '../words/counted'

/** Sentences of the frame, page by page. */
export const texts = {
  // App
  whatTheDemoIs:
    'A month of an invented printer’s work is being made for this moment: sheets, bottles, papers and running clocks. It takes a few seconds, up to half a minute on a busy computer. Your own workroom stays as it is.',

  // Demo that was left for hours
  demoHasRunOut: 'The clocks of this demo ran out while it was left.',

  // AppShell
  clockMovedOrSlept: ({ how }: { how: string }) =>
    `${how}, or the computer slept. Running clocks count that time.`,
  doNotCountThatTime: 'The clock was changed: don’t count that time',

  // MarginColumn
  notesWithCautions: ({ cautions }: { cautions: number }) =>
    cautions ? `Notes, ${counted(cautions, 'caution')}` : 'Notes',
  readSafetyDataSheets: 'Read each safety data sheet. Local rules come first.',

  // StandingNotices
  newerVersionInAnotherWindow:
    'A newer Ember Sheet has opened this workroom in another window. You can no longer save from this window. Nothing is lost.',
  storageDeleted:
    'This workroom’s storage was deleted from the browser while it was open. This window can no longer save. Reload it, then restore your last backup.',
  workroomLost: ({ prints }: { prints: number }) =>
    `This browser has lost your workroom, with ${counted(prints, 'print')}. Browsers can do this when the disk is full. Restore your last backup in Workroom.`,
  pressesNotSaved: ({ presses, since }: { presses: number; since: string }) =>
    `${counted(presses, 'press is', 'presses are')} not saved yet, since ${since}. Keep this window open and free some space on the disk.`,
  olderVersionInAnotherWindow:
    'An older Ember Sheet in another window is using this workroom. Close or reload that window.',
  newVersionReady: 'A new version of Ember Sheet is ready.',
  updateWhenNoClockRuns: 'You can update when no clock is running.',
  backupNeedsPermission: ({ folder }: { folder: string }) =>
    `The browser needs your permission to write backups into “${folder}”.`,
  storedOnlyHere: 'Your workroom is stored only in this browser. Choose a backup folder.',
  pressesSaved: ({ presses }: { presses: number }) =>
    `${counted(presses, 'press', 'presses')} saved, with the time of each.`,
  pressNoLongerFits: ({ why }: { why: string }) => `One no longer fits: ${why}`,
  backupIsDue: ({ days }: { days: number | null }) =>
    days === null
      ? 'Your workroom is stored only in this browser.'
      : `The last backup is ${counted(days, 'day')} old.`,
}
