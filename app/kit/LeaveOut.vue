<script setup lang="ts">
import BigTarget from './BigTarget.vue'
import { useLeaveOut, type WorkInHand } from './useLeaveOut'

/** The way past a step that is not done today: what that means is shown first. */
const props = defineProps<WorkInHand>()
const emit = defineEmits<{ leave: [step: string] }>()
const { planned, isAsked, title, consequence } = useLeaveOut(() => props)
</script>

<template>
  <template v-if="planned && consequence">
    <BigTarget
      plain
      label="Leave out"
      :aria-expanded="isAsked"
      :aria-label="`Leave out: ${title}`"
      @press="isAsked = !isAsked"
    />
    <section v-if="isAsked" class="LeaveOut" :aria-label="`Leaving out: ${title}`">
      <h2>Leave out “{{ title }}”?</h2>
      <p>{{ consequence.means }}</p>
      <p v-if="consequence.makesUp">{{ consequence.makesUp }}</p>
      <p v-for="one in consequence.findings" :key="one.problem" class="LeaveOut-danger">
        {{ one.problem }} {{ one.remedy }}
      </p>
      <div>
        <BigTarget quiet label="Leave it out" @press="emit('leave', planned.id)" />
        <BigTarget plain label="Keep the step" @press="isAsked = false" />
      </div>
    </section>
  </template>
</template>

<style scoped>
.LeaveOut {
  display: grid;
  flex-basis: 100%;
  gap: var(--es-space-3);
  padding-left: var(--es-space-5);
  border-left: 3px solid var(--es-ember);
}

.LeaveOut p {
  max-width: 46em;
}

.LeaveOut-danger {
  font-weight: 700;
}

.LeaveOut div {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
}

h2 {
  font-size: var(--es-size-lead);
}
</style>
