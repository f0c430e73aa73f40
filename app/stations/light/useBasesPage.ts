import { texts } from './words'
import { addBase, undoBase } from '../../state/actions/light.actions'
import { computed, ref } from 'vue'
import { CoreError, type Refusal } from '@core/errors'
import { exposureFromBase } from '@core/light/bases'
import { expectedLight, sunLightThen } from '@core/light/lightNow'
import { SKIES } from '@core/sun/cloud'
import { parseQuantity } from '@core/quantity/parse'
import { pastMomentIn } from '../../words/readMoment'
import { useNow } from '../../state/useNow'
import { useWorkroom } from '../../state/workroom.store'
import { useMarginNotes } from '../../state/margin.store'
import { useNotice } from '../../state/notice.store'
import { useLights } from '../../state/lights.store'

/** Base exposures as they are under their lights today, and one to enter by hand. */
export function useBasesPage() {
  const [workroom, lights, notice, now] = [useWorkroom(), useLights(), useNotice(), useNow()]

  const papers = computed(() => new Map(workroom.papers.map((paper) => [paper.id, paper.name])))
  const WAY = {
    strip: 'from a test strip',
    eye: 'from a test strip, by eye',
    typed: 'entered by hand',
    calibration: 'from a calibration',
  } as const
  /** Each with what it comes to under its light as it burns today. */
  const shown = computed(() =>
    [...lights.bases]
      .sort((a, b) => b.at - a.at)
      .map((base) => {
        const history = lights.history(base.lightId)
        const from = exposureFromBase(
          { base, differs: [] },
          history && expectedLight(history, now.now),
          history?.light.schwarzschild,
        )
        return {
          base,
          from,
          definition: workroom.definitionOf(base.processId),
          light: history?.light.name ?? 'a deleted light',
          paper: (base.paperId && papers.value.get(base.paperId)) || 'any paper',
          isScaled: Math.abs(from.seconds.value / base.seconds - 1) > 0.01,
        }
      }),
  )

  const processId = ref(workroom.sheets[0]?.sheet.process.id ?? '')
  const lightId = ref(workroom.lights[0]?.id ?? '')
  const paperId = ref('')
  const film = ref('clear film')
  const seconds = ref('')
  const fault = ref<Refusal | undefined>()
  const isTyping = ref(false)
  const sky = ref<string>('clear')
  const foundAt = ref('')
  const foundFault = ref<Refusal | undefined>()
  const history = computed(() => lights.history(lightId.value))
  const isSun = computed(() => history.value?.light.kind === 'sun')
  const isPlaced = computed(() => history.value?.light.place !== undefined)
  /** The sun when this base exposure was found: without it, it holds for that hour and sky only. */
  function strengthThen(): number | undefined {
    if (!history.value || !isPlaced.value) return undefined
    const moment = pastMomentIn(foundAt.value, now.now, 'found at')
    const share = SKIES.find(({ id }) => id === sky.value)?.share ?? 1
    const found = sunLightThen(history.value, moment, share)
    if (found) return found
    throw new CoreError({
      code: 'sun-down',
      field: 'found at',
      problem: texts.sunWasDown,
      remedy: texts.enterWhenExposed,
    })
  }
  async function add(): Promise<void> {
    fault.value = foundFault.value = undefined
    try {
      const value = parseQuantity(seconds.value, 'time', { field: 'base exposure', bareUnit: 'min' })
      if (!processId.value || !lightId.value)
        throw new CoreError({
          code: 'missing',
          field: 'base exposure',
          problem: 'Process and light are missing.',
          remedy: texts.chooseBothAddLightIn,
        })
      const then = isSun.value ? strengthThen() : lights.lightNow(lightId.value)?.milliwattsPerCm2
      const id = await addBase({
        processId: processId.value,
        choices: {},
        ...(paperId.value && { paperId: paperId.value }),
        lightId: lightId.value,
        film: film.value.trim(),
        seconds: value,
        ...(then && { milliwattsPerCm2: then }),
        by: 'typed',
        note: '',
      })
      isTyping.value = false
      seconds.value = ''
      notice.say('Base exposure saved.', () => undoBase(id))
    } catch (error) {
      if (error instanceof CoreError && error.refusal.field === 'found at') foundFault.value = error.refusal
      else if (error instanceof CoreError) fault.value = error.refusal
      else notice.refuse(error, 'the base exposure')
    }
  }
  const ofProcess = computed(() => workroom.allProcesses.map((one) => ({ id: one.id, name: one.name })))

  useMarginNotes(() => [
    {
      title: 'What it applies to',
      lines: [texts.oneCombinationProcessSensitizerPaper],
    },
    {
      title: 'Saved as a dose where possible',
      lines: [texts.ifLightWasMeasuredBase],
    },
  ])
  return {
    WAY,
    add,
    fault,
    film,
    foundAt,
    foundFault,
    isPlaced,
    isSun,
    isTyping,
    lightId,
    now,
    ofProcess,
    paperId,
    processId,
    seconds,
    shown,
    sky,
    workroom,
  }
}
