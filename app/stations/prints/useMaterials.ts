import { computed } from 'vue'
import { materialsOf, type MaterialRow } from '@core/judge/materials'
import type { PrintRecord } from '@core/judge/printRecord'
import { substances } from '@library/index'
import { usePreferences } from '../../state/preferences.store'

/** What a print was made with: name and value of each, for the margin. */
export function useMaterials(record: () => PrintRecord | null) {
  const preferences = usePreferences()
  return computed<readonly MaterialRow[]>(() => {
    const found = record()
    return found
      ? materialsOf(found, substances, { length: preferences.chosen.length, temperature: 'degC' })
      : []
  })
}
