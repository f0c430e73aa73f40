<script setup lang="ts">
const props = defineProps<{ here: (typeof PAGES)[number]['name'] }>()
/** The other pages of this station. */
const PAGES = [
  { name: 'prints', title: 'On the line' },
  { name: 'trends', title: 'Over time' },
  { name: 'bin', title: 'The bin' },
] as const
const others = PAGES.filter((page) => page.name !== props.here)
</script>

<template>
  <nav class="PrintsNav" aria-label="At the prints">
    <RouterLink v-for="page in others" :key="page.name" :to="{ name: page.name }">
      {{ page.title }}
    </RouterLink>
  </nav>
</template>

<style scoped>
.PrintsNav {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}

a {
  color: var(--es-quiet);
  text-decoration-color: var(--es-line);
  text-underline-offset: 3px;
}

a:hover {
  color: var(--es-ink);
}
</style>
