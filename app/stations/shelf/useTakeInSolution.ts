import { computed, ref, watch } from 'vue'
import { boughtSolution } from '@core/shelf/bought'
import { CoreError } from '@core/errors'
import { digits } from '@core/quantity/format'
import { substances } from '@library/index'
import { useAttempt } from '../../state/useAttempt'
import { useMarginNotes } from '../../state/margin.store'
import { useWayBack } from '../../state/useWayBack'
import { useNotice } from '../../state/notice.store'
import { useNow } from '../../state/useNow'
import { useWorkroom } from '../../state/workroom.store'
import { putOnShelf, undoBottle } from '../../state/actions/shelf.actions'
import { dayIn } from '../../words/readMoment'
import { freeLabel, writtenLabel } from '@core/shelf/bottleLabel'
import { aboveZero } from './aboveZero'
import { boughtNotes } from './boughtNotes'
import { useRecipes } from '../../state/useRecipes'

const NOTHING_CHOSEN = {
  code: 'empty',
  field: 'recipe',
  problem: 'No solution is chosen.',
  remedy: 'Choose what is in the bottle.',
}

/** The form of a solution that was bought ready to use. */
export function useTakeInSolution(startsWith: () => string) {
  const [workroom, notice, now] = [useWorkroom(), useNotice(), useNow()]
  const { goOn } = useWayBack()
  const { faults, attempt } = useAttempt()
  const recipes = useRecipes()
  const options = computed(() =>
    recipes.value
      .map(({ id, name, stock }) => {
        const held = stock.solutes.flatMap(({ substanceId }) => substances[substanceId] ?? [])
        return {
          id,
          name: `${name}, ${stock.solutes.map(({ percentWv }) => `${digits(percentWv)}\u00a0%`).join(' + ')}`,
          also: held.map((one) => one.name),
          finds: held.flatMap((one) => [...one.synonyms, ...one.forms.map(({ formula }) => formula)]),
        }
      })
      .sort((a, b) => a.name.localeCompare(b.name)),
  )

  const recipeId = ref(startsWith())
  const recipe = computed(() => recipes.value.find(({ id }) => id === recipeId.value))
  const [strength, volume, opened, bestBefore, label] = [ref(''), ref(''), ref(''), ref(''), ref('')]
  watch(recipe, () => (strength.value = ''))
  /** What the strength on the label is of, where there is more than one thing in it. */
  const strongIn = computed(() => {
    const first = recipe.value?.stock.solutes[0]?.substanceId
    return recipe.value && recipe.value.stock.solutes.length > 1 && first
      ? `Strength of ${substances[first]?.name ?? first}, %`
      : 'Strength, %'
  })
  const suggestedLabel = computed(() => freeLabel(recipe.value?.name ?? 'Bottle', workroom.bottles))

  async function save(): Promise<void> {
    const chosen = recipe.value
    const read = { percent: null as number | null, label: '' }
    const bottle: { amount?: number; bestUntil?: number; madeAt: number } = { madeAt: now.now }
    const fields: [field: string, text: string, work: () => void][] = [
      ['strength', strength.value, () => (read.percent = aboveZero(strength.value, 'fraction', 'strength'))],
      ['volume', volume.value, () => (bottle.amount = aboveZero(volume.value, 'volume', 'volume'))],
      ['opened', opened.value, () => (bottle.madeAt = dayIn(opened.value, 'opened', false))],
      [
        'bestBefore',
        bestBefore.value,
        () => (bottle.bestUntil = dayIn(bestBefore.value, 'best before', true)),
      ],
    ]
    const done = [
      await attempt('recipe', () => {
        if (!chosen) throw new CoreError(NOTHING_CHOSEN)
      }),
      await attempt('label', () => {
        read.label = writtenLabel(label.value, suggestedLabel.value, workroom.bottles)
      }),
    ]
    // What is left empty is not known, which is no fault.
    for (const [field, text, work] of fields)
      done.push(await attempt(field, () => void (text.trim() && work())))
    if (!chosen || done.includes(false)) return
    await attempt('recipe', async () => {
      const id = await putOnShelf({
        ...bottle,
        label: read.label,
        name: chosen.name,
        kind: 'solution',
        ...boughtSolution(chosen.stock.solutes, read.percent),
      })
      notice.say(`${read.label} is on the shelf.`, () => undoBottle(id))
      await goOn({ name: 'shelf', params: { bottleId: id } })
    })
  }
  useMarginNotes(() => boughtNotes(recipe.value?.stock.solutes ?? []))
  return {
    faults,
    options,
    recipeId,
    strength,
    strongIn,
    volume,
    opened,
    bestBefore,
    label,
    suggestedLabel,
    save,
  }
}
