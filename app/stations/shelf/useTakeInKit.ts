import { computed, ref, watch } from 'vue'
import { boughtSolution, kitOf } from '@core/shelf/bought'
import { CoreError } from '@core/errors'
import { formatSpan } from '@core/quantity/format'
import type { Bottle } from '@core/schema/records'
import { useAttempt } from '../../state/useAttempt'
import { useMarginNotes } from '../../state/margin.store'
import { useWayBack } from '../../state/useWayBack'
import { useNotice } from '../../state/notice.store'
import { useNow } from '../../state/useNow'
import { useWorkroom } from '../../state/workroom.store'
import { putKitOnShelf, undoBottle } from '../../state/actions/shelf.actions'
import { freeLabel } from '@core/shelf/bottleLabel'
import { aboveZero } from './aboveZero'
import { boughtNotes } from './boughtNotes'
import { texts } from './words'

/** How a kit comes: bottles of powder that are filled up with water, or solutions ready to use. */
const COMES = [
  { id: 'powder', name: 'Powder, water to the mark' },
  { id: 'ready', name: 'Ready solutions' },
]
/** What such bottles usually hold, as it is typed; common practice. */
const USUAL: Readonly<Record<string, string>> = { powder: '100 ml', ready: '25 ml' }

/** The form of a kit for one process: its bottles at once. */
export function useTakeInKit() {
  const [workroom, notice, now] = [useWorkroom(), useNotice(), useNow()]
  const { goOn } = useWayBack()
  const { faults, attempt } = useAttempt()
  const kits = computed(() =>
    workroom.allProcesses
      .map((definition) => ({ definition, bottles: kitOf(definition) }))
      .filter(({ bottles }) => bottles.length > 0),
  )
  const options = computed(() => kits.value.map(({ definition: { id, name } }) => ({ id, name })))
  const processId = ref(options.value[0]?.id ?? '')
  const bottles = computed(
    () => kits.value.find(({ definition }) => definition.id === processId.value)?.bottles ?? [],
  )
  const comes = ref<string | undefined>('powder')
  const volumes = ref<Record<string, string>>({})
  watch(
    [bottles, comes],
    () => {
      volumes.value = Object.fromEntries(
        bottles.value.map(({ id }) => [id, USUAL[comes.value ?? 'powder'] ?? '']),
      )
    },
    { immediate: true },
  )
  const isPowder = computed(() => comes.value === 'powder')
  const rests = computed(() => Math.max(0, ...bottles.value.map(({ restsSeconds }) => restsSeconds)))
  const restSaid = computed(() =>
    isPowder.value ? texts.kitRests({ span: formatSpan(rests.value) }) : texts.kitIsReady,
  )

  async function save(): Promise<void> {
    const at = now.now
    const made: Omit<Bottle, 'id' | 'changedAt' | 'note'>[] = []
    const done: boolean[] = []
    for (const { id, name, solutes, restsSeconds } of bottles.value) {
      const text = volumes.value[id] ?? ''
      if (!text.trim()) continue
      const read = await attempt(id, () => {
        const amount = aboveZero(text, 'volume', 'volume')
        // One label each, also among those that come together.
        const label = freeLabel(name, [...workroom.bottles, ...(made as Bottle[])])
        made.push({
          label,
          name,
          kind: 'solution',
          ...boughtSolution(solutes, null),
          amount,
          madeAt: at,
          ...(isPowder.value && { ripeAt: at + restsSeconds * 1000 }),
        })
      })
      done.push(read)
    }
    if (done.includes(false)) return
    await attempt('kit', async () => {
      if (!made.length)
        throw new CoreError({
          code: 'empty',
          field: 'kit',
          problem: 'The kit has no bottle.',
          remedy: texts.noBottleInKit,
        })
      const ids = await putKitOnShelf(made)
      const labels = made.map(({ label }) => label).join(', ')
      notice.say(`${labels}: on the shelf.`, () => Promise.all(ids.map(undoBottle)))
      await goOn({ name: 'shelf', params: { bottleId: ids[0] } })
    })
  }
  useMarginNotes(() => [
    { title: 'How far a kit goes', lines: [texts.kitGoesFar] },
    ...boughtNotes(bottles.value.flatMap(({ solutes }) => solutes)),
  ])
  return { COMES, faults, options, processId, bottles, comes, volumes, restSaid, save }
}
