<script setup lang="ts">
import { texts } from '../words'
import ProgressBar from '../../../kit/ProgressBar.vue'
import { computed, ref } from 'vue'
import type { Flaw } from '@core/archive/integrity'
import { checkEverything, repairEverything } from '../../../workers/archives'
import BigTarget from '../../../kit/BigTarget.vue'
import { useNotice } from '../../../state/notice.store'
import { repairedSaid } from '../../../state/backupWords'

/** Checks everything stored, names what is not as it was written, and repairs what it can. */
const notice = useNotice()
const share = ref<number | null>(null)
const doing = ref('')
const found = ref<{ flaws: Flaw[]; looked: number } | null>(null)
let stopper: AbortController | null = null
const repairable = computed(
  () => found.value?.flaws.filter(({ kind }) => kind === 'standing' || kind === 'record') ?? [],
)

async function check(): Promise<void> {
  share.value = 0
  found.value = null
  stopper = new AbortController()
  try {
    found.value = await checkEverything((done, what) => {
      share.value = done
      doing.value = what
    }, stopper.signal)
  } catch (error) {
    notice.refuse(error, 'the check')
  } finally {
    share.value = null
  }
}
async function repair(): Promise<void> {
  try {
    const sheetIds = repairable.value.flatMap(({ kind, id }) => (kind === 'standing' ? [id] : []))
    const notes = await repairEverything([...new Set(sheetIds)])
    notice.say(repairedSaid(notes, sheetIds.length))
    await check()
  } catch (error) {
    notice.refuse(error, 'the repair')
  }
}
const stop = () => stopper?.abort()
defineExpose({ check })
</script>

<template>
  <div class="HealthCheck">
    <div class="HealthCheck-acts">
      <BigTarget v-if="share === null" quiet label="Check stored data" @press="check" />
      <template v-else>
        <ProgressBar :share="share" :label="doing" />
        <span role="status">{{ doing }}, {{ Math.round(100 * share) }} %</span>
        <BigTarget plain label="Stop" @press="stop" />
      </template>
    </div>
    <p v-if="found && !found.flaws.length" role="status">
      {{ texts.checkedWithoutFaults({ records: found.looked }) }}
    </p>
    <template v-if="found?.flaws.length">
      <p role="status" class="HealthCheck-flawed">
        {{ found.flaws.length === 1 ? 'One fault' : `${found.flaws.length} faults` }} in {{ found.looked }}
        records, logs and pictures.
      </p>
      <ul>
        <li v-for="(flaw, i) in found.flaws.slice(0, 30)" :key="i">{{ flaw.problem }}</li>
      </ul>
      <p>
        {{ texts.nothingWasChangedRestoreYour }}
      </p>
      <BigTarget v-if="repairable.length" label="Repair" @press="repair" />
    </template>
  </div>
</template>

<style scoped>
.HealthCheck {
  display: grid;
  gap: var(--es-space-3);
  justify-items: start;
}

.HealthCheck-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
  align-items: center;
}

.HealthCheck-flawed {
  color: var(--es-ember);
}

ul {
  margin: 0;
  padding-left: var(--es-space-6);
}
</style>
