import type { Flaw } from '@core/archive/integrity'
import type { SalvageNote } from '@core/archive/salvage'
import type { ArchiveAnswers, ArchiveNews, ArchiveQuestion, ReadReport } from './archive.worker'
import type { Written } from './archiveParts'
import type { FolderBackup, TrialReport } from './backupFolder'
import { askWorker } from './call'
import { startWorker } from './start'
import { announceImport } from '../storage/imported'
import { db } from '../storage/db'
import { isDemo } from '../storage/whichWorkroom'
import { clearRecords, type Progress } from '../storage/holdings'

/** A worker that holds an archive between reading it and taking it in. */
class ArchiveWork {
  private readonly worker = startWorker.archive(db.name)

  ask<Act extends ArchiveQuestion['act']>(
    question: Extract<ArchiveQuestion, { act: Act }>,
    progress?: Progress,
    signal?: AbortSignal,
  ): Promise<ArchiveAnswers[Act]> {
    return askWorker<ArchiveQuestion, ArchiveAnswers[Act], ArchiveNews>(this.worker, question, {
      heard: ({ share, doing }) => progress?.(share, doing),
      signal,
    })
  }
  leave(): void {
    this.worker.terminate()
  }
}

async function once<Act extends ArchiveQuestion['act']>(
  question: Extract<ArchiveQuestion, { act: Act }>,
  progress?: Progress,
  signal?: AbortSignal,
): Promise<ArchiveAnswers[Act]> {
  const work = new ArchiveWork()
  try {
    return await work.ask<Act>(question, progress, signal)
  } finally {
    work.leave()
  }
}

/** An archive in its files, and what could not go into it. */
export interface Exported extends Omit<Written, 'files'> {
  files: { file: Blob; name: string }[]
}

/** The whole workroom as an archive, in several files where its pictures are more than one holds. */
export async function exportArchive(progress?: Progress, signal?: AbortSignal): Promise<Exported> {
  const at = Date.now()
  const room = isDemo ? 'Demo workroom' : 'Workroom'
  const written = await once<'write'>({ act: 'write', name: room, at }, progress, signal)
  const name = `ember-sheet-${new Date(at).toISOString().slice(0, 10)}`
  const { length } = written.files
  if (written.repaired.length) announceImport()
  return {
    ...written,
    files: written.files.map((file, i) => ({
      file,
      name: length > 1 ? `${name}-part-${i + 1}-of-${length}.zip` : `${name}.zip`,
    })),
  }
}

/** Backs the workroom up into a folder, and reads it back. */
export async function backUpIntoFolder(
  folder: FileSystemDirectoryHandle,
  progress?: Progress,
  signal?: AbortSignal,
): Promise<FolderBackup> {
  const name = isDemo ? 'Demo workroom' : 'Workroom'
  const question = { act: 'backUp', folder, name, at: Date.now() } as const
  const backup = await once<'backUp'>(question, progress, signal)
  if (backup.repaired.length) announceImport()
  return backup
}

/** Tries to restore the newest backup of a folder, without changing anything here. */
export const tryRestore = (folder: FileSystemDirectoryHandle): Promise<TrialReport> =>
  once<'tryFolder'>({ act: 'tryFolder', folder })

/** An archive that was read and found sound, compared with what is here; nothing is written yet. */
export interface PreparedImport {
  report: ReadReport
  /**
   * Writes it, all of it or nothing.
   *
   * @param takeTheirs conflicts (see `conflictKey`) in which the archive's record replaces the one here.
   * @returns pictures that a folder of backups should have had and has not.
   */
  finish(takeTheirs: ReadonlySet<string>, progress?: Progress, signal?: AbortSignal): Promise<number>
  leave(): void
}

/**
 * Reads an archive and works out what importing it would do.
 *
 * @throws CoreError for what is wrong with the file.
 */
export const prepareImport = (file: Blob, progress?: Progress, signal?: AbortSignal) =>
  prepared({ act: 'read', file }, progress, signal)

/** Reads the newest backup of a folder, as `prepareImport` reads an archive. */
export const prepareRestore = (
  folder: FileSystemDirectoryHandle,
  progress?: Progress,
  signal?: AbortSignal,
) => prepared({ act: 'readFolder', folder }, progress, signal)

async function prepared(
  question: Extract<ArchiveQuestion, { act: 'read' | 'readFolder' }>,
  progress?: Progress,
  signal?: AbortSignal,
): Promise<PreparedImport> {
  const work = new ArchiveWork()
  try {
    const report = await work.ask<'read' | 'readFolder'>(question, progress, signal)
    return {
      report,
      async finish(takeTheirs, onProgress, onSignal) {
        try {
          const question = { act: 'take', theirs: [...takeTheirs] } as const
          const missingPictures = await work.ask<'take'>(question, onProgress, onSignal)
          announceImport()
          return missingPictures
        } finally {
          work.leave()
        }
      },
      leave: () => work.leave(),
    }
  } catch (error) {
    work.leave()
    throw error
  }
}

/** Looks through everything that is stored. */
export const checkEverything = (
  progress?: Progress,
  signal?: AbortSignal,
): Promise<{ flaws: Flaw[]; looked: number }> => once<'check'>({ act: 'check' }, progress, signal)

/**
 * Repairs what is stored, or sets it aside.
 *
 * @param sheetIds sheets and treatments of which lists are rebuilt from their logs as well.
 * @returns what was changed.
 */
export async function repairEverything(sheetIds: readonly string[] = []): Promise<SalvageNote[]> {
  const notes = await once<'repair'>({ act: 'repair', sheetIds })
  if (notes.length) announceImport()
  return notes
}

/** Empties the workroom. The caller has made sure that this is meant. */
export const clearWorkroom = () => clearRecords(db)
