<script setup lang="ts">
import { computed } from 'vue'
import KitButton from './KitButton.vue'
import SelectField from './SelectField.vue'
import type { SheetInRoom } from '../state/workroom.store'

/** Which sheet is in hand, what is being done to it, and which others are here. */
const props = defineProps<{ title: string; inHand: SheetInRoom; here: readonly SheetInRoom[] }>()
const emit = defineEmits<{ choose: [sheetId: string] }>()
/** More than these are a list to choose from. */
const MOST_BUTTONS = 8
const options = computed(() =>
  props.here.map(({ sheet }) => ({ id: sheet.id, name: `${sheet.number} ${sheet.title}` })),
)
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
    <SelectField
      v-if="here.length > MOST_BUTTONS"
      class="StationHead-list"
      :label="`${here.length} sheets here`"
      :model-value="here.some((one) => one.sheet.id === inHand.sheet.id) ? inHand.sheet.id : ''"
      :options="options"
      @update:model-value="emit('choose', $event)"
    />
    <nav
      v-else-if="here.length > 1 || (here.length === 1 && here[0]?.sheet.id !== inHand.sheet.id)"
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

.StationHead-list {
  flex: 0 1 13rem;
}

.StationHead-others {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
}
</style>
