<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import { CoreError, type Refusal } from '@core/errors'
import { LUMINANCE } from '@core/negative/grey'
import { negativeSize, toneOf, type NegativePlan } from '@core/negative/render'
import { placeOf } from '@core/process/standing'
import { formatSize } from '@core/quantity/format'
import { parseSize } from '@core/quantity/parse'
import { inkOf, PLAIN_INVERSION } from '@core/tone/curve'
import { useWorkroom } from '../data/workroom.store'
import BigTarget from '../shell/BigTarget.vue'
import ChoiceRow from '../shell/ChoiceRow.vue'
import { useMarginNotes, type MarginNote } from '../shell/margin.store'
import { useNotice } from '../shell/notice.store'
import { usePreferences } from '../shell/preferences.store'
import SelectField from '../shell/SelectField.vue'
import TextField from '../shell/TextField.vue'
import FilmAndPrint from './FilmAndPrint.vue'
import { ladder, printFor, willItPrint } from './negativeWords'
import ToneLadder from './ToneLadder.vue'
import { useCalibrations } from './useCalibrations'
import { download, useNegative } from './useNegative'

const [workroom, notice, preferences] = [useWorkroom(), useNotice(), usePreferences()]
const { picture, fault, share, open, make, stop } = useNegative()
const calibrations = useCalibrations()
const file = useTemplateRef<HTMLInputElement>('file')
const isOver = ref(false)

/** Prints that may still need a negative. */
const sheetOptions = computed(() =>
  workroom.sheets
    .filter(
      (one) =>
        !one.state.setAside && ['planned', 'coat', 'light'].includes(placeOf(one.state)) && !one.sheet.strip,
    )
    .map((one) => ({ id: one.sheet.id, name: `Sheet ${one.sheet.number}, ${one.sheet.title}` })),
)
const sheetId = ref('')
const sheet = computed(() => workroom.find(sheetId.value) ?? null)
const unit = { length: preferences.chosen.length, temperature: 'degC' as const }
const size = ref(formatSize({ widthMillimetres: 203.2, heightMillimetres: 254 }, unit))
watch(sheet, (one) => {
  if (one) size.value = formatSize(one.sheet, unit)
})
const resolution = ref('360')
const black = ref('0')
const white = ref('100')
const middle = ref('1')
const curveId = ref<string | undefined>('plain')
const curveOptions = computed(() => [
  { id: 'plain', name: 'plain inversion' },
  ...calibrations.solved.value.map(({ id, name }) => ({ id, name })),
])
const curve = computed(() => calibrations.solved.value.find((one) => one.id === curveId.value)?.curve ?? null)
const mirrored = ref<string | undefined>('mirrored')

const take = async (list: FileList | null | undefined) => {
  isOver.value = false
  const chosen = list?.[0]
  if (chosen) await open(chosen, LUMINANCE)
}
const number = (text: string) => Number(text.trim().replace(',', '.'))
const read = computed((): { plan: NegativePlan | null; fault?: Refusal } => {
  try {
    const plan: NegativePlan = {
      ...parseSize(size.value, { field: 'size', bareUnit: preferences.chosen.length }),
      pixelsPerInch: number(resolution.value),
      blackPoint: number(black.value),
      whitePoint: number(white.value),
      middle: number(middle.value),
      curve: curve.value ?? PLAIN_INVERSION,
      isMirrored: mirrored.value === 'mirrored',
    }
    negativeSize(plan)
    if (!(plan.whitePoint - plan.blackPoint >= 5) || !(plan.middle > 0.1 && plan.middle < 10))
      throw new CoreError({
        code: 'out-of-range',
        field: 'tones',
        problem: 'These points leave no tones between them.',
        remedy: 'Black 0 to 40, white 60 to 100, middle near 1.',
      })
    return { plan }
  } catch (error) {
    if (error instanceof CoreError) return { plan: null, fault: error.refusal }
    throw error
  }
})
const faultOf = (...fields: string[]) =>
  read.value.fault && fields.includes(read.value.fault.field) ? read.value.fault : undefined
const points = computed(() => read.value.plan ?? { blackPoint: 0, whitePoint: 100, middle: 1 })
const pixels = computed(() => (read.value.plan ? negativeSize(read.value.plan) : null))
const ink = computed(() => inkOf(curve.value ?? PLAIN_INVERSION))
const print = computed(() => printFor(curve.value))
const rungs = computed(() => ladder(ink.value, print.value))
const DEEPEST = { prussian: '#0d2746', umber: '#33200f', plum: '#3a1a2d', graphite: '#1d1d1c' } as const
const deepest = computed(() => DEEPEST[sheet.value?.definition.mark ?? 'graphite'])
/** Shares of the picture at its ends, from the preview. */
const ends = computed(() => {
  const data = picture.value?.preview.data
  if (!data?.length) return { black: 0, white: 0 }
  let [dark, light] = [0, 0]
  for (const value of data) {
    const tone = toneOf(value, points.value)
    if (tone <= 0.004) dark++
    if (tone >= 0.996) light++
  }
  return { black: dark / data.length, white: light / data.length }
})

async function makeIt(): Promise<void> {
  const { plan } = read.value
  const of = picture.value
  if (!plan || !of) return
  const made = await make(plan, LUMINANCE)
  if (!made) return
  download(made, `${of.name.replace(/\.[^.]+$/, '')}-negative.png`)
  notice.say(
    `The negative is made: ${pixels.value?.width} × ${pixels.value?.height} pixels, 16 bits. Print it at ${resolution.value} to the inch, without scaling.`,
  )
}

