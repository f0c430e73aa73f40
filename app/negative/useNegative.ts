import { onUnmounted, ref, shallowRef } from 'vue'
import { CoreError, type Refusal } from '@core/errors'
import type { ChartPlan } from '@core/negative/chart'
import type { ChannelMix } from '@core/negative/grey'
import type { NegativePlan } from '@core/negative/render'
import type { GreyPicture } from '@core/negative/resample'
import type { NegativeAnswer, NegativeQuestion } from '../workers/negative.worker'
import { startWorker } from '../workers/start'

/** A preview is small enough to be toned at every key. */
const PREVIEW_SIDE = 640

/** A picture that was opened. */
export interface OpenedPicture {
  name: string
  file: Blob
  preview: GreyPicture
  width: number
  height: number
  bits: number
}

/** A picture in, a negative out; the work is done beside the page, and can be stopped by letting its worker go. */
export function useNegative() {
  const picture = shallowRef<OpenedPicture | null>(null)
  const fault = ref<Refusal | null>(null)
  /** Share of the work done; `null` while none is under way. */
  const share = ref<number | null>(null)
  let working: { worker: Worker; giveUp: () => void } | null = null

  function ask(question: NegativeQuestion, heard: (share: number) => void): Promise<NegativeAnswer> {
    stop()
    const worker = startWorker.negative()
    return new Promise<NegativeAnswer>((resolve, reject) => {
      working = { worker, giveUp: () => reject(STOPPED) }
      worker.addEventListener('message', ({ data }: MessageEvent<NegativeAnswer>) => {
        if (data.kind === 'share') heard(data.share)
        else if (data.kind === 'refused') reject(new CoreError(data.refusal))
        else resolve(data)
      })
      worker.addEventListener('error', (event) => reject(new Error(event.message || 'the worker stopped')))
      worker.postMessage(question)
    }).finally(() => worker.terminate())
  }
  function stop(): void {
    working?.worker.terminate()
    working?.giveUp()
    working = null
    share.value = null
  }
  onUnmounted(stop)

  async function open(file: File, mix: ChannelMix): Promise<void> {
    fault.value = null
    try {
      const answer = await ask({ act: 'look', file, mix, longestSide: PREVIEW_SIDE }, () => undefined)
      if (answer.kind === 'looked')
        picture.value = {
          name: file.name,
          file,
          preview: answer.preview,
          width: answer.width,
          height: answer.height,
          bits: answer.bits,
        }
    } catch (error) {
      fault.value = refusalTo(error)
    }
  }

  /** @returns the file, or `null` where it was refused or stopped. */
  async function make(plan: NegativePlan, mix: ChannelMix): Promise<Blob | null> {
    if (!picture.value) return null
    fault.value = null
    share.value = 0
    try {
      const answer = await ask(
        { act: 'make', file: picture.value.file, mix, plan },
        (done) => (share.value = done),
      )
      return answer.kind === 'made' ? answer.file : null
    } catch (error) {
      fault.value = refusalTo(error)
      return null
    } finally {
      share.value = null
    }
  }
  /** A step chart as a negative without any curve; `null` where it was refused. */
  async function makeChart(plan: ChartPlan): Promise<Blob | null> {
    fault.value = null
    try {
      const answer = await ask({ act: 'chart', plan }, () => undefined)
      return answer.kind === 'made' ? answer.file : null
    } catch (error) {
      fault.value = refusalTo(error)
      return null
    }
  }
  return { picture, fault, share, open, make, makeChart, stop }
}

/** What a worker that was let go leaves behind; nobody needs to be told of it. */
const STOPPED = new CoreError({
  code: 'stopped',
  field: 'negative',
  problem: 'The negative was stopped.',
  remedy: 'Make it again when you want it.',
})

function refusalTo(error: unknown): Refusal | null {
  if (error === STOPPED) return null
  if (error instanceof CoreError) return error.refusal
  return {
    code: 'unexpected',
    field: 'the picture',
    problem: 'The work stopped.',
    remedy: 'Try once more, or a smaller picture.',
  }
}

/** Hands a file to the browser's downloads. */
export function download(file: Blob, name: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(file)
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000)
}
