<script setup lang="ts">
import { texts, momentNames } from '../words'
import type { Alike } from '@core/judge/aboutCause'
import type { RankedCause } from '@core/judge/diagnosis'
import type { FaultTest, Moment } from '@core/judge/faultBook'

/** All that is known of one cause: why, what speaks for and against it, what looks the same, how to prove and fix it. */
defineProps<{
  ranked: RankedCause
  about: { alike: readonly Alike[]; proof: FaultTest | null; moments: readonly Moment[] }
}>()

const times = (ratio: number) =>
  ratio >= 1
    ? `${ratio >= 9.5 ? Math.round(ratio) : ratio.toFixed(1)} times more likely`
    : `${1 / ratio >= 9.5 ? Math.round(1 / ratio) : (1 / ratio).toFixed(1)} times less likely`
</script>

<template>
  <p>{{ ranked.cause.why }}</p>
  <ul v-if="ranked.for.length" aria-label="Evidence for">
    <li v-for="line in ranked.for.slice(0, 5)" :key="line.said">
      <span aria-hidden="true">+</span>
      {{ line.said }}
      <span class="es-quiet">{{ times(line.ratio) }}</span>
    </li>
  </ul>
  <ul v-if="ranked.against.length" aria-label="Evidence against">
    <li v-for="line in ranked.against.slice(0, 4)" :key="line.said">
      <span aria-hidden="true">−</span>
      {{ line.said }}
      <span class="es-quiet">{{ times(line.ratio) }}</span>
    </li>
  </ul>
  <p v-if="ranked.own.confirmed" class="es-quiet">
    {{ texts.confirmedInYourPrints({ count: ranked.own.confirmed, factor: ranked.own.factor.toFixed(2) }) }}
  </p>
  <dl class="CauseAbout">
    <dt>First seen</dt>
    <dd>{{ about.moments.map((moment) => momentNames[moment]).join(', or ') }}</dd>
    <template v-if="about.alike.length">
      <dt>Looks the same</dt>
      <dd>
        <ul>
          <li v-for="{ cause, by } in about.alike" :key="cause.id">
            {{ cause.name }}
            <span v-if="by" class="es-quiet">
              {{ texts.toldApartBy({ fact: by.isTrue ? by.fact.yes : by.fact.no }) }}
            </span>
          </li>
        </ul>
      </dd>
    </template>
    <template v-if="about.proof">
      <dt>To prove it</dt>
      <dd>{{ about.proof.name }}. {{ about.proof.doing }}</dd>
    </template>
    <dt>This print</dt>
    <dd>{{ ranked.cause.rescue ?? texts.printCannotBeFixed }}</dd>
    <dt>Next time</dt>
    <dd>{{ ranked.cause.cure }}</dd>
  </dl>
</template>

<style scoped>
.CauseAbout {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: var(--es-space-3) var(--es-space-5);
  margin: 0;
}

dt {
  color: var(--es-quiet);
}

dd {
  margin: 0;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
