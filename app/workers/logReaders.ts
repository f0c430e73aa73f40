import { askWorker } from './call'
import type { LogsAnswer, LogsQuestion, LogsReader } from './lookAtLogs'
import { startLogs } from './startLogs'

/** More would only wait for the memory. */
const MOST = 4

/** Workers that look through logs side by side, each a piece at a time. */
export class LogReaders implements LogsReader {
  private readonly workers = Array.from(
    { length: Math.min(MOST, Math.max(2, navigator.hardwareConcurrency || 2)) },
    startLogs,
  )
  private readonly free = [...this.workers]
  private readonly waiting: ((worker: Worker) => void)[] = []

  /** Has a piece looked through by whichever worker is free first. @param make the question, once it can be put. */
  async ask(make: () => LogsQuestion): Promise<LogsAnswer> {
    const worker = this.free.pop() ?? (await new Promise<Worker>((resolve) => this.waiting.push(resolve)))
    try {
      return await askWorker<LogsQuestion, LogsAnswer>(worker, make())
    } finally {
      const next = this.waiting.shift()
      if (next) next(worker)
      else this.free.push(worker)
    }
  }

  leave(): void {
    for (const worker of this.workers) worker.terminate()
  }
}
