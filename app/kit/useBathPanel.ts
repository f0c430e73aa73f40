import { texts } from './words'
import type { BenchTray } from '@core/process/bench'
import { pouredOff } from '@core/process/trayLevel'
import type { Bath } from '@core/schema/bath'
import type { SheetInRoom } from '../state/workroom.store'
import { computed, ref, watch } from 'vue'
import { leftIn } from '@core/chemistry/lots'
import { CoreError } from '@core/errors'
import { trayVolume } from '@core/paper/amounts'
import { useOf, wasteOf } from '@core/process/baths'
import { trayOf } from '@core/process/trays'
import { wordsIdOf } from '@core/run/runState'
import { digits, formatQuantity } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import { substances } from '@library/index'
import { useWorkroom } from '../state/workroom.store'
import { momentSaid } from '../words/moments'
import { useNotice } from '../state/notice.store'
import { useAttempt } from '../state/useAttempt'
import { useNow } from '../state/useNow'
import {
  discardBath,
  fillTray,
  filterBath,
  replenish,
  setTemperature,
  undoDiscard,
  undoFill,
  undoFilter,
  undoReplenish,
} from '../state/actions/bath.actions'
import { useBathBottles } from './useBathBottles'
import { usePour } from '../state/usePour'
import { useBaths } from '../state/baths.store'

/** What a BathPanel is given. */
export interface BathPanelProps {
  tray: Pick<BenchTray, 'id' | 'solution'>
  one: SheetInRoom
  /** It belongs to the page and cannot be closed. */
  stays?: boolean
}

/** Depth of liquid that covers a sheet in its tray, mm: common practice; a floated sheet needs less, from memory. */
const [DEPTH, DEPTH_TO_FLOAT] = [15, 8]
const depthFor = (tray: string | undefined, { definition, sheet, state }: SheetInRoom) => {
  const isFloated = definition.steps.some(
    (step) =>
      step.lays?.by === 'float' &&
      state.steps.some(({ planned }) => wordsIdOf(planned) === step.id) &&
      trayOf(definition, step, sheet.choices)?.id === tray,
  )
  return isFloated ? DEPTH_TO_FLOAT : DEPTH
}

