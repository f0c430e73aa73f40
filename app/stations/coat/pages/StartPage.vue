<script setup lang="ts">
import ChoiceCard from '../../../kit/ChoiceCard.vue'
import { digits } from '@core/quantity/format'
import { processes } from '@library/index'
import { hasServer } from '../../../storage/server'
import { goToWorkroom } from '../../../storage/whichWorkroom'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import MakeIt from '../../../kit/MakeIt.vue'
import TintedPicture from '../../../kit/TintedPicture.vue'
import { useStartPage } from '../useStartPage'
import { texts } from '../words'

const {
  workroom,
  FIRST,
  processId,
  others,
  lightChoice,
  lightOptions,
  subject,
  SUBJECTS,
  title,
  size,
  paperName,
  reading,
  guess,
  guessSaid,
  weight,
  WEIGHTS,
  knownPaper,
  wash,
  washSaid,
  needs,
  begin,
} = useStartPage()
</script>

<template>
  <div class="StartPage">
    <header>
      <p class="es-kicker">Your first print</p>
      <h1>What do you want to make?</h1>
    </header>
    <ul class="StartPage-processes">
      <li v-for="one in FIRST" :key="one.id">
        <ChoiceCard kind="radio" name="process" :picked="processId === one.id" @pick="processId = one.id">
          <TintedPicture class="StartPage-swatch" aria-hidden="true">
            <i
              v-for="shade in [
                processes[one.id]?.colours.dryCoat,
                processes[one.id]?.colours.exposed,
                processes[one.id]?.colours.print,
              ]"
              :key="shade"
              :style="{ background: shade }"
            />
          </TintedPicture>
          <strong>{{ processes[one.id]?.name }}</strong>
          <span>{{ one.says }}</span>
        </ChoiceCard>
      </li>
    </ul>
    <SelectField v-model="processId" label="Or choose another process" :options="others" />
    <ChoiceRow v-model="subject" label="Printed from" :options="SUBJECTS" />
    <ChoiceRow v-model="lightChoice" label="Light" :options="lightOptions" />
    <div class="StartPage-fields">
      <TextField v-model="size" label="Size" :fault="reading.faults.size" />
      <TextField
        v-model="paperName"
        label="Paper (optional)"
        :options="workroom.papers.map((one) => one.name)"
      />
      <SelectField
        v-if="wash && !knownPaper?.gramsPerM2"
        v-model="weight"
        label="Weight of the paper"
        :options="WEIGHTS"
      />
      <TextField v-model="title" label="Title" placeholder="First print" />
    </div>
    <section aria-labelledby="takes">
      <h2 id="takes">What you need</h2>
      <ul class="StartPage-takes">
        <li v-for="need in needs" :key="`${need.use}${need.id}`">
          {{ need.name }}, {{ digits(need.millilitres, 2) }}&nbsp;ml
          <span class="es-quiet">{{ need.use === 'coat' ? 'coated' : 'in a tray' }}</span>
          <MakeIt :need="need" returns />
        </li>
        <li>
          {{ guessSaid }}
          <span v-if="guess.seconds.working.leavesOut" class="es-quiet">
            {{ texts.guessLeavesOut({ what: guess.seconds.working.leavesOut }) }}
          </span>
        </li>
        <li v-if="washSaid">{{ washSaid }}</li>
      </ul>
      <p class="es-quiet">
        {{ texts.makeOrAdd }}
        <RouterLink :to="{ name: 'take-in', query: { back: '/start' } }">Add a kit or a bottle</RouterLink>
      </p>
    </section>
    <div class="StartPage-acts">
      <BigTarget label="Plan this sheet" @press="begin" />
      <BigTarget v-if="hasServer" quiet label="Look at the demo first" @press="goToWorkroom('demo')" />
    </div>
  </div>
</template>

<style scoped>
.StartPage {
  display: grid;
  gap: var(--es-space-5);
}

.StartPage-processes {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: var(--es-space-5);
  margin: 0;
  padding: 0;
  list-style: none;
}

.StartPage-processes label {
  display: grid;
  gap: var(--es-space-3);
  align-content: start;
  height: 100%;
  padding: var(--es-space-4);
  border: 1px solid var(--es-rule);
  cursor: pointer;
}

.StartPage-processes .is-picked {
  border-color: var(--es-ink);
  box-shadow: inset 0 -4px 0 var(--es-ember);
}

.StartPage-processes label:focus-within {
  outline: 2px solid var(--es-ember);
  outline-offset: 2px;
}

.StartPage-processes strong {
  font: 500 var(--es-size-lead)/1.1 var(--es-serif);
}

.StartPage-processes label > span:last-child {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

.StartPage-swatch {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  height: 34px;
}

.StartPage-fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
  gap: 0 var(--es-space-6);
}

.StartPage-takes {
  columns: 2;
  margin: var(--es-space-3) 0;
  padding-left: var(--es-space-5);
}

.StartPage :deep(.SelectField) {
  max-width: 18.75rem;
}

/* In sight however small the window. */
.StartPage-acts {
  position: sticky;
  bottom: var(--es-bar-bottom);
  z-index: 2;
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
  padding: var(--es-space-3) 0 var(--es-space-5);
  background: var(--es-page);
}
</style>
