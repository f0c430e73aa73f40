<script setup lang="ts">
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import { addBase, undoBase } from '../../../state/actions/light.actions'
import { computed, ref } from 'vue'
import { CoreError, type Refusal } from '@core/errors'
import { exposureFromBase } from '@core/light/bases'
import { expectedLight } from '@core/light/lightNow'
import { formatSpan } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import { useNow } from '../../../state/useNow'
import { useWorkroom } from '../../../state/workroom.store'
import EmptyPage from '../../../kit/EmptyPage.vue'
import FigureValue from '../../../kit/FigureValue.vue'
import { useMarginNotes } from '../../../state/margin.store'
import { dateOf } from '../../../words/moments'
import { useNotice } from '../../../state/notice.store'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import { useLights } from '../../../state/lights.store'
import { doseText } from '../lightWords'

const [workroom, lights, notice, now] = [useWorkroom(), useLights(), useNotice(), useNow()]

const papers = computed(() => new Map(workroom.papers.map((paper) => [paper.id, paper.name])))
const WAY = {
  strip: 'from a test strip',
  eye: 'from a test strip, by eye',
  typed: 'entered by hand',
} as const
/** Each with what it comes to under its light as it burns today. */
const shown = computed(() =>
  [...lights.bases]
    .sort((a, b) => b.at - a.at)
    .map((base) => {
      const history = lights.history(base.lightId)
      const from = exposureFromBase(
        { base, differs: [] },
        history && expectedLight(history, now.now),
        history?.light.schwarzschild,
      )
      return {
        base,
        from,
        definition: workroom.definitionOf(base.processId),
        light: history?.light.name ?? 'a deleted light',
        paper: (base.paperId && papers.value.get(base.paperId)) || 'any paper',
        isScaled: Math.abs(from.seconds.value / base.seconds - 1) > 0.01,
      }
    }),
)

const processId = ref(workroom.sheets[0]?.sheet.process.id ?? '')
const lightId = ref(workroom.lights[0]?.id ?? '')
const paperId = ref('')
const film = ref('clear film')
const seconds = ref('')
const fault = ref<Refusal | undefined>()
const isTyping = ref(false)
async function add(): Promise<void> {
  fault.value = undefined
  try {
    const value = parseQuantity(seconds.value, 'time', { field: 'base exposure', bareUnit: 'min' })
    if (!processId.value || !lightId.value)
      throw new CoreError({
        code: 'missing',
        field: 'base exposure',
        problem: 'Process and light are missing.',
        remedy: texts.chooseBothAddLightIn,
      })
    const light = lights.lightNow(lightId.value)
    const id = await addBase({
      processId: processId.value,
      choices: {},
      ...(paperId.value && { paperId: paperId.value }),
      lightId: lightId.value,
      film: film.value.trim(),
      seconds: value,
      ...(light && { milliwattsPerCm2: light.milliwattsPerCm2 }),
      by: 'typed',
      note: '',
    })
    isTyping.value = false
    seconds.value = ''
    notice.say('Base exposure saved.', () => undoBase(id))
  } catch (error) {
    if (error instanceof CoreError) fault.value = error.refusal
    else notice.refuse(error, 'the base exposure')
  }
}
const ofProcess = computed(() => workroom.allProcesses.map((one) => ({ id: one.id, name: one.name })))

useMarginNotes(() => [
  {
    title: 'What it applies to',
    lines: [texts.oneCombinationProcessSensitizerPaper],
  },
  {
    title: 'Saved as a dose where possible',
    lines: [texts.ifLightWasMeasuredBase],
  },
])
</script>

<template>
  <section class="BasesPage">
    <header>
      <h1>Base exposures</h1>
    </header>
    <EmptyPage v-if="!shown.length" under kicker="Base exposures" title="No base exposure yet">
      <p>{{ texts.printAndReadOneTest }}</p>
      <p><RouterLink :to="{ name: 'strip' }">Plan a test strip</RouterLink></p>
    </EmptyPage>
    <article
      v-for="one in shown"
      :key="one.base.id"
      :aria-label="`${one.definition.name}, ${one.paper}, ${one.light}`"
    >
      <h2>
        <span class="BasesPage-mark" :style="{ background: `var(--es-${one.definition.mark})` }" />
        {{ one.definition.name }}
      </h2>
      <p>{{ one.paper }}, under {{ one.light }}, through {{ one.base.film || 'clear film' }}</p>
      <div class="BasesPage-figures">
        <FigureValue
          :label="one.isScaled ? 'at the present output of the lamp' : 'base exposure'"
          :figure="one.from.seconds"
          :text="formatSpan(Math.round(one.from.seconds.value))"
        />
        <p v-if="one.base.lowSeconds !== undefined && one.base.highSeconds !== undefined" class="es-quiet">
          measured {{ formatSpan(Math.round(one.base.seconds)) }} (likely
          {{ formatSpan(Math.round(one.base.lowSeconds)) }} to
          {{ formatSpan(Math.round(one.base.highSeconds)) }})
        </p>
        <p v-if="one.from.millijoulesPerCm2" class="es-quiet">{{ doseText(one.from.millijoulesPerCm2) }}</p>
        <p class="es-quiet">{{ WAY[one.base.by] }}, {{ dateOf(one.base.at, now.now) }}</p>
        <KitButton kind="quiet" @click="undoBase(one.base.id)">remove</KitButton>
      </div>
    </article>
    <form v-if="isTyping" class="BasesPage-new" @submit.prevent="add">
      <SelectField v-model="processId" label="Process" :options="ofProcess" />
      <SelectField
        v-model="lightId"
        label="Light"
        :options="workroom.lights.map((one) => ({ id: one.id, name: one.name }))"
      />
      <SelectField
        v-model="paperId"
        label="Paper"
        :options="workroom.papers.map((one) => ({ id: one.id, name: one.name }))"
        clearable
        placeholder="any"
      />
      <TextField v-model="film" label="Film" />
      <QuantityField
        v-model="seconds"
        label="Base exposure"
        placeholder="8 min"
        :fault="fault"
        dimension="time"
        unit="min"
      />
      <KitButton type="submit">Save</KitButton>
    </form>
    <KitButton v-else class="BasesPage-add" @click="isTyping = true">Enter a base exposure</KitButton>
  </section>
</template>

<style scoped>
.BasesPage {
  display: grid;
  gap: var(--es-space-5);
  max-width: 53.75rem;
}

header {
  display: grid;
  gap: var(--es-space-3);
}

article {
  display: grid;
  gap: var(--es-space-2);
  padding-bottom: var(--es-space-4);
  border-bottom: 1px solid var(--es-rule);
}

.BasesPage-mark {
  display: inline-block;
  width: 10px;
  height: 10px;
  margin-right: var(--es-space-3);
}

.BasesPage-figures {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-6);
  align-items: baseline;
}

.BasesPage-new {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--es-space-1) var(--es-space-6);
}

.BasesPage-add {
  justify-self: start;
  padding: var(--es-space-3) var(--es-space-5);
  border: 1px solid var(--es-line);
  background: none;
  cursor: pointer;
}
</style>
