<script setup lang="ts">
import { useRoute } from 'vue-router'
import { texts } from '../words'
import EnterSubmits from '../../../kit/EnterSubmits.vue'
import { formatSpan } from '@core/quantity/format'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import KitButton from '../../../kit/KitButton.vue'
import MakeIt from '../../../kit/MakeIt.vue'
import FigureValue from '../../../kit/FigureValue.vue'
import TryFirst from '../../../kit/TryFirst.vue'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import CoatFigures from '../parts/CoatFigures.vue'
import MoreSettings from '../parts/MoreSettings.vue'
import SaltBalance from '../parts/SaltBalance.vue'
import { arePlans } from '../useMixPlans'
import { useBeginSheet } from '../useBeginSheet'

const {
  workroom,
  preferences,
  changing,
  under,
  processId,
  definition,
  mainChoices,
  habits,
  draft,
  faults,
  coverage,
  dropper,
  light,
  exposure,
  fromBase,
  exposureNote,
  wasKept,
  startOver,
  needs,
  save,
  plans,
  balance,
  processOptions,
  lightOptions,
  toolOptions,
  papers,
  pieceOptions,
  wash,
  coverageText,
  mixes,
  components,
  bottleOptions,
} = useBeginSheet()
const route = useRoute()
</script>

<template>
  <form class="BeginSheet" @submit.prevent="save">
    <header>
      <h1 class="es-unseen">New sheet</h1>
      <p class="es-kicker">
        {{
          changing
            ? `Edit the plan of sheet ${changing.number}`
            : under
              ? `New layer over sheet ${under.number} · ${definition.name}`
              : `Sheet ${workroom.nextNumber} · ${definition.name}`
        }}
        <KitButton v-if="wasKept" kind="quiet" @click="startOver">Start over</KitButton>
      </p>
      <TextField
        v-model="draft.title"
        large
        autofocus
        label="Title"
        placeholder="for example Net loft"
        :fault="faults.title"
      />
      <BigTarget
        class="BeginSheet-go"
        :label="changing ? 'Save changes' : 'Plan this sheet'"
        hint="enter"
        @press="save"
      />
    </header>
    <div class="BeginSheet-row">
      <SelectField v-model="processId" class="BeginSheet-process" label="Process" :options="processOptions" />
      <TextField
        v-model="draft.size"
        label="Picture size"
        :fault="faults.size"
        :hint="preferences.chosen.length === 'in' ? '8x10, 20 x 25 cm' : '20 x 25, 8 x 10 in, A4'"
      />
      <TextField v-model="draft.paperName" label="Paper" :options="papers" placeholder="the name you use" />
      <QuantityField
        v-model="draft.paperWeight"
        label="Paper weight, g/m²"
        :fault="faults.paperWeight"
        hint="heavy paper needs longer washes"
        dimension="paperWeight"
        unit="gsm"
      />
    </div>
    <div class="BeginSheet-choices">
      <ChoiceRow
        v-for="choice in mainChoices"
        :key="choice.id"
        v-model="draft.choices[choice.id]"
        :label="choice.name"
        :options="choice.options"
      />
      <ChoiceRow v-model="draft.light" label="Light" :options="lightOptions" :fault="faults.light" />
      <ChoiceRow
        v-if="toolOptions.length > 1"
        v-model="draft.tool"
        label="Brush or rod"
        :options="toolOptions"
      />
    </div>
    <div class="BeginSheet-row">
      <TextField
        v-model="draft.exposure"
        label="Exposure"
        :fault="faults.exposure"
        :placeholder="exposure ? formatSpan(exposure.value) : 'such as 8 min'"
        :hint="
          exposureNote
            ? exposureNote
            : draft.strip
              ? `a test strip of ${draft.strip.count} steps`
              : fromBase
                ? 'leave empty to use your base exposure'
                : exposure
                  ? 'leave empty for a first guess'
                  : 'no first guess for this light'
        "
      />
      <TextField
        v-model="draft.subject"
        :label="draft.choices.subject === 'photogram' ? 'Printed from' : 'Negative'"
        placeholder="Name"
      />
      <TextField
        v-for="component in components"
        :key="component.id"
        :model-value="draft.bottles[component.id] ?? ''"
        :label="`Bottle of ${component.name.toLowerCase()}`"
        :options="bottleOptions(component.id)"
        :placeholder="bottleOptions(component.id)[0] ?? `${component.letter}-1`"
        @update:model-value="draft.bottles[component.id] = $event"
      />
    </div>
    <MoreSettings
      :draft="draft"
      :faults="faults"
      :is-new="!changing"
      :coverage="coverage"
      :dropper="dropper"
      :mixes="mixes"
      :piece-options="pieceOptions"
      :portfolios="workroom.portfolios"
      :habits="habits"
    />
    <section class="BeginSheet-figures" aria-label="What you need">
      <template v-if="arePlans(plans)">
        <CoatFigures v-for="plan in plans" :key="plan.mix.id" :plan="plan" :named="plans.length > 1" />
      </template>
      <p v-else role="alert">{{ plans.field }}: {{ plans.problem }} {{ plans.remedy }}</p>
      <FigureValue
        v-if="exposure && !draft.exposure.trim()"
        :label="fromBase ? 'exposure from your base' : 'first guess'"
        :figure="exposure"
      />
      <FigureValue v-if="mixes.length" label="coverage" :figure="coverage" :text="coverageText" />
      <FigureValue v-if="wash" label="minimum wash" :figure="wash" />
      <p v-if="light?.note" class="es-quiet">{{ light.note }}</p>
    </section>
    <SaltBalance v-if="balance" :balance="balance" />
    <ul v-if="needs.length" class="es-quiet" aria-label="Not on the shelf">
      <li v-for="need in needs" :key="need.id">
        {{ need.name }}: not enough on the shelf
        <MakeIt :need="need" returns />
      </li>
    </ul>
    <p class="es-quiet BeginSheet-detours">
      <RouterLink :to="{ name: 'lights', query: { back: route.fullPath } }">Add a light</RouterLink>
      <RouterLink :to="{ name: 'treat', query: { back: route.fullPath } }">Treat paper</RouterLink>
      <RouterLink :to="{ name: 'calibrate', query: { back: route.fullPath } }">Calibrate</RouterLink>
      <TryFirst
        :plan="{
          ...changing,
          process: { id: processId, version: definition.version },
          choices: { ...draft.choices },
        }"
      />
      {{ texts.formStays }}
    </p>
    <EnterSubmits>Plan this sheet</EnterSubmits>
  </form>
</template>

<style scoped>
.BeginSheet {
  display: grid;
  gap: var(--es-space-4);
  max-width: 56.25rem;
}

header {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 var(--es-space-7);
  align-items: center;
}

header .es-kicker {
  grid-column: 1 / -1;
}

.BeginSheet-row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  gap: var(--es-space-1) var(--es-space-6);
}

.BeginSheet-process {
  grid-column: span 2;
}

.BeginSheet-choices {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-7);
}

.BeginSheet-detours {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-5);
}

.BeginSheet-detours a {
  min-height: 1.75rem;
}

.BeginSheet-figures {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-7);
  padding-top: var(--es-space-3);
  border-top: 1px solid var(--es-rule);
}

@media (width <= 40em) {
  .BeginSheet-process {
    grid-column: auto;
  }
}
</style>
