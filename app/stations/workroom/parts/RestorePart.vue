<script setup lang="ts">
import FileChoice from '../../../kit/FileChoice.vue'
import { onUnmounted, ref, shallowRef } from 'vue'
import { prepareImport, prepareRestore, type PreparedImport } from '../../../workers/archives'
import { isDemo } from '../../../storage/whichWorkroom'
import type { Progress } from '../../../storage/holdings'
import { useWorkroom } from '../../../state/workroom.store'
import BigTarget from '../../../kit/BigTarget.vue'
import { useNotice } from '../../../state/notice.store'
import { useBackup } from '../../../state/backup.store'
import { counted } from '../../../state/backupWords'
import ImportReport from './ImportReport.vue'

/** Restores from the folder of backups, and imports archives: what they bring is shown before it is written. */
const props = defineProps<{
  isBusy: boolean
  /** Does one long thing at a time. */
  busy: (what: string, work: (progress: Progress, signal: AbortSignal) => Promise<void>) => Promise<void>
}>()
const [notice, backup, workroom] = [useNotice(), useBackup(), useWorkroom()]
const file = ref<InstanceType<typeof FileChoice> | null>(null)
// Shallow: what was read is kept as it is.
const prepared = shallowRef<PreparedImport | null>(null)
let folder: FileSystemDirectoryHandle | null = null

/** Files that were chosen together, as the parts of one archive are, wait for the one before. */
let waiting: File[] = []
function take(chosen: File[]): void {
  leave()
  waiting = chosen.sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }))
  void readNext()
}
function readNext(): Promise<void> | void {
  const [next, ...others] = waiting
  if (!next) return
  return props.busy('Reading the archive…', async (progress, signal) => {
    waiting = []
    prepared.value = await prepareImport(next, progress, signal)
    waiting = others
  })
}

/** One press: in an empty workroom everything comes back at once, in a used one what would come is shown first. */
async function restore(): Promise<void> {
  leave()
  let isEmpty = false
  await props.busy('Reading the backup…', async (progress, signal) => {
    folder = await backup.pick()
    if (!folder) return
    isEmpty = !workroom.everySheet.length && !workroom.bottles.length
    prepared.value = await prepareRestore(folder, progress, signal)
  })
  if (isEmpty && prepared.value && !prepared.value.report.summary.conflicts.length) await finish(new Set())
}

function leave(): void {
  prepared.value?.leave()
  prepared.value = null
  folder = null
}
onUnmounted(() => {
  waiting = []
  leave()
})
function leaveIt(): void {
  leave()
  void readNext()
}
async function finish(takeTheirs: ReadonlySet<string>): Promise<void> {
  let isIn = false
  const from = folder
  await props.busy(from ? 'Restoring…' : 'Importing…', async (progress, signal) => {
    const { value } = prepared
    if (!value) return
    prepared.value = null
    const missing = await value.finish(takeTheirs, progress, signal)
    if (from) await backup.use(from)
    const { notes, summary } = value.report
    const flawed = [
      ...(notes.length ? [` ${counted(notes.length, 'part', 'parts')} could not be read.`] : []),
      ...(missing ? [` Missing in the folder: ${counted(missing, 'picture', 'pictures')}.`] : []),
    ].join('')
    notice.say(
      from
        ? `Restored: ${counted(summary.added.sheets, 'sheet', 'sheets')} and all records.${flawed}`
        : `Imported.${flawed}`,
    )
    isIn = true
  })
  if (isIn) void readNext()
}
defineExpose({ choose: () => file.value?.open() })
</script>

<template>
  <div class="RestorePart">
    <div class="RestorePart-acts">
      <BigTarget
        v-if="backup.canUseFolders && !isDemo"
        quiet
        label="Restore from a folder"
        :disabled="isBusy"
        @press="restore"
      />
      <BigTarget quiet label="Import an archive" hint="i" :disabled="isBusy" @press="file?.open()" />
      <FileChoice ref="file" label="Archive file" accept=".zip,application/zip" multiple @chosen="take" />
    </div>
    <ImportReport v-if="prepared" :report="prepared.report" @finish="finish" @close="leaveIt" />
  </div>
</template>

<style scoped>
.RestorePart {
  display: grid;
  gap: var(--es-space-4);
}

.RestorePart-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
}
</style>
