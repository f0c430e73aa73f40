<script setup lang="ts">
import ChoiceCard from '../../../kit/ChoiceCard.vue'
import KitButton from '../../../kit/KitButton.vue'
import PressCard from '../../../kit/PressCard.vue'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { RankedCause } from '@core/judge/diagnosis'
import { faults } from '@library/index'
import { useWorkroom } from '../../../state/workroom.store'
import BigTarget from '../../../kit/BigTarget.vue'
import EmptyPage from '../../../kit/EmptyPage.vue'
import { useKeyRows } from '../../../state/keys.store'
import { useMarginNotes } from '../../../state/margin.store'
import { useNotice } from '../../../state/notice.store'
import TintedPicture from '../../../kit/TintedPicture.vue'
import { beginDiagnosis } from '../../../state/actions/print.actions'
import SymptomSwatch from '../parts/SymptomSwatch.vue'
import { useDiagnosis } from '../useDiagnosis'

/** A talk with a print about what went wrong: what is seen, what its record knows, what it asks, what to try next. */
const [route, router, workroom, notice] = [useRoute(), useRouter(), useWorkroom(), useNotice()]
const sheetId = computed(() => String(route.params.sheetId))
const one = computed(() => workroom.find(sheetId.value))
const talk = useDiagnosis(() => sheetId.value)
const { current, ranked, questions, tests, test, symptoms, recorded, confirmed, confirmedCause } = talk

const picked = ref<string[]>([])
const isPicking = ref(false)
watch(
  [current, talk.isReady],
  () => {
    if (!talk.isReady.value) return
    picked.value = [...(current.value?.symptoms ?? [])]
    isPicking.value = current.value === null
  },
  { immediate: true },
)
const SHOWN = 4
const showsAll = ref(false)
const shown = computed(() => ranked.value.slice(0, showsAll.value ? 12 : SHOWN))
const opened = ref<string | null>(null)
watch(ranked, ([first]) => (opened.value ??= first?.cause.id ?? null), { immediate: true })
const question = computed(() => questions.value[0] ?? null)
const best = computed(() => tests.value[0] ?? null)
const testSheet = computed(() => {
  const id = current.value?.test?.sheetId
  return id ? workroom.find(id) : undefined
})

/** Every step of the talk can be taken back. */
async function done(work: Promise<() => Promise<void>>, said: string): Promise<void> {
  try {
    const back = await work
    notice.say(said, back)
  } catch (error) {
    notice.refuse(error, 'the diagnosis')
  }
}
async function see(): Promise<void> {
  if (!picked.value.length) return
  if (current.value) await done(talk.see([...picked.value]), 'Seen.')
  else
    try {
      await beginDiagnosis(sheetId.value, [...picked.value])
    } catch (error) {
      notice.refuse(error, 'the diagnosis')
    }
  isPicking.value = false
}
const toggle = (id: string) => {
  picked.value = picked.value.includes(id)
    ? picked.value.filter((each) => each !== id)
    : [...picked.value, id]
}
/** The next sheet, with the one thing changed. */
function plan(): void {
  if (!best.value || !current.value) return
  void router.push({
    name: 'begin',
    query: { again: sheetId.value, diagnosis: current.value.id, test: best.value.test.id },
  })
}
const share = ({ probability }: RankedCause) =>
  probability < 0.005 ? 'under 1 in 100' : `${Math.round(100 * probability)} in 100`
const times = (ratio: number) =>
  ratio >= 1
    ? `${ratio >= 9.5 ? Math.round(ratio) : ratio.toFixed(1)} times likelier`
    : `${1 / ratio >= 9.5 ? Math.round(1 / ratio) : (1 / ratio).toFixed(1)} times less likely`
const nameOf = (id: string) => faults.symptoms.find((each) => each.id === id)?.name ?? id

useKeyRows('What went wrong', () => [
  ...(question.value && !isPicking.value
    ? [
        { key: 'y', name: 'Yes', run: () => answer('yes') },
        { key: 'x', name: 'No', run: () => answer('no') },
      ]
    : []),
  { key: 'escape', name: 'Back to the print', run: () => void router.push({ name: 'print', params: { sheetId: sheetId.value } }) },
]) // prettier-ignore
const answer = (said: 'yes' | 'no') =>
  question.value && void done(talk.answer(question.value.id, said), `Answered: ${said}.`)

useMarginNotes(() => [
  {
    title: 'What its record says',
    lines: recorded.value.filter((fact) => fact.is).length
      ? recorded.value.filter((fact) => fact.is).map((fact) => fact.said)
      : ['Nothing in it is known for faults; what was not written down cannot speak.'],
    tone: recorded.value.some((fact) => fact.is) ? 'caution' : 'plain',
  },
  {
    title: 'In order',
    lines: [...new Set(recorded.value.filter((fact) => !fact.is).map((fact) => fact.said))].slice(0, 8),
  },
  {
    title: 'How it weighs',
    lines: [
      'Each cause begins with how often it is the cause at all. What is seen and known then makes it so many times likelier, or less likely.',
      `${faults.source}.`,
      confirmed.value.length
        ? `${confirmed.value.length} of your own confirmed cases have moved the beginnings.`
        : 'What you confirm moves the beginnings for your prints.',
    ],
  },
])
</script>

