import type { Times } from './problem'
import { spanOf } from './problem'
import { type Session } from './session'

/** One step of a plan, in milliseconds. */
export interface PlannedMove {
  sheetId: string
  stepId: string
  from: number
  to: number
}

/** A plan of times as moments of the day. */
export const movesOf = (session: Session, times: Times): PlannedMove[] =>
  session.steps.flatMap((job, j) =>
    job.map(({ sheetId, stepId }, k) => ({
      sheetId,
      stepId,
      from: session.from + times[j]![k]!.start * 1000,
      to: session.from + times[j]![k]!.end * 1000,
    })),
  )

/** What each shared thing of the room is busy with, in milliseconds, earliest first. */
export function bookingsOf(
  session: Session,
  times: Times,
): { name: string; capacity: number; spans: (PlannedMove & { job: number })[] }[] {
  return session.problem.resources.map(({ name, capacity }, resource) => ({
    name,
    capacity,
    spans: session.problem.jobs
      .flatMap((job, j) =>
        job.flatMap((operation, k) =>
          operation.uses
            .filter((one) => one.resource === resource)
            .map((one) => {
              const [from, to] = spanOf(one, times[j]![k]!)
              const { sheetId, stepId } = session.steps[j]![k]!
              return {
                job: j,
                sheetId,
                stepId,
                from: session.from + from * 1000,
                to: session.from + to * 1000,
              }
            }),
        ),
      )
      .filter((span) => span.to > span.from)
      .sort((a, b) => a.from - b.from),
  }))
}
