<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { formatSize } from '@core/quantity/format'
import type { Paper } from '@core/schema/records'
import BigTarget from '../shell/BigTarget.vue'
import ChoiceRow from '../shell/ChoiceRow.vue'
import { useNotice } from '../shell/notice.store'
import { usePreferences } from '../shell/preferences.store'
import TextField from '../shell/TextField.vue'
import { addPaper, changePaper } from './paperActions'
import { draftOfPaper, readPaperDraft } from './paperDraft'

/** A paper's page: measured size, weight, what lies in the drawer. Without a paper it takes a new one in. */
const props = defineProps<{ paper?: Paper }>()
const [router, notice, preferences] = [useRouter(), useNotice(), usePreferences()]

const shown = computed(() => {
  const { widthMillimetres, heightMillimetres } = props.paper ?? {}
  return widthMillimetres && heightMillimetres
    ? formatSize(
        { widthMillimetres, heightMillimetres },
        { length: preferences.chosen.length, temperature: 'degC' },
      )
    : ''
})
const draft = ref(draftOfPaper(props.paper ?? null, shown.value))
const isTried = ref(false)
const result = computed(() => readPaperDraft(draft.value, preferences.chosen.length))
const faults = computed(() =>
  isTried.value ? result.value.faults : { ...result.value.faults, name: undefined },
)
const BUFFERED = [
  { id: 'yes', name: 'Buffered' },
  { id: 'no', name: 'Without chalk' },
  { id: 'unknown', name: 'Not known' },
]
async function keep(): Promise<void> {
  isTried.value = true
  const { read } = result.value
  if (!read) return
  try {
    if (props.paper) {
      await changePaper({ ...read, id: props.paper.id, changedAt: props.paper.changedAt })
      notice.say(`${read.name} is kept.`)
    } else {
      const id = await addPaper(read)
      notice.say(`${read.name} lies in the drawer.`)
      await router.push({ name: 'paper', params: { paperId: id } })
    }
  } catch (error) {
    notice.refuse(error, 'the paper')
  }
}
</script>

<template>
  <form class="PaperPanel" @submit.prevent="keep">
    <TextField v-model="draft.name" label="Paper" :fault="faults.name" placeholder="as you call it" />
    <TextField
      v-model="draft.size"
      label="Measured size"
      :fault="faults.size"
      placeholder="22.5 x 30 in"
      hint="by the rule, not by the label"
    />
    <TextField v-model="draft.weight" label="Weight" :fault="faults.weight" placeholder="300 g/m², 140 lb" />
    <TextField v-model="draft.sheets" label="Large sheets" :fault="faults.sheets" />
    <TextField v-model="draft.side" label="Printing side" placeholder="the smoother one" />
    <TextField v-model="draft.price" label="Price of a sheet" :fault="faults.price" />
    <ChoiceRow v-model="draft.buffered" class="PaperPanel-wide" label="Chalk" :options="BUFFERED" />
    <TextField v-model="draft.note" class="PaperPanel-wide" label="Note" />
    <BigTarget
      class="PaperPanel-go"
      :quiet="Boolean(paper)"
      :label="paper ? 'Keep' : 'Into the drawer'"
      @press="keep"
    />
    <button type="submit" class="es-unseen" tabindex="-1" aria-hidden="true">Keep</button>
  </form>
</template>

<style scoped>
.PaperPanel {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 24px;
  align-content: start;
}

.PaperPanel-wide {
  grid-column: 1 / -1;
  margin-bottom: 8px;
}

.PaperPanel-go {
  justify-self: start;
}
</style>
