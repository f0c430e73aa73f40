<script setup lang="ts">
import KitButton from '../../../kit/KitButton.vue'
import { computed, ref, watch } from 'vue'
import { leftIn, holdsStock } from '@core/chemistry/lots'
import { CoreError } from '@core/errors'
import { trayVolume } from '@core/paper/amounts'
import { useOf, wasteOf } from '@core/process/baths'
import type { BenchTray } from '@core/process/bench'
import { digits, formatQuantity } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import { substances } from '@library/index'
import { useWorkroom, type SheetInRoom } from '../../../state/workroom.store'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import BigTarget from '../../../kit/BigTarget.vue'
import FigureValue from '../../../kit/FigureValue.vue'
import FindingList from '../../../kit/FindingList.vue'
import { momentSaid } from '../../../words/moments'
import { useNotice } from '../../../state/notice.store'
import SelectField from '../../../kit/SelectField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import { useAttempt } from '../../../state/useAttempt'
import { useNow } from '../../../state/useNow'
import {
  discardBath,
  fillTray,
  replenish,
  setTemperature,
  takeDiscardBack,
  takeFillBack,
  takeReplenishBack,
} from '../../../state/actions/bath.actions'
import { usePour } from '../../../state/usePour'
import { useBaths } from '../../../state/baths.store'

/** One tray opened: filled from the shelf, replenished, its temperature, poured away into its jar. */
const props = defineProps<{ tray: BenchTray; one: SheetInRoom }>()
defineEmits<{ close: [] }>()
const [workroom, baths, notice, now] = [useWorkroom(), useBaths(), useNotice(), useNow()]
const { faults, attempt } = useAttempt()

/** Depth of liquid that covers a sheet in its tray, in mm: common practice. */
const DEPTH = 15
const solution = computed(() => props.tray.solution)
const bath = computed(() =>
  solution.value ? baths.standing(props.one.definition, solution.value, props.one.sheet.choices) : null,
)
const standing = computed(() => bath.value && baths.standingOf(bath.value))
const rule = computed(() => useOf(props.one.definition, solution.value?.id ?? '').use)
const solutes = computed(() =>
  solution.value ? baths.solutesOf(props.one.definition, solution.value, props.one.sheet.choices) : [],
)
const solutesLine = computed(() =>
  solutes.value
    .map((one) => `${substances[one.substanceId]?.name ?? one.substanceId} ${digits(one.percentWv)} %`)
    .join(', '),
)

const standingLine = computed(() => {
  if (!bath.value || !standing.value) return ''
  const count = standing.value.passes.length
  const until = standing.value.bestUntil
  return [
    `${formatQuantity(bath.value.millilitres, 'volume')}, filled ${momentSaid(bath.value.madeAt, now.now)}`,
    until === null ? '' : `, good until ${momentSaid(until, now.now)}`,
    count === 0
      ? '; no print through it yet.'
      : count === 1
        ? '; 1 print through it.'
        : `; ${count} prints through it.`,
  ].join('')
})

const MANNERS = [
  { id: 'reused', name: 'for several prints' },
  { id: 'oneShot', name: 'for one' },
]
const manner = ref<string | undefined>('reused')
const volume = ref('')
const celsius = ref('')
const bottleId = ref('')
const addition = ref('')
const ready = computed(() =>
  workroom.bottles.filter((bottle) => !bottle.ended && holdsStock(bottle, solutes.value)),
)
const bottleOptions = computed(() => [
  { id: '', name: 'Made up fresh, not from a bottle' },
  ...ready.value.map((bottle) => {
    const left = leftIn(bottle, workroom.taken)
    return {
      id: bottle.id,
      name: `${bottle.label}, ${bottle.name}${left === null ? '' : `, ${formatQuantity(left, 'volume')} left`}`,
    }
  }),
])
watch(
  () => [props.tray.id, bath.value?.id] as const,
  () => {
    const millilitres = Math.ceil(trayVolume(props.one.sheet, DEPTH).value / 50) * 50
    volume.value = formatQuantity(millilitres, 'volume')
    celsius.value = bath.value?.celsius === undefined ? '' : String(bath.value.celsius)
    bottleId.value = ready.value[0]?.id ?? ''
    manner.value = rule.value?.manner ?? 'reused'
    addition.value = formatQuantity(rule.value?.replenish?.millilitres ?? 200, 'volume')
  },
  { immediate: true },
)
const readVolume = (text: string, field: string) => {
  const value = parseQuantity(text, 'volume', { field, bareUnit: 'ml' })
  if (!(value > 0))
    throw new CoreError({
      code: 'nothing',
      field,
      problem: 'That is nothing.',
      remedy: 'Write it like 800 ml.',
    })
  return value
}
/** A bottle gives no more than it holds. */
function checkLeft(millilitres: number): void {
  const bottle = ready.value.find((one) => one.id === bottleId.value)
  const left = bottle ? leftIn(bottle, workroom.taken) : null
  if (left !== null && left < millilitres - 1e-6)
    throw new CoreError({
      code: 'short',
      field: 'volume',
      problem: `${bottle?.label} holds ${formatQuantity(left, 'volume')}.`,
      remedy: 'Pour less, or take another bottle.',
    })
}
const readCelsius = (text: string) =>
  text.trim() ? parseQuantity(text, 'temperature', { field: 'temperature', bareUnit: 'degC' }) : undefined
const fromBottle = computed(() => (bottleId.value ? { bottleId: bottleId.value } : {}))

