<script setup lang="ts">
import { texts } from './words'
import FileChoice from '../../kit/FileChoice.vue'
import PressCard from '../../kit/PressCard.vue'
import BigTarget from '../../kit/BigTarget.vue'
import KitButton from '../../kit/KitButton.vue'
import ChoiceRow from '../../kit/ChoiceRow.vue'
import FilmAndPrint from './parts/FilmAndPrint.vue'
import FilmFields from './parts/FilmFields.vue'
import FilmQueue from './parts/FilmQueue.vue'
import LayerFields from './parts/LayerFields.vue'
import MadeList from './parts/MadeList.vue'
import { tintOf } from './negative.draft'
import PictureFields from './parts/PictureFields.vue'
import PrintFields from './parts/PrintFields.vue'
import ToneLadder from './parts/ToneLadder.vue'
import { useNegativeStation } from './useNegativeStation'

const {
  desk,
  shownLayer,
  sheet,
  read,
  print,
  pixels,
  proof,
  rungs,
  histogram,
  used,
  seemsLines,
  setControls,
  setPoints,
  colours,
  dryDown,
  file,
  PARTS,
  part,
  sheetOptions,
  curveOptions,
  take,
  make,
  makeLabel,
} = useNegativeStation()
</script>

<template>
  <section class="NegativeStation">
    <header>
      <div>
        <p class="es-kicker">
          {{ sheet ? `For sheet ${sheet.sheet.number} · ${sheet.definition.name}` : 'Picture to film' }}
        </p>
        <h1>{{ desk.picture ? desk.picture.name : 'Negative' }}</h1>
      </div>
      <p v-if="desk.picture && pixels" class="NegativeStation-sizes">
        {{ pixels.width }} × {{ pixels.height }} at {{ desk.draft.resolution }} ppi, 16 bit
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
    <p v-for="note in desk.picture?.notes" :key="note" role="status">{{ note }}</p>
    <p v-if="seemsLines" role="status">
      {{ texts.looksLikeLines }}
      <KitButton kind="quiet" @click="desk.draft.isLines = true">Treat it as line art</KitButton>
    </p>
    <p v-if="desk.fault" role="alert" class="NegativeStation-fault">
      {{ desk.fault.problem }} {{ desk.fault.remedy }}
    </p>

    <PressCard v-if="!desk.picture" class="NegativeStation-drop" @click="file?.open()">
      <strong>{{ desk.isOpening ? 'Opening the picture…' : 'Choose a picture' }}</strong>
      <span>{{ texts.orDropFileHereTiff }}</span>
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
      <ToneLadder
        v-if="!desk.draft.isLines"
        :model-value="desk.draft.points"
        :rungs="rungs"
        :histogram="histogram"
        :colours="colours"
        @update:model-value="setPoints"
      />
    </div>

    <div class="NegativeStation-acts">
      <BigTarget :label="makeLabel" :disabled="!desk.picture || !read.films" @press="make()" />
      <BigTarget
        v-if="desk.picture && desk.draft.curveId !== 'plain' && !desk.draft.layers.length"
        plain
        label="Use plain inversion instead"
        @press="make(true)"
      />
      <BigTarget v-if="desk.picture" plain label="Change picture" @press="file?.open()" />
    </div>
    <FilmQueue />

    <ChoiceRow v-model="part" label="Settings for" :options="PARTS" />
    <PrintFields
      v-if="part === 'print'"
      :draft="desk.draft"
      :sheets="sheetOptions"
      :curves="curveOptions"
      :fault="read.fault"
    />
    <PictureFields
      v-else-if="part === 'picture'"
      :draft="desk.draft"
      :cropped="used.cropped"
      @controls="setControls"
    />
    <FilmFields v-else-if="part === 'film'" :draft="desk.draft" :fault="read.fault" />
    <LayerFields
      v-else
      v-model:shown="shownLayer"
      :draft="desk.draft"
      :curves="curveOptions"
      :fault="read.fault"
    />
    <MadeList :sheet="sheet?.sheet ?? null" />
  </section>
</template>

<style scoped>
.NegativeStation {
  display: grid;
  gap: var(--es-space-5);
  max-width: 56.25rem;
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
  min-height: 15rem;
  border: 2px dashed var(--es-line);
  background: none;
  cursor: pointer;
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
