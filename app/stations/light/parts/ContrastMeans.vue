<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { numberOrNull } from '@core/quantity/number'
import { meetNegative, type ContrastMeans, type OwnScale } from '@core/tone/contrast'
import { contrastPlan } from '@core/process/contrastPlan'
import { contrastMeans, otherMeans } from '@library/contrast'
import { cautionOf, processes } from '@library/index'
import FigureValue from '../../../kit/FigureValue.vue'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import { texts } from '../words'

/** What makes a paper meet a negative of some range: drops and parts, worked out, and what has no figure, in words. */
const props = defineProps<{
  range: number
  /** Tablets of one's own, each with its process where it is known, and the scale that it measured. */
  own: readonly { id: string; name: string; processId: string | undefined; scale: number }[]
}>()

const options = [
  ...new Set([...contrastMeans.map(({ processId }) => processId), ...Object.keys(otherMeans)]),
].map((id) => ({ id, name: processes[id]?.name ?? id }))
const processId = ref(options[0]?.id ?? '')
watch(
  () => props.own[0]?.processId,
  (id) => {
    if (id && options.some((one) => one.id === id)) processId.value = id
  },
  { immediate: true },
)
/** The tablet that the table is moved to, and how much of the means was in its coat. */
const learntId = ref('')
const amount = ref('0')
const tablets = computed(() =>
  props.own.filter((one) => one.processId === undefined || one.processId === processId.value),
)
const ways = computed(() => contrastMeans.filter((one) => one.processId === processId.value))
/** What was in its coat: a plain tablet tells of every means, another one of its own only. */
const usedId = ref('')
const used = computed(() => ways.value.find(({ id }) => id === usedId.value) ?? ways.value[0])
function ownOf(one: ContrastMeans): OwnScale[] {
  const tablet = tablets.value.find(({ id }) => id === learntId.value)
  const quantity = numberOrNull(amount.value)
  if (!tablet || quantity === null || quantity < 0) return []
  return quantity === 0 || one.id === used.value?.id ? [{ amount: quantity, scale: tablet.scale }] : []
}
const rows = computed(() =>
  ways.value.map((one) => ({ means: one, found: meetNegative(props.range, one, ownOf(one)) })),
)
const planOf = (means: ContrastMeans, amount: number) => {
  const definition = processes[means.processId]
  return definition && contrastPlan(definition, means, amount)
}
const SAYS = { meets: '', tooLong: texts.negativeTooLong, tooShort: texts.negativeTooShort } as const
</script>

<template>
  <section class="ContrastMeans" :aria-label="texts.makeThemMeet">
    <h3>{{ texts.makeThemMeet }}</h3>
    <div class="ContrastMeans-asked">
      <SelectField v-model="processId" label="Process" :options="options" />
      <template v-if="rows.length && tablets.length">
        <SelectField
          v-model="learntId"
          label="Learn from my tablet"
          :options="tablets"
          clearable
          placeholder="none"
        />
        <TextField
          v-if="learntId"
          v-model="amount"
          label="It was printed with"
          hint="drops or parts; 0 for plain"
        />
        <SelectField
          v-if="learntId && ways.length > 1 && amount.trim() !== '0'"
          :model-value="used?.id ?? ''"
          label="of"
          :options="ways"
          @update:model-value="usedId = $event"
        />
      </template>
    </div>
    <div v-for="{ means, found } in rows" :key="means.id" class="ContrastMeans-row">
      <FigureValue
        :label="`${means.name}, ${means.per}`"
        :figure="found.amount"
        :text="`${found.amount.value} ${means.unit}`"
      />
      <FigureValue label="expected scale" :figure="found.scale" :text="found.scale.value.toFixed(2)" />
      <p>{{ SAYS[found.says] }} {{ means.costs }}</p>
      <RouterLink
        v-if="planOf(means, found.amount.value)"
        :to="{
          name: 'begin',
          query: { process: means.processId, means: means.id, amount: found.amount.value },
        }"
      >
        Plan a sheet with it
      </RouterLink>
      <p v-for="id in means.cautions" :key="id" class="es-quiet">
        {{ cautionOf(id)?.title }}: {{ cautionOf(id)?.text }}
      </p>
    </div>
    <p v-for="line in otherMeans[processId] ?? []" :key="line">{{ line }}</p>
  </section>
</template>

<style scoped>
.ContrastMeans {
  display: grid;
  gap: var(--es-space-3);
  max-width: 36rem;
}

.ContrastMeans-asked {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-5);
}

.ContrastMeans-row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--es-space-2) var(--es-space-5);
  padding-top: var(--es-space-3);
  border-top: 1px solid var(--es-rule);
}

.ContrastMeans-row p {
  grid-column: 1 / -1;
  font-size: var(--es-size-small);
}

h3 {
  font-size: var(--es-size-lead);
}
</style>
