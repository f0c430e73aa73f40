import { texts } from './words'
import type { BenchTray } from '@core/process/bench'
import type { SheetInRoom } from '../../state/workroom.store'
import { computed, ref, watch } from 'vue'
import { leftIn, holdsStock } from '@core/chemistry/lots'
import { CoreError } from '@core/errors'
import { trayVolume } from '@core/paper/amounts'
import { useOf, wasteOf } from '@core/process/baths'
import { digits, formatQuantity } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import { substances } from '@library/index'
import { useWorkroom } from '../../state/workroom.store'
import { momentSaid } from '../../words/moments'
import { useNotice } from '../../state/notice.store'
import { useAttempt } from '../../state/useAttempt'
import { useNow } from '../../state/useNow'
import {
  discardBath,
  fillTray,
  replenish,
  setTemperature,
  undoDiscard,
  undoFill,
  undoReplenish,
} from '../../state/actions/bath.actions'
import { usePour } from '../../state/usePour'
import { useBaths } from '../../state/baths.store'

/** What a BathPanel is given. */
export interface BathPanelProps {
  tray: BenchTray
  one: SheetInRoom
}

/** One tray: filling, replenishing, temperature, and pouring away. */
export function useBathPanel(props: Readonly<BathPanelProps>) {
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

  const capacityLine = computed(() => {
    if (!bath.value || !standing.value) return ''
    const count = standing.value.passes.length
    const until = standing.value.bestUntil
    return [
      `${formatQuantity(bath.value.millilitres, 'volume')}, filled ${momentSaid(bath.value.madeAt, now.now)}`,
      until === null ? '' : `, good until ${momentSaid(until, now.now)}`,
      count === 0 ? '; no prints yet.' : count === 1 ? '; 1 print.' : `; ${count} prints.`,
    ].join('')
  })

  const MANNERS = [
    { id: 'reused', name: 'reused' },
    { id: 'oneShot', name: 'one-shot' },
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
    { id: '', name: 'Freshly mixed, not from a bottle' },
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
        problem: 'The volume must be above zero.',
        remedy: 'Enter a volume, for example 800 ml.',
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
        remedy: 'Pour less, or choose another bottle.',
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
      notice.say(`${held.name}: ${formatQuantity(millilitres, 'volume')} in the tray.`, () => undoFill(id))
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
        undoReplenish(held.id),
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
        `${held.name} into waste jar: ${jarName.value}.${next ? ` ${texts.secondBathBecomesFirstFill}` : ''}`,
        () => undoDiscard(what, wasteId),
      )
    })
  }
  return {
    faults,
    solution,
    bath,
    standing,
    solutesLine,
    capacityLine,
    MANNERS,
    manner,
    volume,
    celsius,
    bottleId,
    addition,
    ready,
    bottleOptions,
    fill,
    add,
    warm,
    findings,
    pressWords,
    pourAway,
  }
}
