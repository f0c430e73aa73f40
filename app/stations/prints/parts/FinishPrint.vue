<script setup lang="ts">
import { computed, ref } from 'vue'
import { finishingFor } from '@core/judge/finishing'
import type { Trait } from '@core/judge/faultBook'
import type { Happening } from '@core/schema/event'
import { finishings } from '@library/finishing'
import { cautionOf } from '@library/index'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import TextField from '../../../kit/TextField.vue'

/** How a dry print is flattened, spotted, waxed, mounted and stored; what was done goes into its record. */
const props = defineProps<{ traits: ReadonlySet<Trait> }>()
const emit = defineEmits<{ write: [happening: Happening]; close: [] }>()

const id = ref<string | undefined>(finishings[0]?.id)
const finishing = computed(() => finishings.find((one) => one.id === id.value))
const lines = computed(() => (finishing.value ? finishingFor(finishing.value, props.traits) : []))
const note = ref('')
const save = () =>
  finishing.value &&
  emit('write', { type: 'noted', text: [finishing.value.done, note.value.trim()].filter(Boolean).join(' ') })
</script>

<template>
  <form class="FinishPrint" @submit.prevent="save" @keydown.escape.stop="emit('close')">
    <h2>Finishing</h2>
    <ChoiceRow v-model="id" label="What to do" :options="finishings" />
    <template v-if="finishing">
      <ul>
        <li v-for="line in lines" :key="line">{{ line }}</li>
      </ul>
      <p v-for="caution in finishing.cautions" :key="caution" class="FinishPrint-caution">
        <strong>{{ cautionOf(caution)?.title }}.</strong>
        {{ cautionOf(caution)?.text }}
      </p>
      <p class="es-quiet">{{ finishing.source }}.</p>
      <TextField v-model="note" label="Note" placeholder="optional" />
    </template>
    <div class="FinishPrint-acts">
      <BigTarget :label="`Record: ${finishing?.done.replace(/\.$/, '').toLowerCase() ?? ''}`" @press="save" />
      <BigTarget quiet label="Cancel" hint="escape" @press="emit('close')" />
    </div>
  </form>
</template>

<style scoped>
.FinishPrint {
  display: grid;
  gap: var(--es-space-4);
}

.FinishPrint ul {
  display: grid;
  gap: var(--es-space-3);
  margin: 0;
  padding-left: 1.1em;
}

.FinishPrint-caution {
  padding-left: var(--es-space-5);
  border-left: 3px solid var(--es-ember);
  font-size: var(--es-size-small);
}

.FinishPrint-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
}
</style>
