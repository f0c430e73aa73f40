<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { formatQuantity } from '@core/quantity/format'
import type { Need } from '@core/shelf/readiness'
import { isShort, recipeFor, volumeToMake } from '@core/shelf/toMake'
import { useRecipes } from '../state/useRecipes'

/** The way to the recipe of a solution of which the shelf has too little, and where asked back to this page. */
const props = defineProps<{ need: Need; returns?: boolean }>()
const route = useRoute()
const recipes = useRecipes()
const recipe = computed(() => (isShort(props.need) ? recipeFor(props.need, recipes.value) : undefined))
</script>

<template>
  <RouterLink
    v-if="recipe"
    class="MakeIt"
    :to="{
      name: 'make',
      query: {
        recipe: recipe.id,
        volume: formatQuantity(volumeToMake(need), 'volume'),
        ...(returns && { back: route.fullPath }),
      },
    }"
  >
    make {{ formatQuantity(volumeToMake(need), 'volume') }}
    <span class="es-unseen">of {{ need.name.toLowerCase() }}</span>
  </RouterLink>
</template>

<style scoped>
/* High enough to be pressed. */
.MakeIt {
  display: inline-block;
  min-height: 1.75rem;
  line-height: 1.75rem;
}
</style>
