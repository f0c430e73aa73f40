<script setup lang="ts">
import StationNav from '../../../kit/StationNav.vue'

defineProps<{ here: (typeof PAGES)[number]['name'] }>()
const PAGES = [
  { name: 'prints', title: 'All prints' },
  { name: 'trends', title: 'Trends' },
  { name: 'bin', title: 'Bin' },
] as const
</script>

<template>
  <StationNav label="Prints pages" :pages="PAGES" :here="here" />
</template>
