<script setup lang="ts">
import EnterSubmits from '../../../kit/EnterSubmits.vue'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { formatSize } from '@core/quantity/format'
import type { Paper } from '@core/schema/records'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import { useNotice } from '../../../state/notice.store'
import { usePreferences } from '../../../state/preferences.store'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import { addPaper, changePaper } from '../../../state/actions/paper.actions'
import { texts } from '../words'
import { draftOfPaper, readPaperDraft } from '../paper.draft'

/** A paper's page: measured size, weight, what added. Without a paper it takes a new one in. */
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
  { id: 'no', name: 'Not buffered' },
  { id: 'unknown', name: 'Not known' },
]
const HELD = [
  { id: 'held', name: 'held' },
  { id: 'tore', name: 'tore' },
]
async function keep(): Promise<void> {
  isTried.value = true
  const { read } = result.value
  if (!read) return
  try {
    if (props.paper) {
      await changePaper({ ...read, id: props.paper.id, changedAt: props.paper.changedAt })
      notice.say(`${read.name} saved.`)
    } else {
      const id = await addPaper(read)
      notice.say(`${read.name} added.`)
      await router.push({ name: 'paper', params: { paperId: id } })
    }
  } catch (error) {
    notice.refuse(error, 'the paper')
  }
}
</script>

<template>
  <form class="PaperPanel" @submit.prevent="keep">
    <TextField v-model="draft.name" label="Paper" :fault="faults.name" placeholder="the name you use" />
    <TextField
      v-model="draft.size"
      label="Measured size"
      :fault="faults.size"
      placeholder="22.5 x 30 in"
      hint="measure it; labels are often wrong"
    />
    <QuantityField
      v-model="draft.weight"
      label="Weight"
      :fault="faults.weight"
      placeholder="300 g/m², 140 lb"
      dimension="paperWeight"
      unit="gsm"
    />
    <TextField v-model="draft.sheets" label="Large sheets" :fault="faults.sheets" />
    <TextField v-model="draft.side" label="Printing side" placeholder="the smoother one" />
    <TextField v-model="draft.price" label="Price per sheet" :fault="faults.price" />
    <ChoiceRow
      v-model="draft.buffered"
      class="PaperPanel-wide"
      label="Buffered with chalk?"
      :options="BUFFERED"
    />
    <QuantityField
      v-model="draft.drop"
      label="A drop sinks in after"
      :fault="faults.drop"
      placeholder="not tested"
      :hint="texts.dropTest"
      dimension="time"
      unit="s"
    />
    <div>
      <QuantityField
        v-model="draft.soak"
        label="A scrap was soaked for"
        :fault="faults.soak"
        placeholder="not tested"
        :hint="texts.soakTest"
        dimension="time"
        unit="min"
      />
      <ChoiceRow
        v-if="draft.soak.trim()"
        v-model="draft.soakHeld"
        label="Lifted by a corner, it"
        :options="HELD"
      />
    </div>
    <TextField v-model="draft.note" class="PaperPanel-wide" label="Note" />
    <BigTarget
      class="PaperPanel-go"
      :quiet="Boolean(paper)"
      :label="paper ? 'Save' : 'Add paper'"
      @press="keep"
    />
    <EnterSubmits>Save</EnterSubmits>
  </form>
</template>

<style scoped>
.PaperPanel {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 var(--es-space-6);
  align-content: start;
}

.PaperPanel-wide {
  grid-column: 1 / -1;
  margin-bottom: var(--es-space-3);
}

.PaperPanel-go {
  justify-self: start;
}
</style>
