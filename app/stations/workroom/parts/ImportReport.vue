<script setup lang="ts">
import { texts } from '../words'
import KitTable from '../../../kit/KitTable.vue'
import ChoiceCard from '../../../kit/ChoiceCard.vue'
import KitButton from '../../../kit/KitButton.vue'
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import { conflictKey, KINDS, type Conflict } from '@core/archive/merge'
import type { ReadReport } from '../../../workers/archive.worker'
import BigTarget from '../../../kit/BigTarget.vue'
import SalvageList from './SalvageList.vue'

/** What an import would do, before it does it: what is new, the same, carried on, or in conflict, record by record. */
const props = defineProps<{ report: ReadReport }>()
const emit = defineEmits<{ finish: [takeTheirs: ReadonlySet<string>]; close: [] }>()

const NAMES: Readonly<Record<(typeof KINDS)[number], string>> = {
  sheets: 'sheets',
  papers: 'papers',
  pieces: 'torn pieces',
  paperRuns: 'paper treatments',
  bottles: 'bottles',
  takings: 'amounts used from bottles',
  wastes: 'waste',
  droppers: 'droppers',
  ownProcesses: 'your own processes',
  lights: 'lights',
  lightEntries: 'lamp log entries',
  bases: 'base exposures',
  tablets: 'step tablets',
  tabletPrints: 'step tablet prints',
  calibrations: 'calibrations',
  negatives: 'films',
  baths: 'baths',
  registerChecks: 'register checks',
  plans: 'day plans',
  diagnoses: 'diagnoses',
  photos: 'photographs',
  setAside: 'entries set aside',
}
const summary = computed(() => props.report.summary)
const rows = computed(() =>
  KINDS.map((kind) => ({
    name: NAMES[kind],
    added: summary.value.added[kind],
    same: summary.value.same[kind],
    conflicts: summary.value.conflicts.filter(
      (one) => one.kind === kind || (kind === 'sheets' && one.kind === 'log'),
    ).length,
  })).filter((row) => row.added + row.conflicts > 0),
)
const same = computed(() => KINDS.reduce((sum, kind) => sum + summary.value.same[kind], 0))
const isNothing = computed(() => !rows.value.length && !summary.value.events && !props.report.missing)
const frame = useTemplateRef<HTMLElement>('frame')
onMounted(() => frame.value?.scrollIntoView({ block: 'nearest' }))
const taken = ref(new Set<string>())
function choose(conflict: Conflict, isTheirs: boolean): void {
  const key = conflictKey(conflict)
  if (isTheirs) taken.value.add(key)
  else taken.value.delete(key)
}
const isTaken = (conflict: Conflict) => taken.value.has(conflictKey(conflict))
const takeAll = () => (taken.value = new Set(summary.value.conflicts.map(conflictKey)))
/** `exposureSeconds` as a person would write it. */
const fieldSaid = (name: string) =>
  name
    .replace(/Millimetres|GramsPerM2|Seconds|Id$/g, '')
    .replace(/([A-Z])/g, ' $1')
    .toLowerCase() || name
</script>

