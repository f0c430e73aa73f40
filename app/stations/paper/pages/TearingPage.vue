<script setup lang="ts">
import KitCheckbox from '../../../kit/KitCheckbox.vue'
import KitButton from '../../../kit/KitButton.vue'
import { parseNumber } from '@core/quantity/number'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { CoreError, type Refusal } from '@core/errors'
import type { Tear } from '@core/paper/tearing'
import { digits, formatOnRule, formatSize } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import { parseSize } from '@core/quantity/size'
import { useWorkroom } from '../../../state/workroom.store'
import type { TearingQuestion } from '../../../workers/tearing.worker'
import BigTarget from '../../../kit/BigTarget.vue'
import { useKeyRows } from '../../../state/keys.store'
import { useMarginNotes } from '../../../state/margin.store'
import { useNotice } from '../../../state/notice.store'
import { usePreferences } from '../../../state/preferences.store'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import { writePieces } from '../../../state/actions/paper.actions'
import TearingDrawing from '../parts/TearingDrawing.vue'
import { useTearing } from '../useTearing'

const [route, router, workroom, notice, preferences] = [
  useRoute(),
  useRouter(),
  useWorkroom(),
  useNotice(),
  usePreferences(),
]

const unit = computed(() => preferences.chosen.length)
const paperId = ref(
  typeof route.params.paperId === 'string' ? route.params.paperId : (workroom.papers[0]?.id ?? ''),
)
const paper = computed(() => workroom.papers.find((one) => one.id === paperId.value))
const sheetText = ref('')
const measured = computed(() =>
  paper.value?.widthMillimetres && paper.value.heightMillimetres
    ? formatSize(
        { widthMillimetres: paper.value.widthMillimetres, heightMillimetres: paper.value.heightMillimetres },
        { length: unit.value, temperature: 'degC' },
      )
    : '',
)
const loss = ref('')
const rows = ref([{ size: unit.value === 'in' ? '11 x 10 in' : '20 x 25 cm', count: '', turn: true }])
const side = ref('')
const done = ref(1)

interface Asked {
  question: TearingQuestion | null
  faults: Record<string, Refusal>
}
const asked = computed((): Asked => {
  const faults: Record<string, Refusal> = {}
  const attempt = <Value,>(field: string, read: () => Value): Value | null => {
    try {
      return read()
    } catch (error) {
      if (!(error instanceof CoreError)) throw error
      faults[field] = error.refusal
      return null
    }
  }
  const sheet = attempt('sheet', () =>
    parseSize(sheetText.value.trim() || measured.value, { field: 'sheet', bareUnit: unit.value }),
  )
  const edge = attempt('loss', () =>
    loss.value.trim() ? parseQuantity(loss.value, 'length', { field: 'torn edge', bareUnit: 'mm' }) : 0,
  )
  const wanted = rows.value.map((row, i) =>
    attempt(`row${i}`, () => {
      const size = parseSize(row.size, { field: 'piece', bareUnit: unit.value })
      const count = row.count.trim()
        ? parseNumber(row.count, { field: 'piece', isWhole: true, min: 1, example: '4' })
        : Infinity
      return { width: size.widthMillimetres, height: size.heightMillimetres, count, mayTurn: row.turn }
    }),
  )
  if (!sheet || edge === null || wanted.includes(null) || !wanted.length) return { question: null, faults }
  return {
    faults,
    question: {
      sheet: { width: sheet.widthMillimetres, height: sheet.heightMillimetres },
      wanted: wanted.filter((one) => one !== null),
      loss: edge,
    },
  }
})
const { plan, fault, isBusy } = useTearing(() => asked.value.question)
const sizeNames = computed(() => rows.value.map((row) => row.size.replace(/\s*(in|cm|mm)$/, '')))
const rule = (millimetres: number) => formatOnRule(millimetres, unit.value)
const tearWords = ({ way, at }: Tear) =>
  way === 'down' ? `${rule(at)} from the left edge, tear down` : `${rule(at)} from the top edge, tear across`
const inHand = ({ piece }: Tear) => `of the piece ${rule(piece.width)} × ${rule(piece.height)}`
const leftOver = computed(() =>
  (plan.value?.leftOver ?? []).map((one) => `${rule(one.width)} × ${rule(one.height)}`),
)

const step = (by: number) => {
  done.value = Math.min(Math.max(1, done.value + by), plan.value?.tears.length ?? 1)
}
async function write(): Promise<void> {
  if (!plan.value || !paper.value) return
  const initials = paper.value.name
    .split(/\s+/)
    .map((word) => word[0]?.toUpperCase() ?? '')
    .join('')
  const first = workroom.pieces.filter((one) => one.label.startsWith(`${initials}-`)).length
  try {
    const pieces = plan.value.pieces.map((one, i) => ({
      label: `${initials}-${first + i + 1}`,
      widthMillimetres: one.width,
      heightMillimetres: one.height,
      side: side.value.trim() || paper.value?.side || '',
    }))
    const back = await writePieces(paper.value.id, pieces)
    notice.say(`${pieces.length} pieces in the drawer, ${pieces[0]?.label} to ${pieces.at(-1)?.label}.`, back)
    await router.push({ name: 'paper', params: { paperId: paper.value.id } })
  } catch (error) {
    notice.refuse(error, 'writing the pieces down')
  }
}
useKeyRows('Tearing', () => [
  { key: ' ', name: 'The next tear', run: () => step(1) },
  { key: 'b', name: 'One tear back', run: () => step(-1) },
])
useMarginNotes(() => [
  {
    title: 'How to tear',
    lines: [
      'A steel rule on the mark, the sheet held flat, torn upwards along it. Keep the sheet the same way round from tear to tear.',
      'A pencil cross on the printing side of every piece, before the first tear.',
    ],
  },
  {
    title: 'How the plan is found',
    lines: [
      'Of all ways to tear right through the piece in hand, the one that makes most of the sheet into pieces; of equals, the one with the fewest tears.',
    ],
  },
])
</script>

