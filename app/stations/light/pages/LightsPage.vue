<script setup lang="ts">
import WayBack from '../../../kit/WayBack.vue'
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import PressCard from '../../../kit/PressCard.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import EmptyPage from '../../../kit/EmptyPage.vue'
import TextField from '../../../kit/TextField.vue'
import LightGlyph from '../parts/LightGlyph.vue'
import LightPanel from '../parts/LightPanel.vue'
import { useLightsPage } from '../useLightsPage'

const { standing, chosen, choose, name, kind, kinds, isAdding, add } = useLightsPage()
</script>

<template>
  <section class="LightsPage">
    <WayBack />
    <header>
      <h1>Lights</h1>
    </header>
    <EmptyPage v-if="!standing.length" under kicker="Lights" title="No lights yet">
      <p>
        {{ texts.addLampOrWindowYou }}
      </p>
    </EmptyPage>
    <ul v-else class="LightsPage-row">
      <li v-for="one in standing" :key="one.light.id">
        <PressCard
          :aria-pressed="one.light.id === chosen?.light.id"
          :class="{ 'is-due': one.isDue }"
          @click="choose(one.light.id)"
        >
          <span v-if="one.isDue" class="LightsPage-due">measure again</span>
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
      <TextField v-model="name" label="Name" placeholder="the attic box" />
      <ChoiceRow v-model="kind" label="Kind" :options="kinds" />
      <KitButton type="submit">Add light</KitButton>
    </form>
    <KitButton v-else class="LightsPage-add" @click="isAdding = true">Add another light</KitButton>
  </section>
</template>

<style scoped>
.LightsPage {
  display: grid;
  gap: var(--es-space-4);
}

.LightsPage-row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-5);
  margin: 0;
  padding: 0 0 var(--es-space-3);
  border-bottom: 2px solid var(--es-line);
  list-style: none;
}

.LightsPage-row .PressCard {
  display: grid;
  gap: var(--es-space-2);
  justify-items: center;
  min-width: 9.375rem;
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
  max-width: 32.5rem;
}

.LightsPage-add {
  justify-self: start;
  padding: var(--es-space-3) var(--es-space-5);
  border: 1px solid var(--es-line);
  background: none;
  cursor: pointer;
}
</style>
