<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { beginning } from '@core/process/plan'
import { formatSize } from '@core/quantity/format'
import { useWorkroom } from '../data/workroom.store'
import BigClock from '../shell/BigClock.vue'
import BigTarget from '../shell/BigTarget.vue'
import CoatSwatch from '../shell/CoatSwatch.vue'
import EmptyPage from '../shell/EmptyPage.vue'
import EndpointStrip from '../shell/EndpointStrip.vue'
import { useKeyRows } from '../shell/keys.store'
import LeastTime from '../shell/LeastTime.vue'
import { useMarginNotes, type MarginNote } from '../shell/margin.store'
import { usePreferences } from '../shell/preferences.store'
import StationHead from '../shell/StationHead.vue'
import { stepNotes } from '../shell/stepNotes'
import { useStation } from '../shell/useStation'
import CoatFigures from './CoatFigures.vue'
import DropCounter from './DropCounter.vue'
import { isPlan, useCoatPlan } from './useCoatPlan'

const router = useRouter()
const workroom = useWorkroom()
const preferences = usePreferences()
const {
  here,
  inHand,
  step,
  stepWords,
  reading,
  hasMovedOn,
  placeTitle,
  record,
  takeBack,
  move,
  follow,
  choose,
} = useStation('coat')

const plan = useCoatPlan(
  () => inHand.value?.definition ?? null,
  () => inHand.value?.sheet ?? null,
)
const isCounting = computed(() => step.value?.planned.kind === 'count')
const title = computed(() => {
  if (!inHand.value) return ''
  const { definition, sheet } = inHand.value
  if (hasMovedOn.value) return inHand.value.state.setAside ? 'Set aside' : 'Coated and dry'
  if (step.value && !isCounting.value) return stepWords.value?.title ?? ''
  const coats = sheet.coats === 1 ? 'one coat' : `${sheet.coats} coats`
  return `${definition.name}, ${formatSize(sheet, { length: preferences.chosen.length, temperature: 'degC' })}, ${coats}`
})
const bottleLabels = computed(() =>
  Object.fromEntries(
    workroom.bottles
      .filter((bottle) => inHand.value?.sheet.bottles[bottle.component] === bottle.id)
      .map((bottle) => [bottle.component, `bottle ${bottle.label}, ${bottle.percentWv} %`]),
  ),
)
const swatch = computed(() => {
  const colours = inHand.value?.definition.colours ?? {}
  const isDry = hasMovedOn.value || stepWords.value?.id === 'dry'
  return {
    colour: (isDry ? colours.dryCoat : colours.wetCoat) ?? '#cccc99',
    label: isDry ? 'Dry coat' : 'Wet coat',
  }
})
const paper = computed(() => workroom.papers.find((one) => one.id === inHand.value?.sheet.paperId))

/** Begins with the drops that were worked out, or with the slightly larger count that was offered. */
async function begin(drops?: readonly number[]): Promise<void> {
  if (!inHand.value || !isPlan(plan.value)) return
  const { definition, sheet } = inHand.value
  await record(beginning(definition, sheet, drops ?? plan.value.count.drops, paper.value?.gramsPerM2))
}
const finishWords = computed(() => stepWords.value?.press.finish ?? '')
const finish = () =>
  move(`Sheet ${inHand.value?.sheet.number}: ${stepWords.value?.title.toLowerCase()}, done.`)

useKeyRows('At the bench', () => [
  ...(hasMovedOn.value ? [{ key: ' ', name: `On to ${placeTitle.value}`, run: follow }] : []),
  ...(inHand.value && !inHand.value.state.begunAt
    ? [{ key: ' ', name: 'Begin: count the drops', run: () => void begin() }]
    : []),
  ...(step.value && !isCounting.value && !hasMovedOn.value
    ? [{ key: ' ', name: finishWords.value, run: () => void finish() }]
    : []),
  ...(inHand.value ? [{ key: 'u', name: 'Undo the last thing', run: () => void takeBack() }] : []),
])

