<script setup lang="ts">
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import { assignNegative, removeNegative } from '../../../state/actions/negative.actions'
import { useNegativeRows } from '../../../state/queries'
import { computed } from 'vue'
import { useNow } from '../../../state/useNow'
import { useWorkroom } from '../../../state/workroom.store'
import { dateOf } from '../../../words/moments'
import { useNotice } from '../../../state/notice.store'

/** The last films that were made, and the sheets they are for; one that is for none can be given to the sheet in hand. */
const props = defineProps<{ sheet: { id: string; number: number } | null }>()
const [workroom, now, notice] = [useWorkroom(), useNow(), useNotice()]
const rows = useNegativeRows()
const LAST = 3
const made = computed(() =>
  (rows.value ?? [])
    .filter((one) => one.takenBackAt === undefined)
    .sort((a, b) => b.at - a.at)
    .slice(0, LAST)
    .map((one) => ({ ...one, sheet: one.sheetId ? workroom.find(one.sheetId) : undefined })),
)
async function assign(id: string): Promise<void> {
  if (!props.sheet) return
  notice.say(`For sheet ${props.sheet.number}.`, await assignNegative(id, props.sheet.id))
}
async function forget(id: string): Promise<void> {
  const bringBack = await removeNegative(id)
  notice.say(texts.removedFromThisListSaved, bringBack)
}
</script>

<template>
  <ul v-if="made.length" class="MadeList" aria-label="Recent films">
    <li v-for="one in made" :key="one.id">
      <span>{{ one.fileName }}</span>
      <span class="es-quiet">
        {{ one.curve }}, {{ dateOf(one.at, now.now) }}
        <RouterLink v-if="one.sheet" :to="{ name: 'print', params: { sheetId: one.sheet.sheet.id } }">
          for sheet {{ one.sheet.sheet.number }}
        </RouterLink>
      </span>
      <KitButton v-if="!one.sheet && sheet" kind="quiet" @click="assign(one.id)">
        use for sheet {{ sheet.number }}
      </KitButton>
      <KitButton kind="quiet" :aria-label="`Remove ${one.fileName} from the list`" @click="forget(one.id)">
        remove
      </KitButton>
    </li>
  </ul>
</template>

<style scoped>
.MadeList {
  display: grid;
  gap: var(--es-space-2);
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-5);
  align-items: center;
}
</style>
