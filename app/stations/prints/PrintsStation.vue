<script setup lang="ts">
import { counted } from '../../words/counted'
import { texts } from './words'
import InlineField from '../../kit/InlineField.vue'
import KitButton from '../../kit/KitButton.vue'
import BigTarget from '../../kit/BigTarget.vue'
import EmptyPage from '../../kit/EmptyPage.vue'
import SelectField from '../../kit/SelectField.vue'
import TextField from '../../kit/TextField.vue'
import PrintsLines from './parts/PrintsLines.vue'
import { STANDINGS } from './printSearch'
import { exampleOf, VALUES } from './printValues'
import { usePrintsStation } from './usePrintsStation'

const {
  workroom,
  router,
  picks,
  isNarrow,
  filter,
  onLine,
  range,
  faultOf,
  shown,
  open,
  portfolioOptions,
  processOptions,
  isAsked,
  clear,
  compare,
} = usePrintsStation()
</script>

<template>
  <EmptyPage
    v-if="!workroom.sheets.length"
    kicker="The lines are bare"
    title="No print hangs here yet"
    action="New sheet"
    @act="router.push({ name: 'begin' })"
  >
    <p>{{ texts.everySheetYouStartAppears }}</p>
    <p v-if="workroom.binned.length">
      <RouterLink :to="{ name: 'bin' }">{{ workroom.binned.length }} in the bin</RouterLink>
    </p>
  </EmptyPage>

  <div v-else class="PrintsStation">
    <header>
      <div>
        <p class="es-kicker">
          {{
            filter.portfolio || (workroom.portfolios.length === 1 ? workroom.portfolios[0] : 'All portfolios')
          }}
        </p>
        <h1>All prints</h1>
      </div>
      <InlineField
        ref="field"
        v-model="filter.words"
        class="PrintsStation-find"
        label="Search prints"
        placeholder="Search prints  /"
        @keydown.escape.stop="filter.words = ''"
      />
    </header>
    <div class="PrintsStation-sift">
      <SelectField
        v-model="filter.portfolio"
        label="Portfolio"
        placeholder="any"
        clearable
        :options="portfolioOptions"
      />
      <SelectField
        v-model="filter.processId"
        label="Process"
        placeholder="any"
        clearable
        :options="processOptions"
      />
      <SelectField
        v-model="filter.standing"
        label="Standing"
        placeholder="any"
        clearable
        :options="STANDINGS"
      />
      <SelectField v-model="range.of" label="A value" placeholder="any" clearable :options="VALUES" />
      <template v-if="range.of">
        <TextField
          v-model="range.from"
          class="PrintsStation-from"
          label="From"
          :placeholder="exampleOf(range.of)"
          :fault="faultOf('from')"
        />
        <TextField v-model="range.to" class="PrintsStation-to" label="To" :fault="faultOf('to')" />
      </template>
      <p class="PrintsStation-count" role="status">
        <span>
          {{
            shown.length === onLine.length ? `${onLine.length} prints` : `${shown.length} of ${onLine.length}`
          }}
        </span>
        {{ ' ' }}
        <KitButton v-if="isAsked" kind="quiet" @click="clear">show all</KitButton>
      </p>
    </div>
    <p v-if="!shown.length">
      {{ texts.noPrintMatches }}
    </p>
    <PrintsLines
      :key="String(isNarrow)"
      :prints="shown"
      :asked="JSON.stringify([filter, range])"
      :is-narrow="isNarrow"
      @open="open"
    />
    <div v-if="picks.ids.length" class="PrintsStation-picks">
      <p>{{ counted(picks.ids.length, 'print') }} selected</p>
      <BigTarget v-if="picks.ids.length > 1" label="Compare" hint="c" @press="compare" />
      <BigTarget plain label="Clear selection" hint="escape" @press="picks.clear" />
    </div>
  </div>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
  align-items: flex-end;
  justify-content: space-between;
  margin-bottom: var(--es-space-5);
}

.PrintsStation-find {
  width: 15rem;
}

.PrintsStation-sift {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 10rem)) minmax(6rem, 1fr);
  gap: 0 var(--es-space-6);
  margin-bottom: var(--es-space-4);
}

.PrintsStation-count {
  grid-row: 1;
  grid-column-end: -1;
  align-self: center;
  color: var(--es-quiet);
  text-align: right;
}

/* It goes into two lines sooner than it pushes the fields aside while somebody types. */
.PrintsStation-count > * {
  white-space: nowrap;
}

@media (width <= 68.75em) {
  .PrintsStation-sift {
    gap: 0 var(--es-space-4);
  }
}

.PrintsStation-picks {
  position: sticky;
  bottom: var(--es-bar-bottom);
  z-index: 2;
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-6);
  align-items: center;
  margin: 0 calc(-1 * var(--es-pad));
  padding: var(--es-space-3) var(--es-pad) var(--es-space-5);
  border-top: 1px solid var(--es-line);
  background: var(--es-page);
}

.PrintsStation-picks p {
  margin-right: auto;
}

/* Its ends are below the value. */
.PrintsStation-from {
  grid-column: 4;
}

.PrintsStation-to {
  grid-column: 5;
}

@media (width <= 51.25em) {
  .PrintsStation-sift {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }

  .PrintsStation-from,
  .PrintsStation-to,
  .PrintsStation-count {
    grid-row: auto;
    grid-column: auto;
  }

  .PrintsStation-count {
    grid-column-end: -1;
  }
}
</style>
