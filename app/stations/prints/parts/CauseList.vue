<script setup lang="ts">
import { computed, ref } from 'vue'
import type { RankedCause } from '@core/judge/diagnosis'
import type { Cause } from '@core/judge/faultBook'
import BigTarget from '../../../kit/BigTarget.vue'
import PressCard from '../../../kit/PressCard.vue'
import CauseAbout from './CauseAbout.vue'

/** Causes in the order of their probability, each with what speaks for and against it. */
const props = defineProps<{
  causes: readonly RankedCause[]
  isSettled: boolean
  aboutOf: (cause: Cause) => InstanceType<typeof CauseAbout>['$props']['about']
}>()
const emit = defineEmits<{
  confirm: [causeId: string]
  ruleOut: [causeId: string]
  none: [causeIds: string[]]
}>()
const opened = defineModel<string | null>('opened', { required: true })

const SHOWN = 4
const MOST_SHOWN = 12
const showsAll = ref(false)
const shown = computed(() => props.causes.slice(0, showsAll.value ? MOST_SHOWN : SHOWN))

const share = ({ probability }: RankedCause) =>
  probability < 0.005 ? 'under 1 in 100' : `${Math.round(100 * probability)} in 100`
</script>

<template>
  <section aria-labelledby="causes">
    <h2 id="causes">Likely causes</h2>
    <ol>
      <li v-for="each in shown" :key="each.cause.id" :class="{ 'is-open': opened === each.cause.id }">
        <PressCard
          class="CauseList-cause"
          :aria-expanded="opened === each.cause.id"
          @click="opened = opened === each.cause.id ? null : each.cause.id"
        >
          <span>{{ each.cause.name }}</span>
          <span class="es-quiet">{{ share(each) }}</span>
          <span class="CauseList-bar" :style="{ width: `${100 * each.probability}%` }" />
        </PressCard>
        <div v-if="opened === each.cause.id" class="CauseList-why">
          <CauseAbout :ranked="each" :about="aboutOf(each.cause)" />
          <div v-if="!isSettled" class="CauseList-acts">
            <BigTarget quiet label="Confirm this cause" @press="emit('confirm', each.cause.id)" />
            <BigTarget plain label="Rule out" @press="emit('ruleOut', each.cause.id)" />
          </div>
        </div>
      </li>
    </ol>
    <div class="CauseList-acts">
      <BigTarget
        v-if="!isSettled && causes.length > shown.length"
        plain
        label="None of these"
        @press="
          emit(
            'none',
            shown.map(({ cause }) => cause.id),
          )
        "
      />
      <BigTarget
        v-if="!showsAll && causes.length > SHOWN"
        plain
        label="Less likely causes"
        @press="showsAll = true"
      />
    </div>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: var(--es-space-3);
  width: 100%;
}

ol {
  width: 100%;
  margin: 0;
  padding: 0;
  list-style: none;
}

.CauseList-cause {
  position: relative;
  display: flex;
  gap: var(--es-space-5);
  justify-content: space-between;
  width: 100%;
  min-height: 3rem;
  padding: var(--es-space-4) var(--es-space-2);
  border: 0;
  border-bottom: 1px solid var(--es-rule);
  background: none;
  cursor: pointer;
  font-size: var(--es-size-lead);
  text-align: left;
}

.CauseList-bar {
  position: absolute;
  bottom: -2px;
  left: 0;
  height: 3px;
  background: var(--es-ember);
}

.CauseList-why {
  display: grid;
  gap: var(--es-space-3);
  padding: var(--es-space-4) var(--es-space-2) var(--es-space-5);
}

.CauseList-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
  align-items: center;
}
</style>
