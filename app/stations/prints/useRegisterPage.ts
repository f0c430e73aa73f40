import { texts } from './words'
import { writtenNumber } from '@core/quantity/number'
import type FileChoice from '../../kit/FileChoice.vue'
import { addRegisterCheck, undoRegisterCheck } from '../../state/actions/register.actions'
import { useRegisterChecks } from '../../state/queries'
import { parseQuantity } from '@core/quantity/parse'
import { computed, nextTick, ref, shallowRef, useTemplateRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { CoreError, type Refusal } from '@core/errors'
import { MOST_LAYERS } from '@core/negative/registerMarks'
import { registerAdvice, registerOf, type MarkPair } from '@core/scan/registerError'
import type { Point } from '@core/negative/homography'
import { srgbFromLinear } from '@core/tone/srgb'
import { formatSize } from '@core/quantity/format'
import { parseSize } from '@core/quantity/size'
import type { RegisterCheck } from '@core/schema/register'
import { useNow } from '../../state/useNow'
import { useWorkroom } from '../../state/workroom.store'
import { useKeyRows } from '../../state/keys.store'
import { useMarginNotes } from '../../state/margin.store'
import { useNotice } from '../../state/notice.store'
import { usePreferences } from '../../state/preferences.store'
import { useAttempt } from '../../state/useAttempt'
import { refusalOfWork, workOn } from '../../workers/negativeWork'
import { adviceLine } from './registerWords'

interface Read {
  pairs: MarkPair[]
  seen: { lower: Point[]; upper: Point[] }
  name: string
  /** Sides of the shown picture, and its pixels to one of the file. */
  width: number
  height: number
  scale: number
  film: { width: number; height: number }
}

/** How the layers of a sheet are on each other, from a scan or a photo of it. */
export function useRegisterPage() {
  const [route, router, workroom, preferences, notice, now] = [
    useRoute(),
    useRouter(),
    useWorkroom(),
    usePreferences(),
    useNotice(),
    useNow(),
  ]
  const id = computed(() => String(route.params.sheetId))
  const one = computed(() => workroom.find(id.value))
  const size = ref(
    one.value
      ? formatSize(one.value.sheet, { length: preferences.chosen.length, temperature: 'degC' })
      : '8 x 10 in',
  )
  const border = ref('10')
  const lower = ref<string | undefined>('0')
  const upper = ref<string | undefined>('1')
  const LAYERS = Array.from({ length: MOST_LAYERS }, (_, i) => ({ id: String(i), name: String(i + 1) }))
  const { faults, attempt } = useAttempt()
  const fault = ref<Refusal | null>(null)
  const isReading = ref(false)
  const input = useTemplateRef<InstanceType<typeof FileChoice>>('input')
  const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
  const read = shallowRef<Read | null>(null)
  const isKept = ref(false)
  const register = computed(() => (read.value ? registerOf(read.value.pairs) : null))
  const advice = computed(() =>
    register.value && read.value ? registerAdvice(register.value, read.value.film).map(adviceLine) : [],
  )

  const checks = useRegisterChecks(() => id.value)

  async function take([file]: File[]): Promise<void> {
    if (!file) return
    fault.value = null
    let film = { width: 0, height: 0, border: 0 }
    const isSound =
      (await attempt('size', () => {
        const sides = parseSize(size.value, { field: 'size', bareUnit: preferences.chosen.length })
        film = { ...film, width: sides.widthMillimetres, height: sides.heightMillimetres }
      })) &&
      (await attempt('border', () => {
        film.border = parseQuantity(border.value, 'length', { field: 'border', bareUnit: 'mm' })
        if (!(film.border >= 8 && film.border <= 100))
          throw new CoreError({
            code: 'out-of-range',
            field: 'border',
            problem: texts.borderTooNarrow,
            remedy: texts.enterBorderFilmsWereMade,
          })
      })) &&
      (await attempt('layers', () => {
        if (lower.value === upper.value)
          throw new CoreError({
            code: 'same',
            field: 'layers',
            problem: 'These are the same layer.',
            remedy: 'Choose two different layers.',
          })
      }))
    if (!isSound) return
    isReading.value = true
    try {
      const answer = await workOn({
        act: 'register',
        file,
        film,
        layers: [writtenNumber(lower.value), writtenNumber(upper.value)],
        longestSide: 900,
      })
      const { preview } = answer
      isKept.value = false
      read.value = {
        pairs: answer.pairs,
        seen: answer.seen,
        name: file.name.slice(0, 200),
        width: preview.width,
        height: preview.height,
        scale: preview.width / answer.width,
        film,
      }
      await nextTick()
      draw(preview)
    } catch (error) {
      fault.value = refusalOfWork(error)
    } finally {
      isReading.value = false
    }
  }

  function draw({ width, height, data }: { width: number; height: number; data: Float32Array }): void {
    const context = canvas.value?.getContext('2d')
    if (!context) return
    const image = context.createImageData(width, height)
    for (let i = 0; i < data.length; i++) {
      const code = Math.round(255 * srgbFromLinear(Math.min(1, Math.max(0, data[i] ?? 0))))
      image.data.set([code, code, code, 255], 4 * i)
    }
    context.putImageData(image, 0, 0)
  }

  async function keep(): Promise<void> {
    if (!read.value || isKept.value) return
    const checkId = await addRegisterCheck({
      sheetId: id.value,
      picture: read.value.name,
      marks: read.value.pairs.map((pair) => ({ lower: [...pair.lower], upper: [...pair.upper] })),
    })
    isKept.value = true
    notice.say('Saved with the sheet.', async () => {
      await undoRegisterCheck(checkId)
      isKept.value = false
    })
  }
  const worstOf = (check: RegisterCheck) => registerOf(check.marks).worst.toFixed(2)

  useKeyRows('Register', () => [
    { key: 'p', name: 'Choose a picture', run: () => input.value?.open() },
    ...(read.value ? [{ key: ' ', name: 'Save with this sheet', run: () => void keep() }] : []),
    {
      key: 'escape',
      name: 'Back to the print',
      run: () => void router.push({ name: 'print', params: { sheetId: id.value } }),
    },
  ])
  useMarginNotes(() => [
    {
      title: 'How register is measured',
      lines: [texts.filmEachLayerHasIts, texts.scanWholeSheetWithIts],
    },
    ...(register.value
      ? [
          {
            title: 'What is visible',
            lines: [texts.registerErrorThatShows],
          },
        ]
      : []),
  ])
  return {
    router,
    now,
    one,
    size,
    border,
    lower,
    upper,
    LAYERS,
    faults,
    fault,
    isReading,
    input,
    read,
    isKept,
    register,
    advice,
    checks,
    take,
    keep,
    worstOf,
  }
}
