<script setup lang="ts">
import KitButton from '../../../kit/KitButton.vue'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { CoreError } from '@core/errors'
import { digits, formatQuantity } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import { wasteClassOf } from '@core/chemistry/waste'
import { substances, wasteClasses } from '@library/index'
import { useWorkroom } from '../../../state/workroom.store'
import FindingList from '../../../kit/FindingList.vue'
import { dayOf } from '../../../words/moments'
import { useNotice } from '../../../state/notice.store'
import QuantityField from '../../../kit/QuantityField.vue'
import { downloadLabel } from '../downloadLabel'
import {
  changeBottle,
  endBottle,
  takeBottleBack,
  takeOut,
  takeTakingBack,
  takeThrowingBack,
  throwAway,
} from '../../../state/actions/shelf.actions'
import { usePour } from '../../../state/usePour'
import type { StandingBottle } from '../useShelf'

/** A bottle in hand: take some out, count it, print its label, throw it away; and what has gone out of it so far. */
const props = defineProps<{ standing: StandingBottle }>()
const emit = defineEmits<{ gone: [] }>()
const [workroom, notice, router] = [useWorkroom(), useNotice(), useRouter()]

const bottle = computed(() => props.standing.bottle)
const unit = computed(() => (bottle.value.kind === 'solid' ? 'g' : 'ml'))
const dimension = computed(() => (bottle.value.kind === 'solid' ? 'mass' : 'volume'))
const amount = ref('')
const fault = ref<CoreError['refusal'] | undefined>()

function readAmount(): number {
  return parseQuantity(amount.value, dimension.value, { field: 'amount', bareUnit: unit.value })
}
/** Runs an act with the amount that is written, or says what is wrong with it. */
async function withAmount(act: (value: number) => Promise<void>): Promise<void> {
  const written = amount.value
  try {
    const value = readAmount()
    fault.value = undefined
    // Before the act: what is typed while it is being written down belongs to the next one.
    amount.value = ''
    await act(value)
  } catch (error) {
    amount.value ||= written
    if (error instanceof CoreError) fault.value = error.refusal
    else notice.refuse(error, 'the shelf')
  }
}
const take = () =>
  withAmount(async (value) => {
    const id = await takeOut({ bottleId: bottle.value.id, amount: value, why: 'bath' })
    notice.say(`${digits(value)} ${unit.value} taken out of ${bottle.value.label}.`, () => takeTakingBack(id))
  })
/** Counting sets what is left: the difference is written down as a taking. */
const count = () =>
  withAmount(async (value) => {
    if (props.standing.left === null) {
      await changeBottle(bottle.value.id, { amount: value + (workroom.taken.get(bottle.value.id) ?? 0) })
      notice.say(`${bottle.value.label} holds ${digits(value)} ${unit.value}.`)
      return
    }
    const id = await takeOut({
      bottleId: bottle.value.id,
      amount: props.standing.left - value,
      why: 'counted',
    })
    notice.say(`${bottle.value.label} holds ${digits(value)} ${unit.value} now.`, () => takeTakingBack(id))
  })

const wasteClass = computed(() => wasteClassOf(bottle.value.contents, substances))
const { findings, jarName, pressWords } = usePour(
  computed(() => ({ ...bottle.value, wasteClass: wasteClass.value })),
)
/** What is written in the field, or `null` where it says nothing that can be read. */
function typedAmount(): number | null {
  try {
    return readAmount()
  } catch {
    return null
  }
}
async function discard(): Promise<void> {
  const { id, name, label } = bottle.value
  const left = props.standing.left ?? typedAmount()
  if (left === null) {
    fault.value = {
      code: 'not-measured',
      field: 'amount',
      problem: 'Nobody measured how much is in it.',
      remedy: 'Write how much goes into the waste jar, as well as you can tell.',
    }
    return
  }
  if (left <= 0) {
    await endBottle(id)
    notice.say(`${label} is off the shelf.`)
  } else {
    const waste = {
      wasteClass: wasteClass.value,
      amount: left,
      unit: unit.value as 'g' | 'ml',
      what: `${name} ${label}`,
      contents: bottle.value.contents.map(({ substanceId, percent }) => ({ substanceId, percent })),
    }
    const wasteId = await throwAway(bottle.value, waste)
    notice.say(`${digits(left)} ${unit.value} of ${label} into the waste jar: ${jarName.value}.`, () =>
      takeThrowingBack(id, wasteId),
    )
  }
  emit('gone')
}
async function unmake(): Promise<void> {
  await takeBottleBack(bottle.value.id)
  notice.say(`${bottle.value.label} was never made; what went into it stands in its jars again.`)
  emit('gone')
}
const relabel = () => changeBottle(bottle.value.id, { statedPercent: undefined })