<template>
  <section class="TearingPage">
    <header>
      <p class="es-kicker">{{ paper?.name ?? 'A large sheet' }}</p>
      <h1>Tear a sheet</h1>
    </header>
    <div class="TearingPage-both">
      <div class="TearingPage-asked">
        <SelectField
          v-if="workroom.papers.length"
          v-model="paperId"
          label="Paper"
          :options="workroom.papers"
          placeholder="none of the drawer"
          clearable
        />
        <TextField
          v-model="sheetText"
          label="The sheet, as measured"
          :placeholder="measured || '22.5 x 30 in'"
          :fault="sheetText || !measured ? asked.faults.sheet : undefined"
        />
        <div v-for="(row, i) in rows" :key="i" class="TearingPage-row">
          <TextField v-model="row.size" :label="`Piece ${i + 1}`" :fault="asked.faults[`row${i}`]" />
          <TextField v-model="row.count" label="How many" placeholder="all that fit" />
          <KitCheckbox v-model="row.turn" class="TearingPage-turn">may turn</KitCheckbox>
        </div>
        <p>
          <KitButton kind="link" @click="rows.push({ size: '', count: '1', turn: true })">
            Another size
          </KitButton>
          <KitButton v-if="rows.length > 1" kind="link" @click="rows.pop()">One size less</KitButton>
        </p>
        <QuantityField
          v-model="loss"
          label="A torn edge costs"
          placeholder="0 mm"
          :fault="asked.faults.loss"
          dimension="length"
          unit="mm"
        />
        <TextField
          v-model="side"
          label="Printing side, as you mark it"
          :placeholder="paper?.side ?? 'pencil cross'"
        />
      </div>
      <div class="TearingPage-plan">
        <p v-if="fault" role="alert" class="TearingPage-fault">{{ fault.problem }} {{ fault.remedy }}</p>
        <p v-else-if="isBusy && !plan" class="es-quiet">Looking for the best way…</p>
        <template v-if="plan && asked.question">
          <p class="TearingPage-sum">
            <strong>{{ plan.pieces.length }} pieces</strong>
            {{ plan.counts.map((count, i) => `${count} of ${sizeNames[i]}`).join(', ') }};
            {{ digits(100 * plan.used) }} % of the sheet
          </p>
          <TearingDrawing :sheet="asked.question.sheet" :plan="plan" :size-names="sizeNames" :up-to="done" />
        </template>
      </div>
      <ol v-if="plan" class="TearingPage-marks" aria-label="Marks in the order of tearing">
        <li v-for="(tear, i) in plan.tears" :key="i" :class="{ 'is-now': i + 1 === done }">
          <strong>{{ i + 1 }}</strong>
          <span>
            {{ tearWords(tear) }}
            <em class="es-quiet">{{ inHand(tear) }}</em>
          </span>
        </li>
        <li v-if="leftOver.length" class="es-quiet">Left over: {{ leftOver.join(', ') }}</li>
      </ol>
    </div>
    <div class="TearingPage-acts">
      <BigTarget
        label="The next tear"
        hint=" "
        :disabled="!plan || done >= plan.tears.length"
        @press="step(1)"
      />
      <BigTarget quiet label="Torn: write the pieces down" :disabled="!plan || !paper" @press="write" />
    </div>
  </section>
</template>

<style scoped>
.TearingPage {
  display: grid;
  gap: var(--es-space-5);
}

.TearingPage-both {
  display: grid;
  grid-template-columns: minmax(190px, 230px) auto minmax(170px, 1fr);
  gap: var(--es-space-3) var(--es-space-7);
}

.TearingPage-row {
  display: grid;
  grid-template-columns: 1.3fr 1fr;
  gap: 0 var(--es-space-5);
}

.TearingPage-turn {
  grid-column: 1 / -1;
  margin-bottom: var(--es-space-3);
  font-size: var(--es-size-small);
}

.TearingPage-sum {
  margin-bottom: var(--es-space-3);
}

.TearingPage-sum strong {
  font-size: var(--es-size-lead);
  font-weight: 400;
}

.TearingPage-marks {
  display: grid;
  gap: var(--es-space-3);
  align-content: start;
  margin: var(--es-space-7) 0 0;
  padding: 0;
  font-size: var(--es-size-body);
  list-style: none;
}

.TearingPage-marks li {
  display: flex;
  gap: var(--es-space-3);
  padding: var(--es-space-1) var(--es-space-3);
  border-left: 3px solid transparent;
}

.TearingPage-marks li.is-now {
  border-color: var(--es-ember);
}

.TearingPage-fault {
  color: var(--es-ember);
}

.TearingPage-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
}

@media (width <= 1100px) {
  .TearingPage-both {
    grid-template-columns: 1fr;
  }
}
</style>
