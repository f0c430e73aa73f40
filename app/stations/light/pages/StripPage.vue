<script setup lang="ts">
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import { makeStrip } from '../../../state/actions/sheet.actions'
import { parseNumber } from '@core/quantity/number'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { CoreError } from '@core/errors'
import { cueWords, stripCues, stripTimes, type StripPlan } from '@core/light/strip'
import { stepInHand } from '@core/run/runState'
import { placeOf } from '@core/run/place'
import { formatSpan } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import { useWorkroom } from '../../../state/workroom.store'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import { useMarginNotes } from '../../../state/margin.store'
import { useNotice } from '../../../state/notice.store'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import StripCard from '../parts/StripCard.vue'

/** A test strip is planned here, and laid onto a sheet: one that waits for the light, or a new one. */
const [router, workroom, notice] = [useRouter(), useWorkroom(), useNotice()]
const first = ref('1 min')
const last = ref('16 min')
const count = ref('9')
const spacing = ref<string | undefined>('ratio')
const card = ref<string | undefined>('covers')

const read = computed(() => {
  try {
    const time = (text: string, field: string) => parseQuantity(text, 'time', { field, bareUnit: 'min' })
    const plan: StripPlan = {
      firstSeconds: time(first.value, 'first'),
      lastSeconds: time(last.value, 'last'),
      count: parseNumber(count.value, { field: 'count', isWhole: true, example: '9' }),
      spacing: spacing.value === 'time' ? 'time' : 'ratio',
      card: card.value === 'frees' ? 'frees' : 'covers',
    }
    return { plan, times: stripTimes(plan), cues: stripCues(plan), fault: undefined }
  } catch (error) {
    if (error instanceof CoreError) return { plan: null, times: [], cues: [], fault: error.refusal }
    throw error
  }
})
const faultOf = (field: string) => (read.value.fault?.field === field ? read.value.fault : undefined)

/** Sheets whose exposure has not begun. */
const waiting = computed(() =>
  workroom.sheets.filter(
    (one) =>
      !one.state.setAside &&
      (placeOf(one.state) === 'planned' ||
        one.state.steps.some(
          (step, at) =>
            step.planned.kind === 'expose' && step.startedAt === undefined && at >= one.state.current,
        )),
  ),
)
async function onto(sheetId: string): Promise<void> {
  const one = workroom.find(sheetId)
  const { plan } = read.value
  if (!one || !plan) return
  try {
    const step = stepInHand(one.state)
    const undoLast = await makeStrip(one.sheet, plan, step?.planned ?? null)
    notice.say(`Sheet ${one.sheet.number} is a test strip.`, undoLast)
    await router.push({ name: step ? 'light' : 'coat', params: { sheetId } })
  } catch (error) {
    notice.refuse(error, 'the strip')
  }
}
const begin = () => {
  const { plan } = read.value
  if (plan)
    void router.push({
      name: 'begin',
      query: { strip: [plan.firstSeconds, plan.lastSeconds, plan.count, plan.spacing, plan.card].join('-') },
    })
}
const strips = computed(() => workroom.sheets.filter((one) => one.sheet.strip))

useMarginNotes(() => [
  {
    title: 'How to lay the strip',
    lines: [texts.layClearFilmAlongOne, texts.stepsEqualRatioLookEven],
  },
  {
    title: 'How to expose the strip',
    lines: [texts.exposureClockTellsYouCover],
  },
  {
    title: 'What the strip is for',
    lines: [texts.stripFindsBaseExposureShortest],
  },
])
</script>

<template>
  <section class="StripPage">
    <header>
      <h1>Test strip</h1>
    </header>
    <div class="StripPage-row">
      <QuantityField
        v-model="first"
        label="Shortest exposure"
        :fault="faultOf('first')"
        dimension="time"
        unit="min"
      />
      <QuantityField
        v-model="last"
        label="Longest exposure"
        :fault="faultOf('last')"
        dimension="time"
        unit="min"
      />
      <TextField v-model="count" label="Number of steps" :fault="faultOf('count')" />
    </div>
    <ChoiceRow
      v-model="spacing"
      label="Steps"
      :options="[
        { id: 'ratio', name: 'equal ratio (stops)' },
        { id: 'time', name: 'equal time' },
      ]"
    />
    <ChoiceRow
      v-model="card"
      label="Card"
      :options="[
        { id: 'covers', name: 'covers step after step' },
        { id: 'frees', name: 'uncovers step after step' },
      ]"
    />
    <StripCard v-if="read.times.length" :times="read.times" :covered="0" />
    <ol v-if="read.plan" class="StripPage-cues" aria-label="When to move the card">
      <li v-for="cue in read.cues" :key="cue.atSeconds">
        <span>{{ formatSpan(Math.round(cue.atSeconds)) }}</span>
        {{ cueWords(read.plan, cue) }}
      </li>
      <li>
        <span>{{ formatSpan(Math.round(read.plan.lastSeconds)) }}</span>
        Finish exposure
      </li>
    </ol>
    <div class="StripPage-acts">
      <BigTarget :label="texts.planNewSheetForThis" :disabled="!read.plan" @press="begin" />
    </div>
    <section v-if="waiting.length">
      <h2>Or use a planned sheet</h2>
      <ul>
        <li v-for="one in waiting" :key="one.sheet.id">
          <KitButton :disabled="!read.plan" @click="onto(one.sheet.id)">
            Sheet {{ one.sheet.number }}, {{ one.sheet.title }}
          </KitButton>
        </li>
      </ul>
    </section>
    <section v-if="strips.length">
      <h2>Test strips</h2>
      <ul>
        <li v-for="one in strips" :key="one.sheet.id">
          <RouterLink :to="{ name: 'read-strip', params: { sheetId: one.sheet.id } }">
            {{ one.state.stripRead ? 'Open' : 'Read' }} sheet {{ one.sheet.number }}, {{ one.sheet.title }}
          </RouterLink>
          <span class="es-quiet">{{ one.definition.name }}</span>
        </li>
      </ul>
    </section>
  </section>
</template>

<style scoped>
.StripPage {
  display: grid;
  gap: var(--es-space-5);
  max-width: 53.75rem;
}

header {
  display: grid;
  gap: var(--es-space-3);
}

.StripPage-row {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: var(--es-space-1) var(--es-space-6);
}

.StripPage-cues {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: var(--es-space-2) var(--es-space-6);
  margin: 0;
  padding: 0;
  list-style: none;
}

.StripPage-cues span {
  display: inline-block;
  min-width: 7.5em;
  color: var(--es-quiet);
}

ul {
  display: grid;
  gap: var(--es-space-3);
  margin: var(--es-space-3) 0 0;
  padding: 0;
  list-style: none;
}

li .es-quiet {
  margin-left: var(--es-space-3);
}
</style>
