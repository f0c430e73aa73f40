<script setup lang="ts">
import StationNav from '../../../kit/StationNav.vue'

defineProps<{ here: (typeof PAGES)[number]['name'] }>()
const PAGES = [
  { name: 'prints', title: 'On the line' },
  { name: 'trends', title: 'Over time' },
  { name: 'bin', title: 'The bin' },
] as const
</script>

<template>
  <StationNav label="At the prints" :pages="PAGES" :here="here" />
</template>
