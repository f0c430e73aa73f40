<script setup lang="ts">
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { useNow } from '../../../state/useNow'
import { useWorkroom } from '../../../state/workroom.store'
import BigTarget from '../../../kit/BigTarget.vue'
import EmptyPage from '../../../kit/EmptyPage.vue'
import { useMarginNotes } from '../../../state/margin.store'
import { momentSaid } from '../../../words/moments'
import { useNotice } from '../../../state/notice.store'
import { removeForGood, setBinned } from '../../../state/actions/print.actions'

/** Sheets that were thrown away, until they are restored or removed for good. */
const [workroom, now, notice, router] = [useWorkroom(), useNow(), useNotice(), useRouter()]
const binned = computed(() =>
  [...workroom.binned].sort((a, b) => (b.sheet.binnedAt ?? 0) - (a.sheet.binnedAt ?? 0)),
)
const asking = ref<readonly string[] | null>(null)

async function back(id: string, number: number): Promise<void> {
  try {
    await setBinned([id], false)
    notice.say(`Sheet ${number} restored.`, () => setBinned([id], true))
  } catch (error) {
    notice.refuse(error, 'restoring the sheet')
  }
}
async function remove(ids: readonly string[]): Promise<void> {
  asking.value = null
  try {
    await removeForGood(ids)
    notice.say(ids.length === 1 ? 'Deleted permanently.' : `${ids.length} sheets deleted permanently.`)
  } catch (error) {
    notice.refuse(error, 'emptying the bin')
  }
}
useMarginNotes(() => [
  {
    title: 'What is in the bin',
    lines: [texts.binKeepsWholeRecordSheet, texts.deletingPermanentlyCannotBeUndone],
  },
])
</script>

<template>
  <EmptyPage
    v-if="!binned.length"
    kicker="Bin"
    title="The bin is empty"
    action="All prints"
    @act="router.push({ name: 'prints' })"
  >
    <p>{{ texts.sheetsYouDeleteComeHere }}</p>
  </EmptyPage>
  <div v-else class="BinPage">
    <header>
      <h1>Bin</h1>
    </header>
    <ul>
      <li v-for="one in binned" :key="one.sheet.id">
        <span>
          {{ one.sheet.number }} {{ one.sheet.title }}
          <span class="es-quiet">
            {{ one.definition.name }}, {{ momentSaid(one.sheet.binnedAt ?? 0, now.now) }}
          </span>
        </span>
        <KitButton @click="back(one.sheet.id, one.sheet.number)">restore</KitButton>
        <KitButton @click="asking = [one.sheet.id]">delete permanently</KitButton>
      </li>
    </ul>
    <div v-if="asking" role="alertdialog" aria-label="Delete permanently" class="BinPage-asking">
      <p>
        {{
          texts.deletePermanently({
            sheets: asking.length,
          })
        }}
      </p>
      <BigTarget label="Delete permanently" @press="remove(asking)" />
      <BigTarget quiet label="Keep in the bin" @press="asking = null" />
    </div>
    <BigTarget v-else quiet label="Empty the bin" @press="asking = binned.map((one) => one.sheet.id)" />
  </div>
</template>

<style scoped>
.BinPage {
  display: grid;
  gap: var(--es-space-5);
  justify-items: start;
}

ul {
  width: 100%;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-5);
  align-items: center;
  padding: var(--es-space-3) 0;
  border-bottom: 1px solid var(--es-rule);
}

li > span {
  margin-right: auto;
}

li .es-quiet {
  display: block;
  font-size: var(--es-size-small);
}

.BinPage-asking {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
  align-items: center;
  padding: var(--es-space-5) var(--es-space-5);
  border-left: 3px solid var(--es-ember);
  background: var(--es-card);
}
</style>
