<script setup lang="ts">
import KitButton from './KitButton.vue'
import type { SheetInRoom } from '../state/workroom.store'

/** Which sheet is in hand, what is being done to it, and which others are here. */
defineProps<{ title: string; inHand: SheetInRoom; here: readonly SheetInRoom[] }>()
const emit = defineEmits<{ choose: [sheetId: string] }>()
</script>

<template>
  <header class="StationHead">
    <div>
      <p class="es-kicker">
        <span class="StationHead-mark" :style="{ background: `var(--es-${inHand.definition.mark})` }" />
        Sheet {{ inHand.sheet.number }} · {{ inHand.sheet.title }}
      </p>
      <h1>{{ title }}</h1>
    </div>
    <nav
      v-if="here.length > 1 || (here.length === 1 && here[0]?.sheet.id !== inHand.sheet.id)"
      class="StationHead-others"
      aria-label="Sheets here"
    >
      <KitButton
        v-for="one in here"
        :key="one.sheet.id"
        :aria-pressed="one.sheet.id === inHand.sheet.id"
        :aria-label="`Sheet ${one.sheet.number}, ${one.sheet.title}`"
        @click="emit('choose', one.sheet.id)"
      >
        {{ one.sheet.number }}
      </KitButton>
    </nav>
    <slot />
  </header>
</template>

<style scoped>
.StationHead {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-6);
  align-items: flex-start;
}

.StationHead > div {
  flex: 1 1 11rem;
}

.StationHead-mark {
  display: inline-block;
  width: 9px;
  height: 9px;
  margin-right: var(--es-space-2);
  border-radius: 50%;
}

.StationHead-others {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
}
</style>
