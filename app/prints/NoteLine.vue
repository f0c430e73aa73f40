<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { onMounted, ref } from 'vue'
import BigTarget from '../shell/BigTarget.vue'

defineProps<{ title: string; action: string }>()
const emit = defineEmits<{ write: [text: string]; close: [] }>()
const text = ref('')
const field = ref<InstanceType<typeof ElInput> | null>(null)
onMounted(() => field.value?.focus())
const write = () => text.value.trim() && emit('write', text.value.trim())
</script>

<template>
  <form class="NoteLine" @submit.prevent="write" @keydown.escape.stop="emit('close')">
    <h2>{{ title }}</h2>
    <ElInput ref="field" v-model="text" type="textarea" :rows="3" maxlength="4000" :aria-label="title" />
    <div class="NoteLine-acts">
      <BigTarget :label="action" :disabled="!text.trim()" @press="write" />
      <BigTarget quiet label="Not now" hint="escape" @press="emit('close')" />
    </div>
  </form>
</template>

<style scoped>
.NoteLine {
  display: grid;
  gap: 12px;
}

.NoteLine-acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
</style>
