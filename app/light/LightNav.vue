<script setup lang="ts">
const props = defineProps<{ here: (typeof PAGES)[number]['name'] }>()
/** The other pages of this station. */
const PAGES = [
  { name: 'light', title: 'In the frame' },
  { name: 'lights', title: 'Lights' },
  { name: 'sun', title: 'The sun' },
  { name: 'strip', title: 'Test strip' },
  { name: 'tablet', title: 'Step tablet' },
  { name: 'bases', title: 'Base exposures' },
  { name: 'instruments', title: 'Instruments' },
] as const
const others = PAGES.filter((page) => page.name !== props.here)
</script>

<template>
  <nav class="LightNav" aria-label="At the light">
    <RouterLink v-for="page in others" :key="page.name" :to="{ name: page.name }">
      {{ page.title }}
    </RouterLink>
  </nav>
</template>

<style scoped>
.LightNav {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}

.LightNav a {
  color: var(--es-quiet);
  text-decoration-color: var(--es-line);
  text-underline-offset: 3px;
}

.LightNav a:hover {
  color: var(--es-ink);
}
</style>
