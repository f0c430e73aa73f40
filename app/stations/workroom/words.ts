import { counted } from '../../words/counted'

/** Sentences of Workroom, page by page. */
export const texts = {
  aboutWater:
    'From your water supplier, or with test strips. Plans and trays then say what it means for each process.',
  // WorkroomPage
  askBrowserKeepYourData: 'Ask the browser to keep your data',
  monthInventedPrinterWithRunning:
    'A month of an invented printer, with running clocks. The demo is separate from your workroom: nothing you do there changes your data.',
  tickWhenTrayNeedsRocking: 'A tick when a tray needs rocking',

  // BackupPart
  noBackupHasBeenMade: 'No backup has been made in this browser yet.',
  backupFolder: ({ folder }: { folder: string }) =>
    `Backup folder: “${folder}”. A backup is written there after each working day. The last ten are kept, pictures once.`,
  chooseBackupFolder:
    'Your workroom is stored only in this browser. Choose a backup folder, preferably on another disk or synchronized. The app then writes a backup there after each working day.',
  downloadBackups:
    'Your workroom is stored only in this browser. Download a backup regularly and keep it on another disk.',

  // HealthCheck
  checkedWithoutFaults: ({ records }: { records: number }) =>
    `${counted(records, 'record, log or picture', 'records, logs and pictures')} checked. No faults found.`,
  nothingWasChangedRestoreYour:
    'Nothing was changed. Restore your last backup to recover missing data. A restore never overwrites sound data.',

  // ImportReport
  partOfArchive: ({ part, of }: { part: number; of: number }) =>
    `Part ${part} of ${of}. Each part holds all records and some of the pictures. Import all parts, in any order.`,
  partsNotRead: ({ parts }: { parts: number }) =>
    `${counted(parts, 'part')} of this archive could not be read. The rest is sound. Keep the file.`,
  sameNumberTwice: ({ numbers, more }: { numbers: string; more: string }) =>
    `Different sheets with the same number: ${numbers}${more}. Both keep their number. Add a letter in pencil to one of each.`,
  yourVersionStaysUnlessYou: 'Your version stays unless you choose the archive’s.',
  youAlreadyHaveEverythingIn: 'You already have everything in this archive.',

  // SetAsideList
  theseRecordsDamagedTheyKept:
    'These records are damaged. They are kept unchanged here and in every backup. Enter what you need again, then remove the entry.',

  // useWorkroomPage
  logsNotRead: ({ logs }: { logs: number }) =>
    `${counted(logs, 'log')} could not be read and ${logs === 1 ? 'is' : 'are'} missing from the tables. Check the stored data.`,
  thisBrowserBlocksNotificationsHere:
    'This browser blocks notifications here. Sounds and the clock bar still work.',
  browserHasPromisedKeepYour: 'The browser has promised to keep your data.',
  browserRefusedChooseBackupFolder: 'The browser refused. Choose a backup folder instead.',
  backupZipFileWithAll:
    'A backup is a ZIP file with all records as JSON and the original pictures. Any ZIP tool can open it. See docs/formats.md.',
  restoreNeverOverwritesYourData: 'A restore never overwrites your data. You see all differences and choose.',
  inThisBrowserOnThis: 'In this browser, on this computer. Nothing is sent anywhere.',

  // WorkroomPage
  mayBeDeleted: 'The browser may delete your data when the disk is nearly full.',

  // ImportReport
  sameAsYours: ({ records }: { records: number }) =>
    `${counted(records, 'record is', 'records are')} identical to yours.`,
  picturesReplaced: ({ pictures }: { pictures: number }) =>
    `${counted(pictures, 'missing or damaged picture')} will be replaced.`,
  photosWithoutPicture: ({ photos, isPart }: { photos: number; isPart: boolean }) =>
    photos === 1
      ? `1 photo has no picture in this file. The picture ${isPart ? 'may be in another part' : 'had been lost before this backup'}.`
      : `${photos} photos have no pictures in this file. The pictures ${isPart ? 'may be in another part' : 'had been lost before this backup'}.`,
  newLogEntries: ({ events, continued }: { events: number; continued: number }) =>
    `${counted(events, 'new log entry', 'new log entries')}${
      continued ? `; ${counted(continued, 'of your sheets continues', 'of your sheets continue')}` : ''
    }.`,
}
