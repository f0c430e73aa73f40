import { ref } from 'vue'
import { CoreError, type Refusal } from '@core/errors'
import { useNotice } from './notice.store'

/** Work that may be refused at one of several fields: a refusal is beside its field, all else is said below. */
export function useAttempt() {
  const notice = useNotice()
  const faults = ref<Record<string, Refusal | undefined>>({})
  /** @returns whether it was done. */
  async function attempt(field: string, work: () => void | Promise<void>): Promise<boolean> {
    faults.value = { ...faults.value, [field]: undefined }
    try {
      await work()
      return true
    } catch (error) {
      if (error instanceof CoreError) faults.value = { ...faults.value, [field]: error.refusal }
      else notice.refuse(error, field)
      return false
    }
  }
  return { faults, attempt }
}
