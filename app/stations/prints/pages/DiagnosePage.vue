<script setup lang="ts">
import { texts } from '../words'
import ChoiceCard from '../../../kit/ChoiceCard.vue'
import KitButton from '../../../kit/KitButton.vue'
import BigTarget from '../../../kit/BigTarget.vue'
import EmptyPage from '../../../kit/EmptyPage.vue'
import TintedPicture from '../../../kit/TintedPicture.vue'
import CauseList from '../parts/CauseList.vue'
import DiagnosisQuestions from '../parts/DiagnosisQuestions.vue'
import SymptomSwatch from '../parts/SymptomSwatch.vue'
import { useDiagnosePage } from '../useDiagnosePage'

const {
  router,
  one,
  talk,
  current,
  ranked,
  test,
  symptoms,
  confirmedCause,
  picked,
  isPicking,
  opened,
  asked,
  skip,
  answerTo,
  noneOf,
  best,
  testSheet,
  done,
  see,
  toggle,
  plan,
  nameOf,
} = useDiagnosePage()
</script>

<template>
  <EmptyPage
    v-if="!one"
    kicker="Prints"
    title="Sheet not found"
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
      <h2 id="seen">{{ texts.whatDoYouSeeChoose }}</h2>
      <p v-if="!current && talk.judgedAs.value.length" class="es-quiet">
        {{ texts.chosenAsJudged }}
      </p>
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
          :label="picked.length ? `Show likely causes (${picked.length})` : 'Choose what you see'"
          :disabled="!picked.length"
          @press="see"
        />
        <BigTarget v-if="current" quiet label="As it was" @press="isPicking = false" />
      </div>
    </section>

    <template v-else-if="current">
      <p class="DiagnosePage-seen">
        You see: {{ current.symptoms.map(nameOf).join('; ').toLowerCase() }}.
        <KitButton kind="quiet" @click="isPicking = true">edit</KitButton>
      </p>

      <p v-if="confirmedCause" class="DiagnosePage-found" role="status">
        It was: {{ confirmedCause.name.toLowerCase() }}. {{ confirmedCause.cure }}
      </p>
      <DiagnosisQuestions
        v-else
        :asked="asked"
        :untold="talk.untold.value"
        :answers="talk.answers.value"
        @answer="answerTo"
        @skip="skip"
        @forget="done(talk.forget($event), 'Answer removed.')"
      />

      <CauseList
        v-model:opened="opened"
        :causes="ranked"
        :is-settled="confirmedCause !== null"
        :about-of="talk.about"
        @confirm="done(talk.confirm($event), texts.causeConfirmed)"
        @rule-out="done(talk.ruleOut($event), 'Ruled out.')"
        @none="noneOf"
      />

      <section v-if="test && !confirmedCause" class="DiagnosePage-test" aria-labelledby="under-way">
        <h2 id="under-way">In progress: {{ test.name.toLowerCase() }}</h2>
        <p>{{ test.doing }}</p>
        <p v-if="testSheet">
          <RouterLink :to="{ name: 'print', params: { sheetId: testSheet.sheet.id } }">
            Sheet {{ testSheet.sheet.number }} {{ testSheet.sheet.title }}
          </RouterLink>
        </p>
        <p v-if="talk.outcome.value">
          {{
            texts.resultOfTest({
              outcome: talk.outcome.value === 'changed' ? 'without the fault' : 'the same',
              isJudged: !current.test?.outcome,
            })
          }}
        </p>
        <div v-if="!current.test?.outcome" class="DiagnosePage-acts">
          <BigTarget quiet label="The fault is gone" @press="done(talk.cameOut('changed'), 'Saved.')" />
          <BigTarget quiet label="The fault is still there" @press="done(talk.cameOut('same'), 'Saved.')" />
        </div>
      </section>
      <section
        v-if="best && !confirmedCause && (!test || talk.outcome.value)"
        class="DiagnosePage-test"
        aria-labelledby="next"
      >
        <h2 id="next">Best next test: {{ best.test.name.toLowerCase() }}</h2>
        <p>{{ best.test.doing }}</p>
        <p v-if="best.separates">
          {{ texts.testSeparates({ gone: best.separates[0].name, left: best.separates[1].name }) }}
        </p>
        <details>
          <summary>How much it tells</summary>
          <p class="es-quiet">
            {{
              texts.faultGonePointsTo({
                causes: best.cures
                  .slice(0, 3)
                  .map((cause) => cause.name.toLowerCase())
                  .join(', '),
                bits: best.bits.toFixed(2),
              })
            }}
          </p>
        </details>
        <BigTarget label="Plan this sheet" @press="plan" />
      </section>
      <BigTarget plain label="Delete this diagnosis" @press="done(talk.undoLast(), 'Diagnosis deleted.')" />
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

.DiagnosePage-test {
  padding: var(--es-space-5) var(--es-space-6);
  border-left: 3px solid var(--es-line);
  background: var(--es-card);
}

.DiagnosePage-test {
  justify-items: start;
}

summary {
  min-height: 1.5rem;
  color: var(--es-quiet);
  cursor: pointer;
}

.DiagnosePage-found {
  padding-left: var(--es-space-5);
  border-left: 3px solid var(--es-ember);
  font: 400 var(--es-size-lead)/1.4 var(--es-serif);
}
</style>
