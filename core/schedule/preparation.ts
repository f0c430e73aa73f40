import type { Need } from '../shelf/readiness'

/** Something to have ready for a session, and when to begin with it. */
export interface Preparation {
  kind: 'make' | 'fill' | 'treat' | 'warmUp'
  id: string
  what: string
  /** Begun no later than this, milliseconds. */
  beginBy: number
  /** Wanted at this moment. */
  wantedAt: number
  /** Why so early, or so late. */
  because: 'ripens' | 'keepsShort' | 'rests' | 'steady' | 'hands'
  millilitres?: number
}

export interface NeedInTime extends Need {
  /** First moment at which it is wanted, milliseconds. */
  wantedAt: number
  ripensSeconds?: number | undefined
  keepsSeconds?: number | undefined
}

export interface PaperInTime {
  id: string
  what: string
  wantedAt: number
  /** Bath, drying and rest of the treatment. */
  seconds: number
}

export interface LampInTime {
  id: string
  what: string
  wantedAt: number
  /** Until it burns steady. */
  seconds: number
}

/** To weigh and dissolve one solution takes about so long: common practice, where this app starts. */
const MAKING_SECONDS = 1200
/** To fill a tray from what stands ready. */
const FILLING_SECONDS = 300
/** A solution that keeps no longer than this is made on the day, and is put off to the last moment. */
const SHORT_LIVED_SECONDS = 86_400

/**
 * What has to be made, filled and treated before a session, in the order of when to begin: what ripens early, what does
 * not keep at the last moment, paper with time to dry.
 */
export function preparationsFor(
  needs: readonly NeedInTime[],
  papers: readonly PaperInTime[],
  lamps: readonly LampInTime[] = [],
): Preparation[] {
  const solutions = needs.map((need): Preparation => {
    const isShort = need.readyMillilitres !== null && need.readyMillilitres < need.millilitres
    const ripens = isShort ? (need.ripensSeconds ?? 0) : 0
    const seconds = (isShort ? MAKING_SECONDS : FILLING_SECONDS) + ripens
    const keepsShort = need.keepsSeconds !== undefined && need.keepsSeconds <= SHORT_LIVED_SECONDS
    return {
      kind: isShort ? 'make' : 'fill',
      id: need.id,
      what: need.name,
      beginBy: need.wantedAt - seconds * 1000,
      wantedAt: need.wantedAt,
      because: ripens ? 'ripens' : keepsShort ? 'keepsShort' : 'hands',
      millilitres: isShort ? need.millilitres - (need.readyMillilitres ?? 0) : need.millilitres,
    }
  })
  const sheets = papers.map((paper): Preparation => ({
    kind: 'treat',
    id: paper.id,
    what: paper.what,
    beginBy: paper.wantedAt - paper.seconds * 1000,
    wantedAt: paper.wantedAt,
    because: 'rests',
  }))
  const burning = lamps.map((lamp): Preparation => ({
    kind: 'warmUp',
    id: lamp.id,
    what: lamp.what,
    beginBy: lamp.wantedAt - lamp.seconds * 1000,
    wantedAt: lamp.wantedAt,
    because: 'steady',
  }))
  // A coat's bottle that stands ready asks for nothing; a tray is filled in any case.
  const due = solutions.filter((one, i) => one.kind === 'make' || needs[i]!.use === 'bath')
  return [...due, ...sheets, ...burning].sort((a, b) => a.beginBy - b.beginBy)
}
