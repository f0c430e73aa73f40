import { computed, type ComputedRef } from 'vue'
import { holdsStock, leftIn } from '@core/chemistry/lots'
import { isOfPurpose } from '@core/process/baths'
import { formatQuantity } from '@core/quantity/format'
import type { Bath } from '@core/schema/bath'
import type { SoluteDefinition } from '@core/schema/definition'
import type { Bottle } from '@core/schema/records'
import { substances } from '@library/index'
import { useWorkroom } from '../state/workroom.store'

const FRESH = { id: '', name: 'Freshly mixed, not from a bottle' }

/**
 * Bottles that a tray can be filled from, and that what is in it can be replenished from.
 *
 * @param solutes what the process means for the tray.
 */
export function useBathBottles(
  solutes: ComputedRef<readonly SoluteDefinition[]>,
  bath: ComputedRef<Bath | null>,
) {
  const workroom = useWorkroom()
  const onShelf = computed(() => workroom.bottles.filter((one) => !one.ended && one.kind === 'solution'))
  const ready = computed(() => onShelf.value.filter((bottle) => holdsStock(bottle, solutes.value)))
  /** Bottles of other solutions that serve the same purpose, such as acetic for citric acid. */
  const instead = computed(() =>
    onShelf.value.filter(
      (bottle) => !ready.value.includes(bottle) && isOfPurpose(bottle.contents, solutes.value, substances),
    ),
  )
  const nameOf = (bottle: Bottle) => {
    const left = leftIn(bottle, workroom.taken)
    return `${bottle.label}, ${bottle.name}${left === null ? '' : `, ${formatQuantity(left, 'volume')} left`}`
  }
  const bottleOptions = computed(() => [
    FRESH,
    ...ready.value.map((bottle) => ({ id: bottle.id, name: nameOf(bottle) })),
    ...instead.value.map((bottle) => ({ id: bottle.id, name: `instead: ${nameOf(bottle)}` })),
  ])
  /** Only what the bath is made of strengthens it. */
  const addOptions = computed(() => {
    const held = bath.value?.contents.map(({ substanceId, percent }) => ({ substanceId, percentWv: percent }))
    return [
      FRESH,
      ...(held ? onShelf.value.filter((bottle) => holdsStock(bottle, held)) : []).map((bottle) => ({
        id: bottle.id,
        name: nameOf(bottle),
      })),
    ]
  })
  const bottleOf = (id: string) => onShelf.value.find((one) => one.id === id)
  return { ready, instead, bottleOptions, addOptions, bottleOf }
}
