<script setup lang="ts">
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import { restoreLight, saveLight } from '../../../state/actions/light.actions'
import { parseQuantity } from '@core/quantity/parse'
import { parseNumber } from '@core/quantity/number'
import { v4 as uuid } from 'uuid'
import { computed, ref, watch } from 'vue'
import { CoreError } from '@core/errors'
import type { Light } from '@core/schema/light'
import { cloudFromUvIndex, SKIES, type SkyName } from '@core/sun/cloud'
import { sunPosition } from '@core/sun/position'
import { places } from '@library/index'
import { useNow } from '../../../state/useNow'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import { useNotice } from '../../../state/notice.store'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import { useAttempt } from '../../../state/useAttempt'
import { placeText, readPlace } from '../light.draft'
import { useLights } from '../../../state/lights.store'
import { skyText } from '../lightWords'

/** Where a sun is printed under, how the frame is there, and what the sky is. */
const props = defineProps<{ light: Light | null }>()
const [lights, now, notice] = [useLights(), useNow(), useNotice()]
const DAY = 86_400_000

const placeName = ref('')
const coordinates = ref('')
const altitude = ref('')
const { faults, attempt } = useAttempt()
watch(
  () => props.light?.id,
  () => {
    const place = props.light?.place
    placeName.value = place?.name ?? ''
    coordinates.value = place ? placeText(place) : ''
    altitude.value = place ? String(place.altitudeMetres) : ''
  },
  { immediate: true },
)
watch(placeName, (name) => {
  const known = places.find((one) => one.name === name)
  if (!known || name === props.light?.place?.name) return
  coordinates.value = placeText(known)
  altitude.value = String(known.altitudeMetres)
})
async function change(part: Partial<Light>): Promise<void> {
  const before = props.light
  const fresh = before ?? { id: uuid(), name: 'the sun', kind: 'sun' as const, note: '' }
  await saveLight({ ...fresh, ...part })
  if (before) notice.say(`${before.name} saved.`, () => restoreLight(before))
}
/** The sky is kept with its light, and in the ledger, so that a frame that is out is counted under each sky it had. */
async function saySky(sky: Omit<NonNullable<Light['sky']>, 'at'>): Promise<void> {
  const one = props.light
  if (!one) return
  await lights.tell(one.id, { type: 'sky', share: sky.share })
  await change({ sky: { ...sky, at: Date.now() } })
}
const keepPlace = () =>
  attempt('place', async () => {
    const metres = altitude.value.trim()
      ? parseQuantity(altitude.value, 'altitude', { field: 'altitude', bareUnit: 'altitudeM' })
      : 0
    if (metres < -500 || metres > 6000)
      throw new CoreError({
        code: 'out-of-range',
        field: 'altitude',
        problem: `“${altitude.value}” is not a valid height.`,
        remedy: texts.enterMetresAboveSeaLevel,
      })
    const { latitude, longitude } = readPlace(coordinates.value)
    await change({ place: { name: placeName.value.trim(), latitude, longitude, altitudeMetres: metres } })
  })
const sky = computed<string | undefined>({
  get: () => {
    const said = props.light?.sky
    return said && now.now - said.at < DAY / 4 && typeof said.by === 'string' ? said.by : undefined
  },
  set: (id) => {
    const one = SKIES.find((other) => other.id === id)
    if (one) void saySky({ share: one.share, factor: one.factor, by: id as SkyName })
  },
})
const uvIndex = ref('')
const keepIndex = () =>
  attempt('uvIndex', async () => {
    const place = props.light?.place
    if (!place) return
    const index = parseNumber(uvIndex.value, { field: 'UV index', isPositive: true, example: '4.5' })
    const figure = cloudFromUvIndex(index, sunPosition(place, Date.now()).zenith)
    await saySky({ share: figure.value, factor: 1 + (figure.uncertainty ?? 0.3), by: { uvIndex: index } })
    uvIndex.value = ''
  })
const facing = computed<string | undefined>({
  get: () => props.light?.facing ?? 'flat',
  set: (id) => void change({ facing: id === 'sun' ? 'sun' : 'flat' }),
})
</script>

<template>
  <div class="SunPlace">
    <ChoiceRow v-if="light?.place" v-model="sky" label="Sky now" :options="SKIES" />
    <form v-if="light?.place" class="SunPlace-row" @submit.prevent="keepIndex">
      <TextField
        v-model="uvIndex"
        label="Or UV index forecast for now"
        placeholder="4.5"
        :fault="faults.uvIndex"
        :hint="skyText(light.sky)"
      />
      <KitButton type="submit">Use this UV index</KitButton>
    </form>
    <ChoiceRow
      v-if="light?.place"
      v-model="facing"
      label="Frame position"
      :options="[
        { id: 'flat', name: 'flat' },
        { id: 'sun', name: 'facing the sun' },
      ]"
    />
    <form class="SunPlace-row" @submit.prevent="keepPlace">
      <TextField
        v-model="placeName"
        label="Place"
        :options="places.map((one) => one.name)"
        placeholder="choose one, or enter a name"
      />
      <TextField
        v-model="coordinates"
        label="Latitude, longitude"
        placeholder="52.09 N, 5.12 E"
        :fault="faults.place"
      />
      <QuantityField
        v-model="altitude"
        label="Height above sea level, m"
        placeholder="0"
        dimension="altitude"
        unit="altitudeM"
      />
      <KitButton type="submit">
        {{ light?.place ? 'Save place' : 'Save place' }}
      </KitButton>
    </form>
  </div>
</template>

<style scoped>
.SunPlace {
  display: grid;
  gap: var(--es-space-5);
}

.SunPlace-row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-6);
  align-items: center;
}
</style>
