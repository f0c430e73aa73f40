<script setup lang="ts">
import KitButton from '../../../kit/KitButton.vue'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { formatOnRule } from '@core/quantity/format'
import type { Paper, Piece } from '@core/schema/records'
import { useWorkroom } from '../../../state/workroom.store'
import { useNotice } from '../../../state/notice.store'
import { usePreferences } from '../../../state/preferences.store'
import { changePiece } from '../../../state/actions/paper.actions'

/** Torn pieces of one paper: what is pencilled on each, what was done to it, and which sheet it became. */
const props = defineProps<{ paper: Paper }>()
const [workroom, preferences, notice, router] = [useWorkroom(), usePreferences(), useNotice(), useRouter()]

const rule = (millimetres: number) => formatOnRule(millimetres, preferences.chosen.length)
const rows = computed(() =>
  workroom.pieces
    .filter((one) => one.paperId === props.paper.id && !one.goneAt)
    .sort((a, b) => a.label.localeCompare(b.label, 'en', { numeric: true }))
    .map((piece) => ({
      piece,
      size: `${rule(piece.widthMillimetres)} × ${rule(piece.heightMillimetres)}`,
      treatments: workroom.treatmentRuns
        .filter(({ run }) => run.pieceIds.includes(piece.id))
        .map(({ run, state, definition }) => {
          const isHalf = run.halfPieceId === piece.id
          const isDone = state.begunAt !== null && state.current >= state.steps.length
          return `${definition.name.toLowerCase()}${isHalf ? ', one half' : ''}${isDone ? '' : ', in progress'}`
        }),
      sheet: workroom.everySheet.find((one) => one.sheet.pieceId === piece.id)?.sheet,
    })),
)
async function remove(piece: Piece): Promise<void> {
  await changePiece(piece.id, { goneAt: Date.now() })
  notice.say(`${piece.label} removed from the drawer.`, () => changePiece(piece.id, { goneAt: undefined }))
}
</script>

<template>
  <section class="PieceList" aria-label="Torn pieces">
    <h2>Torn</h2>
    <ul>
      <li v-for="{ piece, size, treatments, sheet } in rows" :key="piece.id">
        <strong>{{ piece.label }}</strong>
        <span>{{ size }}</span>
        <span class="es-quiet">{{ [piece.side, ...treatments].filter(Boolean).join('; ') }}</span>
        <RouterLink v-if="sheet" :to="{ name: 'print', params: { sheetId: sheet.id } }">
          sheet {{ sheet.number }}
        </RouterLink>
        <KitButton v-else kind="quiet" @click="remove(piece)">gone</KitButton>
      </li>
    </ul>
    <p v-if="!rows.length" class="es-quiet">No torn pieces of this paper.</p>
    <KitButton
      kind="quiet"
      class="PieceList-tear"
      @click="router.push({ name: 'tear', params: { paperId: paper.id } })"
    >
      Tear a sheet
    </KitButton>
  </section>
</template>

<style scoped>
.PieceList {
  display: grid;
  gap: var(--es-space-3);
  align-content: start;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 3.75rem 6.875rem minmax(0, 1fr) auto;
  gap: var(--es-space-2) var(--es-space-4);
  padding: var(--es-space-2) 0;
  border-bottom: 1px solid var(--es-rule);
}

@media (width <= 40em) {
  li {
    grid-template-columns: 3.75rem minmax(0, 1fr) auto;
  }

  li > :nth-child(3) {
    grid-row: 2;
    grid-column: 1 / -1;
  }
}

.PieceList-tear {
  justify-self: start;
  min-height: 2.5rem;
  padding: 0;
}
</style>
