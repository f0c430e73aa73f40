<script setup lang="ts">
import { computed, ref } from 'vue'
import type { OwnProcess } from '@core/schema/records'
import { substances } from '@library/index'
import BigTarget from '../../../kit/BigTarget.vue'
import { useNotice } from '../../../state/notice.store'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import { changeOwn } from '../../../state/actions/process.actions'
import { draftOfProcess, readProcess, type ProcessDraft } from '../process.draft'

/** One's own copy, with what is usually changed: strengths, ratios, times and what the hands do. */
const props = defineProps<{ own: OwnProcess }>()
const emit = defineEmits<{ done: [] }>()
const notice = useNotice()

const definition = computed(() => props.own.definition)
const draft = ref<ProcessDraft>(draftOfProcess(props.own.definition))
const result = computed(() => readProcess(definition.value, draft.value))
const faultOf = (field: string) => result.value.faults[field]

async function keep(): Promise<void> {
  if (!result.value.read) return
  try {
    await changeOwn(props.own.id, result.value.read)
    notice.say(`${result.value.read.name} saved.`)
    emit('done')
  } catch (error) {
    notice.refuse(error, 'saving the process')
  }
}
const componentName = (id: string) => definition.value.components.find((one) => one.id === id)?.name ?? id
</script>

<template>
  <form class="ProcessEditor" @submit.prevent="keep">
    <TextField v-model="draft.name" large label="Name" :fault="faultOf('name')" />
    <TextField v-model="draft.summary" label="Summary" />
    <TextField
      v-model="draft.coverage"
      label="Coverage by brush, ml/m²"
      placeholder="usually 38.8"
      :fault="faultOf('coverage')"
    />
    <fieldset v-for="component in definition.components" :key="component.id">
      <legend>{{ component.name }}</legend>
      <TextField
        v-for="solute in component.stock.solutes"
        :key="solute.substanceId"
        v-model="draft.strengths[component.id]![solute.substanceId]!"
        :label="`${substances[solute.substanceId]?.name ?? solute.substanceId}, %`"
        :fault="faultOf(`strength/${component.id}/${solute.substanceId}`)"
      />
    </fieldset>
    <fieldset v-for="mix in definition.mixes" :key="mix.id">
      <legend>{{ mix.name }}, in parts</legend>
      <TextField
        v-for="(part, i) in mix.parts"
        :key="i"
        v-model="draft.parts[mix.id]![i]!"
        :label="componentName(part.component)"
        :fault="faultOf(`parts/${mix.id}/${i}`)"
      />
    </fieldset>
    <fieldset v-for="step in definition.steps" :key="step.id" class="ProcessEditor-step">
      <legend>{{ step.title }}</legend>
      <TextField v-model="draft.steps[step.id]!.doing" label="Instructions" />
      <QuantityField
        v-model="draft.steps[step.id]!.least"
        label="Minimum"
        placeholder="by eye"
        :fault="faultOf(`step/${step.id}/least`)"
        dimension="time"
        unit="min"
      />
      <QuantityField
        v-model="draft.steps[step.id]!.most"
        label="Maximum"
        placeholder="no maximum"
        :fault="faultOf(`step/${step.id}/most`)"
        dimension="time"
        unit="min"
      />
    </fieldset>
    <div class="ProcessEditor-acts">
      <BigTarget label="Save process" :disabled="!result.read" @press="keep" />
      <BigTarget quiet label="Discard changes" @press="emit('done')" />
    </div>
  </form>
</template>

<style scoped>
.ProcessEditor {
  display: grid;
  gap: var(--es-space-3);
}

fieldset {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: var(--es-space-1) var(--es-space-6);
  margin: 0;
  padding: var(--es-space-3) 0 0;
  border: 0;
  border-top: 1px solid var(--es-rule);
}

.ProcessEditor-step {
  grid-template-columns: minmax(0, 3fr) 1fr 1fr;
}

legend {
  padding: 0 var(--es-space-3) 0 0;
  font: italic var(--es-size-lead) var(--es-serif);
}

.ProcessEditor-acts {
  position: sticky;
  bottom: 0;
  display: flex;
  gap: var(--es-space-4);
  padding: var(--es-space-3) 0;
  background: var(--es-page);
}

@media (width <= 40em) {
  .ProcessEditor-step {
    grid-template-columns: 1fr;
  }
}
</style>
