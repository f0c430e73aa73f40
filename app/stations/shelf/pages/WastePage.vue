<script setup lang="ts">
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import { computed, ref, watch } from 'vue'
import { CoreError, type Refusal } from '@core/errors'
import { formatQuantity } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import type { Waste } from '@core/schema/records'
import { WasteClass } from '@core/schema/substance'
import { wasteClassOf, wasteJars } from '@core/chemistry/waste'
import { substances, wasteClasses } from '@library/index'
import { useWorkroom } from '../../../state/workroom.store'
import EmptyPage from '../../../kit/EmptyPage.vue'
import FindingList from '../../../kit/FindingList.vue'
import { useMarginNotes } from '../../../state/margin.store'
import { dayOf } from '../../../words/moments'
import { useNotice } from '../../../state/notice.store'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import { addWaste, handOver, undoWaste } from '../../../state/actions/shelf.actions'
import { usePour } from '../../../state/usePour'

const [workroom, notice] = [useWorkroom(), useNotice()]
const jars = computed(() => wasteJars(workroom.wastes))
// The jar of earlier archives, which held chlorate and peroxide alike, takes nothing more.
const classOptions = WasteClass.options
  .filter((id) => id !== 'oxidiser')
  .map((id) => ({ id, name: wasteClasses[id].name }))
const substanceOptions = Object.values(substances).map(({ id, name }) => ({ id, name }))
const wasteClass = ref<string>('silver')
const holds = ref<string[]>([])
const what = ref('')
const amount = ref('')
const fault = ref<Refusal | undefined>()
const contents = computed(() => holds.value.map((substanceId) => ({ substanceId })))
/** Waste is in it decides the jar; it can be changed afterwards. */
watch(contents, (all) => {
  if (all.length) wasteClass.value = wasteClassOf(all, substances)
})
const words = computed(() => what.value.trim() || 'rinse water')
const { findings, jarName, pressWords } = usePour(
  computed(() => ({
    name: words.value,
    contents: contents.value,
    wasteClass: WasteClass.parse(wasteClass.value),
  })),
)

async function add(): Promise<void> {
  try {
    const value = parseQuantity(amount.value, 'volume', { field: 'amount', bareUnit: 'ml' })
    if (!(value > 0))
      throw new CoreError({
        code: 'nothing',
        field: 'amount',
        problem: 'The amount is zero.',
        remedy: texts.enterHowMuchYouPour,
      })
    fault.value = undefined
    const id = await addWaste({
      wasteClass: WasteClass.parse(wasteClass.value),
      amount: value,
      unit: 'ml',
      what: words.value,
      // Nothing chosen means not known, which is not the same as nothing in it.
      contents: contents.value.length ? contents.value : undefined,
    })
    notice.say(`${formatQuantity(value, 'volume')} into waste jar: ${jarName.value}.`, () => undoWaste(id))
    what.value = amount.value = ''
    holds.value = []
  } catch (error) {
    if (error instanceof CoreError) fault.value = error.refusal
    else notice.refuse(error, 'the waste jar')
  }
}
const contentsWords = ({ contents: held }: Waste) =>
  held?.map((one) => substances[one.substanceId]?.name ?? one.substanceId).join(', ') ??
  'contents not recorded'
async function give(ids: readonly string[], name: string): Promise<void> {
  await handOver(ids)
  notice.say(`${name}: marked as collected.`)
}
useMarginNotes(() => [
  {
    title: 'Never mix',
    lines: [texts.ferricyanideWithStrongAcidHydrogen, texts.useOneLabelledJarPer],
    tone: 'caution',
    isHazard: true,
  },
  {
    title: 'Who takes the waste',
    lines: [texts.askYourLocalLicensedWaste],
  },
])
</script>

<template>
  <section class="WastePage">
    <header>
      <h1>Waste</h1>
    </header>
    <div class="WastePage-row">
      <TextField v-model="what" label="Waste" placeholder="first wash water" />
      <SelectField
        v-model="holds"
        label="Contents"
        :options="substanceOptions"
        placeholder="silver nitrate, …"
        :hint="texts.everythingInItThatYou"
        clearable
      />
      <QuantityField
        v-model="amount"
        label="Amount"
        placeholder="250 ml"
        :fault="fault"
        dimension="volume"
        unit="ml"
      />
      <SelectField v-model="wasteClass" label="Waste jar" :options="classOptions" />
    </div>
    <FindingList :findings="findings" />
    <KitButton @click="add">{{ pressWords }}</KitButton>
    <EmptyPage v-if="!jars.length" under kicker="Empty jars" title="No waste collected">
      <p>
        {{ texts.wasteThrownAwayAtShelf }}
      </p>
    </EmptyPage>
    <article v-for="jar in jars" :key="jar.wasteClass" :aria-label="wasteClasses[jar.wasteClass].name">
      <h2>
        {{ wasteClasses[jar.wasteClass].name }}
        <strong>
          {{
            [
              jar.millilitres && formatQuantity(jar.millilitres, 'volume'),
              jar.grams && formatQuantity(jar.grams, 'mass'),
            ]
              .filter(Boolean)
              .join(' and ')
          }}
        </strong>
      </h2>
      <p>
        {{ wasteClasses[jar.wasteClass].cap === 'vented' ? 'Vented cap.' : 'Closed cap.' }}
        {{ wasteClasses[jar.wasteClass].never }} Ask the service: “{{ wasteClasses[jar.wasteClass].ask }}”
      </p>
      <ul>
        <li v-for="one in jar.entries" :key="one.id">
          <span>{{ dayOf(one.at) }}</span>
          <span>
            {{ one.what }}
            <small class="es-quiet">{{ contentsWords(one) }}</small>
          </span>
          <span>{{ formatQuantity(one.amount, one.unit === 'g' ? 'mass' : 'volume') }}</span>
          <KitButton kind="quiet" @click="undoWaste(one.id)">undo</KitButton>
        </li>
      </ul>
      <KitButton
        @click="
          give(
            jar.entries.map((one) => one.id),
            wasteClasses[jar.wasteClass].name,
          )
        "
      >
        Mark as collected
      </KitButton>
    </article>
  </section>
</template>

<style scoped>
.WastePage {
  display: grid;
  gap: var(--es-space-5);
  max-width: 51.25rem;
}

.WastePage-row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(9.5rem, 100%), 1fr));
  gap: var(--es-space-1) var(--es-space-6);
  align-items: start;
}

article {
  display: grid;
  gap: var(--es-space-3);
  padding-top: var(--es-space-3);
  border-top: 1px solid var(--es-rule);
}

h2 strong {
  font: var(--es-size-lead) var(--es-text);
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 6.25rem minmax(0, 1fr) 5.625rem auto;
  gap: var(--es-space-2) var(--es-space-4);
  padding: var(--es-space-1) 0;
}

@media (width <= 40em) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }

  li > :nth-child(2) {
    grid-row: 2;
    grid-column: 1;
  }
}
</style>
