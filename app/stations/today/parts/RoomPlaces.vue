<script setup lang="ts">
import { RouterLink, type RouteLocationRaw } from 'vue-router'
import type { RoomPlace } from '../runningOrder'
import type { SheetAtPlace } from '../useRunningOrder'
import SheetMark from './SheetMark.vue'

/** The room as its five places, with the sheets that are in them and their clocks. */
defineProps<{
  room: readonly (RoomPlace & { sheets: SheetAtPlace[] })[]
  placeToGo: (sheetId: string) => RouteLocationRaw
}>()
</script>

<template>
  <section class="RoomPlaces" aria-labelledby="room-places">
    <h2 id="room-places">Where the sheets are</h2>
    <section v-for="place in room" :key="place.place" :aria-label="place.title">
      <h3>{{ place.title }}</h3>
      <p v-if="!place.sheets.length" class="es-quiet">empty</p>
      <ul v-else>
        <li v-for="sheet in place.sheets" :key="sheet.sheetId">
          <RouterLink :to="placeToGo(sheet.sheetId)" :class="{ 'is-over': sheet.isOver }">
            <SheetMark :numbers="sheet.numbers" :mark="sheet.mark" />
            <span class="RoomPlaces-what">
              <span>{{ sheet.title }}</span>
              <span class="es-quiet">{{ sheet.line }}</span>
            </span>
            <strong>{{ sheet.figure }}</strong>
          </RouterLink>
        </li>
      </ul>
    </section>
  </section>
</template>

<style scoped>
.RoomPlaces {
  display: grid;
  gap: var(--es-space-3);
  align-content: start;
}

.RoomPlaces > section {
  display: grid;
  gap: var(--es-space-2);
  padding-top: var(--es-space-3);
  border-top: 1px solid var(--es-rule);
}

h3 {
  font-size: var(--es-size-body);
}

ul {
  display: grid;
  gap: var(--es-space-2);
  margin: 0;
  padding: 0;
  list-style: none;
}

ul a {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: var(--es-space-3);
  align-items: center;
  min-height: 2.5rem;
  text-decoration: none;
}

ul a:hover span > span:first-child {
  text-decoration: underline;
}

.RoomPlaces-what {
  display: grid;
  font-size: var(--es-size-small);
  overflow-wrap: anywhere;
}

.is-over strong {
  color: var(--es-ember);
}
</style>
