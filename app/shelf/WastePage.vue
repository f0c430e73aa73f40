<script setup lang="ts">
import { computed, ref } from 'vue'
import { CoreError, type Refusal } from '@core/errors'
import { formatQuantity } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import { WasteClass } from '@core/record/substance'
import { wasteJars } from '@core/shelf/waste'
import { wasteClasses } from '@library/index'
import { useWorkroom } from '../data/workroom.store'
import EmptyPage from '../shell/EmptyPage.vue'
import { useMarginNotes } from '../shell/margin.store'
import { dayOf } from '../shell/moments'
import { useNotice } from '../shell/notice.store'
import SelectField from '../shell/SelectField.vue'
import TextField from '../shell/TextField.vue'
import { addWaste, handOver, takeWasteBack } from './shelfActions'

const [workroom, notice] = [useWorkroom(), useNotice()]
const jars = computed(() => wasteJars(workroom.wastes))
const classOptions = WasteClass.options.map((id) => ({ id, name: wasteClasses[id].name }))
const wasteClass = ref<string>('silver')
const what = ref('')
const amount = ref('')
const fault = ref<Refusal | undefined>()

async function add(): Promise<void> {
  try {
    const value = parseQuantity(amount.value, 'volume', { field: 'amount', bareUnit: 'ml' })
    if (!(value > 0))
      throw new CoreError({
        code: 'nothing',
        field: 'amount',
        problem: 'That is nothing.',
        remedy: 'Write it like 250 ml.',
      })
    fault.value = undefined
    const words = what.value.trim() || 'rinse water'
    const id = await addWaste({
      wasteClass: WasteClass.parse(wasteClass.value),
      amount: value,
      unit: 'ml',
      what: words,
    })
    notice.say(`${formatQuantity(value, 'volume')} into the jar.`, () => void takeWasteBack(id))
    what.value = amount.value = ''
  } catch (error) {
    if (error instanceof CoreError) fault.value = error.refusal
    else notice.refuse(error, 'the waste jar')
  }
}
async function give(ids: readonly string[], name: string): Promise<void> {
  await handOver(ids)
  notice.say(`${name}: handed over.`)
}
useMarginNotes(() => [
  {
    title: 'What may not meet',
    lines: [
      'Ferricyanide and any strong acid: hydrogen cyanide. Acid and sulfite or hypo: sulfur dioxide. Silver and ammonia left standing: explosive. Hypochlorite and acid or ammonia: poisonous gas.',
      'One jar a class, labelled, closed, never full to the brim.',
    ],
    tone: 'caution',
  },
  {
    title: 'Who takes it',
    lines: [
      'Ask your local licensed waste service; its rules and the local code come before anything written here.',
    ],
  },
])
</script>

<template>
  <section class="WastePage">
    <header>
      <p class="es-kicker">Not down the drain</p>
      <h1>Waste</h1>
    </header>
    <div class="WastePage-row">
      <SelectField v-model="wasteClass" label="Into the jar for" :options="classOptions" />
      <TextField v-model="what" label="What" placeholder="first wash water" />
      <TextField v-model="amount" label="How much" placeholder="250 ml" :fault="fault" />
      <button type="button" @click="add">Pour it in</button>
    </div>
    <EmptyPage v-if="!jars.length" under kicker="Empty jars" title="Nothing waits to be fetched">
      <p>
        What is thrown away at the shelf, and what you pour in here, is kept by its kind until the licensed
        service takes it.
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
      <p>Ask: “{{ wasteClasses[jar.wasteClass].ask }}”</p>
      <ul>
        <li v-for="one in jar.entries" :key="one.id">
          <span>{{ dayOf(one.at) }}</span>
          <span>{{ one.what }}</span>
          <span>{{ formatQuantity(one.amount, one.unit === 'g' ? 'mass' : 'volume') }}</span>
          <button type="button" class="is-plain" @click="takeWasteBack(one.id)">undo</button>
        </li>
      </ul>
      <button
        type="button"
        @click="
          give(
            jar.entries.map((one) => one.id),
            wasteClasses[jar.wasteClass].name,
          )
        "
      >
        Handed over
      </button>
    </article>
  </section>
</template>

<style scoped>
.WastePage {
  display: grid;
  gap: 18px;
  max-width: 820px;
}

.WastePage-row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 2px 24px;
  align-items: center;
}

article {
  display: grid;
  gap: 6px;
  padding-top: 10px;
  border-top: 1px solid var(--es-rule);
}

h2 strong {
  font: 17px var(--es-text);
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 100px 1fr 90px 60px;
  gap: 12px;
  padding: 2px 0;
}

button {
  justify-self: start;
  min-height: 40px;
  padding: 4px 14px;
  border: 1px solid var(--es-line);
  background: none;
  cursor: pointer;
}

button.is-plain {
  min-height: 26px;
  padding: 0;
  border: 0;
  color: var(--es-quiet);
  text-decoration: underline;
}
</style>