/** One tray: filling, replenishing, filtering, temperature, and pouring away. */
export function useBathPanel(props: Readonly<BathPanelProps>) {
  const [workroom, baths, notice, now] = [useWorkroom(), useBaths(), useNotice(), useNow()]
  const { faults, attempt } = useAttempt()

  const solution = computed(() => props.tray.solution)
  const allBaths = computed(() =>
    solution.value ? baths.standingFor(props.one.definition, solution.value, props.one.sheet.choices) : [],
  )
  const bath = computed(() => allBaths.value[0] ?? null)
  /** Other baths that stand for this tray, each in its words. */
  const besides = computed(() =>
    allBaths.value.slice(1).map((one) => ({ one, words: texts.bathBeside(bathSaid(one)) })),
  )
  const standing = computed(() => bath.value && baths.standingOf(bath.value))
  const rule = computed(() => useOf(props.one.definition, solution.value?.id ?? '').use)
  const solutes = computed(() =>
    solution.value ? baths.solutesOf(props.one.definition, solution.value, props.one.sheet.choices) : [],
  )
  /** What is in the tray; before it is filled, what the school means by it. */
  const solutesLine = computed(() =>
    (bath.value?.contents ?? solutes.value.map((one) => ({ ...one, percent: one.percentWv })))
      .map((one) => `${substances[one.substanceId]?.name ?? one.substanceId} ${digits(one.percent)} %`)
      .concat(bath.value?.isAssumed ? 'assumed: strength not stated' : [])
      .join(', '),
  )

  function bathSaid(one: Bath) {
    const count = baths.standingOf(one)?.passes.length ?? 0
    const what = props.stays ? 'sheet' : 'print'
    return {
      made: momentSaid(one.madeAt, now.now),
      volume: formatQuantity(one.millilitres, 'volume'),
      used: count === 0 ? `no ${what}s yet` : count === 1 ? `1 ${what}` : `${count} ${what}s`,
    }
  }
  const capacityLine = computed(() => {
    if (!bath.value || !standing.value) return ''
    const { made, volume: filled, used } = bathSaid(bath.value)
    const until = standing.value.bestUntil
    const filteredAt = bath.value.filtered.at(-1)
    return [
      `Filled ${made} with ${filled}`,
      filteredAt === undefined ? '' : `, filtered ${momentSaid(filteredAt, now.now)}`,
      until === null ? '' : `, good until ${momentSaid(until, now.now)}`,
      `; ${used}.`,
    ].join('')
  })

  /** Silver nitrate that the tray is meant to hold, %; 0 for another bath. */
  const silverPercent = computed(
    () => solutes.value.find(({ substanceId }) => substanceId === 'silver-nitrate')?.percentWv ?? 0,
  )
  const isFixer = computed(() => bath.value !== null && wasteOf(bath.value, substances) === 'fixer')
  const MANNERS = [
    { id: 'reused', name: 'reused' },
    { id: 'oneShot', name: 'one-shot' },
  ]
  const manner = ref<string | undefined>('reused')
  const volume = ref('')
  const water = ref('')
  const celsius = ref('')
  const bottleId = ref('')
  const addition = ref('')
  const { ready, instead, bottleOptions, addOptions, bottleOf } = useBathBottles(solutes, bath)
  /** Whether a fresh bath is filled beside the one that is in use. */
  const isFillingAnother = ref(false)
  watch(
    () => [props.tray.id, bath.value?.id] as const,
    () => {
      const millilitres =
        Math.ceil(trayVolume(props.one.sheet, depthFor(solution.value?.id, props.one)).value / 50) * 50
      volume.value = formatQuantity(millilitres, 'volume')
      water.value = ''
      isFillingAnother.value = false
      celsius.value = bath.value?.celsius === undefined ? '' : String(bath.value.celsius)
      const chosen = props.one.sheet.bottles[solution.value?.id ?? '']
      bottleId.value = bath.value
        ? (addOptions.value[1]?.id ?? '')
        : ((ready.value.find(({ id }) => id === chosen) ?? ready.value[0])?.id ?? '')
      manner.value = rule.value?.manner ?? 'reused'
      addition.value = formatQuantity(rule.value?.replenish?.millilitres ?? 200, 'volume')
    },
    { immediate: true },
  )
  /** Water of what is poured, ml: below the whole. */
  function readWater(whole: number): number {
    if (!water.value.trim() || !bottleId.value) return 0
    const value = parseQuantity(water.value, 'volume', { field: 'water', bareUnit: 'ml' })
    if (value >= 0 && value < whole) return value
    throw new CoreError({
      code: 'too-much',
      field: 'water',
      problem: `Of ${formatQuantity(whole, 'volume')} in the tray, the water must be less.`,
      remedy: 'Enter the water alone, for example 300 ml of 400 ml.',
    })
  }
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
    const bottle = bottleOf(bottleId.value)
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

  async function fill(): Promise<void> {
    const held = solution.value
    if (!held) return
    let [millilitres, ofWater, degrees]: [number, number, number | undefined] = [0, 0, undefined]
    const isRead =
      (await attempt('temperature', () => void (degrees = readCelsius(celsius.value)))) &&
      (await attempt('volume', () => void (millilitres = readVolume(volume.value, 'volume')))) &&
      (await attempt('water', () => void (ofWater = readWater(millilitres))))
    if (!isRead) return
    await attempt('volume', async () => {
      const bottle = bottleOf(bottleId.value)
      const isInstead = bottle !== undefined && instead.value.includes(bottle)
      const poured = millilitres - ofWater
      checkLeft(poured)
      const contents = bottle
        ? bottle.contents.map(({ substanceId, percent }) => ({
            substanceId,
            percent: (percent * poured) / millilitres,
          }))
        : solutes.value.map(({ substanceId, percentWv }) => ({ substanceId, percent: percentWv }))
      const id = await fillTray({
        processId: props.one.definition.id,
        bath: held.id,
        name: isInstead ? texts.insteadOf({ bottle: bottle.name, tray: held.name }) : held.name,
        contents,
        ...(isInstead && { isInstead: true as const }),
        ...(bottle?.isAssumed && { isAssumed: true as const }),
        millilitres,
        ...(degrees !== undefined && { celsius: degrees }),
        manner: manner.value === 'oneShot' ? 'oneShot' : 'reused',
        ...(bottle && { from: { bottleId: bottle.id, millilitres: poured } }),
      })
      isFillingAnother.value = false
      baths.use({ id, bath: held.id })
      notice.say(`${held.name}: ${formatQuantity(millilitres, 'volume')} in the tray.`, () => undoFill(id))
    })
  }
  async function add(): Promise<void> {
    const [held, level] = [bath.value, standing.value?.level.value]
    if (!held || level === undefined) return
    await attempt('addition', async () => {
      const millilitres = readVolume(addition.value, 'addition')
      checkLeft(millilitres)
      const off = Math.round(pouredOff(held, level, millilitres))
      const wasteId = await replenish({
        bath: held,
        millilitres,
        bottleId: bottleId.value || undefined,
        poured: off ? { wasteClass: wasteOf(held, substances), millilitres: off } : null,
      })
      const said = {
        name: held.name,
        added: formatQuantity(millilitres, 'volume'),
        poured: off ? formatQuantity(off, 'volume') : null,
        jar: jarName.value,
      }
      notice.say(texts.added(said), () => undoReplenish(held.id, wasteId))
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
  async function filter(): Promise<void> {
    const held = bath.value
    if (!held) return
    await filterBath(held.id)
    notice.say(`${held.name}: filtered.`, () => undoFilter(held.id))
  }
  const { findings, jarName, pressWords } = usePour(
    computed(() => bath.value && { ...bath.value, wasteClass: wasteOf(bath.value, substances) }),
  )
  async function pourAway(): Promise<void> {
    const held = bath.value
    if (!held) return
    const followed = rule.value?.followedBy
    const next = followed ? (baths.all.find((one) => one.bath === followed && !one.ended) ?? null) : null
    const millilitres = Math.round(standing.value?.level.value ?? held.millilitres)
    const what = { bath: held, millilitres, wasteClass: wasteOf(held, substances), next }
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
    silverPercent,
    isFixer,
    besides,
    use: baths.use,
    MANNERS,
    manner,
    volume,
    water,
    celsius,
    bottleId,
    addition,
    bottleOptions,
    addOptions,
    isFillingAnother,
    fill,
    add,
    filter,
    warm,
    findings,
    pressWords,
    pourAway,
  }
}
