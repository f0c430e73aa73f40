<script setup lang="ts">
import WayBack from '../../../kit/WayBack.vue'
import SelectField from '../../../kit/SelectField.vue'
import TryVariant from '../parts/TryVariant.vue'
import { useTryPage } from '../useTryPage'
import { texts } from '../words'

/** What a change would do, before paper is used: two ways side by side. */
const { processId, options, variants, question, figures } = useTryPage()
</script>

<template>
  <section class="TryPage">
    <WayBack />
    <header>
      <h1>Try it first</h1>
      <p class="es-quiet">{{ texts.whatTryingShows }}</p>
    </header>
    <SelectField v-model="processId" class="TryPage-process" label="Process" :options="options" />
    <div class="TryPage-ways">
      <TryVariant
        v-for="(variant, i) in variants"
        :key="i"
        :model-value="variant"
        :question="question(variant)"
        :figures="figures[i] ?? null"
      />
    </div>
  </section>
</template>

<style scoped>
.TryPage {
  display: grid;
  gap: var(--es-space-4);
  max-width: 60rem;
}

.TryPage-process {
  max-width: 18rem;
}

.TryPage-ways {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: var(--es-space-6);
}

@media (width < 40em) {
  .TryPage-ways {
    grid-template-columns: 1fr;
  }
}
</style>
