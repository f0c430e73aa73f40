<script setup lang="ts">
import { texts } from '../words'
import EnterSubmits from '../../../kit/EnterSubmits.vue'
import KitButton from '../../../kit/KitButton.vue'
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import type { Happening, Measured } from '@core/schema/event'
import type { LookMoment, Reading } from '@core/schema/judgement'
import TakeReading from '../../../kit/TakeReading.vue'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import TextField from '../../../kit/TextField.vue'
import { useAttempt } from '../../../state/useAttempt'
import { emptyReadings, readReadings } from '../measure.draft'
import PhotoSpots from './PhotoSpots.vue'

/** What a print measures: by densitometer, typed, or from a photograph with a grey in it. */
const props = defineProps<{
  moment: LookMoment
  /** Names of patches that were measured before, so that the same are measured again. */
  patches: readonly string[]
  photo: string | undefined
}>()
const emit = defineEmits<{ measure: [happening: Happening]; close: [] }>()

const MOMENTS = [
  { id: 'wet', name: 'Wet' },
  { id: 'dry', name: 'Dry' },
  { id: 'settled', name: 'Settled' },
  { id: 'later', name: 'Later' },
]
const moment = ref<string | undefined>(props.moment)
const drafts = ref([
  ...emptyReadings(),
  ...props.patches.map((name) => ({ of: 'patch' as const, name, density: '', lab: '' })),
])
const by = ref<Measured['by']>('typed')
const isPointing = ref(false)
const doubtful = ref<string[]>([])
const { faults, attempt } = useAttempt()
const labelOf = (of: Reading['of']) => ({ black: 'Dmax', white: 'Paper white', patch: 'Patch' })[of]
const hasColour = computed(() => drafts.value.some((one) => one.lab !== ''))
const showsColour = ref(false)

function fromPhoto(readings: Reading[], lost: string[]): void {
  for (const reading of readings) {
    const read = {
      density: reading.density?.toFixed(2) ?? '',
      lab: reading.lab?.map((value) => value.toFixed(1)).join(' ') ?? '',
    }
    const draft = drafts.value.find((one) => one.of === reading.of && one.name === reading.name)
    if (draft) Object.assign(draft, read)
    else drafts.value.push({ of: reading.of, name: reading.name, ...read })
  }
  doubtful.value = lost
  by.value = 'photo'
  isPointing.value = false
}
function took(index: number, value: number): void {
  const draft = drafts.value[index]
  if (!draft) return
  draft.density = String(value)
  by.value = 'instrument'
}
const form = useTemplateRef<HTMLFormElement>('form')
/** The button goes, and whoever pressed it goes on in the field that came. */
async function showColour(): Promise<void> {
  showsColour.value = true
  await nextTick()
  form.value?.querySelector<HTMLInputElement>('.MeasurePrint-colour input')?.focus()
}
const write = async () => {
  for (const key of Object.keys(faults.value)) faults.value[key] = undefined
  let readings: Reading[] = []
  const isRead = await attempt('reading', () => {
    readings = readReadings(drafts.value)
  })
  if (isRead)
    emit('measure', { type: 'measured', moment: moment.value as LookMoment, by: by.value, readings })
}
const faultOf = (field: string) => (faults.value.reading?.field === field ? faults.value.reading : undefined)
</script>

<template>
  <PhotoSpots
    v-if="isPointing && photo"
    :address="photo"
    :patches="drafts.flatMap((draft) => (draft.of === 'patch' ? [draft.name] : []))"
    @read="fromPhoto"
    @close="isPointing = false"
  />
  <form v-else ref="form" class="MeasurePrint" @submit.prevent="write" @keydown.escape.stop="emit('close')">
    <h2>Measure print</h2>
    <ChoiceRow v-model="moment" label="When" :options="MOMENTS" />
    <div v-for="(draft, i) in drafts" :key="i" class="MeasurePrint-row">
      <TextField
        v-if="draft.of === 'patch'"
        v-model="draft.name"
        label="Patch"
        placeholder="such as third step"
      />
      <TextField
        v-model="draft.density"
        :autofocus="i === 0"
        :label="draft.of === 'patch' ? 'Density' : `${labelOf(draft.of)}, density`"
        :fault="faultOf(`density-${i}`)"
      />
      <TextField
        v-if="showsColour || hasColour"
        v-model="draft.lab"
        class="MeasurePrint-colour"
        label="L* a* b*"
        placeholder="20 -1 -30"
        :fault="faultOf(`lab-${i}`)"
      />
      <TakeReading quantity="density" @read="took(i, $event)" />
    </div>
    <p v-if="doubtful.length" class="MeasurePrint-doubt" role="status">
      {{ texts.clippedInPhoto({ values: doubtful.join(', ') }) }}
    </p>
    <div class="MeasurePrint-more">
      <KitButton kind="quiet" @click="drafts.push({ of: 'patch', name: '', density: '', lab: '' })">
        add a patch
      </KitButton>
      <KitButton v-if="!showsColour && !hasColour" kind="quiet" @click="showColour">include colour</KitButton>
      <KitButton v-if="photo" kind="quiet" @click="isPointing = true">
        {{ texts.fromItsPhotoWithGrey }}
      </KitButton>
    </div>
    <div class="MeasurePrint-acts">
      <BigTarget label="Save measurement" hint="enter" @press="write" />
      <BigTarget quiet label="Cancel" hint="escape" @press="emit('close')" />
    </div>
    <EnterSubmits>Save measurement</EnterSubmits>
  </form>
</template>

<style scoped>
.MeasurePrint {
  display: grid;
  gap: var(--es-space-3);
}

.MeasurePrint-row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(130px, 1fr));
  gap: 0 var(--es-space-5);
  align-items: start;
}

.MeasurePrint-more {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-5);
}

.MeasurePrint-doubt {
  color: var(--es-ember);
}

.MeasurePrint-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
}
</style>
