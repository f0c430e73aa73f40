<script setup lang="ts">
import PressCard from '../../../kit/PressCard.vue'
import { computed } from 'vue'
import { benchOf, liesIn, type BenchTray } from '@core/process/bench'
import { useOf } from '@core/process/baths'
import { groupsOf } from '@core/run/row'
import { stepInHand } from '@core/run/runState'
import { formatSpan } from '@core/quantity/format'
import type { ProcessDefinition } from '@core/schema/definition'
import type { SheetInRoom } from '../../../state/workroom.store'
import { useBaths } from '../../../state/baths.store'
import { bathLine, isWanting } from '../../../words/bathWords'
import TrayChip from './TrayChip.vue'

/** The trays of one process as they are on the bench, left to right, with the sheets that are in them. */
const props = defineProps<{
  definition: ProcessDefinition
  sheets: readonly SheetInRoom[]
  inHandId: string
  /** Tray that is opened below. */
  openTray: string | null
  /** Its process is named above it, where there are several on the bench. */
  isNamed: boolean
  /** Another process than that of the sheet in hand: only the trays in which something is. */
  isAside: boolean
}>()
const emit = defineEmits<{ choose: [sheetId: string]; open: [tray: BenchTray] }>()
const baths = useBaths()

const choices = computed(() => props.sheets[0]?.sheet.choices ?? {})
const trays = computed(() =>
  benchOf(props.definition, props.sheets)
    .filter((tray) => !props.isAside || props.sheets.some((one) => liesIn(tray, one.state)))
    .map((tray) => {
      const lying = props.sheets.filter((one) => liesIn(tray, one.state))
      const bath = tray.solution && baths.standing(props.definition, tray.solution, choices.value)
      const standing = bath && baths.standingOf(bath)
      return {
        tray,
        lying,
        groups: groupsOf(lying, props.inHandId),
        title: tray.isLine ? 'Drying line' : tray.title,
        line: tray.isLine ? 'until it is dry' : leastLine(tray),
        waters: lying[0] ? (stepInHand(lying[0].state)?.waters.length ?? 0) : 0,
        bathWords: tray.solution
          ? bath && standing
            ? bathLine(standing, useOf(props.definition, tray.solution.id).use)
            : 'not filled'
          : null,
        isWanting: standing ? isWanting(standing.verdict) : false,
        used: standing?.used?.value ?? null,
      }
    }),
)
/** A tray has room for so many marks; the one in hand is among them. */
const MOST_CHIPS = 4
const leastLine = (tray: BenchTray) =>
  tray.leastSeconds ? `${props.isNamed ? 'from' : 'at least'} ${formatSpan(tray.leastSeconds)}` : 'by eye'
</script>

<template>
  <section :aria-label="`Trays of ${definition.name}`">
    <p v-if="isNamed" class="TrayRow-process">
      <span :style="{ background: `var(--es-${definition.mark})` }" />
      {{ definition.name }}
    </p>
    <ol class="TrayRow" :class="{ 'is-many': isNamed || trays.length > 5, 'is-aside': isAside }">
      <li
        v-for="{ tray, lying, groups, title, line, waters, bathWords, isWanting: wants, used } in trays"
        :key="tray.id"
        :class="{ 'is-line': tray.isLine, 'is-full': lying.length }"
      >
        <div class="TrayRow-tray" :class="{ 'is-empty': bathWords === 'not filled' }">
          <TrayChip
            v-for="group in groups.slice(0, MOST_CHIPS)"
            :key="group[0]?.sheet.id"
            class="TrayRow-sheet"
            :group="group"
            :is-in-hand="group.some((one) => one.sheet.id === inHandId)"
            :has-clock="!tray.isLine"
            @choose="emit('choose', group[0]?.sheet.id ?? '')"
          />
          <small v-if="groups.length > MOST_CHIPS">+ {{ groups.length - MOST_CHIPS }}</small>
        </div>
        <h2>{{ title }}</h2>
        <p class="es-quiet">{{ line }}</p>
        <p v-if="waters" class="es-quiet">
          {{ waters === 1 ? 'one change of water' : `${waters} changes of water` }}
        </p>
        <PressCard
          v-if="bathWords"
          class="TrayRow-bath"
          :class="{ 'is-wanting': wants }"
          :aria-expanded="openTray === tray.id"
          :aria-label="`${tray.solution?.name}: ${bathWords}`"
          @click="emit('open', tray)"
        >
          {{ bathWords }}
          <span v-if="used !== null" class="TrayRow-used" aria-hidden="true">
            <i :style="{ width: `${Math.min(100, 100 * used)}%` }" />
          </span>
        </PressCard>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.TrayRow-process {
  display: flex;
  gap: var(--es-space-3);
  align-items: center;
  margin-bottom: var(--es-space-3);
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

.TrayRow-process span {
  width: 9px;
  height: 9px;
  border-radius: 50%;
}

.TrayRow {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(6.875rem, 9.375rem));
  gap: var(--es-space-5);
  margin: 0;
  padding: 0;
  list-style: none;
}

