import { defineStore } from 'pinia'
import { reactive, ref, shallowRef } from 'vue'
import type { Refusal } from '@core/errors'
import { MIDDLE } from '@core/negative/frame'
import type { ChannelMix } from '@core/negative/grey'
import type { GreyPicture } from '@core/negative/resample'
import { AS_IT_IS } from '@core/negative/tone'
import { UNCHANGED } from '@core/negative/toneControls'
import { formatSize } from '@core/quantity/format'
import { refusalOfWork, workOn } from '../../workers/negativeWork'
import { usePreferences } from '../../state/preferences.store'
import { emptyDraft } from './negative.draft'

/** A preview is small enough to be toned at every key. */
const PREVIEW_SIDE = 640

/** A picture that was opened. */
export interface OpenedPicture {
  name: string
  file: File
  preview: GreyPicture
  width: number
  height: number
  bits: number
  /** What of its file one would not expect. */
  notes: readonly string[]
}

/** The picture in hand and what is decided for it; it is there until another one comes. */
export const useNegativeDesk = defineStore('negativeDesk', () => {
  const preferences = usePreferences()
  const picture = shallowRef<OpenedPicture | null>(null)
  const fault = ref<Refusal | null>(null)
  const isOpening = ref(false)
  const draft = reactive(
    emptyDraft(
      formatSize(
        { widthMillimetres: 203.2, heightMillimetres: 254 },
        { length: preferences.chosen.length, temperature: 'degC' },
      ),
      preferences.chosen.inkColour,
    ),
  )
  let work: AbortController | null = null

  /** Opens a picture; its own points and framing start again. @returns whether there is something to see. */
  async function open(file: File): Promise<boolean> {
    const isOpen = await look(file, null)
    if (!isOpen) return false
    draft.points = AS_IT_IS.map((point) => ({ ...point }))
    draft.controls = { ...UNCHANGED }
    draft.isLines = false
    draft.isPositive = false
    draft.fit = 'whole'
    draft.framing = { ...MIDDLE }
    draft.mix = 'luminance'
    return true
  }

  /** Looks at a picture through a mix of its channels. @returns whether there is something to see. */
  async function look(file: File, mix: ChannelMix | null): Promise<boolean> {
    work?.abort()
    fault.value = null
    isOpening.value = true
    const own = new AbortController()
    work = own
    try {
      const question = { act: 'look' as const, file, mix, longestSide: PREVIEW_SIDE }
      const { preview, width, height, bits, notes } = await workOn(question, own)
      picture.value = { name: file.name, file, preview, width, height, bits, notes }
      return true
    } catch (error) {
      const refusal = refusalOfWork(error)
      if (refusal) fault.value = refusal
      return false
    } finally {
      if (work === own) isOpening.value = false
    }
  }
  return { picture, fault, isOpening, draft, open, look }
})
