<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { practiceProcesses } from '@library/practice'
import { useTryPlan, type TryPlan } from '../state/tryPlan.store'

/** The way to a virtual print of a planned sheet, before paper is used; nothing where its process cannot be practised. */
const props = defineProps<{ plan: TryPlan }>()
const tried = useTryPlan()
const route = useRoute()
const isThere = computed(() => practiceProcesses.some((one) => one.processId === props.plan.process.id))
</script>

<template>
  <RouterLink
    v-if="isThere"
    class="TryFirst"
    :to="{ name: 'try', query: { process: plan.process.id, back: route.fullPath } }"
    @click="tried.plan = plan"
  >
    Try it first
  </RouterLink>
</template>

<style scoped>
.TryFirst {
  display: inline-flex;
  align-items: center;
  justify-self: start;
  min-height: 2.75rem;
}
</style>