<template>
  <EmptyPage
    v-if="!one"
    kicker="Not on the line"
    title="No such sheet hangs here"
    action="All prints"
    @act="router.push({ name: 'prints' })"
  >
    <p>It may belong to another workroom.</p>
  </EmptyPage>

  <div v-else class="DiagnosePage">
    <header>
      <p class="es-kicker">Sheet {{ one.sheet.number }} · {{ one.sheet.title }}</p>
      <h1>What went wrong?</h1>
    </header>

    <section v-if="isPicking" aria-labelledby="seen">
      <h2 id="seen">What do you see? Pick all of it.</h2>
      <ul class="DiagnosePage-symptoms">
        <li v-for="symptom in symptoms" :key="symptom.id">
          <ChoiceCard :picked="picked.includes(symptom.id)" @pick="toggle(symptom.id)">
            <TintedPicture>
              <SymptomSwatch :drawing="symptom.drawing" :colour="symptom.colour" />
            </TintedPicture>
            <strong>{{ symptom.name }}</strong>
            <span>{{ symptom.looks }}</span>
          </ChoiceCard>
        </li>
      </ul>
      <div class="DiagnosePage-acts is-low">
        <BigTarget
          :label="picked.length ? `That is what I see (${picked.length})` : 'Pick what you see'"
          :disabled="!picked.length"
          @press="see"
        />
        <BigTarget v-if="current" quiet label="As it was" @press="isPicking = false" />
      </div>
    </section>

    <template v-else-if="current">
      <p class="DiagnosePage-seen">
        You see: {{ current.symptoms.map(nameOf).join('; ').toLowerCase() }}.
        <KitButton kind="link" @click="isPicking = true">look again</KitButton>
      </p>

      <p v-if="confirmedCause" class="DiagnosePage-found" role="status">
        It was: {{ confirmedCause.name.toLowerCase() }}. {{ confirmedCause.mend }}
      </p>
      <section v-else-if="question" class="DiagnosePage-question" aria-labelledby="asks">
        <h2 id="asks">{{ question.ask }}</h2>
        <div class="DiagnosePage-acts">
          <BigTarget quiet label="Yes" hint="y" @press="answer('yes')" />
          <BigTarget quiet label="No" hint="x" @press="answer('no')" />
          <span class="es-quiet">Leave it where you do not know.</span>
        </div>
      </section>

      <section aria-labelledby="causes">
        <h2 id="causes">Likely causes</h2>
        <ol>
          <li v-for="each in shown" :key="each.cause.id" :class="{ 'is-open': opened === each.cause.id }">
            <PressCard
              class="DiagnosePage-cause"
              :aria-expanded="opened === each.cause.id"
              @click="opened = opened === each.cause.id ? null : each.cause.id"
            >
              <span>{{ each.cause.name }}</span>
              <span class="es-quiet">{{ share(each) }}</span>
              <span class="DiagnosePage-bar" :style="{ width: `${100 * each.probability}%` }" />
            </PressCard>
            <div v-if="opened === each.cause.id" class="DiagnosePage-why">
              <p>{{ each.cause.why }}</p>
              <ul v-if="each.for.length" aria-label="Speaks for it">
                <li v-for="line in each.for.slice(0, 5)" :key="line.said">
                  <span aria-hidden="true">+</span>
                  {{ line.said }}
                  <span class="es-quiet">{{ times(line.ratio) }}</span>
                </li>
              </ul>
              <ul v-if="each.against.length" aria-label="Speaks against it">
                <li v-for="line in each.against.slice(0, 4)" :key="line.said">
                  <span aria-hidden="true">−</span>
                  {{ line.said }}
                  <span class="es-quiet">{{ times(line.ratio) }}</span>
                </li>
              </ul>
              <p v-if="each.own.confirmed" class="es-quiet">
                It was the cause in {{ each.own.confirmed }} of your own prints: its beginning counts
                {{ each.own.factor.toFixed(2) }} times the book’s.
              </p>
              <p>
                <strong>To mend it:</strong>
                {{ each.cause.mend }}
              </p>
              <div v-if="!confirmedCause" class="DiagnosePage-acts">
                <BigTarget
                  quiet
                  label="That was it"
                  @press="done(talk.confirm(each.cause.id), 'Written down: it counts for later prints.')"
                />
                <BigTarget
                  plain
                  label="Not this one"
                  @press="done(talk.ruleOut(each.cause.id), 'Ruled out.')"
                />
              </div>
            </div>
          </li>
        </ol>
        <BigTarget
          v-if="!showsAll && ranked.length > SHOWN"
          plain
          label="Further causes"
          @press="showsAll = true"
        />
      </section>

      <section v-if="test && !confirmedCause" class="DiagnosePage-test" aria-labelledby="under-way">
        <h2 id="under-way">Under way: {{ test.name.toLowerCase() }}</h2>
        <p>{{ test.doing }}</p>
        <p v-if="testSheet">
          <RouterLink :to="{ name: 'print', params: { sheetId: testSheet.sheet.id } }">
            Sheet {{ testSheet.sheet.number }} {{ testSheet.sheet.title }}
          </RouterLink>
        </p>
        <div v-if="!current.test?.outcome" class="DiagnosePage-acts">
          <BigTarget
            quiet
            label="The fault is gone"
            @press="done(talk.cameOut('changed'), 'Written down.')"
          />
          <BigTarget quiet label="It is the same" @press="done(talk.cameOut('same'), 'Written down.')" />
        </div>
        <p v-else class="es-quiet">
          It came out {{ current.test.outcome === 'changed' ? 'without the fault' : 'the same' }}; the causes
          above count that.
        </p>
      </section>
      <section
        v-if="best && !confirmedCause && (!test || current.test?.outcome)"
        class="DiagnosePage-test"
        aria-labelledby="next"
      >
        <h2 id="next">What would tell most: {{ best.test.name.toLowerCase() }}</h2>
        <p>{{ best.test.doing }}</p>
        <p class="es-quiet">
          If the fault is gone then, it points to
          {{
            best.mends
              .slice(0, 3)
              .map((cause) => cause.name.toLowerCase())
              .join(', ')
          }}. Expected to tell {{ best.bits.toFixed(2) }} bits.
        </p>
        <BigTarget label="Plan this sheet" @press="plan" />
      </section>
      <BigTarget plain label="Forget this diagnosis" @press="done(talk.takeBack(), 'Forgotten.')" />
    </template>
  </div>
