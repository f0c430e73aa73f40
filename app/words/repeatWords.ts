import type { RepeatNotice } from '@core/judge/repeat'
import { digits, formatSpan } from '@core/quantity/format'

/** What is different about a repeat, in a line each. */
export function repeatLine(notice: RepeatNotice): string {
  switch (notice.kind) {
    case 'bottleReplaced':
      return `${notice.from.label} is used up. ${notice.to.label} replaces it${
        notice.strengths
          ? `, ${digits(notice.strengths[1])} % instead of ${digits(notice.strengths[0])} %`
          : ''
      }.`
    case 'strengthMended':
      return `Its share in the mix is multiplied by ${digits(notice.share, 3)} to give the same amount of substance.`
    case 'bottleGone':
      return `${notice.from.label} is used up, and there is no replacement on the shelf. Make it first.`
    case 'bottleOld':
      return `${notice.bottle.label} is now past its shelf life.`
    case 'paperGone':
      return `No large sheets of ${notice.name} are left.`
    case 'pieceUsed':
      return `Piece ${notice.label} has been used. Choose another of the same paper.`
    case 'lampDrifted':
      return `Lamp output is ${digits(notice.now, 2)} %, then ${digits(notice.then, 2)} %. The exposure is now ${formatSpan(notice.seconds.value)}.`
    case 'lightGone':
      return 'The light used before has been deleted. Choose another and make a test strip.'
    case 'kept':
      return 'You kept the last print, so the exposure stays the same.'
    case 'exposureJudged':
      return `You judged the last print ${notice.shadows === 'thin' ? 'too light' : 'too dark'}, so the exposure is ½ stop ${notice.stops > 0 ? 'longer' : 'shorter'}: ${formatSpan(notice.seconds)}.`
    case 'contrastJudged':
      return notice.isFlat
        ? 'The last print was too flat: light shadows, veiled highlights. Use more contrast; exposure alone cannot correct it.'
        : 'The last print was too contrasty: blocked shadows, blank highlights. Use less contrast; exposure alone cannot correct it.'
    case 'processChanged':
      return 'The process has been edited since. Its present steps are used.'
  }
}
