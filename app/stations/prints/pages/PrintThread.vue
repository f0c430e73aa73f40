<script setup lang="ts">
import KitButton from '../../../kit/KitButton.vue'
import PressCard from '../../../kit/PressCard.vue'
import { computed, ref, useTemplateRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { stepInHand, wordsIdOf } from '@core/run/run'
import { dueLooks, hungAtOf, placeOf } from '@core/run/place'
import { storyOf } from '@core/run/story'
import type { PrintRecord } from '@core/judge/printRecord'
import type { UnitChoice } from '@core/quantity/format'
import type { Happening, SheetEvent } from '@core/schema/event'
import type { LookMoment } from '@core/schema/judgement'
import { logOf } from '../../../storage/log'
import { addPhoto } from '../../../state/actions/photo.actions'
import { useLiveQuery } from '../../../state/useLiveQuery'
import { useNow } from '../../../state/useNow'
import { useRecording } from '../../../state/useRecording'
import { usePictures } from '../../../state/usePictures'
import { useWorkroom, type SheetInRoom } from '../../../state/workroom.store'
import EmptyPage from '../../../kit/EmptyPage.vue'
import { useKeyRows } from '../../../state/keys.store'
import { useMarginNotes } from '../../../state/margin.store'
import { momentSaid } from '../../../words/moments'
import { useNotice } from '../../../state/notice.store'
import { usePreferences } from '../../../state/preferences.store'
import TintedPicture from '../../../kit/TintedPicture.vue'
import { stationOfSheet } from '../../../state/stations'
import AddPhoto from '../parts/AddPhoto.vue'
import JudgePrint from '../parts/JudgePrint.vue'
import LayerStack from '../parts/LayerStack.vue'
import NoteLine from '../parts/NoteLine.vue'
import { downloadBackLabel, downloadPassport, downloadPicture } from '../exportPrint'
import MeasurePrint from '../parts/MeasurePrint.vue'
import { useMaterials } from '../useMaterials'
import PrintActs from '../parts/PrintActs.vue'
import PrintIdentity from '../parts/PrintIdentity.vue'
import { setBinned } from '../../../state/actions/print.actions'
import { dryDownNote, fadingNote, settlingNote, settlingOf } from '../printNotes'
import { editionSaid, lookWords, standingWords } from '../../../words/printWords'
import { useRoomRecords } from '../../../state/useRoomRecords'
import { slipsOf } from '@core/run/timing'
import { slipLine } from '../../../words/bathWords'
import ThreadStory from '../parts/ThreadStory.vue'

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
const writing = ref<'note' | 'aside' | 'measure' | 'identity' | null>(null)
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

const materials = useMaterials(
  () => one.value,
  () => id.value,
)

const { record, takeBack } = useRecording(() => id.value)
async function write(happening: Happening, said: string): Promise<void> {
  if (!(await record(happening, said))) return
  writing.value = null
  judging.value = null
}
const isAdding = ref(false)
async function add(files: readonly File[]): Promise<void> {
  isAdding.value = true
  try {
    for (const file of files) await addPhoto(id.value, file)
    shownPhoto.value = -1
  } catch (error) {
    notice.refuse(error, 'adding the photograph')
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
  const said = `Sheet ${one.value?.sheet.number}: ${words.title.toLowerCase()}, ${isWaiting ? 'begun' : 'done'}.`
  return { label: isWaiting ? words.press.start : words.press.finish, act: () => void record(what, said) }
})
const { recordOf } = useRoomRecords()
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
    ? `Repeats sheet ${each.sheet.number}`
    : `Printed again as sheet ${each.sheet.number}`
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
    notice.refuse(error, 'writing the file')
  }
}
async function throwAway(): Promise<void> {
  const layers = workroom.stack(id.value).map((each) => each.sheet.id)
  try {
    await setBinned(layers, true)
    notice.say(`Sheet ${one.value?.sheet.number} is in the bin.`, () => setBinned(layers, false))
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
  () => finishing.value ?? (isWorking.value ? { label: 'Go on with it', act: goToStation } : null),
)
const mayDiagnose = computed(() => hungAt.value !== null || !!one.value?.state.setAside)
const mayLayer = computed(() => hasHung.value && workroom.stack(id.value).at(-1)?.sheet.id === id.value)
const layOver = () => void router.push({ name: 'begin', query: { over: id.value } })

useKeyRows('This print', () => [
  ...(finishing.value ? [{ key: ' ', name: finishing.value.label, run: finishing.value.act }] : []),
  ...(mayLayer.value ? [{ key: 'l', name: 'Lay another layer over it', run: layOver }] : []),
  ...(isWorking.value ? [{ key: ' ', name: 'Go on with this sheet', run: () => void goToStation() }] : []),
  ...(look.value ? [{ key: 'j', name: look.value.words?.title ?? 'Judge it', run: beginJudging }] : []),
  { key: 'p', name: 'Add a photograph', run: () => adding.value?.open() },
  { key: 't', name: 'Write a note', run: () => (writing.value = 'note') },
  ...(hasHung.value ? [{ key: 'm', name: 'Measure it', run: () => (writing.value = 'measure') }] : []),
  ...(mayDiagnose.value ? [{ key: 'w', name: 'What went wrong?', run: diagnose }] : []),
  ...(one.value?.state.begunAt ? [{ key: 'r', name: 'Print this again', run: again }] : []),
  { key: 'e', name: 'Title, portfolio, edition', run: () => (writing.value = 'identity') },
  ...(one.value?.state.setAside
    ? []
    : [{ key: 'x', name: 'Set it aside', run: () => (writing.value = 'aside') }]),
  { key: 'u', name: 'Undo the last thing', run: () => void takeBack() },
  { key: 'escape', name: 'Back to the line', run: () => void router.push({ name: 'prints' }) },
])
const stepTitle = (wordsId: string) =>
  one.value?.definition.steps.find((step) => step.id === wordsId)?.title ?? wordsId
const settles = computed(() => (one.value ? settlingOf(one.value, workroom.sheets) : []))
useMarginNotes(() => {
  const words = lookNow.value ?? look.value?.words
  const early = one.value ? slipsOf(one.value.state, one.value.definition, now.now) : []
  return [
    ...(words ? [{ title: words.title, lines: [words.lookFor, words.why] }] : []),
    ...(early.length
      ? [
          {
            title: 'As it happened',
            lines: early.map((slip) => slipLine(stepTitle(slip.wordsId), slip)),
            tone: 'caution' as const,
          },
        ]
      : []),
    ...(one.value ? settlingNote(one.value, settles.value, now.now) : []),
    ...(one.value ? fadingNote(one.value, now.now) : []),
    ...(one.value && (look.value?.id === 'wet' || writing.value === 'measure')
      ? dryDownNote(one.value, workroom.sheets)
      : []),
    { title: 'What it was made with', lines: materials.value.map(([name, value]) => `${name}: ${value}`) },
  ]
})
</script>

<template>
  <EmptyPage
    v-if="!one"
    kicker="Not on the line"
    title="No such sheet hangs here"
    action="All prints"
    @act="router.push({ name: 'prints' })"
  >
    <p>It may belong to another workroom. Import its archive, or look through all prints.</p>
  </EmptyPage>

  <div v-else class="PrintThread">
    <header>
      <p class="es-kicker">{{ kicker }}</p>
      <h1>{{ one.sheet.title }}</h1>
      <p class="es-quiet">{{ one.definition.name }}, {{ standingWords(one, now.now) }}</p>
    </header>

    <div class="PrintThread-body">
      <div class="PrintThread-picture">
        <TintedPicture v-if="photo && pictures.get(photo)" class="PrintThread-sheet">
          <img :src="pictures.get(photo)" :alt="`Photograph of ${one.sheet.title}`" />
        </TintedPicture>
        <PressCard v-else class="PrintThread-none" @click="adding?.open()">
          No photograph yet. Add photo.
        </PressCard>
        <div v-if="one.state.photoIds.length > 1" class="PrintThread-photos">
          <KitButton
            v-for="(photoId, index) in one.state.photoIds"
            :key="photoId"
            :aria-pressed="photoId === photo"
            @click="shownPhoto = index"
          >
            {{ index + 1 }}
          </KitButton>
        </div>
        <AddPhoto ref="adding" @add="add" />
      </div>

      <div class="PrintThread-side">
        <JudgePrint
          v-if="judging && lookNow"
          :look="lookNow"
          :is-early="look !== null && look.id === lookNow.id && now.now < look.dueAt"
          @judge="write($event, 'Written down.')"
          @close="judging = null"
        />
        <NoteLine
          v-else-if="writing === 'note'"
          title="A note"
          action="Write it down"
          @write="write({ type: 'noted', text: $event }, 'Noted.')"
          @close="writing = null"
        />
        <NoteLine
          v-else-if="writing === 'aside'"
          title="Set it aside: what went wrong?"
          action="Set it aside"
          @write="write({ type: 'setAside', reason: $event }, 'Set aside.')"
          @close="writing = null"
        />
        <MeasurePrint
          v-else-if="writing === 'measure'"
          :moment="look?.id ?? 'later'"
          :patches="patches"
          :photo="photo && pictures.get(photo)"
          @measure="write($event, 'Measured.')"
          @close="writing = null"
        />
        <PrintIdentity v-else-if="writing === 'identity'" :sheet="one.sheet" @close="writing = null" />
        <template v-else>
          <ul v-if="kin.length" class="PrintThread-kin">
            <li v-for="each in kin" :key="each.sheet.id">
              <RouterLink :to="{ name: 'print', params: { sheetId: each.sheet.id } }">
                {{ kinSaid(each) }}
              </RouterLink>
              <RouterLink :to="{ name: 'compare', query: { prints: inOrder(each) } }">compare</RouterLink>
            </li>
          </ul>
          <LayerStack :sheet-id="id" />
          <ThreadStory :lines="story" />
          <p v-if="one.sheet.strip">
            <RouterLink :to="{ name: 'read-strip', params: { sheetId: one.sheet.id } }">
              {{ one.state.stripRead ? 'What this strip said' : 'Read this strip' }}
            </RouterLink>
          </p>
          <p v-if="look?.words && look.dueAt > now.now" class="es-quiet">
            {{ look.words.title }} due {{ momentSaid(look.dueAt, now.now) }}.
          </p>
        </template>
      </div>
    </div>

    <PrintActs
      v-if="!judging && !writing"
      :main="main"
      :look="look && { label: look.words?.title ?? 'Judge it', isDue: look.dueAt <= now.now }"
      :is-adding="isAdding"
      :has-begun="one.state.begunAt !== null"
      :has-hung="hasHung"
      :is-aside="one.state.setAside !== null"
      :has-photo="photo !== undefined"
      :may-diagnose="mayDiagnose"
      :may-layer="mayLayer"
      :may-undo="one.state.last !== null"
      @look="beginJudging"
      @photograph="adding?.open()"
      @write="writing = $event"
      @diagnose="diagnose"
      @again="again"
      @layer="layOver"
      @passport="giveOut(downloadPassport)"
      @label="giveOut(downloadBackLabel)"
      @picture="giveOut(downloadPicture)"
      @bin="throwAway"
      @undo="takeBack"
    />
  </div>
</template>

<style scoped>
.PrintThread {
  display: grid;
  gap: var(--es-space-5);
}

.PrintThread-body {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
  gap: var(--es-space-7);
}

.PrintThread-sheet {
  padding: var(--es-space-5);
  box-shadow: var(--es-shadow);
}

.PrintThread-sheet img {
  display: block;
  width: 100%;
  max-height: 470px;
  object-fit: contain;
}

.PrintThread-none {
  width: 100%;
  min-height: 240px;
  border: 1px dashed var(--es-line);
  background: none;
  color: var(--es-quiet);
  cursor: pointer;
}

.PrintThread-photos {
  display: flex;
  gap: var(--es-space-3);
  margin-top: var(--es-space-3);
}

.PrintThread-kin {
  margin: 0 0 var(--es-space-4);
  padding: 0;
  list-style: none;
}

.PrintThread-kin li {
  display: flex;
  gap: var(--es-space-5);
}

@media (width <= 820px) {
  .PrintThread-body {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
