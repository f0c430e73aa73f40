<script setup lang="ts">
import FileChoice from '../../kit/FileChoice.vue'
import PressCard from '../../kit/PressCard.vue'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { placeOf } from '@core/run/place'
import { formatSize } from '@core/quantity/format'
import { useNow } from '../../state/useNow'
import { useWorkroom } from '../../state/workroom.store'
import BigTarget from '../../kit/BigTarget.vue'
import ChoiceRow from '../../kit/ChoiceRow.vue'
import { useMarginNotes, type MarginNote } from '../../state/margin.store'
import { dateOf } from '../../words/moments'
import { usePreferences } from '../../state/preferences.store'
import { useNegativeDesk } from './desk.store'
import FilmAndPrint from './parts/FilmAndPrint.vue'
import FilmFields from './parts/FilmFields.vue'
import FilmQueue from './parts/FilmQueue.vue'
import LayerFields from './parts/LayerFields.vue'
import MadeList from './parts/MadeList.vue'
import { fileNameOf, tintOf } from './negative.draft'
import PictureFields from './parts/PictureFields.vue'
import PrintFields from './parts/PrintFields.vue'
import { useNegativeQueue } from '../../state/queue.store'
import ToneLadder from './parts/ToneLadder.vue'
import { useFilms } from './useFilms'

const [workroom, preferences, now] = [useWorkroom(), usePreferences(), useNow()]
const [desk, queue] = [useNegativeDesk(), useNegativeQueue()]
const shownLayer = ref(0)
const { withCurve, sheet, read, film, print, pixels, proof, rungs, histogram, notes, colours, dryDown } =
  useFilms(shownLayer)
const file = useTemplateRef<InstanceType<typeof FileChoice>>('file')
const isOver = ref(false)
const PARTS = [
  { id: 'print', name: 'the print' },
  { id: 'picture', name: 'the picture' },
  { id: 'film', name: 'the film' },
  { id: 'layers', name: 'layers' },
] as const
const part = ref<string | undefined>('print')

/** Prints that may still need a negative. */
const sheetOptions = computed(() =>
  workroom.sheets
    .filter(
      (one) =>
        !one.state.setAside && ['planned', 'coat', 'light'].includes(placeOf(one.state)) && !one.sheet.strip,
    )
    .map((one) => ({ id: one.sheet.id, name: `Sheet ${one.sheet.number}, ${one.sheet.title}` })),
)
watch(sheet, (one) => {
  if (one) desk.draft.size = formatSize(one.sheet, { length: preferences.chosen.length, temperature: 'degC' })
})
const curveOptions = computed(() => [
  { id: 'plain', name: 'plain inversion' },
  ...withCurve.value.map(({ calibration }) => ({ id: calibration.id, name: calibration.name })),
])
const curveName = (id: string) => curveOptions.value.find((one) => one.id === id)?.name ?? 'plain inversion'

/** The preview is seen through the mix of the film that is shown. */
const mix = computed(() => film.value?.mix ?? null)
watch(
  () => JSON.stringify(mix.value),
  () => {
    if (desk.picture) void desk.look(desk.picture.file, mix.value)
  },
)

async function take(list: FileList | readonly File[] | null | undefined): Promise<void> {
  isOver.value = false
  const chosen = list?.[0]
  if (chosen && (await desk.open(chosen)) && mix.value) await desk.look(chosen, mix.value)
}

function make(isPlain = false): void {
  const [picture, films] = [desk.picture, read.value.films]
  if (!picture || !films) return
  if (isPlain) desk.draft.curveId = 'plain'
  const wanted = isPlain ? (read.value.films ?? []) : films
  const { draft } = desk
  queue.add(
    wanted.map(({ layer, mix: of, plan, curveId }) => {
      const fileName = fileNameOf(picture.name, layer, draft.format)
      const words = [
        sheet.value ? `Sheet ${sheet.value.sheet.number}` : picture.name,
        layer,
        curveName(curveId),
        dateOf(now.now, now.now),
      ]
      return {
        name: layer ? `The ${layer} of ${picture.name}` : `The negative of ${picture.name}`,
        fileName,
        question: {
          act: 'make',
          file: picture.file,
          mix: of,
          plan,
          format: draft.format,
          tint: tintOf(draft.tint),
          writing: draft.hasLabel ? words.filter(Boolean).join(' · ') : '',
        },
        record: {
          picture: picture.name.slice(0, 200),
          ...(draft.sheetId && { sheetId: draft.sheetId }),
          ...(curveId !== 'plain' && { calibrationId: curveId }),
          curve: curveName(curveId),
          ...(layer && { layer }),
          widthMillimetres: plan.widthMillimetres,
          heightMillimetres: plan.heightMillimetres,
          pixelsPerInch: plan.pixelsPerInch,
        },
      }
    }),
  )
}
const makeLabel = computed(() =>
  desk.draft.layers.length ? `Make ${desk.draft.layers.length} negatives` : 'Make the negative',
)

