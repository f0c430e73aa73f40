<script setup lang="ts">
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import PressCard from '../../../kit/PressCard.vue'
import EmptyPage from '../../../kit/EmptyPage.vue'
import { momentSaid } from '../../../words/moments'
import TintedPicture from '../../../kit/TintedPicture.vue'
import AddPhoto from '../parts/AddPhoto.vue'
import CorrectRecord from '../parts/CorrectRecord.vue'
import FinishPrint from '../parts/FinishPrint.vue'
import JudgePrint from '../parts/JudgePrint.vue'
import LayerStack from '../parts/LayerStack.vue'
import NoteLine from '../parts/NoteLine.vue'
import { downloadBackLabel, downloadPassport, downloadPicture } from '../exportPrint'
import MeasurePrint from '../parts/MeasurePrint.vue'
import PrintActs from '../parts/PrintActs.vue'
import TestPrint from '../parts/TestPrint.vue'
import PrintIdentity from '../parts/PrintIdentity.vue'
import { standingWords } from '../../../words/printWords'
import ThreadStory from '../parts/ThreadStory.vue'
import { usePrintThread } from '../usePrintThread'

const {
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
} = usePrintThread()
</script>

<template>
  <EmptyPage
    v-if="!one"
    kicker="Prints"
    title="Sheet not found"
    action="All prints"
    @act="router.push({ name: 'prints' })"
  >
    <p>{{ texts.sheetOfAnotherWorkroom }}</p>
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
          <img :src="pictures.get(photo)" :alt="`Photo of ${one.sheet.title}`" />
        </TintedPicture>
        <PressCard v-else class="PrintThread-none" @click="adding?.open()">
          No photo yet. Add photo.
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
          @judge="write($event, 'Saved.')"
          @close="judging = null"
        />
        <NoteLine
          v-else-if="writing === 'note'"
          title="Note"
          action="Save note"
          @write="write({ type: 'noted', text: $event }, 'Note saved.')"
          @close="writing = null"
        />
        <NoteLine
          v-else-if="writing === 'aside'"
          title="Reason for setting it aside"
          action="Set aside"
          @write="write({ type: 'setAside', reason: $event }, 'Set aside.')"
          @close="writing = null"
        />
        <MeasurePrint
          v-else-if="writing === 'measure'"
          :moment="look?.id ?? 'later'"
          :patches="patches"
          :photo="photo && pictures.get(photo)"
          @measure="write($event, 'Measurement saved.')"
          @close="writing = null"
        />
        <TestPrint
          v-else-if="writing === 'test'"
          :tests="tests"
          @write="write($event, 'Test saved.')"
          @close="writing = null"
        />
        <FinishPrint
          v-else-if="writing === 'finish'"
          :traits="traits"
          @write="write($event, 'Recorded.')"
          @close="writing = null"
        />
        <CorrectRecord
          v-else-if="writing === 'correct'"
          :sheet-id="id"
          :log="log"
          :definition="one.definition"
          @saved="corrected"
          @close="writing = null"
        />
        <PrintIdentity v-else-if="writing === 'identity'" :sheet="one.sheet" @close="writing = null" />
        <template v-else>
          <ul v-if="kin.length" class="PrintThread-kin">
            <li v-for="each in kin" :key="each.sheet.id">
              <RouterLink :to="{ name: 'print', params: { sheetId: each.sheet.id } }">
                {{ kinSaid(each) }}
              </RouterLink>
              <RouterLink :to="{ name: 'compare', query: { prints: inOrder(each) } }">
                Compare with it
              </RouterLink>
            </li>
          </ul>
          <LayerStack :sheet-id="id" />
          <ThreadStory :lines="story" />
          <p v-if="one.sheet.strip">
            <RouterLink :to="{ name: 'read-strip', params: { sheetId: one.sheet.id } }">
              {{ one.state.stripRead ? 'Test strip result' : 'Read test strip' }}
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
      :look="look && { label: look.words?.title ?? 'Judge print', isDue: look.dueAt <= now.now }"
      :is-adding="isAdding"
      :has-begun="one.state.begunAt !== null"
      :has-hung="hasHung"
      :is-aside="one.state.setAside !== null"
      :has-photo="photo !== undefined"
      :may-diagnose="mayDiagnose"
      :may-layer="mayLayer"
      :has-film="one.sheet.choices.subject !== 'photogram'"
      :may-undo="one.state.last !== null"
      :may-redo="mayRedo"
      @look="beginJudging"
      @photograph="adding?.open()"
      @write="writing = $event"
      @diagnose="diagnose"
      @again="again"
      @layer="layOver"
      @film="router.push({ name: 'negative', query: { sheet: id } })"
      @model="router.push({ name: 'model' })"
      @passport="giveOut(downloadPassport)"
      @label="giveOut(downloadBackLabel)"
      @picture="giveOut(downloadPicture)"
      @bin="throwAway"
      @undo="undoLast"
      @redo="redoLast"
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
  min-height: 15rem;
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
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-5);
}

.PrintThread-kin a {
  padding: var(--es-space-1) 0;
}

@media (width <= 51.25em) {
  .PrintThread-body {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
