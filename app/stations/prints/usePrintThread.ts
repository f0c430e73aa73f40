import { computed, ref, useTemplateRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { stepInHand, wordsIdOf } from '@core/run/runState'
import { dueLooks, hungAtOf, placeOf } from '@core/run/place'
import { storyOf } from '@core/run/story'
import type { PrintRecord } from '@core/judge/printRecord'
import { preparationSaid } from '@core/judge/preparation'
import type { UnitChoice } from '@core/quantity/format'
import type { Happening, SheetEvent } from '@core/schema/event'
import type { LookMoment } from '@core/schema/judgement'
import { logOf } from '../../storage/log'
import { addPhoto } from '../../state/actions/photo.actions'
import { useLiveQuery } from '../../state/useLiveQuery'
import { useNow } from '../../state/useNow'
import { useRecording } from '../../state/useRecording'
import { usePictures } from '../../state/usePictures'
import { useWorkroom, type SheetInRoom } from '../../state/workroom.store'
import { useKeyRows } from '../../state/keys.store'
import { useMarginNotes } from '../../state/margin.store'
import { useNotice } from '../../state/notice.store'
import { usePreferences } from '../../state/preferences.store'
import { stationOfSheet } from '../../state/stations'
import type AddPhoto from './parts/AddPhoto.vue'
import { useMaterials } from './useMaterials'
import { setBinned } from '../../state/actions/print.actions'
import { dryDownNote, fadingNote, permanenceNote, settlingNote, settlingOf } from './printNotes'
import { editionSaid, lookWords } from '../../words/printWords'
import { useRoomRecords } from '../../state/useRoomRecords'
import { slipsOf } from '@core/run/timing'
import { belongs, type Trait } from '@core/judge/faultBook'
import { traitsOf } from '@core/judge/traits'
import { permanenceTests } from '@library/permanence'
import { slipLine } from '../../words/bathWords'

/** One print: its pictures, materials, looks and papers, and what can be done with the print. */
export function usePrintThread() {
  const [route, router, workroom, now, notice, preferences] = [
    useRoute(),
    useRouter(),
    useWorkroom(),
    useNow(),
    useNotice(),
    usePreferences(),
  ]
  const id = computed(() => String(route.params.sheetId))
  const one = computed(() => workroom.find(id.value))
  const log = useLiveQuery(() => logOf(id.value), [], [id])
  const story = computed(() => (one.value ? storyOf(id.value, log.value, one.value.definition) : []))
  const pictures = usePictures(() => one.value?.state.photoIds ?? [], 'original')
  const shownPhoto = ref(-1)
  const photo = computed(() => one.value?.state.photoIds.at(shownPhoto.value))
  const writing = ref<'note' | 'aside' | 'measure' | 'test' | 'finish' | 'identity' | 'correct' | null>(null)
  const judging = ref<LookMoment | null>(null)

  /** The look to write down next: the latest that is due, or the nearest to come, which would then be early. */
  const look = computed(() => {
    const looks = one.value ? dueLooks(one.value.state) : []
    const due = looks.findLast((each) => each.dueAt <= now.now) ?? looks[0]
    return due && one.value ? { ...due, words: lookWords(one.value.definition, due.id) } : null
  })
  const lookNow = computed(() => one.value && judging.value && lookWords(one.value.definition, judging.value))
  const hungAt = computed(() => (one.value ? hungAtOf(one.value.state) : null))
  const isWorking = computed(
    () => one.value && ['planned', 'coat', 'light', 'wet'].includes(placeOf(one.value.state)),
  )

  const { recordOf } = useRoomRecords()
  const printRecord = computed(() => recordOf(id.value))
  const materials = useMaterials(() => printRecord.value)

  const { record, undoLast, redoLast, mayRedo } = useRecording(() => id.value)
  async function write(happening: Happening, said: string): Promise<void> {
    if (!(await record(happening, said))) return
    writing.value = null
    judging.value = null
  }
  function corrected(): void {
    writing.value = null
    notice.say('Corrections saved.', undoLast)
  }
  const isAdding = ref(false)
  async function add(files: readonly File[]): Promise<void> {
    isAdding.value = true
    try {
      for (const file of files) await addPhoto(id.value, file)
      shownPhoto.value = -1
    } catch (error) {
      notice.refuse(error, 'adding the photo')
    } finally {
      isAdding.value = false
    }
  }
  const adding = useTemplateRef<InstanceType<typeof AddPhoto>>('adding')
  const beginJudging = () => {
    if (look.value) judging.value = look.value.id
  }
  const goToStation = () =>
    one.value && void router.push({ name: stationOfSheet(one.value.state), params: { sheetId: id.value } })

  /** What is left to do when a print is dry, such as waxing it. */
  const finishing = computed(() => {
    const step = one.value && !one.value.state.setAside ? stepInHand(one.value.state) : null
    const words = step && one.value?.definition.steps.find((each) => each.id === wordsIdOf(step.planned))
    if (!step || !words || step.planned.station !== 'line' || step.planned.kind === 'hang') return null
    const isWaiting = step.status === 'waiting'
    const what: Happening = { type: isWaiting ? 'stepStarted' : 'stepFinished', step: step.planned.id }
    const said = `Sheet ${one.value?.sheet.number}: ${words.title.toLowerCase()}, ${isWaiting ? 'started' : 'done'}.`
    return { label: isWaiting ? words.press.start : words.press.finish, act: () => void record(what, said) }
  })
  /** Names of patches that were read before, so that the same ones are read again. */
  const patches = computed(() => [
    ...new Set(
      one.value?.state.measurements.flatMap((each) =>
        each.readings.filter((reading) => reading.of === 'patch').map((reading) => reading.name),
      ),
    ),
  ])
  /** The sheet this one repeats, and those that repeat it. */
  const kin = computed(() => {
    const after = one.value?.sheet.after
    const before = after ? workroom.find(after) : undefined
    const later = workroom.sheets.filter((each) => each.sheet.after === id.value)
    return [...(before ? [before] : []), ...later].sort((a, b) => a.sheet.number - b.sheet.number)
  })
  const kicker = computed(() => {
    const sheet = one.value?.sheet
    return [`Sheet ${sheet?.number ?? ''}`, sheet?.edition && editionSaid(sheet.edition), sheet?.portfolio]
      .filter(Boolean)
      .join(' · ')
  })
  const kinSaid = (each: SheetInRoom) =>
    each.sheet.id === one.value?.sheet.after
      ? `Reprint of sheet ${each.sheet.number}`
      : `Reprinted as sheet ${each.sheet.number}`
  const inOrder = (each: SheetInRoom) =>
    (each.sheet.number < (one.value?.sheet.number ?? 0)
      ? [each.sheet.id, id.value]
      : [id.value, each.sheet.id]
    ).join(',')
  const units = computed(() => ({ length: preferences.chosen.length, temperature: 'degC' as const }))
  async function giveOut(
    write: (record: PrintRecord, log: readonly SheetEvent[], units: UnitChoice) => Promise<void>,
  ): Promise<void> {
    const record = recordOf(id.value)
    try {
      if (record) await write(record, log.value, units.value)
    } catch (error) {
      notice.refuse(error, 'saving the file')
    }
  }
  async function throwAway(): Promise<void> {
    const layers = workroom.stack(id.value).map((each) => each.sheet.id)
    try {
      await setBinned(layers, true)
      notice.say(`Sheet ${one.value?.sheet.number} moved to the bin.`, () => setBinned(layers, false))
      await router.push({ name: 'prints' })
    } catch (error) {
      notice.refuse(error, 'the bin')
    }
  }
  const diagnose = () => void router.push({ name: 'diagnose', params: { sheetId: id.value } })
  const again = () => void router.push({ name: 'begin', query: { again: id.value } })
  const hasHung = computed(() => hungAt.value !== null && !one.value?.state.setAside)
  /** What the one key does here. */
  const main = computed(
    () => finishing.value ?? (isWorking.value ? { label: 'Continue', act: goToStation } : null),
  )
  const mayDiagnose = computed(() => hungAt.value !== null || !!one.value?.state.setAside)
  const mayLayer = computed(() => hasHung.value && workroom.stack(id.value).at(-1)?.sheet.id === id.value)
  const layOver = () => void router.push({ name: 'begin', query: { over: id.value } })

  useKeyRows('This print', () => [
    ...(finishing.value ? [{ key: ' ', name: finishing.value.label, run: finishing.value.act }] : []),
    ...(mayLayer.value ? [{ key: 'l', name: 'Add another layer', run: layOver }] : []),
    ...(isWorking.value
      ? [{ key: ' ', name: 'Continue with this sheet', run: () => void goToStation() }]
      : []),
    ...(look.value
      ? [{ key: 'j', name: look.value.words?.title ?? 'Judge this print', run: beginJudging }]
      : []),
    { key: 'p', name: 'Add photo', run: () => adding.value?.open() },
    { key: 't', name: 'Add note', run: () => (writing.value = 'note') },
    ...(hasHung.value
      ? [
          { key: 'm', name: 'Measure', run: () => (writing.value = 'measure') },
          { key: 'f', name: 'Permanence test', run: () => (writing.value = 'test') },
          { key: 'i', name: 'Finishing', run: () => (writing.value = 'finish') },
        ]
      : []),
    ...(mayDiagnose.value ? [{ key: 'w', name: 'What went wrong?', run: diagnose }] : []),
    ...(one.value?.state.begunAt ? [{ key: 'r', name: 'Print again', run: again }] : []),
    ...(one.value?.state.begunAt
      ? [{ key: 'c', name: 'Correct the record', run: () => (writing.value = 'correct') }]
      : []),
    { key: 'e', name: 'Title, portfolio, edition', run: () => (writing.value = 'identity') },
    ...(one.value?.state.setAside
      ? []
      : [{ key: 'x', name: 'Set aside', run: () => (writing.value = 'aside') }]),
    { key: 'u', name: 'Undo the last step', run: () => void undoLast() },
    ...(mayRedo.value ? [{ key: 'y', name: 'Redo', run: () => void redoLast() }] : []),
    { key: 'escape', name: 'Back to Prints', run: () => void router.push({ name: 'prints' }) },
  ])
  const stepTitle = (wordsId: string) =>
    one.value?.definition.steps.find((step) => step.id === wordsId)?.title ?? wordsId
  /** Tests of permanence that tell something of a print of this kind. */
  const traits = computed(() =>
    one.value ? traitsOf(one.value.definition, one.value.sheet) : new Set<Trait>(),
  )
  const tests = computed(() => permanenceTests.filter(({ needs }) => belongs(needs, traits.value)))
  const settles = computed(() => (one.value ? settlingOf(one.value, workroom.sheets) : []))
  useMarginNotes(() => {
    const words = lookNow.value ?? look.value?.words
    const early = one.value ? slipsOf(one.value.state, one.value.definition, now.now) : []
    const prepared = (printRecord.value?.preparations ?? []).filter(
      ({ isHalf, missed, slips }) => isHalf || missed.length || slips.length,
    )
    return [
      ...(words ? [{ title: words.title, lines: [words.lookFor, words.why] }] : []),
      ...(early.length || prepared.length
        ? [
            {
              title: 'What to know about this print',
              lines: [
                ...prepared.map((each) => `Paper: ${preparationSaid(each)}`),
                ...early.map((slip) => slipLine(stepTitle(slip.wordsId), slip)),
              ],
              tone: 'caution' as const,
            },
          ]
        : []),
      ...(one.value ? permanenceNote(one.value.state) : []),
      ...(one.value ? settlingNote(one.value, settles.value, now.now) : []),
      ...(one.value ? fadingNote(one.value, now.now) : []),
      ...(one.value && (look.value?.id === 'wet' || writing.value === 'measure')
        ? dryDownNote(one.value, workroom.sheets)
        : []),
      { title: 'Materials', lines: materials.value.map(([name, value]) => `${name}: ${value}`) },
    ]
  })
  return {
    router,
    now,
    id,
    one,
    story,
    pictures,
    shownPhoto,
    photo,
    writing,
    judging,
    look,
    lookNow,
    undoLast,
    log,
    corrected,
    redoLast,
    mayRedo,
    write,
    isAdding,
    add,
    adding,
    beginJudging,
    patches,
    tests,
    traits,
    kin,
    kicker,
    kinSaid,
    inOrder,
    giveOut,
    throwAway,
    diagnose,
    again,
    hasHung,
    main,
    mayDiagnose,
    mayLayer,
    layOver,
  }
}
