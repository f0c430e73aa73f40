<script setup lang="ts">
import { computed, ref } from 'vue'
import { hexOf, patchNamed } from '@core/chart/inkColours'
import KitButton from '../../../kit/KitButton.vue'
import TintedPicture from '../../../kit/TintedPicture.vue'
import TextField from '../../../kit/TextField.vue'
import { useNotice } from '../../../state/notice.store'
import { usePreferences } from '../../../state/preferences.store'
import { saveFile } from '../../../state/saveFile'
import { useNegativeDesk } from '../desk.store'
import { texts } from '../words'

/** Which ink colour holds the most ultraviolet back: a chart of all hues, and the patch that printed lightest. */
const [preferences, desk, notice] = [usePreferences(), useNegativeDesk(), useNotice()]
const name = ref('')
const patch = computed(() => patchNamed(name.value))
const fault = computed(() =>
  name.value.trim() && !patch.value
    ? { code: 'unknown', field: 'patch', problem: texts.noSuchPatch, remedy: texts.patchExample }
    : undefined,
)

async function save(): Promise<void> {
  const { inkChartPdf } = await import('../inkChartPdf')
  saveFile(inkChartPdf(), 'ink-colours.pdf')
}
function use(colour: string): void {
  const before = preferences.chosen.inkColour
  preferences.chosen.inkColour = desk.draft.tint = colour
  name.value = ''
  notice.say(texts.inkColourSaved, () => {
    preferences.chosen.inkColour = desk.draft.tint = before
  })
}
</script>

<template>
  <details class="InkColour">
    <summary>
      Ink colour
      <TintedPicture class="InkColour-swatch">
        <span :style="{ background: preferences.chosen.inkColour }" />
      </TintedPicture>
      <span class="es-quiet">
        {{ preferences.chosen.inkColour === '#000000' ? 'black' : preferences.chosen.inkColour }}
      </span>
    </summary>
    <p>{{ texts.inkChartHow }}</p>
    <KitButton @click="save">Save the colour chart, PDF</KitButton>
    <form @submit.prevent="patch && use(hexOf(patch.rgb))">
      <TextField v-model="name" label="Lightest patch on the print" placeholder="9c" :fault="fault" />
      <TintedPicture v-if="patch" class="InkColour-swatch">
        <span :style="{ background: hexOf(patch.rgb) }" />
      </TintedPicture>
      <KitButton v-if="patch" type="submit">Use this colour for films</KitButton>
      <KitButton v-if="preferences.chosen.inkColour !== '#000000'" kind="quiet" @click="use('#000000')">
        Back to black
      </KitButton>
    </form>
  </details>
</template>

<style scoped>
.InkColour,
form {
  display: flow-root;
}

form {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-6);
  align-items: center;
  margin-top: var(--es-space-3);
}

summary {
  padding: var(--es-space-3) 0;
  cursor: pointer;
}

.InkColour-swatch {
  display: inline-block;
  width: 1.5rem;
  height: 1.5rem;
  border: 1px solid var(--es-rule);
  margin-inline: var(--es-space-2);
  vertical-align: middle;
}

.InkColour-swatch span {
  display: block;
  height: 100%;
}
</style>
