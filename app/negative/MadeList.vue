<script setup lang="ts">
import { computed } from 'vue'
import { db } from '../data/db'
import { useLiveQuery } from '../data/useLiveQuery'
import { useNow } from '../data/useNow'
import { useWorkroom } from '../data/workroom.store'
import { dateOf } from '../shell/moments'
import { useNotice } from '../shell/notice.store'

/** The last films that were made, and the sheets they are for. */
const [workroom, now, notice] = [useWorkroom(), useNow(), useNotice()]
const rows = useLiveQuery(() => db.negatives.toArray(), [])
const LAST = 3
const made = computed(() =>
  rows.value
    .filter((one) => one.takenBackAt === undefined)
    .sort((a, b) => b.at - a.at)
    .slice(0, LAST)
    .map((one) => ({ ...one, sheet: one.sheetId ? workroom.find(one.sheetId) : undefined })),
)
async function forget(id: string): Promise<void> {
  await db.negatives.update(id, { takenBackAt: Date.now() })
  notice.say('It is forgotten; the file stays where it was saved.', () =>
    db.negatives.update(id, { takenBackAt: undefined }),
  )
}
</script>

<template>
  <ul v-if="made.length" class="MadeList" aria-label="Made last">
    <li v-for="one in made" :key="one.id">
      <span>{{ one.fileName }}</span>
      <span class="es-quiet">
        {{ one.curve }}, {{ dateOf(one.at, now.now) }}
        <RouterLink v-if="one.sheet" :to="{ name: 'print', params: { sheetId: one.sheet.sheet.id } }">
          for sheet {{ one.sheet.sheet.number }}
        </RouterLink>
      </span>
      <button type="button" :aria-label="`Forget ${one.fileName}`" @click="forget(one.id)">forget it</button>
    </li>
  </ul>
</template>

<style scoped>
.MadeList {
  display: grid;
  gap: 4px;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
}

button {
  padding: 2px 0;
  border: 0;
  background: none;
  color: var(--es-quiet);
  cursor: pointer;
  text-decoration: underline;
}
</style>
