<script setup lang="ts">
import StationNav from '../../../kit/StationNav.vue'

defineProps<{ here: (typeof PAGES)[number]['name'] }>()
const PAGES = [
  { name: 'light', title: 'Exposure' },
  { name: 'lights', title: 'Lights' },
  { name: 'sun', title: 'Sun' },
  { name: 'strip', title: 'Test strip' },
  { name: 'tablet', title: 'Step tablet' },
  { name: 'bases', title: 'Base exposures' },
  { name: 'instruments', title: 'Instruments' },
] as const
</script>

<template>
  <StationNav label="Light pages" :pages="PAGES" :here="here" />
</template>
