<script setup lang="ts">
import { computed } from 'vue'
import type { Figure } from '@core/quantity/figure'
import { digits } from '@core/quantity/format'
import type { partsOf } from '@core/process/mixPlan'
import type { MixDefinition, ProcessDefinition } from '@core/schema/definition'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import type { SheetDraft } from '../newSheet'
import type { DraftFaults } from '../sheet.draft'
import { texts } from '../words'

/** What is seldom set for a sheet, folded away; the draft is the form's own, handed down whole. */
const props = defineProps<{
  draft: SheetDraft
  faults: DraftFaults
  isNew: boolean
  coverage: Figure
  dropper: { dropsPerMillilitre: number; name: string | null }
  mixes: readonly { mix: MixDefinition; parts: ReturnType<typeof partsOf> }[]
  pieceOptions: readonly { id: string; name: string }[]
  portfolios: readonly string[]
  habits: ProcessDefinition['choices']
}>()
/** How far a sheet was worked before it came here. */
const CAME_IN = [
  { id: '', name: 'not coated yet' },
  { id: 'coated', name: 'already coated' },
  { id: 'exposed', name: 'already exposed' },
  { id: 'finished', name: 'a finished print' },
]
/** What is set in the folded part, so that it need not be unfolded to be checked. */
const settingsSaid = computed(() =>
  texts.settingsInShort({
    sheets: props.draft.sheets || '1',
    coats: props.draft.coats || '1',
    coverage: props.draft.coverage || digits(props.coverage.value),
    drops: props.draft.dropper || String(props.dropper.dropsPerMillilitre),
    ratios: props.mixes
      .filter(({ parts }) => parts.length > 1)
      .map(({ mix, parts }) => props.draft.ratios[mix.id] || parts.map((part) => part.parts).join(' : '))
      .join(', '),
    portfolio: props.draft.portfolio,
  }),
)
</script>

<template>
  <!-- eslint-disable vue/no-mutating-props -- the draft is the form's own -->
  <details class="MoreSettings">
    <summary>
      More settings:
      <span class="es-quiet">{{ settingsSaid }}</span>
    </summary>
    <div class="MoreSettings-row">
      <TextField
        v-if="isNew"
        v-model="draft.sheets"
        label="Sheets from one mix"
        :fault="faults.sheets"
        hint="1, or several alike"
      />
      <TextField
        v-if="isNew && (draft.names || draft.sheets.trim() !== '1')"
        v-model="draft.names"
        label="Names of the sheets"
        :fault="faults.names"
        placeholder="Ada, Ben, Cleo"
        :hint="texts.oneNameEach"
      />
      <TextField
        v-if="isNew && (draft.papers || draft.sheets.trim() !== '1' || draft.names)"
        v-model="draft.papers"
        label="Papers of the sheets"
        :fault="faults.papers"
        placeholder="Kozo, 40 g; Bristol board"
        :hint="texts.onePaperEachHint"
      />
      <TextField v-model="draft.coats" label="Coats" :fault="faults.coats" />
      <TextField
        v-model="draft.coverage"
        label="Coverage, ml/m²"
        :fault="faults.coverage"
        :placeholder="digits(coverage.value)"
        :hint="
          coverage.working.standing === 'yours'
            ? 'leave empty to use your own average'
            : 'leave empty for the usual'
        "
      />
      <TextField
        v-model="draft.dropper"
        label="Drops per ml"
        :fault="faults.dropper"
        :placeholder="String(dropper.dropsPerMillilitre)"
        :hint="dropper.name ? `leave empty for ${dropper.name}` : '20 until you calibrate your dropper'"
      />
      <template v-for="{ mix, parts } in mixes" :key="mix.id">
        <TextField
          v-if="parts.length > 1"
          :model-value="draft.ratios[mix.id] ?? ''"
          :label="mixes.length > 1 ? `Ratio, ${mix.name.toLowerCase()}` : 'Ratio'"
          :fault="faults.ratios"
          :placeholder="parts.map((part) => part.parts).join(' : ')"
          :hint="parts.map((part) => part.component.letter).join(' : ')"
          @update:model-value="draft.ratios[mix.id] = $event"
        />
      </template>
      <SelectField
        v-if="pieceOptions.length"
        v-model="draft.pieceId"
        label="Torn piece"
        :options="pieceOptions"
        placeholder="any"
        clearable
      />
      <TextField v-model="draft.portfolio" label="Portfolio" :options="portfolios" placeholder="none" />
      <SelectField
        v-if="isNew"
        v-model="draft.cameIn"
        label="The sheet is"
        :options="CAME_IN"
        placeholder="not coated yet"
      />
    </div>
    <div class="MoreSettings-habits">
      <ChoiceRow
        v-for="choice in habits"
        :key="choice.id"
        v-model="draft.choices[choice.id]"
        :label="choice.name"
        :options="choice.options"
      />
    </div>
  </details>
</template>

<style scoped>
.MoreSettings summary {
  padding: var(--es-space-3) 0;
  color: var(--es-quiet);
  cursor: pointer;
}

.MoreSettings-habits {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-7);
}

.MoreSettings-row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  gap: var(--es-space-1) var(--es-space-6);
}
</style>
