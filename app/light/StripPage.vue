<script setup lang="ts">
import { parseNumber } from '@core/quantity/number'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { CoreError } from '@core/errors'
import { cueWords, stripCues, stripTimes, type StripPlan } from '@core/light/strip'
import { stepInHand } from '@core/run/run'
import { placeOf } from '@core/run/place'
import { formatSpan } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import { Sheet } from '@core/schema/records'
import { append, undo } from '../data/log'
import { db } from '../data/db'
import { useWorkroom } from '../data/workroom.store'
import BigTarget from '../shell/BigTarget.vue'
import ChoiceRow from '../shell/ChoiceRow.vue'
import { useMarginNotes } from '../shell/margin.store'
import { useNotice } from '../shell/notice.store'
import TextField from '../shell/TextField.vue'
import LightNav from './LightNav.vue'
import StripCard from './StripCard.vue'

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
    // A strip has its own times; the dose that the sheet was planned for is not its own.
    const strip = Sheet.parse({
      ...one.sheet,
      millijoulesPerCm2: undefined,
      strip: plan,
      exposureSeconds: plan.lastSeconds,
      changedAt: Date.now(),
    })
    await db.sheets.put(strip)
    const step = stepInHand(one.state)
    // Work that has begun carries its plan in its log; a new length is said there too.
    const isSaid = step?.planned.kind === 'expose'
    if (isSaid)
      await append(sheetId, {
        type: 'exposureChanged',
        step: step.planned.id,
        plannedSeconds: plan.lastSeconds,
        said: 'a test strip',
      })
    notice.say(`Sheet ${one.sheet.number} is a test strip.`, async () => {
      if (isSaid) await undo(sheetId)
      await db.sheets.put(one.sheet)
    })
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
    title: 'How it is laid',
    lines: [
      'One coated strip, the clear film over half its length, bare coat beside it. Mark 1 at the edge the card comes from.',
      'Steps by a like ratio look even to the eye; a third of a stop apart is fine enough.',
    ],
  },
  {
    title: 'How it is run',
    lines: [
      'The exposure clock counts and says “cover to mark 3”. Turn the voice on at Workroom, or watch the page.',
    ],
  },
  {
    title: 'What it is for',
    lines: [
      'The base exposure: the shortest that still gives the deepest black through the clear film. Everything after it is the negative’s work.',
    ],
  },
])
</script>

<template>
  <section class="StripPage">
    <header>
      <p class="es-kicker">To find the base exposure</p>
      <h1>Test strip</h1>
      <LightNav here="strip" />
    </header>
    <div class="StripPage-row">
      <TextField v-model="first" label="First mark" :fault="faultOf('first')" />
      <TextField v-model="last" label="Last mark" :fault="faultOf('last')" />
      <TextField v-model="count" label="Marks" :fault="faultOf('count')" />
    </div>
    <ChoiceRow
      v-model="spacing"
      label="Steps"
      :options="[
        { id: 'ratio', name: 'by a like ratio' },
        { id: 'time', name: 'by a like time' },
      ]"
    />
    <ChoiceRow
      v-model="card"
      label="The card"
      :options="[
        { id: 'covers', name: 'covers mark after mark' },
        { id: 'frees', name: 'frees mark after mark' },
      ]"
    />
    <StripCard v-if="read.times.length" :times="read.times" :covered="0" />
    <ol v-if="read.plan" class="StripPage-cues" aria-label="When the card is moved">
      <li v-for="cue in read.cues" :key="cue.atSeconds">
        <span>{{ formatSpan(Math.round(cue.atSeconds)) }}</span>
        {{ cueWords(read.plan, cue) }}
      </li>
      <li>
        <span>{{ formatSpan(Math.round(read.plan.lastSeconds)) }}</span>
        Take it out
      </li>
    </ol>
    <div class="StripPage-acts">
      <BigTarget label="A new sheet for it" :disabled="!read.plan" @press="begin" />
    </div>
    <section v-if="waiting.length">
      <h2>Or onto a sheet that waits</h2>
      <ul>
        <li v-for="one in waiting" :key="one.sheet.id">
          <button type="button" :disabled="!read.plan" @click="onto(one.sheet.id)">
            Sheet {{ one.sheet.number }}, {{ one.sheet.title }}
          </button>
        </li>
      </ul>
    </section>
    <section v-if="strips.length">
      <h2>Strips</h2>
      <ul>
        <li v-for="one in strips" :key="one.sheet.id">
          <RouterLink :to="{ name: 'read-strip', params: { sheetId: one.sheet.id } }">
            {{ one.state.stripRead ? 'Look at' : 'Read' }} sheet {{ one.sheet.number }}, {{ one.sheet.title }}
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
  gap: 14px;
  max-width: 860px;
}

header {
  display: grid;
  gap: 10px;
}

.StripPage-row {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 2px 24px;
}

.StripPage-cues {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 3px 24px;
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
  gap: 6px;
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
}

li .es-quiet {
  margin-left: 10px;
}

button {
  padding: 8px 12px;
  border: 1px solid var(--es-line);
  background: none;
  cursor: pointer;
}
</style>
