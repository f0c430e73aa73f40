<script setup lang="ts">
import { computed } from 'vue'
import KitButton from '../../../kit/KitButton.vue'
import { askToNotify, canNotify } from '../../../state/notifications'
import { usePreferences } from '../../../state/preferences.store'
import { texts } from '../words'

/** Offers to be notified at the first exposure that is long enough to be forgotten. */
const props = defineProps<{ seconds: number }>()
const preferences = usePreferences()
/** From here on one does something else meanwhile. */
const LONG_SECONDS = 300
const isOffered = computed(
  () =>
    props.seconds >= LONG_SECONDS &&
    canNotify() &&
    !preferences.chosen.notify &&
    !preferences.chosen.notifyAsked,
)
</script>

<template>
  <p v-if="isOffered" class="NotifyOffer" role="status">
    {{ texts.offerNotify }}
    <KitButton @click="askToNotify()">Notify me</KitButton>
    <KitButton kind="quiet" @click="preferences.chosen.notifyAsked = true">Not now</KitButton>
  </p>
</template>

<style scoped>
.NotifyOffer {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
  align-items: center;
}
</style>
