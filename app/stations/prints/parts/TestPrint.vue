<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { parseQuantity } from '@core/quantity/parse'
import type { PermanenceTest } from '@core/judge/permanence'
import type { Happening, Tested } from '@core/schema/event'
import { cautionOf } from '@library/index'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import TextField from '../../../kit/TextField.vue'
import { useAttempt } from '../../../state/useAttempt'

/** A test of permanence: how it is made, what it showed, and what to do about it. */
const props = defineProps<{ tests: readonly PermanenceTest[] }>()
const emit = defineEmits<{ write: [happening: Happening]; close: [] }>()

const testId = ref<string | undefined>(props.tests[0]?.id)
const test = computed(() => props.tests.find(({ id }) => id === testId.value))
/** Chosen for each test: what was not seen is not recorded. */
const showed = ref<string | undefined>()
watch(testId, () => (showed.value = undefined))
const SHOWED = computed(() =>
  test.value?.id === 'fade'
    ? [
        { id: 'nothing', name: 'No change' },
        { id: 'trace', name: 'A slight change' },
        { id: 'stain', name: 'Faded' },
      ]
    : [
        { id: 'nothing', name: 'Clean' },
        { id: 'trace', name: 'A trace' },
        { id: 'stain', name: 'A clear stain' },
      ],
)
const [days, dose, note] = [ref(''), ref(''), ref('')]
const { faults, attempt } = useAttempt()

async function save(): Promise<void> {
  const found: Partial<Pick<Tested, 'days' | 'millijoulesPerCm2'>> = {}
  const isRead =
    (await attempt('days', () => {
      if (days.value.trim())
        found.days = parseQuantity(days.value, 'time', { field: 'days', bareUnit: 'd' }) / 86_400
    })) &&
    (await attempt('dose', () => {
      if (dose.value.trim())
        found.millijoulesPerCm2 = parseQuantity(dose.value, 'dose', { field: 'dose', bareUnit: 'mJPerCm2' })
    }))
  if (!isRead || !test.value || !showed.value) return
  emit('write', {
    type: 'tested',
    test: test.value.id,
    showed: showed.value as Tested['showed'],
    ...(test.value.id === 'fade' && found),
    note: note.value.trim(),
  })
}
</script>

<template>
  <form class="TestPrint" @submit.prevent="save" @keydown.escape.stop="emit('close')">
    <h2>Permanence test</h2>
    <ChoiceRow v-model="testId" label="Test for" :options="tests" />
    <template v-if="test">
      <p>
        <strong>{{ test.uses }}.</strong>
        {{ test.doing }}
      </p>
      <p v-for="id in test.cautions" :key="id" class="TestPrint-caution">
        <strong>{{ cautionOf(id)?.title }}.</strong>
        {{ cautionOf(id)?.text }}
      </p>
      <ChoiceRow v-model="showed" label="It showed" :options="SHOWED" />
      <p v-if="showed" class="es-quiet">
        {{ showed === 'nothing' ? test.clean : `${test.stain} ${test.remedy}` }}
      </p>
      <div v-if="test.id === 'fade'" class="TestPrint-light">
        <QuantityField
          v-model="days"
          label="Time in the light"
          :fault="faults.days"
          placeholder="30 days"
          dimension="time"
          unit="d"
        />
        <QuantityField
          v-model="dose"
          label="Dose (optional)"
          :fault="faults.dose"
          placeholder="mJ/cm²"
          dimension="dose"
          unit="mJPerCm2"
        />
      </div>
      <TextField v-model="note" label="Note" placeholder="optional" />
      <p class="es-quiet">{{ test.source }}.</p>
    </template>
    <div class="TestPrint-acts">
      <BigTarget label="Save test" :disabled="!showed" @press="save" />
      <BigTarget quiet label="Cancel" hint="escape" @press="emit('close')" />
    </div>
  </form>
</template>

<style scoped>
.TestPrint {
  display: grid;
  gap: var(--es-space-4);
}

.TestPrint-caution {
  padding-left: var(--es-space-5);
  border-left: 3px solid var(--es-ember);
  font-size: var(--es-size-small);
}

.TestPrint-light,
.TestPrint-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
}
</style>
