import { computed, ref, watch } from 'vue'
import type { Correction } from '@core/chemistry/audits'
import { leftIn } from '@core/chemistry/lots'
import { CoreError, type Refusal } from '@core/errors'
import { incompatibilities, substances } from '@library/index'
import { useDropper } from '../../state/useCoverage'
import { useNow } from '../../state/useNow'
import { useWorkroom } from '../../state/workroom.store'
import { freeLabel, writtenLabel } from '@core/shelf/bottleLabel'
import { putOnShelf } from '../../state/actions/shelf.actions'
import { corrected, readSolution, scaleDraft } from './solution.draft'
import {
  draftOfDilution,
  draftOfStock,
  draftOfTopUp,
  rowOf,
  type SolutionDraft,
  statedIn,
} from './recipeRows'
import { useShelf } from './useShelf'

const ROOM_CELSIUS = 20
const DAY_MS = 86_400_000

/** The form on which a solution is worked out, weighed and put on the shelf. */
export function useSolutionForm(asked: {
  recipe?: string | undefined
  substance?: string | undefined
  volume?: string | undefined
  /** Bottle of which a weaker solution is made. */
  dilute?: string | undefined
  /** Bottle that is filled up. */
  topUp?: string | undefined
}) {
  const [workroom, now] = [useWorkroom(), useNow()]
  const { recipes } = useShelf()
  const dropper = useDropper()
  const recipeId = ref(firstRecipe())
  const recipe = computed(() => recipes.value.find((one) => one.id === recipeId.value) ?? null)
  const draft = ref<SolutionDraft>(draftFor(recipeId.value))
  const label = ref('')
  const isWeighing = ref(false)
  let nextKey = 100

  function firstRecipe(): string {
    if (asked.recipe && recipes.value.some((one) => one.id === asked.recipe)) return asked.recipe
    if (asked.dilute || asked.topUp) return 'own'
    const of = asked.substance
    const using =
      of && recipes.value.find((one) => one.stock.solutes.some((solute) => solute.substanceId === of))
    return using ? using.id : of ? 'own' : (recipes.value[0]?.id ?? 'own')
  }
  function draftFor(id: string): SolutionDraft {
    const found = recipes.value.find((one) => one.id === id)
    if (found) return withJars(draftOfStock(found.name, found.stock, asked.volume ?? '100 ml'))
    const poured = workroom.bottles.find((one) => one.id === (asked.dilute ?? asked.topUp))
    if (poured && asked.dilute) return draftOfDilution(poured)
    if (poured) {
      const left = leftIn(poured, workroom.taken) ?? 0
      return withJars(draftOfTopUp(poured, left, poured.amount ?? left))
    }
    const source = asked.substance ?? ''
    return withJars({
      name: '',
      volume: '100 ml',
      finish: 'topUpTo',
      stated: '',
      rows: [rowOf('0', source, 10, 'percentWv')],
    })
  }
  /** Each row is weighed from the oldest jar that holds it. */
  function withJars(fresh: SolutionDraft): SolutionDraft {
    return { ...fresh, rows: fresh.rows.map((row) => ({ ...row, jarId: jarFor(row.source) })) }
  }
  function jarFor(substanceId: string): string {
    const jars = workroom.bottles
      .filter((one) => one.kind !== 'solution' && !one.ended && leftIn(one, workroom.taken) !== 0)
      .filter((one) => one.contents.some((held) => held.substanceId === substanceId))
      .sort((a, b) => (a.madeAt ?? 0) - (b.madeAt ?? 0))
    return jars[0]?.id ?? ''
  }
  watch(recipeId, (id) => {
    draft.value = draftFor(id)
  })

  const room = computed(() => ({
    book: substances,
    incompatibilities,
    bottles: workroom.bottles,
    taken: workroom.taken,
    dropsPerMillilitre: dropper.value.dropsPerMillilitre,
    celsius: ROOM_CELSIUS,
    now: Math.floor(now.now / 60_000) * 60_000,
  }))
  const read = computed(() => readSolution(draft.value, room.value))

  const addRow = () => draft.value.rows.push(rowOf(String(nextKey++), '', 1, 'percentWv'))
  const correct = (what: Correction, rowKey?: string) => {
    draft.value = corrected(draft.value, what, rowKey)
  }
  const scaleToHand = () => {
    const { fit, volumeMillilitres } = read.value
    if (volumeMillilitres) draft.value = scaleDraft(draft.value, fit.factor, volumeMillilitres)
  }
  const setReading = (key: string, text: string) => {
    const row = draft.value.rows.find((one) => one.key === key)
    if (row) row.read = text
  }

  const suggestedLabel = computed(() => freeLabel(draft.value.name.trim() || 'Solution', workroom.bottles))
  const labelFault = computed((): Refusal | undefined => {
    try {
      writtenLabel(label.value, suggestedLabel.value, workroom.bottles)
      return undefined
    } catch (error) {
      if (error instanceof CoreError) return error.refusal
      throw error
    }
  })

  /** Puts what was made on the shelf, with its true strengths, and takes what went in off its jars. */
  async function save(): Promise<{ id: string; label: string } | null> {
    const { solution, volumeMillilitres, cost } = readSolution(draft.value, room.value, true)
    if (!solution || !volumeMillilitres) return null
    const at = Date.now()
    const stock = recipe.value?.stock
    const rows = draft.value.rows.filter((row) => row.source)
    const stated = statedIn(draft.value) ?? 0
    const written = writtenLabel(label.value, suggestedLabel.value, workroom.bottles)
    const id = await putOnShelf(
      {
        label: written,
        name: draft.value.name.trim() || (solution.solutes[0]?.name ?? 'Solution'),
        kind: 'solution',
        contents: solution.solutes
          .filter((one) => one.strength.value > 0)
          .map((one) => ({ substanceId: one.substanceId, percent: one.strength.value })),
        amount: solution.volume.value,
        ...(draft.value.stated.trim() && stated > 0 && { statedPercent: stated }),
        ...(cost !== null && { price: cost }),
        madeAt: at,
        ...(stock?.ripensSeconds !== undefined && { ripeAt: at + stock.ripensSeconds * 1000 }),
        ...(stock?.keepsSeconds !== undefined && {
          bestUntil: at + Math.min(stock.keepsSeconds * 1000, 20 * 365 * DAY_MS),
        }),
      },
      rows.flatMap((row, i) => {
        const portion = solution.portions[i]
        const amount = (portion?.grams ?? portion?.millilitres)?.value
        const bottleId = workroom.bottles.some((one) => one.id === row.source) ? row.source : row.jarId
        return bottleId && amount ? [{ bottleId, amount, why: 'solution' as const }] : []
      }),
    )
    return { id, label: written }
  }
  return {
    recipes, recipeId, recipe, draft, label, suggestedLabel, labelFault, read, isWeighing, addRow, correct, scaleToHand, setReading, save,
  } // prettier-ignore
}
