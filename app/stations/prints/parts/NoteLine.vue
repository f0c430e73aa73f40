<script setup lang="ts">
import TextArea from '../../../kit/TextArea.vue'
import { onMounted, ref } from 'vue'
import BigTarget from '../../../kit/BigTarget.vue'

defineProps<{ title: string; action: string }>()
const emit = defineEmits<{ write: [text: string]; close: [] }>()
const text = ref('')
const field = ref<InstanceType<typeof TextArea> | null>(null)
onMounted(() => field.value?.focus())
const write = () => text.value.trim() && emit('write', text.value.trim())
</script>

<template>
  <form class="NoteLine" @submit.prevent="write" @keydown.escape.stop="emit('close')">
    <h2>{{ title }}</h2>
    <TextArea ref="field" v-model="text" :label="title" />
    <div class="NoteLine-acts">
      <BigTarget :label="action" :disabled="!text.trim()" @press="write" />
      <BigTarget quiet label="Cancel" hint="escape" @press="emit('close')" />
    </div>
  </form>
</template>

<style scoped>
.NoteLine {
  display: grid;
  gap: var(--es-space-4);
}

.NoteLine-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
}
</style>
