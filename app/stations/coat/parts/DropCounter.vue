<script setup lang="ts">
import { dropsVolume } from '@core/coating/drops'
import type { Happening } from '@core/schema/event'
import BigTarget from '../../../kit/BigTarget.vue'
import InlineField from '../../../kit/InlineField.vue'
import { texts } from '../words'
import { figureText } from '../../../words/figureText'
import { useDropCounter, type Counting } from '../useDropCounter'

const props = defineProps<Counting & { bottleLabels: Readonly<Record<string, string>> }>()
const emit = defineEmits<{ record: [happening: Happening]; finish: []; finishAsPlanned: [] }>()
const {
  rows,
  inHand,
  chosen,
  isAllIn,
  mayEnd,
  isMuch,
  pour,
  change,
  next,
  typing,
  keepTyped,
  onePart,
  keepParts,
  latest,
  pace,
  togglePace,
  groups,
} = useDropCounter(
  props,
  (happening) => emit('record', happening),
  () => emit('finish'),
  () => emit('finishAsPlanned'),
)
</script>

<template>
  <section class="DropCounter" :style="{ '--mark': `var(--es-${definition.mark})` }">
    <div class="DropCounter-bottles">
      <section
        v-for="row in rows"
        :key="row.component"
        class="DropCounter-bottle"
        :class="{ 'is-in-hand': row.component === inHand }"
        @click="chosen = row.component"
      >
        <h2>
          {{ row.name }}
          <span class="es-quiet">{{ bottleLabels[row.component] }}</span>
        </h2>
        <p class="DropCounter-count">
          <strong>{{ row.counted }}</strong>
          <em>of {{ row.count }} drops</em>
          {{ figureText(dropsVolume(row.count, dropsPerMillilitre)) }}
        </p>
        <p v-if="!isMuch" class="DropCounter-drops" aria-hidden="true">
          <span v-for="(group, g) in groups(row)" :key="g" class="DropCounter-five">
            <svg v-for="(state, i) in group" :key="i" :class="`is-${state}`" viewBox="0 0 11 15">
              <path d="M5.5.9C7.6 4.6 10.2 7 10.2 10a4.7 4.3 0 0 1-9.4 0C.8 7 3.4 4.6 5.5.9z" />
            </svg>
          </span>
        </p>
        <label class="DropCounter-typed" @click.stop>
          drops counted
          <InlineField
            class="DropCounter-number"
            placeholder="20 or 1 ml"
            :model-value="typing?.component === row.component ? typing.text : String(row.counted)"
            :label="`${row.name}, drops counted`"
            @update:model-value="typing = { component: row.component, text: $event }"
            @change="keepTyped(row.component, $event)"
            @blur="typing = null"
          />
        </label>
      </section>
    </div>
    <label v-if="rows.length > 1" class="DropCounter-typed">
      {{ texts.byMarkedCup }}
      <InlineField
        v-model="onePart"
        class="DropCounter-number"
        placeholder="25 ml"
        label="One part is"
        @change="keepParts"
      />
    </label>
    <slot />
    <div class="DropCounter-acts">
      <BigTarget :label="isAllIn && !chosen ? finishWords : 'Next drop'" hint=" " @press="next" />
      <BigTarget v-if="!isAllIn" :quiet="!isMuch" label="All measured" hint="m" @press="pour" />
      <BigTarget
        v-if="!isAllIn"
        quiet
        :label="texts.everythingMeasured"
        hint="a"
        @press="emit('finishAsPlanned')"
      />
      <BigTarget v-if="mayEnd" quiet label="That's all: coat with this" hint="e" @press="emit('finish')" />
      <BigTarget quiet :label="pace ? 'Stop metronome' : 'Start metronome'" hint="p" @press="togglePace" />
      <BigTarget quiet label="Undo one drop" hint="b" @press="change(latest(), -1)" />
    </div>
  </section>
</template>

<style scoped>
.DropCounter {
  display: grid;
  gap: var(--es-space-5);
}

.DropCounter-bottles {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
  border-block: 1px solid var(--es-rule);
}

.DropCounter-bottle {
  padding: var(--es-space-5) var(--es-space-6) var(--es-space-5) 0;
  cursor: pointer;
}

.DropCounter-bottle + .DropCounter-bottle {
  padding-left: var(--es-space-7);
  border-left: 1px solid var(--es-rule);
}

.DropCounter-bottle.is-in-hand h2 {
  text-decoration: underline var(--es-ember) 2px;
  text-underline-offset: 6px;
}

.DropCounter-count strong {
  margin-right: var(--es-space-3);
  font-size: calc(0.8 * var(--es-size-clock));
  font-weight: 400;
  line-height: 1.1;
}

.DropCounter-count em {
  color: var(--es-quiet);
  font: italic var(--es-size-lead) var(--es-serif);
}

.DropCounter-drops {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-5);
}

.DropCounter-five {
  display: flex;
  gap: var(--es-space-2);
}

.DropCounter-five svg {
  width: 12px;
  height: 16px;
  fill: none;
  stroke: var(--mark);
}

.DropCounter-five .is-in {
  fill: var(--mark);
}

.DropCounter-five .is-over {
  fill: var(--es-ember);
  stroke: var(--es-ember);
}

.DropCounter-typed {
  display: inline-flex;
  gap: var(--es-space-3);
  align-items: center;
  margin-top: var(--es-space-4);
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

.DropCounter-number {
  width: 4rem;
}

.DropCounter-acts {
  position: sticky;
  bottom: var(--es-bar-bottom);
  z-index: 2;
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
  padding: var(--es-space-3) 0;
  background: var(--es-page);
}

@media (width <= 40em) {
  .DropCounter-bottle + .DropCounter-bottle {
    padding-left: 0;
    border-top: 1px solid var(--es-rule);
    border-left: 0;
  }
}
</style>
