import { onUnmounted, watch, type ShallowRef } from 'vue'
import type { GreyPicture } from '@core/negative/resample'
import type { PrintPicture } from '@core/simulate/printPicture'
import { askWorker } from '../../workers/call'
import type { PracticeQuestion } from '../../workers/practice.worker'
import { startWorker } from '../../workers/start'

/** Draws what a practice print looks like now, as often as its worker keeps up. */
export function usePracticePicture(
  canvas: Readonly<ShallowRef<HTMLCanvasElement | null>>,
  asked: () => Omit<PracticeQuestion, 'ink'> | null,
  inked: () => GreyPicture,
) {
  const worker = startWorker.practice()
  let drawn = 0
  let [isBusy, isStale] = [false, false]
  /** The negative that the worker has. */
  let sent: GreyPicture | null = null

  async function draw(): Promise<void> {
    const question = asked()
    if (!question || !canvas.value) return
    if (isBusy) {
      isStale = true
      return
    }
    isBusy = true
    try {
      const ink = inked()
      const plain = JSON.parse(JSON.stringify(question)) as typeof question
      const { width, height, rgba } = await askWorker<PracticeQuestion, PrintPicture>(worker, {
        ...plain,
        ...(sent !== ink && { ink }),
      })
      sent = ink
      const [shown] = [canvas.value]
      if (shown) {
        if (shown.width !== width) [shown.width, shown.height] = [width, height]
        shown.getContext('2d')?.putImageData(new ImageData(rgba, width, height), 0, 0)
        // How often it was drawn, for those who watch.
        shown.dataset.drawn = String(++drawn)
      }
    } finally {
      isBusy = false
    }
    if (isStale) {
      isStale = false
      void draw()
    }
  }
  watch(asked, () => void draw(), { deep: true })
  watch([canvas, inked], () => void draw())
  onUnmounted(() => worker.terminate())
}
