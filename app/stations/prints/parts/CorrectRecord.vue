<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { refusalOf, type Refusal } from '@core/errors'
import { stepEntriesOf } from '@core/run/corrections'
import { wordsIdOf } from '@core/run/runState'
import type { SheetEvent } from '@core/schema/event'
import type { ProcessDefinition } from '@core/schema/definition'
import BigTarget from '../../../kit/BigTarget.vue'
import EnterSubmits from '../../../kit/EnterSubmits.vue'
import SelectField from '../../../kit/SelectField.vue'
import MomentField from '../../../kit/MomentField.vue'
import TextField from '../../../kit/TextField.vue'
import { amend } from '../../../storage/log'
import { missable, readCorrections, stepDrafts, type MissedDraft } from '../correct.draft'
import { texts } from '../words'

/** Times and amounts as they were recorded, to be set right; what is changed is written as corrections, all at once. */
const props = defineProps<{
  sheetId: string
  log: readonly SheetEvent[]
  definition: ProcessDefinition
}>()
const emit = defineEmits<{ saved: []; close: [] }>()

const entries = stepEntriesOf(props.sheetId, props.log)
const names = {
  step: ({ step: { planned } }: (typeof entries)[number]) => {
    const title = props.definition.steps.find(({ id }) => id === wordsIdOf(planned))?.title ?? planned.id
    return (planned.coat ?? 1) > 1 ? `${title}, coat ${planned.coat}` : title
  },
  component: (id: string) => props.definition.components.find((one) => one.id === id)?.name ?? id,
}
const steps = ref(stepDrafts(entries, names))
const missed = ref<MissedDraft>({ what: '', at: '', until: '' })
const choices = computed(() => [{ id: '', name: texts.nothingMissed }, ...missable(entries, names)])
const fault = shallowRef<Refusal>()
const faultOf = (field: string) => (fault.value?.field === field ? fault.value : undefined)
/** A time without a date is on the recorded day. */
const nearOf = (id: string | undefined, which: 'start' | 'end' = 'start') => {
  const one = entries.find(({ step }) => step.planned.id === id)
  return one?.[which]?.at ?? one?.end?.at ?? 0
}
const isPause = computed(() => missed.value.what.endsWith('/looked'))
const general = computed(() => (fault.value?.field.includes('/') ? undefined : fault.value))

async function save(): Promise<void> {
  fault.value = undefined
  try {
    const corrections = readCorrections(entries, steps.value, missed.value)
    if (corrections.length) await amend(props.sheetId, corrections)
    emit('saved')
  } catch (error) {
    fault.value = refusalOf(error, 'correction')
  }
}
</script>

<template>
  <form class="CorrectRecord" @submit.prevent="save" @keydown.escape.stop="emit('close')">
    <h2>{{ texts.correctRecord }}</h2>
    <p class="es-quiet">{{ texts.bothAreKept }}</p>
    <fieldset v-for="draft in steps" :key="draft.id">
      <legend>{{ draft.title }}</legend>
      <div class="CorrectRecord-row">
        <MomentField
          v-if="draft.started !== undefined"
          v-model="draft.started"
          label="Started"
          :near="nearOf(draft.id)"
          :fault="faultOf(`${draft.id}/started`)"
        />
        <MomentField
          v-if="draft.finished !== undefined"
          v-model="draft.finished"
          label="Ended"
          :near="nearOf(draft.id, 'end')"
          :fault="faultOf(`${draft.id}/finished`)"
        />
        <p v-if="draft.finished === undefined" class="es-quiet">{{ texts.stillUnderWay }}</p>
        <TextField
          v-for="one in draft.drops"
          :key="one.component"
          v-model="one.count"
          :label="`${one.name}, drops`"
          :fault="faultOf(`${draft.id}/${one.component}`)"
        />
      </div>
    </fieldset>
    <fieldset v-if="choices.length > 1">
      <legend>{{ texts.doneWithoutPress }}</legend>
      <div class="CorrectRecord-row">
        <SelectField v-model="missed.what" label="What" :options="choices" />
        <MomentField
          v-if="missed.what"
          v-model="missed.at"
          :label="isPause ? 'From' : 'At'"
          :near="nearOf(missed.what.split('/')[0])"
          placeholder="14:05"
          :fault="faultOf('missed/at')"
        />
        <MomentField
          v-if="isPause"
          v-model="missed.until"
          label="Until"
          :near="nearOf(missed.what.split('/')[0])"
          placeholder="14:10"
          :fault="faultOf('missed/until')"
        />
      </div>
    </fieldset>
    <p v-if="general" class="CorrectRecord-fault" role="alert">{{ general.problem }} {{ general.remedy }}</p>
    <div class="CorrectRecord-acts">
      <BigTarget :label="texts.saveCorrections" @press="save" />
      <BigTarget plain label="Cancel" hint="escape" @press="emit('close')" />
    </div>
    <EnterSubmits>{{ texts.saveCorrections }}</EnterSubmits>
  </form>
</template>

<style scoped>
.CorrectRecord {
  display: grid;
  gap: var(--es-space-4);
}

fieldset {
  margin: 0;
  padding: var(--es-space-3) 0 0;
  border: 0;
  border-top: 1px solid var(--es-line);
}

legend {
  padding: 0 var(--es-space-3) 0 0;
  font: 500 var(--es-size-lead) var(--es-serif);
}

.CorrectRecord-row {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(12rem, 1fr));
  gap: var(--es-space-3) var(--es-space-5);
  align-items: start;
}

.CorrectRecord-fault {
  color: var(--es-ember);
}

.CorrectRecord-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
}
</style>
