<script setup lang="ts">
import WayBack from '../../../kit/WayBack.vue'
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import FigureValue from '../../../kit/FigureValue.vue'
import TextField from '../../../kit/TextField.vue'
import { useTreatPage } from '../useTreatPage'

const {
  router,
  treatmentId,
  definition,
  choices,
  rule,
  size,
  count,
  chosenPieces,
  halfPieceId,
  pieces,
  picked,
  toggleAll,
  asked,
  stock,
  figures,
  isOverCapacity,
  treatmentOptions,
  toggle,
  halfOptions,
  begin,
} = useTreatPage()
</script>

<template>
  <section class="TreatPage">
    <WayBack />
    <header>
      <h1>{{ definition.name }}</h1>
    </header>
    <ChoiceRow v-model="treatmentId" label="Treatment" :options="treatmentOptions" />
    <ChoiceRow
      v-for="choice in definition.choices"
      :key="choice.id"
      v-model="choices[choice.id]"
      :label="choice.name"
      :options="choice.options"
    />

    <fieldset v-if="pieces.length" class="TreatPage-pieces">
      <legend>Pieces</legend>
      <KitButton
        v-for="piece in pieces"
        :key="piece.id"
        :aria-pressed="chosenPieces.includes(piece.id)"
        @click="toggle(piece.id)"
      >
        {{ piece.label }}
        <span class="es-quiet">{{ rule(piece.widthMillimetres) }} × {{ rule(piece.heightMillimetres) }}</span>
      </KitButton>
      <KitButton v-if="pieces.length > 1" kind="quiet" @click="toggleAll">
        {{ picked.length === pieces.length ? 'None of them' : `All ${pieces.length} pieces` }}
      </KitButton>
    </fieldset>
    <div v-if="!picked.length" class="TreatPage-row">
      <TextField v-model="size" label="Sheet size" placeholder="11 x 10 in" :fault="asked.faults.size" />
      <TextField v-model="count" label="Number of sheets" placeholder="4" :fault="asked.faults.sheets" />
    </div>
    <ChoiceRow v-else v-model="halfPieceId" label="Half-treated test" :options="halfOptions" />

    <section class="TreatPage-figures" aria-label="What you need">
      <FigureValue
        v-for="one in figures"
        :key="one.label"
        :label="one.label"
        :figure="one.figure"
        :text="one.text"
      />
    </section>
    <p v-if="isOverCapacity" class="TreatPage-over" role="status">
      {{ texts.thisMorePaperThanOne }}
    </p>
    <div class="TreatPage-acts">
      <BigTarget label="Start treatment" :disabled="!asked.sheet" @press="begin" />
      <BigTarget
        v-if="stock"
        quiet
        :label="`Make ${stock.name.toLowerCase()}`"
        @press="router.push({ name: 'make', query: { substance: stock.solutes[0]?.substanceId } })"
      />
    </div>
  </section>
</template>

<style scoped>
.TreatPage {
  display: grid;
  gap: var(--es-space-5);
  max-width: 53.75rem;
}

.TreatPage-row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 200px));
  gap: var(--es-space-1) var(--es-space-6);
}

.TreatPage-pieces {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  padding: 0;
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

.TreatPage-figures {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-7);
  padding-top: var(--es-space-3);
  border-top: 1px solid var(--es-rule);
}

.TreatPage-over {
  color: var(--es-ember);
}

.TreatPage-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
}
</style>