useMarginNotes(() => {
  const notes: MarginNote[] = []
  if (picture.value && pixels.value)
    notes.push(
      ...willItPrint({
        curve: curve.value,
        rungs: rungs.value,
        blackShare: ends.value.black,
        whiteShare: ends.value.white,
        picturePixels: picture.value.width * picture.value.height,
        negativePixels: pixels.value.width * pixels.value.height,
      }),
    )
  notes.push({
    title: 'Emulsion to emulsion',
    lines: [
      'The printed, duller side of the film lies on the coat, so the picture is turned left to right on it.',
    ],
  })
  if (!calibrations.solved.value.length)
    notes.push({
      title: 'Tones where you planned them',
      lines: [
        'Print a step chart once on film with your base exposure, read it at Calibrate, and every negative after it lands.',
      ],
    })
  return notes
})
</script>

<template>
  <section
    class="NegativeStation"
    @dragover.prevent="isOver = true"
    @dragleave="isOver = false"
    @drop.prevent="take($event.dataTransfer?.files)"
  >
    <header>
      <div>
        <p class="es-kicker">
          {{
            sheet ? `For sheet ${sheet.sheet.number} · ${sheet.definition.name}` : 'From a picture to a film'
          }}
        </p>
        <h1>{{ picture ? picture.name : 'Negative' }}</h1>
      </div>
      <p v-if="picture && pixels" class="NegativeStation-sizes">
        {{ pixels.width }} × {{ pixels.height }} at {{ resolution }} to the inch, 16 bit
        <br />
        from {{ picture.width }} × {{ picture.height }}, {{ picture.bits }} bit
      </p>
    </header>
    <input
      ref="file"
      class="es-unseen"
      type="file"
      accept="image/png,image/jpeg,image/webp"
      tabindex="-1"
      aria-label="Picture file"
      @change="take(($event.target as HTMLInputElement).files)"
    />
    <p v-if="fault" role="alert" class="NegativeStation-fault">{{ fault.problem }} {{ fault.remedy }}</p>

    <button
      v-if="!picture"
      type="button"
      class="NegativeStation-drop"
      :class="{ 'is-over': isOver }"
      @click="file?.click()"
    >
      <strong>Choose a picture</strong>
      <span>or drop one here: PNG of 8 or 16 bits, JPEG, WebP</span>
    </button>
    <div v-else class="NegativeStation-look">
      <FilmAndPrint
        :preview="picture.preview"
        :points="points"
        :ink="ink"
        :print="print"
        :deepest="deepest"
      />
      <ToneLadder :rungs="rungs" />
    </div>

    <div class="NegativeStation-acts">
      <BigTarget
        v-if="share === null"
        label="Make the negative"
        :disabled="!picture || !read.plan"
        @press="makeIt"
      />
      <template v-else>
        <progress :value="share" max="1" aria-label="Share of the negative that is made" />
        <BigTarget label="Stop" @press="stop" />
      </template>
      <BigTarget v-if="picture" plain label="Another picture" @press="file?.click()" />
      <RouterLink :to="{ name: 'calibrate' }">Calibrate</RouterLink>
    </div>

    <ChoiceRow v-model="curveId" label="Curve" :options="curveOptions" />
    <div class="NegativeStation-row">
      <SelectField
        v-model="sheetId"
        label="For which sheet"
        :options="sheetOptions"
        clearable
        placeholder="none yet"
      />
      <TextField v-model="size" label="Size of the picture" :fault="faultOf('size')" />
      <TextField v-model="resolution" label="Pixels to the inch" :fault="faultOf('resolution')" />
      <TextField v-model="black" label="Prints as black, L* of the picture" :fault="faultOf('tones')" />
      <TextField v-model="white" label="Prints as white, L* of the picture" />
      <TextField v-model="middle" label="Middle tones" hint="above 1 darker, below lighter" />
    </div>
    <ChoiceRow
      v-model="mirrored"
      label="On the film"
      :options="[
        { id: 'mirrored', name: 'turned left to right' },
        { id: 'straight', name: 'as it is seen' },
      ]"
    />
  </section>
</template>

<style scoped>
.NegativeStation {
  display: grid;
  gap: 16px;
  max-width: 900px;
}

header {
  display: flex;
  gap: 20px;
  justify-content: space-between;
}

h1 {
  overflow-wrap: anywhere;
}

.NegativeStation-sizes {
  flex: none;
  color: var(--es-quiet);
  text-align: right;
}

.NegativeStation-fault {
  color: var(--es-ember);
}

.NegativeStation-drop {
  display: grid;
  gap: 6px;
  place-content: center;
  min-height: 240px;
  border: 2px dashed var(--es-line);
  background: none;
  cursor: pointer;
}

.NegativeStation-drop.is-over {
  border-color: var(--es-ember);
}

.NegativeStation-drop strong {
  font: 500 26px/1.1 var(--es-serif);
}

.NegativeStation-drop span {
  color: var(--es-quiet);
}

.NegativeStation-look {
  display: flex;
  flex-wrap: wrap;
  gap: 24px;
}

.NegativeStation-acts {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  align-items: center;
}

.NegativeStation-row {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 2px 24px;
}

progress {
  width: 220px;
  height: 6px;
  border: 0;
  background: var(--es-rule);
  appearance: none;
}

progress::-webkit-progress-bar {
  background: var(--es-rule);
}

progress::-webkit-progress-value {
  background: var(--es-ember);
}

progress::-moz-progress-bar {
  background: var(--es-ember);
}

@media (width <= 820px) {
  .NegativeStation-row {
    grid-template-columns: 1fr;
  }
}
</style>
