<script setup lang="ts">
import KitCheckbox from '../../../kit/KitCheckbox.vue'
import KitButton from '../../../kit/KitButton.vue'
import { digits } from '@core/quantity/format'
import BigTarget from '../../../kit/BigTarget.vue'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import TearingDrawing from '../parts/TearingDrawing.vue'
import { useTearingPage } from '../useTearingPage'

const {
  workroom,
  paperId,
  paper,
  sheetText,
  measured,
  loss,
  rows,
  side,
  stack,
  done,
  asked,
  plan,
  fault,
  isBusy,
  sizeNames,
  tearWords,
  inHand,
  leftOver,
  step,
  write,
} = useTearingPage()
</script>

<template>
  <section class="TearingPage">
    <header>
      <p class="es-kicker">{{ paper?.name ?? 'Paper' }}</p>
      <h1>Tear a sheet</h1>
    </header>
    <div class="TearingPage-both">
      <div class="TearingPage-asked">
        <SelectField
          v-if="workroom.papers.length"
          v-model="paperId"
          label="Paper"
          :options="workroom.papers"
          placeholder="not from the drawer"
          clearable
        />
        <TextField
          v-model="sheetText"
          label="Measured sheet size"
          :placeholder="measured || '22.5 x 30 in'"
          :fault="sheetText || !measured ? asked.faults.sheet : undefined"
        />
        <div v-for="(row, i) in rows" :key="i" class="TearingPage-row">
          <TextField v-model="row.size" :label="`Piece ${i + 1}`" :fault="asked.faults[`row${i}`]" />
          <TextField v-model="row.count" label="Number of pieces" placeholder="all that fit" />
          <KitCheckbox v-model="row.turn" class="TearingPage-turn">may be turned</KitCheckbox>
        </div>
        <p>
          <KitButton kind="quiet" @click="rows.push({ size: '', count: '1', turn: true })">
            Add a size
          </KitButton>
          <KitButton v-if="rows.length > 1" kind="quiet" @click="rows.pop()">Remove a size</KitButton>
        </p>
        <QuantityField
          v-model="loss"
          label="Loss per torn edge"
          placeholder="0 mm"
          :fault="asked.faults.loss"
          dimension="length"
          unit="mm"
        />
        <TextField v-model="stack" label="Sheets torn at once" :fault="asked.faults.stack" />
        <TextField
          v-model="side"
          label="Mark for the printing side"
          :placeholder="paper?.side ?? 'pencil cross'"
        />
      </div>
      <div class="TearingPage-plan">
        <p v-if="fault" role="alert" class="TearingPage-fault">{{ fault.problem }} {{ fault.remedy }}</p>
        <p v-else-if="isBusy && !plan" class="es-quiet">Finding the best way to tear…</p>
        <template v-if="plan && asked.question">
          <p class="TearingPage-sum">
            <strong>{{ plan.pieces.length }} pieces</strong>
            {{ plan.counts.map((count, i) => `${count} of ${sizeNames[i]}`).join(', ') }};
            {{ digits(100 * plan.used) }} % of the sheet
          </p>
          <TearingDrawing :sheet="asked.question.sheet" :plan="plan" :size-names="sizeNames" :up-to="done" />
        </template>
      </div>
      <ol v-if="plan" class="TearingPage-marks" aria-label="Order of tears">
        <li v-for="(tear, i) in plan.tears" :key="i" :class="{ 'is-now': i + 1 === done }">
          <strong>{{ i + 1 }}</strong>
          <span>
            {{ tearWords(tear) }}
            <em class="es-quiet">{{ inHand(tear) }}</em>
          </span>
        </li>
        <li v-if="leftOver.length" class="es-quiet">Left over: {{ leftOver.join(', ') }}</li>
      </ol>
    </div>
    <div class="TearingPage-acts">
      <BigTarget label="Next tear" hint=" " :disabled="!plan || done >= plan.tears.length" @press="step(1)" />
      <BigTarget quiet label="Save torn pieces" :disabled="!plan || !paper" @press="write" />
    </div>
  </section>
</template>

<style scoped>
.TearingPage {
  display: grid;
  gap: var(--es-space-5);
}

.TearingPage-both {
  display: grid;
  grid-template-columns: minmax(190px, 230px) auto minmax(170px, 1fr);
  gap: var(--es-space-3) var(--es-space-7);
}

.TearingPage-row {
  display: grid;
  grid-template-columns: 1.3fr 1fr;
  gap: 0 var(--es-space-5);
}

.TearingPage-turn {
  grid-column: 1 / -1;
  margin-bottom: var(--es-space-3);
  font-size: var(--es-size-small);
}

.TearingPage-sum {
  margin-bottom: var(--es-space-3);
}

.TearingPage-sum strong {
  font-size: var(--es-size-lead);
  font-weight: 400;
}

.TearingPage-marks {
  display: grid;
  gap: var(--es-space-3);
  align-content: start;
  margin: var(--es-space-7) 0 0;
  padding: 0;
  font-size: var(--es-size-body);
  list-style: none;
}

.TearingPage-marks li {
  display: flex;
  gap: var(--es-space-3);
  padding: var(--es-space-1) var(--es-space-3);
  border-left: 3px solid transparent;
}

.TearingPage-marks li.is-now {
  border-color: var(--es-ember);
}

.TearingPage-fault {
  color: var(--es-ember);
}

.TearingPage-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
}

@media (width <= 68.75em) {
  .TearingPage-both {
    grid-template-columns: 1fr;
  }
}
</style>
