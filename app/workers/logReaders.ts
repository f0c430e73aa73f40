import { askWorker } from './call'
import type { LogsAnswer, LogsQuestion, LogsReader } from './lookAtLogs'
import { startLogs } from './startLogs'

/** More would only wait for the memory. */
const MOST = 4

/** Workers that look through logs side by side, each a piece at a time. One starts when there is a piece for it. */
export class LogReaders implements LogsReader {
  private readonly most = Math.min(MOST, Math.max(2, navigator.hardwareConcurrency || 2))
  private readonly workers: Worker[] = []
  private readonly free: Worker[] = []
  private readonly waiting: ((worker: Worker) => void)[] = []

  /** Has a piece looked through by whichever worker is free first. @param make the question, once it can be put. */
  async ask(make: () => LogsQuestion): Promise<LogsAnswer> {
    const worker =
      this.free.pop() ??
      this.another() ??
      (await new Promise<Worker>((resolve) => this.waiting.push(resolve)))
    try {
      return await askWorker<LogsQuestion, LogsAnswer>(worker, make())
    } finally {
      const next = this.waiting.shift()
      if (next) next(worker)
      else this.free.push(worker)
    }
  }

  /** A new worker, as long as there may be one more. */
  private another(): Worker | undefined {
    if (this.workers.length === this.most) return undefined
    const worker = startLogs()
    this.workers.push(worker)
    return worker
  }

  leave(): void {
    for (const worker of this.workers) worker.terminate()
  }
}
