import { computed } from 'vue'
import { CoreError } from '@core/errors'
import { checkCurve } from '@core/tone/curve'
import type { Calibration } from '@core/schema/light'
import { changeCalibration, restoreCalibration } from '../../state/actions/calibration.actions'
import { useNotice } from '../../state/notice.store'
import { useCalibrations } from './useCalibrations'

/** One calibration on its way, and what can be changed of it. */
export function useCalibration(id: () => string) {
  const notice = useNotice()
  const { all, withCurve, isLoaded } = useCalibrations()
  const one = computed(() => all.value.find(({ calibration }) => calibration.id === id()) ?? null)
  /** Its checks as they come out by the present curve and aim. */
  const checks = computed(() => {
    const of = one.value
    if (!of?.curve) return []
    const { curve, calibration } = of
    return calibration.checks.map((check) => ({
      check,
      result: checkAgain(curve, calibration, check.patches),
    }))
  })

  /** @returns whether it was recorded. */
  async function change(what: Partial<Calibration>, said?: string): Promise<boolean> {
    const before = one.value?.calibration
    if (!before) return false
    try {
      await changeCalibration(before, what)
      if (said) notice.say(said, () => restoreCalibration(before))
      return true
    } catch (error) {
      notice.refuse(error, 'the calibration')
      return false
    }
  }
  return { one, all, withCurve, isLoaded, checks, change }
}

function checkAgain(
  curve: Parameters<typeof checkCurve>[0],
  { aim }: Calibration,
  patches: Parameters<typeof checkCurve>[2],
): ReturnType<typeof checkCurve> | null {
  try {
    return checkCurve(curve, aim, patches)
  } catch (error) {
    if (error instanceof CoreError) return null
    throw error
  }
}
