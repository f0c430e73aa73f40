<script setup lang="ts">
import { computed, ref } from 'vue'
import { conflictKey, type MergePlan } from '@core/record/merge'
import BigTarget from '../shell/BigTarget.vue'

/** What an import would do, before it does it: what is new, the same, carried on, or in conflict. */
const props = defineProps<{ plan: MergePlan }>()
const emit = defineEmits<{ finish: [takeTheirs: ReadonlySet<string>]; close: [] }>()

const NAMES = {
  sheets: 'sheets',
  papers: 'papers',
  bottles: 'bottles',
  lights: 'lights',
  photos: 'photographs',
} as const
const KINDS = Object.keys(NAMES) as (keyof typeof NAMES)[]
const FIELDS: Readonly<Record<string, string>> = {
  widthMillimetres: 'width',
  heightMillimetres: 'height',
  gramsPerM2: 'weight',
  percentWv: 'strength',
}

const rows = computed(() =>
  KINDS.map((kind) => ({
    name: NAMES[kind],
    added: props.plan.added[kind].length,
    same: props.plan.same[kind],
    conflicts: props.plan.conflicts.filter(
      (conflict) => conflict.kind === kind || (kind === 'sheets' && conflict.kind === 'log'),
    ).length,
  })),
)
const isNothing = computed(
  () => rows.value.every((row) => !row.added && !row.conflicts) && !props.plan.events.length,
)
const taken = ref(new Set<string>())
const toggle = (key: string) => (taken.value.has(key) ? taken.value.delete(key) : taken.value.add(key))
</script>

<template>
  <section class="ImportReport" aria-label="Import report">
    <h2>What this archive would bring</h2>
    <table>
      <thead>
        <tr>
          <th scope="col"><span class="es-unseen">Kind</span></th>
          <th scope="col">added</th>
          <th scope="col">the same</th>
          <th scope="col">in conflict</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.name">
          <th scope="row">{{ row.name }}</th>
          <td>{{ row.added }}</td>
          <td>{{ row.same }}</td>
          <td :class="{ 'is-conflict': row.conflicts }">{{ row.conflicts }}</td>
        </tr>
      </tbody>
    </table>
    <p>
      {{ plan.events.length }} lines of sheets’ threads are new
      <template v-if="plan.continued.length">
        ;
        {{ plan.continued.length === 1 ? 'one sheet here is' : `${plan.continued.length} sheets here are` }}
        carried on
      </template>
      .
    </p>
    <template v-if="plan.conflicts.length">
      <p>These differ. What is here stays, unless you take the archive’s:</p>
      <ul>
        <li v-for="conflict in plan.conflicts" :key="conflictKey(conflict)">
          <label>
            <input
              type="checkbox"
              :checked="taken.has(conflictKey(conflict))"
              @change="toggle(conflictKey(conflict))"
            />
            take the archive’s {{ conflict.name }}
            <span class="es-quiet">
              ({{ conflict.differs.map((field) => FIELDS[field] ?? field).join(', ') }})
            </span>
          </label>
        </li>
      </ul>
    </template>
    <div class="ImportReport-acts">
      <BigTarget
        v-if="!isNothing"
        :label="taken.size ? `Import, replacing ${taken.size}` : 'Import'"
        @press="emit('finish', taken)"
      />
      <p v-else>Everything in it is here already.</p>
      <BigTarget quiet label="Leave it" @press="emit('close')" />
    </div>
  </section>
</template>

<style scoped>
.ImportReport {
  display: grid;
  gap: 12px;
  padding: 18px 22px;
  border-left: 3px solid var(--es-ember);
  background: var(--es-card);
}

table {
  justify-self: start;
  border-spacing: 28px 4px;
  margin-left: -28px;
}

th {
  color: var(--es-quiet);
  font-weight: 400;
  text-align: left;
}

td {
  text-align: right;
}

.is-conflict {
  color: var(--es-ember);
  font-weight: 700;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

.ImportReport-acts {
  display: flex;
  gap: 14px;
  align-items: center;
}
</style>
