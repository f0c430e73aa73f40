import type { RepeatNotice } from '@core/judge/repeat'
import { digits, formatSpan } from '@core/quantity/format'

/** What is different about a repeat, in a line each. */
export function repeatLine(notice: RepeatNotice): string {
  switch (notice.kind) {
    case 'bottleReplaced':
      return `${notice.from.label} is used up; ${notice.to.label} takes its place${
        notice.strengths
          ? `, of ${digits(notice.strengths[1])} % instead of ${digits(notice.strengths[0])} %`
          : ''
      }.`
    case 'strengthMended':
      return `Its part in the mix is taken ${digits(notice.share, 3)} times, so that as much of the substance goes in.`
    case 'bottleGone':
      return `${notice.from.label} is used up and nothing like it is on the shelf: make it first.`
    case 'bottleOld':
      return `${notice.bottle.label} is past its life since then.`
    case 'paperGone':
      return `No large sheet of ${notice.name} is left in the drawer.`
    case 'pieceUsed':
      return `Piece ${notice.label} was printed on; choose another of the same paper.`
    case 'lampDrifted':
      return `The lamp gives ${digits(notice.now, 2)} % of new, then it was ${digits(notice.then, 2)} %: the time is now ${formatSpan(notice.seconds.value)}.`
    case 'lightGone':
      return 'The light it was exposed under is no longer here; choose another and test it.'
    case 'processChanged':
      return 'The process has been changed since; its present steps are taken.'
  }
}
