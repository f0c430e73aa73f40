import { texts } from './words'
import type { ShelvedBottle } from './useShelf'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { CoreError } from '@core/errors'
import { digits, formatQuantity } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import { wasteClassOf } from '@core/chemistry/waste'
import { substances } from '@library/index'
import { useWorkroom } from '../../state/workroom.store'
import { useNotice } from '../../state/notice.store'
import {
  changeBottle,
  endBottle,
  undoBottle,
  takeOut,
  undoTakeIn,
  undoThrowAway,
  throwAway,
} from '../../state/actions/shelf.actions'
import { usePour } from '../../state/usePour'

/** What a BottlePanel is given. */
export interface BottlePanelProps {
  standing: ShelvedBottle
}

/** A bottle in hand: taking out, counting, relabelling, discarding, and what has gone out of the bottle. */
export function useBottlePanel(props: Readonly<BottlePanelProps>, emit: (event: 'gone') => void) {
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
      // Before the act: what is typed while it is being recorded belongs to the next one.
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
      notice.say(`${digits(value)} ${unit.value} removed from ${bottle.value.label}.`, () => undoTakeIn(id))
    })
  /** Counting sets what is left: the difference is recorded as a taking. */
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
      notice.say(`${bottle.value.label} holds ${digits(value)} ${unit.value} now.`, () => undoTakeIn(id))
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
        problem: texts.amountInThisBottleNot,
        remedy: texts.enterHowMuchYouPour2,
      }
      return
    }
    if (left <= 0) {
      await endBottle(id)
      notice.say(`${label} removed from the shelf.`)
    } else {
      const waste = {
        wasteClass: wasteClass.value,
        amount: left,
        unit: unit.value as 'g' | 'ml',
        what: `${name} ${label}`,
        contents: bottle.value.contents.map(({ substanceId, percent }) => ({ substanceId, percent })),
      }
      const wasteId = await throwAway(bottle.value, waste)
      notice.say(`${digits(left)} ${unit.value} of ${label} into waste jar: ${jarName.value}.`, () =>
        undoThrowAway(id, wasteId),
      )
    }
    emit('gone')
  }
  async function unmake(): Promise<void> {
    await undoBottle(bottle.value.id)
    notice.say(texts.bottleRemoved({ label: bottle.value.label }))
    emit('gone')
  }
  const relabel = () => changeBottle(bottle.value.id, { statedPercent: undefined })

  /** Everything that has gone out, newest first: by hand, and by coats, which can be undone at their sheet. */
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
    solution: 'used for',
    bath: 'removed',
    paper: 'for paper',
    spilt: 'spilt',
    counted: 'counted',
    discarded: 'discarded',
  } as const
  const forWhom = (id?: string) => {
    const other = workroom.bottles.find((one) => one.id === id)
    return other ? ` ${other.name} ${other.label}` : ''
  }
  const isMadeHere = computed(() =>
    workroom.takings.some((one) => one.forId === bottle.value.id && !one.takenBackAt),
  )
  /** A bottle that is no longer full, and of which it is known how much it held. */
  const mayTopUp = computed(() => {
    const { left } = props.standing
    return left !== null && left > 0 && left < (bottle.value.amount ?? 0)
  })
  const shown = (value: number) => formatQuantity(value, unit.value === 'g' ? 'mass' : 'volume')
  return {
    router,
    bottle,
    unit,
    dimension,
    amount,
    fault,
    take,
    count,
    wasteClass,
    findings,
    pressWords,
    discard,
    unmake,
    relabel,
    gone,
    isMadeHere,
    mayTopUp,
    shown,
  }
}
