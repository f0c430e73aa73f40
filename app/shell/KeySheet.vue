<script setup lang="ts">
import { ElDialog } from 'element-plus'
import 'element-plus/es/components/dialog/style/css'
import { keyCap, useKeys } from './keys.store'

const emit = defineEmits<{ close: [] }>()
const keys = useKeys()
</script>

<template>
  <ElDialog model-value title="Keys" width="min(640px, 94vw)" @close="emit('close')">
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
  </ElDialog>
</template>

<style scoped>
section {
  margin-bottom: 20px;
}

dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 6px 24px;
  margin: 10px 0 0;
}

dl div {
  display: flex;
  gap: 12px;
  align-items: baseline;
}

dd {
  margin: 0;
}

kbd {
  display: inline-block;
  min-width: 58px;
  padding: 1px 6px;
  border: 1px solid var(--es-line);
  border-radius: 3px;
  font: inherit;
  font-size: 14px;
  text-align: center;
}
</style>
