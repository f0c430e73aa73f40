<script setup lang="ts">
import type { SheetInRoom } from '../data/workroom.store'

/** Which sheet is in hand, what is being done to it, and which others lie here. */
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
      <button
        v-for="one in here"
        :key="one.sheet.id"
        type="button"
        :aria-pressed="one.sheet.id === inHand.sheet.id"
        :aria-label="`Sheet ${one.sheet.number}, ${one.sheet.title}`"
        @click="emit('choose', one.sheet.id)"
      >
        {{ one.sheet.number }}
      </button>
    </nav>
    <slot />
  </header>
</template>

<style scoped>
.StationHead {
  display: flex;
  gap: 20px;
  align-items: flex-start;
  margin-bottom: 20px;
}

.StationHead > div {
  flex: 1;
}

.StationHead-mark {
  display: inline-block;
  width: 9px;
  height: 9px;
  margin-right: 4px;
  border-radius: 50%;
}

.StationHead-others {
  display: flex;
  gap: 6px;
}

.StationHead-others button {
  min-width: 44px;
  min-height: 40px;
  border: 1px solid var(--es-line);
  background: none;
  cursor: pointer;
}

.StationHead-others button[aria-pressed='true'] {
  border-color: var(--es-ember);
  box-shadow: inset 0 -3px 0 var(--es-ember);
}
</style>
