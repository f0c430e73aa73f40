<script setup lang="ts">
import TintedPicture from './TintedPicture.vue'

/** What the eye should see change, from left to right, with the words for both ends. */
defineProps<{ colours: readonly string[] }>()
</script>

<template>
  <figure v-if="colours.length" class="EndpointStrip">
    <TintedPicture>
      <svg :viewBox="`0 0 ${colours.length} 1`" preserveAspectRatio="none" aria-hidden="true">
        <rect
          v-for="(colour, index) in colours"
          :key="colour"
          :x="index"
          y="0"
          width="1.01"
          height="1"
          :fill="colour"
        />
      </svg>
    </TintedPicture>
    <figcaption>
      <span>at the start</span>
      <span>finished</span>
    </figcaption>
  </figure>
</template>

<style scoped>
.EndpointStrip {
  max-width: 20.625rem;
  margin: 0;
}

svg {
  display: block;
  width: 100%;
  height: 58px;
}

figcaption {
  display: flex;
  justify-content: space-between;
  margin-top: var(--es-space-2);
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}
</style>
