<script setup lang="ts">
import type { Refusal } from '@core/errors'
import { computed } from 'vue'
import TryFirst from '../../../kit/TryFirst.vue'
import { useWorkroom } from '../../../state/workroom.store'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import FieldGrid from '../../../kit/FieldGrid.vue'
import type { NegativeDraft } from '../negative.draft'

/** For which print the film is, how large, and through which curve. */
const props = defineProps<{
  draft: NegativeDraft
  sheets: readonly { id: string; name: string }[]
  curves: readonly { id: string; name: string }[]
  fault: Refusal | undefined
}>()
const workroom = useWorkroom()
const sheet = computed(() => (props.draft.sheetId ? workroom.find(props.draft.sheetId) : null))
const faultOf = (field: string) => (props.fault?.field === field ? props.fault : undefined)
</script>

<template>
  <!-- eslint-disable vue/no-mutating-props -- the draft is the desk's own, handed down whole -->
  <div>
    <ChoiceRow v-if="!draft.layers.length" v-model="draft.curveId" label="Curve" :options="curves" />
    <FieldGrid>
      <SelectField v-model="draft.sheetId" label="Sheet" :options="sheets" clearable placeholder="none" />
      <TextField v-model="draft.size" label="Picture size" :fault="faultOf('size')" />
      <TextField v-model="draft.resolution" label="Resolution, ppi" :fault="faultOf('resolution')" />
    </FieldGrid>
    <TryFirst v-if="sheet" :plan="sheet.sheet" />
  </div>
</template>
