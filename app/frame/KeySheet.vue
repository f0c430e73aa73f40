<script setup lang="ts">
import KitDialog from '../kit/KitDialog.vue'
import { keyCap, useKeys } from '../state/keys.store'

const emit = defineEmits<{ close: [] }>()
const keys = useKeys()
</script>

<template>
  <KitDialog title="Keys" :width="640" @close="emit('close')">
    <section v-for="group in keys.rows" :key="group.name">
      <h2>{{ group.name }}</h2>
      <dl>
        <div v-for="row in group.rows" :key="row.key">
          <dt>
            <kbd>{{ keyCap(row.key) }}</kbd>
          </dt>
          <dd>{{ row.name }}</dd>
        </div>
      </dl>
    </section>
  </KitDialog>
</template>

<style scoped>
section {
  margin-bottom: var(--es-space-6);
}

dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: var(--es-space-3) var(--es-space-6);
  margin: var(--es-space-3) 0 0;
}

dl div {
  display: flex;
  gap: var(--es-space-4);
  align-items: baseline;
}

dd {
  margin: 0;
}

kbd {
  display: inline-block;
  min-width: 3.625rem;
  padding: 1px var(--es-space-3);
  border: 1px solid var(--es-line);
  border-radius: 3px;
  font: inherit;
  font-size: var(--es-size-small);
  text-align: center;
}
</style>
