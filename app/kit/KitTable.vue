<script setup lang="ts">
/** A table of a few columns; its rows are the slot. `unseenFirst` names the first column for screen readers only. */
defineProps<{ columns: readonly string[]; unseenFirst?: boolean; numeric?: boolean }>()
</script>

<template>
  <table class="KitTable" :class="{ 'is-numeric': numeric }">
    <thead>
      <tr>
        <th v-for="(column, at) in columns" :key="at" scope="col">
          <span :class="{ 'es-unseen': unseenFirst && at === 0 }">{{ column }}</span>
        </th>
      </tr>
    </thead>
    <tbody>
      <slot />
    </tbody>
  </table>
</template>

<style scoped>
.KitTable {
  border-collapse: collapse;
  font-variant-numeric: tabular-nums;
}

.KitTable :deep(th),
.KitTable :deep(td) {
  padding: var(--es-space-3) var(--es-space-5) var(--es-space-3) 0;
  border-bottom: 1px solid var(--es-rule);
  font-weight: 400;
  text-align: left;
  vertical-align: top;
}

.KitTable :deep(th) {
  color: var(--es-quiet);
}

.KitTable thead th {
  font-size: var(--es-size-small);
}

.KitTable.is-numeric :deep(td),
.KitTable.is-numeric thead th:not(:first-child) {
  text-align: right;
}
</style>
