<script setup lang="ts">
import PressCard from '../kit/PressCard.vue'
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { isDemo } from '../storage/whichWorkroom'
import { useNow } from '../state/useNow'
import { stations } from '../state/stations'
import { useBackup } from '../state/backup.store'
import { ageSaid } from '../state/backupDue'
import { usePreferences } from '../state/preferences.store'

const emit = defineEmits<{ showKeys: [] }>()
const [preferences, route, backup, now] = [usePreferences(), useRoute(), useBackup(), useNow()]
/** Where there is something to lose, how old its last backup is. */
const backupSaid = computed(() => {
  if (isDemo || !backup.hasRecords) return ''
  return backup.backedUpAt ? `backup ${ageSaid(backup.backedUpAt, now.now)} ago` : 'no backup'
})
const frame = useTemplateRef<HTMLElement>('frame')

// On a telephone the index is wider than the page: the station that is open stays in sight.
watch(
  () => route.meta.station,
  async () => {
    await nextTick()
    frame.value?.querySelector('.is-here')?.scrollIntoView({ block: 'nearest', inline: 'center' })
  },
  { immediate: true },
)
</script>

<template>
  <nav ref="frame" class="ThumbIndex" aria-label="Stations">
    <RouterLink
      v-for="(station, index) in stations"
      :key="station.name"
      v-slot="{ href, navigate }"
      :to="{ name: station.name }"
      custom
    >
      <a
        class="ThumbIndex-tab"
        :class="{ 'is-here': $route.meta.station === station.name }"
        :href="href"
        :aria-current="$route.meta.station === station.name ? 'page' : undefined"
        @click="navigate"
      >
        <span class="ThumbIndex-key" aria-hidden="true">{{ index + 1 }}</span>
        {{ station.title }}
      </a>
    </RouterLink>
    <div class="ThumbIndex-foot">
      <PressCard class="ThumbIndex-small" @click="preferences.switchPalette">
        {{ preferences.chosen.palette === 'dim' ? 'Daylight' : 'Dim room' }}
      </PressCard>
      <RouterLink class="ThumbIndex-small" :to="{ name: 'workroom' }">
        Workroom
        <span v-if="backupSaid" class="ThumbIndex-backup" :class="{ 'is-old': backup.isOld }">
          {{ backupSaid }}
        </span>
      </RouterLink>
      <PressCard class="ThumbIndex-small ThumbIndex-keys" aria-label="Keys" @click="emit('showKeys')">
        Keys ?
      </PressCard>
    </div>
  </nav>
</template>

<style scoped>
.ThumbIndex {
  display: flex;
  flex-direction: column;
  gap: var(--es-space-2);
  padding: var(--es-space-3) 0;
  background: var(--es-index);
}

.ThumbIndex-tab {
  display: grid;
  place-content: center;
  justify-items: center;
  gap: var(--es-space-2);
  height: 4.375rem;
  margin-right: var(--es-space-3);
  border: 1px solid var(--es-rule);
  border-left: 0;
  border-radius: 0 12px 12px 0;
  color: var(--es-quiet);
  font-size: var(--es-size-small);
  text-decoration: none;
}

.ThumbIndex-tab:hover {
  color: var(--es-ink);
}

.ThumbIndex-tab.is-here {
  margin-right: 0;
  margin-left: -1px;
  background: var(--es-page);
  color: var(--es-ink);
  font-weight: 700;
}

.ThumbIndex-key {
  font-size: var(--es-size-tiny);
  font-weight: 400;
}

.ThumbIndex-foot {
  display: grid;
  gap: var(--es-space-1);
  margin-top: auto;
}

.ThumbIndex-small {
  display: grid;
  align-content: center;
  min-height: var(--es-touch, 0);
  padding: var(--es-space-3) var(--es-space-2);
  border: 0;
  background: none;
  color: var(--es-quiet);
  cursor: pointer;
  font-size: var(--es-size-tiny);
  text-align: center;
  text-decoration: none;
}

.ThumbIndex-backup {
  display: block;
  font-size: var(--es-size-tiny);
}

.ThumbIndex-backup.is-old {
  color: var(--es-ember);
  font-weight: 700;
}

.ThumbIndex-small:hover {
  color: var(--es-ink);
}

@media (height <= 640px) {
  .ThumbIndex-tab {
    height: 3.5rem;
  }
}

@media (pointer: coarse) and (height <= 860px) {
  .ThumbIndex-tab {
    height: 3.375rem;
  }
}

@media (width <= 51.25em) {
  .ThumbIndex {
    flex-direction: row;
    gap: 0;
    height: var(--es-index-height);
    padding: 0;
    overflow: auto hidden;
    border-top: 1px solid var(--es-rule);
    scrollbar-width: none;
  }

  .ThumbIndex-tab {
    flex: 1 0 auto;
    height: 100%;
    margin: 0;
    padding: 0 var(--es-space-4);
    border: 0;
    border-radius: 0;
    font-size: var(--es-size-small);
  }

  .ThumbIndex-tab.is-here {
    margin: 0;
  }

  .ThumbIndex-key,
  .ThumbIndex-keys {
    display: none;
  }

  .ThumbIndex-foot {
    display: flex;
    flex: none;
    margin: 0;
    padding-right: var(--es-space-2);
  }

  .ThumbIndex-small {
    align-content: center;
    padding: 0 var(--es-space-3);
    font-size: var(--es-size-small);
    white-space: nowrap;
  }
}
</style>