.TrayRow-tray {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2);
  align-items: center;
  justify-content: center;
  height: 7.375rem;
  margin-bottom: var(--es-space-3);
  border: 2px solid var(--es-rule-strong);
  border-radius: 8px;
  background: color-mix(in srgb, var(--es-prussian) 5%, var(--es-page));
}

.TrayRow-tray.is-empty {
  border-style: dashed;
  background: none;
}

.is-full .TrayRow-tray {
  background: color-mix(in srgb, var(--es-prussian) 11%, var(--es-page));
}

.is-line .TrayRow-tray {
  align-items: flex-start;
  border-width: 2px 0 0;
  border-radius: 0;
  background: none;
}

h2 {
  font-size: var(--es-size-lead);
}

.is-line h2 {
  margin-top: var(--es-space-5);
}

p {
  font-size: var(--es-size-small);
}

.TrayRow-bath {
  display: block;
  width: 100%;
  min-height: var(--es-touch, 1.875rem);
  margin-top: var(--es-space-1);
  padding: var(--es-space-1) 0;
  border: 0;
  background: none;
  color: var(--es-ink);
  cursor: pointer;
  font-size: var(--es-size-small);
  text-align: left;
  text-decoration: underline dotted var(--es-line);
  text-underline-offset: 3px;
}

.TrayRow-bath:hover,
.TrayRow-bath[aria-expanded='true'] {
  text-decoration: underline var(--es-ember);
}

.TrayRow-bath.is-wanting {
  color: var(--es-ember);
}

.TrayRow-used {
  display: block;
  height: 4px;
  margin-top: var(--es-space-2);
  background: var(--es-rule);
}

.TrayRow-used i {
  display: block;
  height: 100%;
  background: var(--es-ink);
}

/* A long row of baths, or several rows, are drawn smaller, so that the act stays in sight below them. */
.is-many {
  grid-template-columns: repeat(auto-fit, minmax(4.875rem, 1fr));
  gap: var(--es-space-3) var(--es-space-3);
}

.is-many .TrayRow-tray {
  height: 3.625rem;
  margin-bottom: var(--es-space-2);
}

.is-many .TrayRow-sheet {
  width: 2.75rem;
  height: 3.125rem;
  font-size: var(--es-size-body);
}

.is-many h2 {
  margin-top: 0;
  font-size: var(--es-size-body);
  line-height: 1.15;
}

.is-many p,
.is-many .TrayRow-bath {
  font-size: var(--es-size-tiny);
}

/* What is in another process's trays is said beside them, in little height. */
.is-aside {
  display: flex;
  gap: var(--es-space-3) var(--es-space-6);
}

.is-aside li {
  display: grid;
  grid-template-columns: 5.375rem minmax(4.375rem, 7.5rem);
  gap: 0 var(--es-space-3);
  align-content: start;
}

.is-aside .TrayRow-tray {
  grid-row: span 4;
}

@media (40em < width <= 68.75em) {
  .is-many:not(.is-aside) {
    grid-template-columns: repeat(auto-fit, minmax(3.75rem, 1fr));
    gap: var(--es-space-3) var(--es-space-3);
  }

  .is-many h2 {
    font-size: var(--es-size-small);
  }
}

@media (width <= 40em) {
  .TrayRow {
    grid-template-columns: repeat(auto-fit, minmax(5rem, 1fr));
  }

  .TrayRow-tray {
    height: 6rem;
  }
}
</style>
