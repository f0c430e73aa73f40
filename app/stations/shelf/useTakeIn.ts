import { texts } from './words'
import { parseNumber } from '@core/quantity/number'
import { computed, ref, watch } from 'vue'
import { densityByStrength, strengthByDensity } from '@core/chemistry/dilution'
import { CoreError, type Refusal } from '@core/errors'
import { parseQuantity } from '@core/quantity/parse'
import { hazardStatements, substances } from '@library/index'
import { useWorkroom } from '../../state/workroom.store'
import { useMarginNotes, type MarginNote } from '../../state/margin.store'
import { useWayBack } from '../../state/useWayBack'
import { useNotice } from '../../state/notice.store'
import { hazardNotes } from '../../words/stepNotes'
import { freeLabel, writtenLabel } from '@core/shelf/bottleLabel'
import { useRecipes } from '../../state/useRecipes'
import { putOnShelf, undoBottle } from '../../state/actions/shelf.actions'

/** The form of a chemical that comes onto the shelf. */
export function useTakeIn() {
  const [workroom, notice] = [useWorkroom(), useNotice()]
  const { goOn } = useWayBack()

  const substanceId = ref('')
  const form = ref('')
  const amount = ref('')
  const purity = ref('')
  const density = ref('')
  const price = ref('')
  const label = ref('')
  const faults = ref<Record<string, Refusal>>({})

  const substance = computed(() => substances[substanceId.value])
  const isLiquid = computed(() => substance.value?.liquid !== undefined)
  const options = computed(() =>
    Object.values(substances)
      .map((one) => ({
        id: one.id,
        name: one.name,
        also: one.synonyms,
        finds: one.forms.map(({ formula }) => formula),
      }))
      .sort((a, b) => a.name.localeCompare(b.name)),
  )
  const recipes = useRecipes()
  /** The recipe of it alone, for a solid that may have been bought dissolved. */
  const dissolved = computed(() =>
    substance.value?.state === 'solid'
      ? recipes.value.find(
          ({ stock: { solutes } }) => solutes.length === 1 && solutes[0]?.substanceId === substanceId.value,
        )
      : undefined,
  )
  watch(substance, (chosen) => {
    form.value = chosen?.forms[0]?.id ?? ''
    purity.value = ''
    density.value = ''
  })
  const suggestedLabel = computed(() => freeLabel(substance.value?.name ?? 'Jar', workroom.bottles))
  const usualPurity = computed(
    () => substance.value?.liquid?.percentWw ?? substance.value?.purityPercent ?? 100,
  )
  const readDensity = () =>
    parseQuantity(density.value, 'liquidDensity', { field: 'density', bareUnit: 'gPerMl' })
  /** A hydrometer tells the strength better than an old label. */
  const byDensity = computed(() => {
    if (!substance.value?.densities || !density.value.trim()) return null
    try {
      return strengthByDensity(substance.value, readDensity())
    } catch {
      return null
    }
  })

  async function save(): Promise<void> {
    const found: Record<string, Refusal> = {}
    const attempt = <Value>(field: string, read: () => Value): Value | undefined => {
      try {
        return read()
      } catch (error) {
        if (!(error instanceof CoreError)) throw error
        found[field] = error.refusal
        return undefined
      }
    }
    const chosen = substance.value
    if (!chosen) {
      faults.value = {
        substance: {
          code: 'empty',
          field: 'substance',
          problem: 'No chemical is chosen.',
          remedy: 'Choose what is in the jar.',
        },
      }
      return
    }
    const held = attempt('amount', () =>
      amount.value.trim()
        ? parseQuantity(amount.value, isLiquid.value ? 'volume' : 'mass', {
            field: 'amount',
            bareUnit: isLiquid.value ? 'ml' : 'g',
          })
        : null,
    )
    const percent = attempt('purity', () =>
      purity.value.trim()
        ? parseQuantity(purity.value, 'fraction', { field: 'strength', bareUnit: 'percent' })
        : (byDensity.value?.value ?? usualPurity.value),
    )
    const measured = attempt('density', () =>
      density.value.trim() && chosen.densities
        ? (strengthByDensity(chosen, readDensity()), readDensity())
        : densityByStrength(chosen, percent ?? usualPurity.value)?.value,
    )
    const paid = attempt('price', () =>
      price.value.trim() ? parseNumber(price.value, { field: 'price', min: 0, example: '24.50' }) : null,
    )
    const written = attempt('label', () => writtenLabel(label.value, suggestedLabel.value, workroom.bottles))
    faults.value = found
    if (written === undefined || Object.keys(found).length || percent === undefined) return
    try {
      const id = await putOnShelf({
        label: written,
        name: chosen.name[0]?.toUpperCase() + chosen.name.slice(1),
        kind: isLiquid.value ? 'liquid' : 'solid',
        contents: [{ substanceId: chosen.id, percent, ...(form.value && { form: form.value }) }],
        ...(held && { amount: held }),
        ...(isLiquid.value && measured && { gramsPerMillilitre: measured }),
        ...(paid !== null && paid !== undefined && { price: paid }),
        madeAt: Date.now(),
      })
      notice.say(`${written} is on the shelf.`, () => undoBottle(id))
      await goOn({ name: 'shelf', params: { bottleId: id } })
    } catch (error) {
      notice.refuse(error, 'adding the chemical')
    }
  }

  useMarginNotes((): MarginNote[] => {
    const chosen = substance.value
    if (!chosen)
      return [
        {
          title: 'Adding a chemical',
          lines: [texts.enterWhatLabelSaysAnd],
        },
      ]
    return [
      ...hazardNotes('Before you open it', [chosen.caution]),
      ...(chosen.hazard.statements.length
        ? [
            {
              title: 'Hazard statements',
              lines: [
                ...chosen.hazard.statements.map((code) => `${code} ${hazardStatements[code] ?? ''}`),
                chosen.hazard.source,
              ],
            },
          ]
        : []),
      { title: 'Storage', lines: [chosen.storage] },
    ]
  })
  return {
    substanceId,
    form,
    amount,
    purity,
    density,
    price,
    label,
    faults,
    substance,
    isLiquid,
    options,
    suggestedLabel,
    usualPurity,
    byDensity,
    dissolved,
    save,
  }
}
