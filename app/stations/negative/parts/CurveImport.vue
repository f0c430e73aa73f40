<script setup lang="ts">
import { texts } from '../words'
import { useTemplateRef } from 'vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import FieldGrid from '../../../kit/FieldGrid.vue'
import FileChoice from '../../../kit/FileChoice.vue'
import PressCard from '../../../kit/PressCard.vue'
import TextField from '../../../kit/TextField.vue'
import { useCurveImport, type ImportedCurve } from '../useCurveImport'

/** The file of a curve made elsewhere, and what has to be known to use it. */
const emit = defineEmits<{ read: [ImportedCurve | null] }>()
const { scale, white, black, read, said, take } = useCurveImport(emit)
const input = useTemplateRef<InstanceType<typeof FileChoice>>('input')
</script>

<template>
  <div class="CurveImport">
    <PressCard class="CurveImport-file" @click="input?.open()">Choose a curve: .cube or CSV</PressCard>
    <FileChoice ref="input" label="File of the curve" accept=".cube,.csv,.txt,text/*" @chosen="take" />
    <p v-if="read.fault" role="alert" class="CurveImport-fault">
      {{ read.fault.problem }} {{ read.fault.remedy }}
    </p>
    <p v-else class="es-quiet">{{ said }}</p>
    <ChoiceRow
      v-model="scale"
      label="Tones in the file"
      :options="[
        { id: 'codes', name: texts.codesOfGreyPicture },
        { id: 'lightness', name: 'L*' },
      ]"
    />
    <FieldGrid>
      <TextField v-model="white" label="Density of its white" :hint="texts.whiteOfPrintThroughIt" />
      <TextField v-model="black" label="Density of its black" :hint="texts.blackOfPrintThroughIt" />
    </FieldGrid>
  </div>
</template>

<style scoped>
.CurveImport {
  display: grid;
  gap: var(--es-space-4);
  justify-items: start;
}

.CurveImport > .FieldGrid {
  width: 100%;
}

.CurveImport-file {
  min-height: 3rem;
  padding: var(--es-space-3) var(--es-space-5);
  border: 2px dashed var(--es-line);
  background: none;
  cursor: pointer;
}

.CurveImport-fault {
  color: var(--es-ember);
}
</style>
