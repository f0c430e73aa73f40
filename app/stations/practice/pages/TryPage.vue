<script setup lang="ts">
import { practiceNegative } from '@core/simulate/practiceNegative'
import WayBack from '../../../kit/WayBack.vue'
import TryVariant from '../parts/TryVariant.vue'
import { useTryPage } from '../useTryPage'
import { texts } from '../words'

/** What a change would do, before paper is used: two ways side by side. */
const { options, variants, choicesOf, changeProcess, choose, question, figures, plan } = useTryPage()
const ink = practiceNegative()
</script>

<template>
  <section class="TryPage">
    <WayBack />
    <header>
      <p v-if="plan?.number" class="es-kicker">Sheet {{ plan.number }} · {{ plan.title }}</p>
      <h1>Try it first</h1>
      <p class="es-quiet">{{ texts.whatTryingShows }}</p>
    </header>
    <div class="TryPage-ways">
      <template v-for="(variant, i) in variants" :key="i">
        <TryVariant
          v-if="figures[i]"
          :model-value="variant"
          :question="question(variant)"
          :ink="ink"
          :figures="figures[i]"
          :options="options"
          :choices="choicesOf(variant)"
          @process="changeProcess(variant, $event)"
          @choose="(choiceId, optionId) => choose(variant, choiceId, optionId)"
        />
      </template>
    </div>
  </section>
</template>

<style scoped>
.TryPage {
  display: grid;
  gap: var(--es-space-4);
  max-width: 60rem;
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