useMarginNotes(() => {
  const own: MarginNote[] = [
    ...notes.value,
    {
      title: 'Emulsion to emulsion',
      lines: [
        'The printed, duller side of the film lies on the coat, so the picture is turned left to right on it.',
      ],
    },
  ]
  if (!withCurve.value.length)
    own.push({
      title: 'Tones where you planned them',
      lines: [
        'Print a chart once on film at your base exposure, scan it at Calibrate, and every negative after it lands.',
      ],
    })
  return own
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
        <h1>{{ desk.picture ? desk.picture.name : 'Negative' }}</h1>
      </div>
      <p v-if="desk.picture && pixels" class="NegativeStation-sizes">
        {{ pixels.width }} × {{ pixels.height }} at {{ desk.draft.resolution }} to the inch, 16 bit
        <br />
        from {{ desk.picture.width }} × {{ desk.picture.height }}, {{ desk.picture.bits }} bit
      </p>
    </header>
    <FileChoice
      ref="file"
      label="Picture file"
      accept="image/png,image/jpeg,image/webp,image/tiff,.tif,.tiff"
      @chosen="take"
    />
    <p v-if="desk.fault" role="alert" class="NegativeStation-fault">
      {{ desk.fault.problem }} {{ desk.fault.remedy }}
    </p>

    <PressCard
      v-if="!desk.picture"
      class="NegativeStation-drop"
      :class="{ 'is-over': isOver }"
      @click="file?.open()"
    >
      <strong>{{ desk.isOpening ? 'Opening the picture…' : 'Choose a picture' }}</strong>
      <span>or drop one here: TIFF or PNG of 8 or 16 bits, JPEG, WebP</span>
    </PressCard>
    <div v-else class="NegativeStation-look">
      <FilmAndPrint
        v-if="proof"
        :proof="proof"
        :print="print"
        :colours="colours"
        :dry-down="dryDown"
        :tint="tintOf(desk.draft.tint)"
      />
      <ToneLadder v-model="desk.draft.points" :rungs="rungs" :histogram="histogram" :colours="colours" />
    </div>

    <div class="NegativeStation-acts">
      <BigTarget :label="makeLabel" :disabled="!desk.picture || !read.films" @press="make()" />
      <BigTarget
        v-if="desk.picture && desk.draft.curveId !== 'plain' && !desk.draft.layers.length"
        plain
        label="Plain inversion instead"
        @press="make(true)"
      />
      <BigTarget v-if="desk.picture" plain label="Another picture" @press="file?.open()" />
      <RouterLink :to="{ name: 'calibrate' }">Calibrate</RouterLink>
    </div>
    <FilmQueue />

    <ChoiceRow v-model="part" label="Decide about" :options="PARTS" />
    <PrintFields
      v-if="part === 'print'"
      :draft="desk.draft"
      :sheets="sheetOptions"
      :curves="curveOptions"
      :fault="read.fault"
    />
    <PictureFields v-else-if="part === 'picture'" :draft="desk.draft" />
    <FilmFields v-else-if="part === 'film'" :draft="desk.draft" :fault="read.fault" />
    <LayerFields
      v-else
      v-model:shown="shownLayer"
      :draft="desk.draft"
      :curves="curveOptions"
      :fault="read.fault"
    />
    <MadeList />
  </section>
</template>

<style scoped>
.NegativeStation {
  display: grid;
  gap: var(--es-space-5);
  max-width: 900px;
}

header {
  display: flex;
  gap: var(--es-space-6);
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
  gap: var(--es-space-3);
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
  font: 500 var(--es-size-figure)/1.1 var(--es-serif);
}

.NegativeStation-drop span {
  color: var(--es-quiet);
}

.NegativeStation-look {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-6);
}

.NegativeStation-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-5);
  align-items: center;
}
</style>
