import { whyNone, whyRefused, type Reason, type Refusal as PinRefusal } from '@core/schedule/reasons'
import { sessionOf, type Session, type SessionInput } from '@core/schedule/session'
import { bookingsOf, movesOf, type PlannedMove } from '@core/schedule/bookings'
import { solve, type Effort, type Found } from '@core/schedule/solve'
import { serve, type Call } from './call'

export interface PlanQuestion {
  input: SessionInput
  effort: Effort
  /** The step that was moved by hand, when the question is whether it may be. */
  moved?: { sheetId: string; stepId: string }
}

/** A plan in moments of the day. */
export interface MadePlan {
  moves: PlannedMove[]
  hands: PlannedMove[]
  endsAt: number
  boundAt: number
  isProven: boolean
  spent: Session['spent']
}

/** A plan so far; better ones may come. */
export interface PlanNews {
  endsAt: number
  boundAt: number
}

export type PlanAnswer =
  | { kind: 'made'; plan: MadePlan }
  | { kind: 'none'; isProven: boolean; reasons: Reason[] }
  | { kind: 'notMoved'; why: PinRefusal }

serve<PlanQuestion, PlanAnswer, PlanNews>('the plan', answer)

function answer({ input, effort, moved }: PlanQuestion, { tell }: Call<PlanNews>): PlanAnswer {
  const session = sessionOf(input)
  const moment = (seconds: number) => input.from + seconds * 1000
  const looking = solve(session.problem, effort)
  let found: Found
  for (;;) {
    const { done, value } = looking.next()
    found = value
    if (done) break
    tell({ endsAt: moment(value.length), boundAt: moment(value.bound) })
  }
  if (found.times)
    return {
      kind: 'made',
      plan: {
        moves: movesOf(session, found.times),
        hands: (bookingsOf(session, found.times)[0]?.spans ?? []).map(({ sheetId, stepId, from, to }) => ({
          sheetId,
          stepId,
          from,
          to,
        })),
        endsAt: moment(found.length),
        boundAt: moment(found.bound),
        isProven: found.isProven,
        spent: session.spent,
      },
    }
  if (moved) return { kind: 'notMoved', why: whyRefused(input, moved.sheetId, moved.stepId) }
  return { kind: 'none', isProven: found.isProven, reasons: whyNone(input) }
}
