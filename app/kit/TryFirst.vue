<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { practiceProcesses } from '@library/practice'

/** The way to a virtual print of a process, before paper is used; nothing where it cannot be practised. */
const props = defineProps<{ processId: string }>()
const route = useRoute()
const isThere = computed(() => practiceProcesses.some((one) => one.processId === props.processId))
</script>

<template>
  <RouterLink
    v-if="isThere"
    class="TryFirst"
    :to="{ name: 'try', query: { process: processId, back: route.fullPath } }"
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
