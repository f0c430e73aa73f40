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
import KitButton from '../../../kit/KitButton.vue'
import MakeIt from '../../../kit/MakeIt.vue'
import TintedPicture from '../../../kit/TintedPicture.vue'
import { useStartPage } from '../useStartPage'

const {
  FIRST,
  processId,
  others,
  lightChoice,
  lightOptions,
  subject,
  SUBJECTS,
  hasSubjects,
  says,
  have,
  HAVE,
  title,
  size,
  paperName,
  papers,
  reading,
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
      <div>
        <p class="es-kicker">Your first print</p>
        <h1>What do you want to make?</h1>
      </div>
      <BigTarget label="Plan this sheet" @press="begin" />
    </header>
    <div class="StartPage-process">
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
          </ChoiceCard>
        </li>
      </ul>
      <SelectField v-model="processId" label="Or another process" :options="others" />
      <p class="es-quiet">{{ says }}</p>
    </div>
    <div class="StartPage-choices">
      <ChoiceRow v-if="hasSubjects" v-model="subject" label="Printed from" :options="SUBJECTS" />
      <ChoiceRow v-model="lightChoice" label="Light" :options="lightOptions" />
      <ChoiceRow v-model="have" label="Its solutions" :options="HAVE" />
    </div>
    <div class="StartPage-fields">
      <TextField v-model="size" label="Size" :fault="reading.faults.size" />
      <TextField v-model="paperName" label="Paper (optional)" :options="papers" />
      <SelectField
        v-if="wash && !knownPaper?.gramsPerM2"
        v-model="weight"
        label="Weight of the paper"
        placeholder="Not known"
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
          &nbsp;
          <MakeIt :need="need" returns />
        </li>
        <li>{{ guessSaid }}</li>
        <li v-if="washSaid">{{ washSaid }}</li>
      </ul>
      <p class="es-quiet">
        Make what is missing, or
        <RouterLink :to="{ name: 'take-in', query: { back: '/start' } }">add a kit or a bottle</RouterLink>
        <template v-if="hasServer">
          ·
          <KitButton kind="quiet" @click="goToWorkroom('demo')">Look at the demo first</KitButton>
        </template>
      </p>
    </section>
  </div>
</template>

<style scoped>
.StartPage {
  display: grid;
  gap: var(--es-space-3);
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-5);
  align-items: center;
  justify-content: space-between;
}

.StartPage-process {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(9rem, 1fr);
  gap: var(--es-space-2) var(--es-space-5);
}

.StartPage-processes {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(6.5rem, 1fr));
  gap: var(--es-space-3);
  margin: 0;
  padding: 0;
  list-style: none;
}

.StartPage-processes label {
  display: grid;
  gap: var(--es-space-2);
  align-content: start;
  height: 100%;
  padding: var(--es-space-3);
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
  font: 500 var(--es-size-body)/1.1 var(--es-serif);
}

.StartPage-process p {
  grid-column: 1 / -1;
  font-size: var(--es-size-small);
}

.StartPage-swatch {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  height: 20px;
}

.StartPage-choices {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-6);
}

.StartPage-fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  gap: 0 var(--es-space-6);
}

.StartPage-takes {
  columns: 2;
  margin: var(--es-space-2) 0;
  padding-left: var(--es-space-5);
}

.StartPage-takes li {
  break-inside: avoid;
}

.StartPage :deep(.SelectField) {
  max-width: 18.75rem;
}
</style>
