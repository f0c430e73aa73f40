<script setup lang="ts">
import { computed } from 'vue'
import { digits, formatSpan } from '@core/quantity/format'
import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { substances } from '@library/index'

/** A process told from bottle to line: what is mixed, then each step with its range, cue and reason. */
const props = defineProps<{ definition: ProcessDefinition }>()

const KIND: Readonly<Record<string, string>> = {
  published: 'published',
  practice: 'common practice',
  memory: 'from memory',
  yours: 'yours',
  arithmetic: 'arithmetic',
}
const bottles = computed(() =>
  [...props.definition.components, ...props.definition.baths].map((one) => ({
    id: one.id,
    name: one.name,
    holds: one.stock.solutes
      .map(
        (solute) =>
          `${substances[solute.substanceId]?.name ?? solute.substanceId} ${digits(solute.percentWv)} %`,
      )
      .join(', '),
    standing: KIND[one.stock.standing],
  })),
)
function range({ time, keeps }: StepDefinition): string {
  const parts = []
  if (time?.leastSeconds && time.mostSeconds)
    parts.push(`${formatSpan(time.leastSeconds)} to ${formatSpan(time.mostSeconds)}`)
  else if (time?.leastSeconds) parts.push(`at least ${formatSpan(time.leastSeconds)}`)
  else if (time?.mostSeconds) parts.push(`within ${formatSpan(time.mostSeconds)}`)
  if (keeps?.leastSeconds) parts.push(`then wait at least ${formatSpan(keeps.leastSeconds)}`)
  if (keeps?.mostSeconds) parts.push(`keeps ${formatSpan(keeps.mostSeconds)}`)
  if (time) parts.push(KIND[time.standing] ?? '')
  return parts.filter(Boolean).join(', ')
}
const condition = ({ when }: StepDefinition) =>
  (when ?? [])
    .map(({ choice, is }) => {
      const found = props.definition.choices.find((one) => one.id === choice)
      const names =
        found?.options.filter((one) => is.includes(one.id)).map((one) => one.name.toLowerCase()) ?? is
      return `${found?.name.toLowerCase() ?? choice}: ${names.join(' or ')}`
    })
    .join('; ')
</script>

<template>
  <div class="ProcessSteps">
    <ul>
      <li v-for="one in bottles" :key="one.id">
        <strong>{{ one.name }}</strong>
        {{ one.holds || 'any time' }}
        <span class="es-quiet">{{ one.standing }}</span>
      </li>
    </ul>
    <ol>
      <li v-for="step in definition.steps" :key="step.id">
        <h3>
          {{ step.title }}
          <em v-if="step.when" class="es-quiet">{{ condition(step) }}</em>
        </h3>
        <p>{{ step.doing }}</p>
        <p v-if="range(step)" class="es-quiet">{{ range(step) }}</p>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.ProcessSteps {
  display: grid;
  gap: var(--es-space-4);
}

ul,
ol {
  display: grid;
  gap: var(--es-space-3);
  margin: 0;
  padding: 0;
  list-style: none;
}

ol li {
  padding-left: var(--es-space-5);
  border-left: 2px solid var(--es-rule);
}

h3 {
  font-size: var(--es-size-lead);
}

h3 em {
  font-size: var(--es-size-small);
}

strong {
  font-weight: 700;
}
</style>
