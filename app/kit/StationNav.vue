<script setup lang="ts">
/** Links to the other pages of a station. */
const props = defineProps<{
  label: string
  pages: readonly { name: string; title: string }[]
  /** Name of the page that is open. */
  here: string
}>()
</script>

<template>
  <nav class="StationNav" :aria-label="label">
    <RouterLink
      v-for="page in props.pages.filter((one) => one.name !== here)"
      :key="page.name"
      :to="{ name: page.name }"
    >
      {{ page.title }}
    </RouterLink>
  </nav>
</template>

<style scoped>
.StationNav {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-5);
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
