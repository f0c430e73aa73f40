<script setup lang="ts">
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { stations } from '../state/stations'

/** The pages of the station that is open, as tabs at the head of the page. */
const route = useRoute()
const station = computed(() => stations.find((one) => one.name === route.meta.station))
const tabs = useTemplateRef<HTMLElement>('tabs')

// On a narrow screen the tabs may be wider than the page: the one that is open stays in sight.
watch(
  () => route.name,
  async () => {
    await nextTick()
    tabs.value?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'center' })
  },
  { immediate: true },
)
</script>

<template>
  <nav v-if="station?.pages.length" ref="tabs" class="StationNav" :aria-label="`${station.title} pages`">
    <RouterLink
      v-for="page in station.pages"
      :key="page.name"
      v-slot="{ href, navigate }"
      :to="{ name: page.name }"
      custom
    >
      <a :href="href" :aria-current="route.name === page.name ? 'page' : undefined" @click="navigate">
        {{ page.title }}
      </a>
    </RouterLink>
  </nav>
</template>

<style scoped>
.StationNav {
  display: flex;
  overflow: auto hidden;
  gap: var(--es-space-6);
  margin-bottom: var(--es-space-6);
  border-bottom: 1px solid var(--es-rule);
  scrollbar-width: none;
}

a {
  display: grid;
  flex: none;
  place-content: center;
  min-width: 2.75rem;
  min-height: 2.75rem;
  border-bottom: 3px solid transparent;
  color: var(--es-quiet);
  text-decoration: none;
  white-space: nowrap;
}

a:hover {
  border-color: var(--es-line);
  color: var(--es-ink);
}

a:focus-visible {
  outline-offset: -2px;
}

a[aria-current] {
  border-color: var(--es-ember);
  color: var(--es-ink);
}
/* Where the system chooses the colours, a line without colour would be drawn too. */
@media (forced-colors: active) {
  a:not([aria-current]) {
    border-color: Canvas;
  }

  a[aria-current] {
    border-color: Highlight;
  }
}
</style>
