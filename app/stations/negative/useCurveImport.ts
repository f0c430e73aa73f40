import { texts } from './words'
import { computed, ref, shallowRef, watch } from 'vue'
import { CoreError, type Refusal } from '@core/errors'
import { patchesOfCurve, readCurve, type ToneScale } from '@core/formats/curveReading'
import { parseQuantity } from '@core/quantity/parse'
import type { Calibration } from '@core/schema/light'
import { solveCurve } from '@core/tone/curve'

/** A curve made elsewhere, as the patches that it claims and the name its file has. */
export interface ImportedCurve {
  patches: Calibration['patches']
  title: string
}

/** Takes in a curve that another program made: its file, what its tones are, and what it prints to. */
export function useCurveImport(emit: (event: 'read', found: ImportedCurve | null) => void) {
  const scale = ref<string | undefined>('codes')
  const white = ref('0.08')
  const black = ref('1.40')
  const file = shallowRef<{ name: string; text: string } | null>(null)

  const density = (text: string, field: string) =>
    parseQuantity(text, 'opticalDensity', { field, bareUnit: 'D' })
  const read = computed((): { found: ImportedCurve | null; tones: number; fault: Refusal | null } => {
    if (!file.value) return { found: null, tones: 0, fault: null }
    try {
      const curve = readCurve(file.value.text, scale.value as ToneScale)
      const patches = patchesOfCurve(curve, density(white.value, 'white'), density(black.value, 'black'))
      solveCurve(patches)
      const kept = patches.map(({ ink, densities }) => ({ ink, densities: [...densities] }))
      return { found: { patches: kept, title: curve.title }, tones: curve.tones.length, fault: null }
    } catch (error) {
      if (error instanceof CoreError) return { found: null, tones: 0, fault: error.refusal }
      throw error
    }
  })
  watch(read, ({ found }) => emit('read', found))
  const said = computed(() =>
    file.value && read.value.found
      ? texts.curveFileTaken({ file: file.value.name, tones: read.value.tones })
      : texts.curveMadeElsewhere,
  )
  async function take([chosen]: File[]): Promise<void> {
    if (chosen) file.value = { name: chosen.name, text: await chosen.text() }
  }
  return { scale, white, black, read, said, take }
}