async function fill(): Promise<void> {
  const held = solution.value
  if (!held) return
  let degrees: number | undefined
  if (!(await attempt('temperature', () => void (degrees = readCelsius(celsius.value))))) return
  await attempt('volume', async () => {
    const millilitres = readVolume(volume.value, 'volume')
    const bottle = ready.value.find((one) => one.id === bottleId.value)
    checkLeft(millilitres)
    const contents = bottle
      ? bottle.contents.map(({ substanceId, percent }) => ({ substanceId, percent }))
      : solutes.value.map(({ substanceId, percentWv }) => ({ substanceId, percent: percentWv }))
    const id = await fillTray({
      processId: props.one.definition.id,
      bath: held.id,
      name: held.name,
      contents,
      millilitres,
      ...(degrees !== undefined && { celsius: degrees }),
      manner: manner.value === 'oneShot' ? 'oneShot' : 'reused',
      ...fromBottle.value,
    })
    notice.say(`${held.name}: ${formatQuantity(millilitres, 'volume')} in the tray.`, () => takeFillBack(id))
  })
}
async function add(): Promise<void> {
  const held = bath.value
  if (!held) return
  await attempt('addition', async () => {
    const millilitres = readVolume(addition.value, 'addition')
    checkLeft(millilitres)
    await replenish(held, millilitres, bottleId.value || undefined)
    notice.say(`${held.name}: ${formatQuantity(millilitres, 'volume')} added.`, () =>
      takeReplenishBack(held.id),
    )
  })
}
async function warm(): Promise<void> {
  const held = bath.value
  if (!held) return
  await attempt('temperature', async () => {
    const degrees = readCelsius(celsius.value)
    if (degrees !== undefined) await setTemperature(held.id, degrees)
  })
}
const { findings, jarName, pressWords } = usePour(
  computed(() => bath.value && { ...bath.value, wasteClass: wasteOf(bath.value, substances) }),
)
async function pourAway(): Promise<void> {
  const held = bath.value
  if (!held) return
  const followed = rule.value?.followedBy
  const next = followed ? (baths.all.find((one) => one.bath === followed && !one.ended) ?? null) : null
  const what = { bath: held, wasteClass: wasteOf(held, substances), next }
  await attempt('discard', async () => {
    const wasteId = await discardBath(what)
    notice.say(
      `${held.name} into the waste jar: ${jarName.value}.${next ? ' The second bath moves up; fill a fresh one behind it.' : ''}`,
      () => takeDiscardBack(what, wasteId),
    )
  })
}
</script>

<template>
  <section v-if="solution" class="BathPanel" :aria-label="solution.name">
    <header>
      <h2>{{ solution.name }}</h2>
      <p class="es-quiet">{{ solutesLine }}</p>
      <KitButton kind="link" @click="$emit('close')">Close</KitButton>
    </header>

    <div v-if="bath && standing" class="BathPanel-row">
      <p>{{ standingLine }}</p>
      <FigureValue
        v-if="standing.used"
        label="of its capacity used"
        :figure="standing.used"
        :text="`${digits(100 * standing.used.value, 2)} %`"
      />
      <FigureValue
        label="of its strength left"
        :figure="standing.strength"
        :text="`${digits(100 * standing.strength.value, 3)} %`"
      />
      <QuantityField
        v-model="celsius"
        label="Temperature, °C"
        :fault="faults.temperature"
        dimension="temperature"
        unit="degC"
        @change="warm"
      />
      <template v-if="bath.manner !== 'oneShot'">
        <QuantityField
          v-model="addition"
          label="Add fresh"
          :fault="faults.addition"
          dimension="volume"
          unit="ml"
        />
        <SelectField v-if="ready.length" v-model="bottleId" label="Poured from" :options="bottleOptions" />
        <BigTarget quiet label="Replenish it" @press="add" />
      </template>
      <BigTarget quiet :label="pressWords" @press="pourAway" />
    </div>

    <form v-else class="BathPanel-row" @submit.prevent="fill">
      <QuantityField
        v-model="volume"
        label="Into the tray"
        :fault="faults.volume"
        dimension="volume"
        unit="ml"
      />
      <QuantityField
        v-model="celsius"
        label="Temperature, °C"
        :fault="faults.temperature"
        placeholder="as it is"
        dimension="temperature"
        unit="degC"
      />
      <SelectField v-if="ready.length" v-model="bottleId" label="Poured from" :options="bottleOptions" />
      <ChoiceRow v-model="manner" label="It serves" :options="MANNERS" />
      <BigTarget label="Fill the tray" @press="fill" />
    </form>
    <FindingList :findings="findings" />
    <ul v-if="!bath" class="es-quiet">
      <li v-for="line in solution.stock.making" :key="line">{{ line }}</li>
    </ul>
  </section>
</template>

<style scoped>
.BathPanel {
  padding: var(--es-space-4) var(--es-space-5) var(--es-space-5);
  border: 1px solid var(--es-rule);
  background: var(--es-card);
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-5);
  align-items: baseline;
}

.BathPanel-row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: var(--es-space-3) var(--es-space-6);
  align-items: end;
  margin-top: var(--es-space-3);
}

.BathPanel-row > p {
  align-self: center;
  font-size: var(--es-size-body);
}

.BathPanel-row :deep(.BigTarget) {
  min-height: 46px;
  margin-bottom: var(--es-space-5);
  padding: var(--es-space-3) var(--es-space-5);
  font-size: var(--es-size-body);
}

ul {
  margin: 0;
  padding-left: 1.1em;
  font-size: var(--es-size-small);
}

h2 {
  font-size: var(--es-size-lead);
}
</style>
