import { computed } from 'vue'
import { materialsOf, type MaterialRow } from '@core/judge/materials'
import { substances } from '@library/index'
import { usePreferences } from '../../state/preferences.store'
import { useRoomRecords } from '../../state/useRoomRecords'

/** What a print was made with: name and value of each, for the margin. */
export function useMaterials(id: () => string) {
  const [{ recordOf }, preferences] = [useRoomRecords(), usePreferences()]
  return computed<readonly MaterialRow[]>(() => {
    const record = recordOf(id())
    const units = { length: preferences.chosen.length, temperature: 'degC' } as const
    return record ? materialsOf(record, substances, units) : []
  })
}
