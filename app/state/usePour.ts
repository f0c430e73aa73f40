import { computed, type Ref } from 'vue'
import type { Finding } from '@core/chemistry/audits'
import type { WasteClass } from '@core/schema/substance'
import { auditPour, type WasteContents } from '@core/chemistry/waste'
import { incompatibilities, substances, wasteClasses } from '@library/index'
import { useWorkroom } from './workroom.store'

/** Something about to be poured into a waste jar. */
export interface Poured {
  name: string
  contents: WasteContents
  wasteClass: WasteClass
}

/** What speaks against a pour, before it is made, and the words on its button. */
export function usePour(poured: Readonly<Ref<Poured | null>>) {
  const workroom = useWorkroom()
  const findings = computed<Finding[]>(() =>
    poured.value
      ? auditPour(poured.value, poured.value.wasteClass, workroom.wastes, substances, incompatibilities)
      : [],
  )
  const jarName = computed(() =>
    poured.value ? wasteClasses[poured.value.wasteClass].name.toLowerCase() : '',
  )
  const pressWords = computed(
    () => `${findings.value.length ? 'Pour anyway into' : 'Pour into'} waste jar: ${jarName.value}`,
  )
  return { findings, jarName, pressWords }
}
