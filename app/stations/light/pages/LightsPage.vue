<script setup lang="ts">
import KitButton from '../../../kit/KitButton.vue'
import PressCard from '../../../kit/PressCard.vue'
import { saveLight } from '../../../state/actions/light.actions'
import { measuredAgainst } from '@core/light/ageing'
import { v4 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { litSince, healthOf } from '@core/light/lightLedger'
import { expectedLight } from '@core/light/lightNow'
import { eyeLimitSeconds } from '@core/light/eyeLimit'
import { digits, formatSpan } from '@core/quantity/format'
import type { LightKind } from '@core/schema/definition'
import { useNow } from '../../../state/useNow'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import EmptyPage from '../../../kit/EmptyPage.vue'
import { useMarginNotes, type MarginNote } from '../../../state/margin.store'
import { dayOf } from '../../../words/moments'
import { useNotice } from '../../../state/notice.store'
import TextField from '../../../kit/TextField.vue'
import LightGlyph from '../parts/LightGlyph.vue'
import LightNav from '../parts/LightNav.vue'
import LightPanel from '../parts/LightPanel.vue'
import { useLights } from '../../../state/lights.store'
import { irradianceText, KIND_WORDS } from '../lightWords'

const [route, router, lights, now, notice] = [
  useRoute(), useRouter(), useLights(), useNow(), useNotice(),
] // prettier-ignore

const standing = computed(() =>
  [...lights.histories.values()].map((history) => {
    const isSun = history.light.kind === 'sun'
    const health = healthOf(history, now.now)
    const expected = expectedLight(history, now.now)
    return {
      history,
      light: history.light,
      health,
      isLit: isSun ? (expected?.value ?? 0) > 0.05 : litSince(history) !== null,
      strength: Math.min(1, (health.left?.value ?? 100) / 100),
      /** The line under its name. */
      says: isSun
        ? [
            history.light.place
              ? expected && expected.value > 0.005
                ? `about ${irradianceText(expected.value)} now`
                : 'the sun is down'
              : 'no place yet',
          ]
        : [
            `${digits(Math.round(health.hours.value * 10) / 10)}\u00a0h`,
            ...(health.left
              ? [`${Math.round(health.left.value)}\u00a0% ${measuredAgainst(health.firstReadAtHours)}`]
              : []),
            ...(expected ? [irradianceText(expected.value)] : ['not read yet']),
          ],
      isDue: !isSun && health.nextCheckHours < 0,
      milliwattsPerCm2: expected && expected.value > 0.05 ? expected.value : null,
    }
  }),
)
const chosen = computed(() => standing.value.find((one) => one.light.id === route.params.lightId) ?? null)
const choose = (id: string) =>
  void router.replace({ name: 'lights', params: { lightId: chosen.value?.light.id === id ? '' : id } })

const name = ref('')
const kind = ref<string | undefined>('uvBox')
const kinds = (Object.keys(KIND_WORDS) as LightKind[]).map((id) => ({ id, name: KIND_WORDS[id] }))
const isAdding = ref(false)
async function add(): Promise<void> {
  try {
    const light = await saveLight({
      id: uuid(),
      name: name.value.trim() || `the ${KIND_WORDS[kind.value as LightKind]}`,
      kind: kind.value as LightKind,
      note: '',
    })
    isAdding.value = false
    name.value = ''
    choose(light.id)
  } catch (error) {
    notice.refuse(error, 'the light')
  }
}

useMarginNotes(() => {
  const notes: MarginNote[] = standing.value
    .filter((one) => one.isDue)
    .map((one) => ({
      title: `Read ${one.light.name}`,
      lines: ['It has burnt long enough since it was last read to have changed.'],
      tone: 'caution',
    }))
  const last = chosen.value?.history.entries.filter((one) => one.what.type === 'read').at(-1)
  if (last?.what.type === 'read')
    notes.push({
      title: 'Last reading',
      lines: [`${irradianceText(last.what.milliwattsPerCm2)}, ${dayOf(last.at)}`],
    })
  notes.push(
    {
      title: 'Eyes',
      tone: 'caution',
      lines: [
        ...(chosen.value?.milliwattsPerCm2
          ? [
              `Under ${chosen.value.light.name} the eye’s daily limit is reached in ${formatSpan(Math.round(eyeLimitSeconds(chosen.value.milliwattsPerCm2).value))} (ICNIRP 2004, from memory).`,
            ]
          : []),
        'Cover closed before the lamp goes on. Do not look into it; UV-blocking glasses. Your local code comes first.',
      ],
    },
    {
      title: 'Why read a lamp',
      lines: [
        'Bulbs grow dim unnoticed: two prints alike are not alike any more.',
        'Same place in the frame, lamp warm. Without a meter, every base exposure that is found tells the same.',
      ],
    },
  )
  return notes
})
</script>

<template>
  <section class="LightsPage">
    <header>
      <p class="es-kicker">What there is to print by</p>
      <h1>Lights</h1>
      <LightNav here="lights" />
    </header>
    <EmptyPage v-if="!standing.length" under kicker="Still dark" title="No light is known yet">
      <p>Add the lamp or the window you print by. Ember Sheet keeps its hours and sees when it grows dim.</p>
    </EmptyPage>
    <ul v-else class="LightsPage-row">
      <li v-for="one in standing" :key="one.light.id">
        <PressCard
          :aria-pressed="one.light.id === chosen?.light.id"
          :class="{ 'is-due': one.isDue }"
          @click="choose(one.light.id)"
        >
          <span v-if="one.isDue" class="LightsPage-due">read it again</span>
          <LightGlyph :kind="one.light.kind" :strength="one.strength" :lit="one.isLit" />
          <strong>{{ one.light.name }}</strong>
          <span v-for="line in one.says" :key="line">{{ line }}</span>
        </PressCard>
      </li>
    </ul>
    <LightPanel
      v-if="chosen"
      :key="chosen.light.id"
      :history="chosen.history"
      :health="chosen.health"
      :is-lit="chosen.isLit"
    />
    <form v-if="isAdding || !standing.length" class="LightsPage-new" @submit.prevent="add">
      <TextField v-model="name" label="What you call it" placeholder="the attic box" />
      <ChoiceRow v-model="kind" label="Which kind" :options="kinds" />
      <KitButton type="submit">Add this light</KitButton>
    </form>
    <KitButton v-else class="LightsPage-add" @click="isAdding = true">Another light</KitButton>
  </section>
</template>

<style scoped>
.LightsPage {
  display: grid;
  gap: var(--es-space-5);
  max-width: 860px;
}

header {
  display: grid;
  gap: var(--es-space-3);
}

.LightsPage-row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-5);
  margin: 0;
  padding: 0 0 var(--es-space-5);
  border-bottom: 2px solid var(--es-line);
  list-style: none;
}

.LightsPage-row .PressCard {
  display: grid;
  gap: var(--es-space-2);
  justify-items: center;
  min-width: 150px;
  padding: var(--es-space-3) var(--es-space-5);
  border: 1px solid transparent;
}

.LightsPage-row .PressCard[aria-pressed='true'] {
  border-color: var(--es-ember);
}

.LightsPage-row span {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

.LightsPage-row .LightsPage-due {
  color: var(--es-ember);
}

.LightsPage-new {
  display: grid;
  gap: var(--es-space-3);
  max-width: 520px;
}

.LightsPage-add {
  justify-self: start;
  padding: var(--es-space-3) var(--es-space-5);
  border: 1px solid var(--es-line);
  background: none;
  cursor: pointer;
}
</style>