</template>

<style scoped>
.DiagnosePage {
  display: grid;
  gap: var(--es-space-6);
  justify-items: start;
}

section {
  display: grid;
  gap: var(--es-space-3);
  width: 100%;
}

.DiagnosePage-symptoms {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: var(--es-space-5);
  margin: 0;
  padding: 0;
  list-style: none;
}

.DiagnosePage-symptoms label {
  position: relative;
  display: grid;
  gap: var(--es-space-2);
  align-content: start;
  height: 100%;
  padding: var(--es-space-3);
  border: 1px solid var(--es-rule);
  cursor: pointer;
  font-size: var(--es-size-small);
}

.DiagnosePage-symptoms .is-picked {
  border-color: var(--es-ember);
  box-shadow: inset 0 0 0 2px var(--es-ember);
}

.DiagnosePage-symptoms :deep(input) {
  position: absolute;
  top: 14px;
  right: 8px;
  z-index: 1;
  background: var(--es-page);
}

.DiagnosePage-symptoms :deep(input:checked) {
  background: var(--es-ember);
}

.DiagnosePage-symptoms strong {
  font: 500 var(--es-size-lead)/1.2 var(--es-serif);
}

.DiagnosePage-symptoms span {
  color: var(--es-quiet);
}

.DiagnosePage-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
  align-items: center;
}

.DiagnosePage-acts.is-low {
  position: sticky;
  bottom: var(--es-bar-bottom);
  z-index: 2;
  padding: var(--es-space-3) 0 var(--es-space-5);
  background: var(--es-page);
}

.DiagnosePage-question,
.DiagnosePage-test {
  padding: var(--es-space-5) var(--es-space-6);
  border-left: 3px solid var(--es-line);
  background: var(--es-card);
}

.DiagnosePage-test {
  justify-items: start;
}

.DiagnosePage-found {
  padding-left: var(--es-space-5);
  border-left: 3px solid var(--es-ember);
  font: 400 var(--es-size-lead)/1.4 var(--es-serif);
}

ol {
  width: 100%;
  margin: 0;
  padding: 0;
  list-style: none;
}

.DiagnosePage-cause {
  position: relative;
  display: flex;
  gap: var(--es-space-5);
  justify-content: space-between;
  width: 100%;
  min-height: 48px;
  padding: var(--es-space-4) var(--es-space-2);
  border: 0;
  border-bottom: 1px solid var(--es-rule);
  background: none;
  cursor: pointer;
  font-size: var(--es-size-lead);
  text-align: left;
}

.DiagnosePage-bar {
  position: absolute;
  bottom: -2px;
  left: 0;
  height: 3px;
  background: var(--es-ember);
}

.DiagnosePage-why {
  display: grid;
  gap: var(--es-space-3);
  padding: var(--es-space-4) var(--es-space-2) var(--es-space-5);
}

.DiagnosePage-why ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