<template>
  <section ref="frame" class="ImportReport" aria-label="Import report">
    <h2>What this import adds</h2>
    <p v-if="report.part">
      {{ texts.partOfArchive({ part: report.part.number, of: report.part.of }) }}
    </p>
    <template v-if="report.notes.length">
      <p class="ImportReport-flawed">
        {{
          texts.partsNotRead({
            parts: report.notes.length,
          })
        }}
      </p>
      <SalvageList :notes="report.notes" />
    </template>
    <KitTable
      v-if="rows.length"
      class="ImportReport-rows"
      unseen-first
      numeric
      :columns="['Kind', 'added', 'the same', 'in conflict']"
    >
      <tr v-for="row in rows" :key="row.name">
        <th scope="row">{{ row.name }}</th>
        <td>{{ row.added }}</td>
        <td>{{ row.same }}</td>
        <td :class="{ 'is-conflict': row.conflicts }">{{ row.conflicts }}</td>
      </tr>
    </KitTable>
    <p v-if="same">{{ texts.sameAsYours({ records: same }) }}</p>
    <p v-if="report.missing">
      {{ texts.picturesReplaced({ pictures: report.missing }) }}
    </p>
    <p v-if="report.bare">
      {{ texts.photosWithoutPicture({ photos: report.bare, isPart: !!report.part }) }}
    </p>
    <p v-if="summary.events">
      {{ texts.newLogEntries({ events: summary.events, continued: summary.continued }) }}
    </p>
    <p v-if="summary.clashes.length">
      {{
        texts.sameNumberTwice({
          numbers: summary.clashes.slice(0, 12).join(', '),
          more: summary.clashes.length > 12 ? ` and ${summary.clashes.length - 12} more` : '',
        })
      }}
    </p>
    <template v-if="summary.conflicts.length">
      <h3>Conflicts</h3>
      <p>{{ texts.yourVersionStaysUnlessYou }}</p>
      <fieldset v-for="conflict in summary.conflicts" :key="conflictKey(conflict)">
        <legend>{{ conflict.name }}</legend>
        <ChoiceCard
          kind="radio"
          :name="conflictKey(conflict)"
          :picked="!isTaken(conflict)"
          @pick="choose(conflict, false)"
        >
          <strong>your version</strong>
          <span v-for="field in conflict.fields" :key="field.name">
            <i>{{ fieldSaid(field.name) }}</i>
            {{ field.here }}
          </span>
        </ChoiceCard>
        <ChoiceCard
          kind="radio"
          :name="conflictKey(conflict)"
          :picked="isTaken(conflict)"
          @pick="choose(conflict, true)"
        >
          <strong>use the archive’s</strong>
          <span v-for="field in conflict.fields" :key="field.name">
            <i>{{ fieldSaid(field.name) }}</i>
            {{ field.theirs }}
          </span>
        </ChoiceCard>
      </fieldset>
      <KitButton v-if="summary.conflicts.length > 2" kind="quiet" class="ImportReport-all" @click="takeAll">
        use the archive’s for all
      </KitButton>
    </template>
    <div class="ImportReport-acts">
      <BigTarget
        v-if="!isNothing"
        :label="taken.size ? `Import, replacing ${taken.size}` : 'Import'"
        @press="emit('finish', taken)"
      />
      <p v-else>{{ texts.youAlreadyHaveEverythingIn }}</p>
      <BigTarget quiet label="Cancel" @press="emit('close')" />
    </div>
  </section>
</template>

<style scoped>
.ImportReport {
  display: grid;
  gap: var(--es-space-4);
  padding: var(--es-space-5) var(--es-space-6);
  border-left: 3px solid var(--es-ember);
  background: var(--es-card);
}

.ImportReport-rows {
  justify-self: start;
}

.ImportReport-flawed {
  color: var(--es-ember);
}

.is-conflict {
  color: var(--es-ember);
  font-weight: 700;
}

h3 {
  font-size: var(--es-size-lead);
}

fieldset {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--es-space-3);
  margin: 0;
  padding: 0;
  border: 0;
}

label {
  display: grid;
  gap: var(--es-space-1);
  align-content: start;
  padding: var(--es-space-3) var(--es-space-4);
  border: 1px solid var(--es-rule);
  cursor: pointer;
  font-size: var(--es-size-small);
  overflow-wrap: anywhere;
}

.is-picked {
  border-color: var(--es-ink);
  box-shadow: inset 0 -3px 0 var(--es-ember);
}

label:focus-within {
  outline: 2px solid var(--es-ember);
}

.ImportReport-all {
  justify-self: start;
  border: 0;
  background: none;
  cursor: pointer;
  text-decoration: underline;
}

.ImportReport-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-5);
  align-items: center;
}
</style>
