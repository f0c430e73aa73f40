import type { Judged } from '../schema/event'

export type Aspect = 'shadows' | 'highlights' | 'whites'

/** Looks that a judgement speaks of in its own words; the first of those that are said the same is the usual one. */
export const LOOKS_JUDGED: Readonly<Record<string, readonly [Aspect, string]>> = {
  pale: ['shadows', 'thin'],
  sunken: ['shadows', 'thin'],
  heavy: ['shadows', 'blocked'],
  fogged: ['highlights', 'veiled'],
  flat: ['highlights', 'veiled'],
  harsh: ['highlights', 'blank'],
  'whites-yellow': ['whites', 'yellow'],
  'whites-blue': ['whites', 'blue'],
  'whites-pink': ['whites', 'pink'],
  'whites-brown': ['whites', 'brown'],
  'whites-grey': ['whites', 'grey'],
}

/**
 * Looks that a print was judged to have, for a diagnosis to start from.
 *
 * @param judgements of the print, oldest first; a dry one counts before any that was made while it was wet.
 * @returns ids of looks, in the order of shadows, highlights and whites.
 */
export function judgedLooks(judgements: readonly Pick<Judged, 'moment' | Aspect>[]): string[] {
  const last = judgements.filter(({ moment }) => moment !== 'wet').at(-1) ?? judgements.at(-1)
  if (!last) return []
  const said = (['shadows', 'highlights', 'whites'] as const).flatMap((aspect) =>
    last[aspect] ? [[aspect, last[aspect]] as const] : [],
  )
  return said.flatMap(([aspect, word]) => {
    const look = Object.entries(LOOKS_JUDGED).find(([, [a, w]]) => a === aspect && w === word)
    return look ? [look[0]] : []
  })
}
