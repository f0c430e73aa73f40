<script setup lang="ts">
import KitButton from '../../../kit/KitButton.vue'
import EmptyPage from '../../../kit/EmptyPage.vue'
import FigureValue from '../../../kit/FigureValue.vue'
import SelectField from '../../../kit/SelectField.vue'
import MomentField from '../../../kit/MomentField.vue'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import { texts } from '../words'
import { undoBase } from '../../../state/actions/light.actions'
import { SKIES } from '@core/sun/cloud'
import { formatSpan } from '@core/quantity/format'
import { dateOf } from '../../../words/moments'
import { doseText } from '../lightWords'
import { useBasesPage } from '../useBasesPage'

const {
  WAY,
  add,
  fault,
  film,
  foundAt,
  foundFault,
  isPlaced,
  isSun,
  isTyping,
  lightId,
  now,
  ofProcess,
  paperId,
  processId,
  seconds,
  shown,
  sky,
  workroom,
} = useBasesPage()
</script>

<template>
  <section class="BasesPage">
    <header>
      <h1>Base exposures</h1>
    </header>
    <EmptyPage v-if="!shown.length" under kicker="Base exposures" title="No base exposure yet">
      <p>{{ texts.printAndReadOneTest }}</p>
      <p><RouterLink :to="{ name: 'strip' }">Plan a test strip</RouterLink></p>
    </EmptyPage>
    <article
      v-for="one in shown"
      :key="one.base.id"
      :aria-label="`${one.definition.name}, ${one.paper}, ${one.light}`"
    >
      <h2>
        <span class="BasesPage-mark" :style="{ background: `var(--es-${one.definition.mark})` }" />
        {{ one.definition.name }}
      </h2>
      <p>{{ one.paper }}, under {{ one.light }}, through {{ one.base.film || 'clear film' }}</p>
      <div class="BasesPage-figures">
        <FigureValue
          :label="one.isScaled ? 'with the light as it is now' : 'base exposure'"
          :figure="one.from.seconds"
          :text="formatSpan(Math.round(one.from.seconds.value))"
        />
        <p v-if="one.isScaled || one.base.highSeconds !== undefined" class="es-quiet">
          measured {{ formatSpan(Math.round(one.base.seconds)) }}
          <template v-if="one.base.lowSeconds !== undefined && one.base.highSeconds !== undefined">
            (likely {{ formatSpan(Math.round(one.base.lowSeconds)) }} to
            {{ formatSpan(Math.round(one.base.highSeconds)) }})
          </template>
        </p>
        <p v-if="one.from.millijoulesPerCm2" class="es-quiet">{{ doseText(one.from.millijoulesPerCm2) }}</p>
        <p class="es-quiet">{{ WAY[one.base.by] }}, {{ dateOf(one.base.at, now.now) }}</p>
        <KitButton kind="quiet" @click="undoBase(one.base.id)">remove</KitButton>
      </div>
    </article>
    <form v-if="isTyping" class="BasesPage-new" @submit.prevent="add">
      <SelectField v-model="processId" label="Process" :options="ofProcess" />
      <SelectField
        v-model="lightId"
        label="Light"
        :options="workroom.lights.map((one) => ({ id: one.id, name: one.name }))"
      />
      <SelectField
        v-model="paperId"
        label="Paper"
        :options="workroom.papers.map((one) => ({ id: one.id, name: one.name }))"
        clearable
        placeholder="any"
      />
      <TextField v-model="film" label="Film" />
      <QuantityField
        v-model="seconds"
        label="Base exposure"
        placeholder="8 min"
        :fault="fault"
        dimension="time"
        unit="min"
      />
      <template v-if="isSun && isPlaced">
        <MomentField
          v-model="foundAt"
          label="When was it found?"
          :near="now.now"
          placeholder="2026-06-21 12:30"
          :fault="foundFault"
        />
        <SelectField v-model="sky" label="Sky at that time" :options="SKIES" />
      </template>
      <p v-else-if="isSun" class="es-quiet">{{ texts.sunWithoutPlace }}</p>
      <KitButton type="submit">Save</KitButton>
    </form>
    <KitButton v-else class="BasesPage-add" @click="isTyping = true">Enter a base exposure</KitButton>
  </section>
</template>

<style scoped>
.BasesPage {
  display: grid;
  gap: var(--es-space-5);
  max-width: 53.75rem;
}

header {
  display: grid;
  gap: var(--es-space-3);
}

article {
  display: grid;
  gap: var(--es-space-2);
  padding-bottom: var(--es-space-4);
  border-bottom: 1px solid var(--es-rule);
}

.BasesPage-mark {
  display: inline-block;
  width: 10px;
  height: 10px;
  margin-right: var(--es-space-3);
}

.BasesPage-figures {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-6);
  align-items: baseline;
}

.BasesPage-new {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--es-space-1) var(--es-space-6);
}

.BasesPage-add {
  justify-self: start;
  padding: var(--es-space-3) var(--es-space-5);
  border: 1px solid var(--es-line);
  background: none;
  cursor: pointer;
}
</style>
