import { texts } from './words'
import type { Reading } from '@core/schema/judgement'
import { parseQuantity } from '@core/quantity/parse'
import { numberOrNull } from '@core/quantity/number'
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { CoreError } from '@core/errors'
import { readPhoto, stepSpots, type Spot } from '@core/judge/photoReading'
import { useAttempt } from '../../state/useAttempt'

/** What a PhotoSpots is given. */
export interface PhotoSpotsProps {
  address: string
  /** Names of patches that were measured before. */
  patches: readonly string[]
}

/** Spots in a photograph, the grey of known density among them, and the densities that follow. */
export function usePhotoSpots(
  props: Readonly<PhotoSpotsProps>,
  emit: (event: 'read', readings: Reading[], doubtful: string[]) => void,
) {
  const MOST_STEPS = 41
  const isStep = (name: string) => /^step \d+$/.test(name)
  const choices = computed(() => [
    { id: 'grey', name: 'Grey card' },
    { id: 'white', name: 'Paper white' },
    { id: 'black', name: 'Dmax' },
    { id: 'first', name: 'First step of a step scale' },
    { id: 'last', name: 'Last step of the step scale' },
    ...props.patches
      .filter((name) => name && !isStep(name))
      .map((name) => ({ id: patchId(name), name: `“${name}”` })),
  ])
  const patchId = (name: string) => `patch/${name}`
  /** Larger photographs are read from a smaller drawing: discs of some pixels do not mind. */
  const LONGEST = 1600
  const what = ref<string | undefined>('grey')
  const grey = ref('0.74')
  /** Of a strip; those that it had when it was last measured, or what most tablets have. */
  const steps = ref(String(props.patches.filter(isStep).length || 21))
  /** Where one pointed, by what was in hand. */
  const pointed = ref<ReadonlyMap<string, { x: number; y: number }>>(new Map())
  const stepCount = computed(() => {
    const count = numberOrNull(steps.value)
    return count !== null && Number.isInteger(count) && count > 1 && count <= MOST_STEPS ? count : null
  })
  const spots = computed((): Spot[] => {
    const [first, last] = [pointed.value.get('first'), pointed.value.get('last')]
    const single = [...pointed.value].flatMap(([id, place]): Spot[] =>
      id === 'first' || id === 'last'
        ? []
        : id.startsWith(patchId(''))
          ? [{ of: 'patch', name: id.slice(patchId('').length), ...place }]
          : [{ of: id as Spot['of'], name: '', ...place }],
    )
    if (!first || !last || !stepCount.value) return single
    return [...single, ...stepSpots(first, last, stepCount.value)]
  })
  const ends = computed(() => (['first', 'last'] as const).flatMap((id) => pointed.value.get(id) ?? []))
  /** What is drawn: an end of a strip is seen before the other is there. */
  const marks = computed(() => [
    ...spots.value.map((spot) => ({
      ...spot,
      said: isStep(spot.name) ? spot.name.slice('step '.length) : spot.name || spot.of,
    })),
    ...(['first', 'last'] as const).flatMap((id) => {
      const place = pointed.value.get(id)
      return place && !spots.value.some((spot) => isStep(spot.name)) ? [{ ...place, said: `${id} step` }] : []
    }),
  ])
  const size = ref({ width: 1, height: 1 })
  const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
  const { faults, attempt } = useAttempt()
  const radius = computed(() => Math.max(4, Math.round(Math.max(size.value.width, size.value.height) / 120)))

  async function draw(): Promise<void> {
    await attempt('photo', async () => {
      const picture = new Image()
      picture.src = props.address
      await picture.decode()
      const scale = Math.min(1, LONGEST / Math.max(picture.naturalWidth, picture.naturalHeight))
      size.value = {
        width: Math.max(1, Math.round(picture.naturalWidth * scale)),
        height: Math.max(1, Math.round(picture.naturalHeight * scale)),
      }
      const target = canvas.value
      if (!target) return
      Object.assign(target, size.value)
      target.getContext('2d')?.drawImage(picture, 0, 0, size.value.width, size.value.height)
    })
  }
  onMounted(draw)
  watch(() => props.address, draw)

  function point(event: MouseEvent): void {
    const box = canvas.value?.getBoundingClientRect()
    if (!box) return
    put(
      ((event.clientX - box.left) / box.width) * size.value.width,
      ((event.clientY - box.top) / box.height) * size.value.height,
    )
  }
  function put(x: number, y: number): void {
    const held = {
      x: Math.min(size.value.width - 1, Math.max(0, x)),
      y: Math.min(size.value.height - 1, Math.max(0, y)),
    }
    pointed.value = new Map([...pointed.value, [what.value ?? 'grey', held]])
  }
  /** The place in hand goes by arrows too, a disc at a time, a pixel with shift. */
  function nudge(event: KeyboardEvent): void {
    const ways: Readonly<Record<string, readonly [number, number]>> = {
      ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1],
    } // prettier-ignore
    const way = ways[event.key]
    if (!way) return
    event.preventDefault()
    const step = event.shiftKey ? 1 : radius.value * 2
    const from = pointed.value.get(what.value ?? 'grey') ?? { x: size.value.width / 2, y: size.value.height / 2 } // prettier-ignore
    put(from.x + way[0] * step, from.y + way[1] * step)
  }
  const read = () =>
    attempt('photo', () => {
      const image = canvas.value?.getContext('2d')?.getImageData(0, 0, size.value.width, size.value.height)
      if (!image) return
      const density = parseQuantity(grey.value, 'opticalDensity', { field: 'photo', bareUnit: 'D' })
      if (ends.value.length && (ends.value.length < 2 || !stepCount.value))
        throw new CoreError({
          code: 'half-a-strip',
          field: 'photo',
          problem: texts.stepScaleNeedsBothEnds,
          remedy: texts.pointAtItsFirstAnd,
        })
      const { readings, doubtful } = readPhoto(image, spots.value, density, radius.value)
      emit('read', readings, doubtful)
    })
  return {
    MOST_STEPS,
    choices,
    what,
    grey,
    steps,
    stepCount,
    spots,
    ends,
    marks,
    size,
    faults,
    radius,
    point,
    nudge,
    read,
  }
}
