<script setup lang="ts">
import { computed, ref } from 'vue'
import { CoreError } from '@core/errors'
import { clearingOf } from '@core/process/clearing'
import { digits } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import type { Bath } from '@core/schema/bath'
import { testFixer, undoTestFixer } from '../state/actions/bath.actions'
import { useAttempt } from '../state/useAttempt'
import { useNotice } from '../state/notice.store'
import FigureValue from './FigureValue.vue'
import KitButton from './KitButton.vue'
import QuantityField from './QuantityField.vue'
import { texts } from './words'

/** How strong a fixer still is, by the time in which a test strip clears. */
const props = defineProps<{ bath: Bath }>()
/** A strip that takes longer than this is no test, s. */
const LONGEST = 3600
const notice = useNotice()
const { faults, attempt } = useAttempt()
const seconds = ref('')
const said = computed(() => clearingOf(props.bath))

const save = () =>
  attempt('clearing', async () => {
    const value = parseQuantity(seconds.value, 'time', { field: 'clearing', bareUnit: 's' })
    if (!(value > 0 && value <= LONGEST))
      throw new CoreError({
        code: 'nothing',
        field: 'clearing',
        problem: 'The time must be above zero and at most an hour.',
        remedy: 'Enter how long the strip took, for example 45 s.',
      })
    await testFixer(props.bath.id, value)
    seconds.value = ''
    notice.say(texts.clearingSaved, () => undoTestFixer(props.bath.id))
  })
</script>

<template>
  <details class="FixerTest">
    <summary>Test strip: how fast it clears</summary>
    <p class="es-quiet">{{ texts.clearingHow }}</p>
    <form @submit.prevent="save">
      <QuantityField
        v-model="seconds"
        label="Clears in"
        placeholder="45 s"
        :fault="faults.clearing"
        dimension="time"
        unit="s"
      />
      <KitButton type="submit">Save test</KitButton>
      <FigureValue
        v-if="said && bath.clearing && bath.clearing.length > 1"
        label="of its first clearing time"
        :figure="said.ratio"
        :text="`${digits(said.ratio.value, 2)} ×`"
      />
    </form>
  </details>
  <p v-if="said" :role="said.isSpent ? 'alert' : undefined">{{ texts.clearingSays(said) }}</p>
</template>

<style scoped>
.FixerTest form {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-6);
  align-items: center;
}

summary {
  min-height: 1.5rem;
  color: var(--es-quiet);
  cursor: pointer;
}
</style>
