import type { SalvageNote } from '@core/archive/salvage'
import type { Exported } from '../workers/archives'
import type { FolderBackup, TrialReport } from '../workers/backupFolder'

/** A number with its noun, such as `1 sheet`. */
export const counted = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`

const count = (n: number, one: string, many: string) => (n === 1 ? `One ${one}` : `${n} ${many}`)

/** What a repair did. @param rebuilt entries of lists that were rebuilt from their logs. */
export function repairedSaid(notes: readonly Pick<SalvageNote, 'outcome'>[], rebuilt = 0): string {
  const repaired = notes.filter(({ outcome }) => outcome === 'repaired').length
  const setAside = notes.filter(({ outcome }) => outcome === 'setAside').length
  const said = [
    ...(repaired ? [`${count(repaired, 'record was', 'records were')} repaired.`] : []),
    ...(setAside
      ? [`${count(setAside, 'record was', 'records were')} set aside. See Stored data in Workroom.`]
      : []),
    ...(rebuilt ? [`${count(rebuilt, 'entry was', 'entries were')} rebuilt from the logs.`] : []),
  ]
  return said.join(' ') || 'Nothing needed repair.'
}

/** What was written, and what of the workroom could not go into it. */
export function writtenSaid({ files, bare, silent, repaired }: Exported): string {
  const [first] = files
  return [
    files.length === 1
      ? `Backup written and read back: ${first?.name}. Keep it on another disk.`
      : `Backup written and read back in ${files.length} parts: ${first?.name} and the next. Keep all of them on another disk.`,
    ...(repaired.length ? [repairedSaid(repaired)] : []),
    ...(silent
      ? [
          `${count(silent, 'log is', 'logs are')} lost and missing from this backup. Keep your last backup too.`,
        ]
      : []),
    ...(bare ? [`${count(bare, 'photo has', 'photos have')} no picture any more.`] : []),
    ...(silent || bare ? ['“Check stored data” lists them.'] : []),
  ].join(' ')
}

/** What a backup into a folder did. */
export function folderSaid(
  { name, newPictures, bare, silent, repaired }: FolderBackup,
  folder: string,
): string {
  return [
    `Backed up into “${folder}” and read back: ${name}${newPictures ? `, ${count(newPictures, 'new picture', 'new pictures').toLowerCase()}` : ''}.`,
    ...(repaired.length ? [repairedSaid(repaired)] : []),
    ...(silent ? [`${count(silent, 'log is', 'logs are')} lost and missing from this backup.`] : []),
    ...(bare ? [`${count(bare, 'photo has', 'photos have')} no picture any more.`] : []),
  ].join(' ')
}

/** What was wrong when a restore was tried; empty where everything came back. */
export function trialFault({ missingPictures, notes }: TrialReport): string {
  return [
    ...(missingPictures
      ? [`${count(missingPictures, 'picture is', 'pictures are')} missing or damaged in the folder.`]
      : []),
    ...(notes.length ? [`${count(notes.length, 'part', 'parts')} of the backup could not be read.`] : []),
  ].join(' ')
}
