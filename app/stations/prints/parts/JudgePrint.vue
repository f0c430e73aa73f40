<script setup lang="ts">
import { texts } from '../words'
import { writtenNumber } from '@core/quantity/number'
import TextArea from '../../../kit/TextArea.vue'
import EnterSubmits from '../../../kit/EnterSubmits.vue'
import { onMounted, ref } from 'vue'
import type { Happening, Judged } from '@core/schema/event'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import type { LookWords } from '../../../words/printWords'

const props = defineProps<{ look: LookWords; isEarly: boolean }>()
const emit = defineEmits<{ judge: [happening: Happening]; close: [] }>()

const VERDICTS = [
  { id: 'keep', name: 'Keep' },
  { id: 'again', name: 'Print again' },
  { id: 'undecided', name: 'Not decided' },
]
const SHADOWS = [
  { id: 'thin', name: 'Too light' },
  { id: 'right', name: 'Right' },
  { id: 'blocked', name: 'Blocked' },
]
const HIGHLIGHTS = [
  { id: 'blank', name: 'Blank' },
  { id: 'right', name: 'Right' },
  { id: 'veiled', name: 'Grey' },
]
const WHITES = [
  { id: 'clean', name: 'Clean' },
  { id: 'yellow', name: 'Yellow' },
  { id: 'blue', name: 'Blue' },
  { id: 'pink', name: 'Pink' },
  { id: 'brown', name: 'Brown' },
  { id: 'grey', name: 'Grey' },
]
// Nothing is decided wet, so a wet look starts undecided.
const verdict = ref<string | undefined>(props.look.id === 'wet' ? 'undecided' : 'keep')
const shadows = ref<string>()
const highlights = ref<string>()
const whites = ref<string>()
const note = ref('')
const DAY_MS = 86_400_000
/** Days until the next look; nothing is asked of a print that is judged wet. */
const AGAIN = [
  { id: '0', name: 'As scheduled' },
  { id: '30', name: 'In a month' },
  { id: '365', name: 'In a year' },
  { id: '1826', name: 'In five years' },
]
const again = ref<string | undefined>(props.look.id === 'later' ? '365' : '0')

const form = ref<HTMLFormElement | null>(null)
onMounted(() => form.value?.querySelector('input')?.focus())

function write(): void {
  emit('judge', {
    type: 'judged',
    moment: props.look.id,
    verdict: verdict.value as Judged['verdict'],
    ...(shadows.value && { shadows: shadows.value as Judged['shadows'] }),
    ...(highlights.value && { highlights: highlights.value as Judged['highlights'] }),
    ...(whites.value && { whites: whites.value as Judged['whites'] }),
    ...(again.value !== '0' && { lookAgainAt: Date.now() + writtenNumber(again.value) * DAY_MS }),
    note: note.value.trim().slice(0, 4000),
  })
}
</script>

<template>
  <form ref="form" class="JudgePrint" @submit.prevent="write" @keydown.escape.stop="emit('close')">
    <h2>{{ look.title }}</h2>
    <p v-if="isEarly && look.id !== 'wet'" class="JudgePrint-early">
      {{ texts.earlyCheckPrintMayStill }}
    </p>
    <ChoiceRow v-model="shadows" label="Shadows" :options="SHADOWS" />
    <ChoiceRow v-model="highlights" label="Highlights" :options="HIGHLIGHTS" />
    <ChoiceRow v-model="whites" label="Whites" :options="WHITES" />
    <ChoiceRow v-model="verdict" label="Verdict" :options="VERDICTS" />
    <TextArea v-model="note" label="Note" :rows="2" placeholder="What you see" />
    <ChoiceRow v-if="look.id !== 'wet'" v-model="again" label="Next check" :options="AGAIN" />
    <div class="JudgePrint-acts">
      <BigTarget label="Save" hint="enter" @press="write" />
      <BigTarget quiet label="Cancel" hint="escape" @press="emit('close')" />
    </div>
    <EnterSubmits>Save</EnterSubmits>
  </form>
</template>

<style scoped>
.JudgePrint {
  display: grid;
  gap: var(--es-space-4);
}

.JudgePrint-early {
  color: var(--es-ember);
}

.JudgePrint-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
}
</style>