useMarginNotes((): MarginNote[] => {
  if (!inHand.value) return []
  const { definition, sheet } = inHand.value
  if (!step.value) {
    const chosen = definition.choices.flatMap((choice) =>
      choice.options.filter((option) => option.id === sheet.choices[choice.id]),
    )
    const mixing = definition.steps.find((one) => one.kind === 'count')
    return [
      ...stepNotes(definition, mixing ?? null),
      { title: 'As you chose', lines: chosen.map((option) => `${option.name}. ${option.reason}`) },
    ]
  }
  return stepNotes(definition, hasMovedOn.value ? null : stepWords.value)
})
</script>

<template>
  <EmptyPage
    v-if="!inHand"
    kicker="The bench is clear"
    title="No sheet is being coated"
    action="Begin a sheet"
    @act="router.push({ name: 'begin' })"
  >
    <p>
      Choose the picture, the paper and the size. Ember Sheet works out the drops, then counts them with you.
    </p>
  </EmptyPage>

  <div v-else class="CoatStation">
    <StationHead :title="title" :in-hand="inHand" :here="here" @choose="choose">
      <CoatSwatch v-if="inHand.state.begunAt" :colour="swatch.colour" :label="swatch.label" />
    </StationHead>

    <template v-if="hasMovedOn">
      <p class="CoatStation-doing">Sheet {{ inHand.sheet.number }} is at {{ placeTitle }} now.</p>
      <div class="CoatStation-acts">
        <BigTarget :label="`On to ${placeTitle}`" hint=" " @press="follow" />
        <BigTarget quiet label="Begin another sheet" hint="n" @press="router.push({ name: 'begin' })" />
      </div>
    </template>

    <template v-else-if="!step">
      <p v-if="plan && !isPlan(plan)" role="alert">{{ plan.problem }} {{ plan.remedy }}</p>
      <template v-else-if="plan">
        <p class="CoatStation-doing">
          {{
            plan.count.drops
              .map((drops, i) => `${drops} drops of ${inHand?.definition.components[i]?.name.toLowerCase()}`)
              .join(', ')
          }}.
          <span v-if="plan.offer" class="es-quiet">
            {{ plan.offer.total }} drops in all ({{ plan.offer.drops.join(' + ') }}) would keep the ratio
            better.
          </span>
        </p>
        <CoatFigures :plan="plan" />
        <div class="CoatStation-acts">
          <BigTarget label="Begin: count the drops" hint=" " @press="begin()" />
          <BigTarget
            v-if="plan.offer"
            quiet
            :label="`Begin with ${plan.offer.drops.join(' + ')}`"
            @press="begin(plan.offer.drops)"
          />
          <BigTarget
            quiet
            label="Change the plan"
            @press="router.push({ name: 'begin', query: { sheet: inHand.sheet.id } })"
          />
        </div>
      </template>
    </template>

    <DropCounter
      v-else-if="isCounting"
      :key="inHand.sheet.id"
      :step="step"
      :definition="inHand.definition"
      :bottle-labels="bottleLabels"
      :drops-per-millilitre="inHand.sheet.dropsPerMillilitre"
      @record="record"
      @finish="finish"
    >
      <CoatFigures v-if="isPlan(plan)" :plan="plan" />
    </DropCounter>

    <template v-else-if="stepWords">
      <p class="CoatStation-doing">{{ stepWords.doing }}</p>
      <BigClock v-if="reading" :reading="reading" />
      <LeastTime :step="stepWords" :sheet="inHand.sheet" />
      <EndpointStrip :colours="stepWords.endpoint?.swatch ?? []" />
      <div class="CoatStation-acts">
        <BigTarget :label="finishWords" hint=" " @press="finish" />
        <BigTarget plain label="Undo" hint="u" @press="takeBack" />
      </div>
    </template>
  </div>
</template>

<style scoped>
.CoatStation {
  display: grid;
  gap: 20px;
}

.CoatStation-doing {
  max-width: 44em;
  font-size: 18px;
}

.CoatStation-acts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  margin-top: 8px;
}
</style>