/** Everything that has gone out, newest first: by hand, and by coats, which can be taken back at their sheet. */
const gone = computed(() => {
  const byHand = workroom.takings
    .filter((one) => one.bottleId === bottle.value.id && !one.takenBackAt)
    .map((one) => ({
      key: one.id,
      at: one.at,
      words: `${WHY[one.why]}${forWhom(one.forId)}`,
      amount: one.amount,
      sheetId: null as string | null,
      takingId: one.id,
    }))
  const byCoat = workroom.everySheet.flatMap((one) =>
    one.state.steps.flatMap((step) =>
      step.drawn
        .filter((draw) => draw.bottleId === bottle.value.id)
        .map((draw, i) => ({
          key: `${one.sheet.id}/${step.planned.id}/${i}`,
          at: step.finishedAt ?? 0,
          words: `coat of sheet ${one.sheet.number}`,
          amount: draw.millilitres,
          sheetId: one.sheet.id as string | null,
          takingId: null as string | null,
        })),
    ),
  )
  return [...byHand, ...byCoat].sort((a, b) => b.at - a.at)
})
const WHY = {
  solution: 'made into',
  bath: 'taken out',
  paper: 'for paper',
  spilt: 'spilt',
  counted: 'counted',
  discarded: 'thrown away',
} as const
const forWhom = (id?: string) => {
  const other = workroom.bottles.find((one) => one.id === id)
  return other ? ` ${other.name} ${other.label}` : ''
}
const isMadeHere = computed(() =>
  workroom.takings.some((one) => one.forId === bottle.value.id && !one.takenBackAt),
)
const shown = (value: number) => formatQuantity(value, unit.value === 'g' ? 'mass' : 'volume')
</script>

<template>
  <section class="BottlePanel" :aria-label="`${bottle.name} ${bottle.label}`">
    <div class="BottlePanel-acts">
      <h2>
        {{ bottle.name }} {{ bottle.label }}
        <span class="es-quiet">
          {{ standing.left === null ? 'not measured' : `${shown(standing.left)} left` }}
        </span>
      </h2>
      <QuantityField
        v-model="amount"
        :label="`How much, ${unit}`"
        :fault="fault"
        :placeholder="unit === 'g' ? '5 g' : '20 ml'"
        :dimension="dimension"
        :unit="unit"
      />
      <div class="BottlePanel-buttons">
        <KitButton @click="take">Take out</KitButton>
        <KitButton @click="count">This is what is left</KitButton>
        <KitButton @click="downloadLabel(bottle)">Label, PDF</KitButton>
        <KitButton
          v-if="bottle.kind !== 'solution'"
          @click="router.push({ name: 'make', query: { substance: bottle.contents[0]?.substanceId } })"
        >
          Make a solution of it
        </KitButton>
        <KitButton v-if="bottle.statedPercent !== undefined" @click="relabel">It is relabelled</KitButton>
        <KitButton @click="discard">{{ pressWords }}</KitButton>
        <KitButton v-if="isMadeHere" @click="unmake">Take its making back</KitButton>
      </div>
      <FindingList :findings="findings" />
      <p class="es-quiet">{{ wasteClasses[wasteClass].ask }}</p>
    </div>
    <ol class="BottlePanel-gone" aria-label="What has gone out">
      <li v-for="one in gone.slice(0, 12)" :key="one.key">
        <span>{{ dayOf(one.at) }}</span>
        <span>{{ one.words }}</span>
        <strong>{{ one.amount < 0 ? `+${shown(-one.amount)}` : shown(one.amount) }}</strong>
        <KitButton v-if="one.takingId" kind="link" @click="takeTakingBack(one.takingId)">undo</KitButton>
        <RouterLink v-else :to="{ name: 'print', params: { sheetId: one.sheetId } }">sheet</RouterLink>
      </li>
      <li v-if="!gone.length" class="es-quiet">Nothing has gone out of it yet.</li>
    </ol>
  </section>
</template>

<style scoped>
.BottlePanel {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
  gap: var(--es-space-5) var(--es-space-8);
}

.BottlePanel-acts {
  display: grid;
  gap: var(--es-space-3);
  align-content: start;
}

.BottlePanel-buttons {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-3);
}

.BottlePanel-gone {
  display: grid;
  gap: var(--es-space-1);
  align-content: start;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 92px 1fr auto 54px;
  gap: var(--es-space-3);
  align-items: baseline;
  padding: var(--es-space-2) 0;
  border-bottom: 1px solid var(--es-rule);
  font-size: var(--es-size-body);
}

li strong {
  font-weight: 400;
}

@media (width <= 1100px) {
  .BottlePanel {
    grid-template-columns: 1fr;
  }
}
</style>
