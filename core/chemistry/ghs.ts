import type { Substance } from '../schema/substance'

/** Signal words, pictograms and mixture rules of the UN GHS. */

export type Signal = 'danger' | 'warning' | 'none'
export type Pictogram =
  'flame' | 'flameOverCircle' | 'corrosion' | 'skull' | 'exclamation' | 'healthHazard' | 'environment'

/** One substance of a mixture; `percent` by weight. */
export interface MixturePart {
  substance: Pick<Substance, 'hazard' | 'state' | 'forms' | 'liquid'>
  percent: number
}

/** What a label carries besides names and dates. */
export interface LabelElements {
  signal: Signal
  pictograms: Pictogram[]
  statements: string[]
}

/** Signal word and pictogram of each statement. @see UN GHS rev. 9 (2021), annex 1; from memory */
const ELEMENTS: Readonly<Record<string, readonly [Signal, Pictogram | null]>> = {
  H224: ['danger', 'flame'], H225: ['danger', 'flame'], H226: ['warning', 'flame'],
  H271: ['danger', 'flameOverCircle'], H272: ['danger', 'flameOverCircle'],
  H290: ['warning', 'corrosion'],
  H301: ['danger', 'skull'], H302: ['warning', 'exclamation'], H304: ['danger', 'healthHazard'],
  H311: ['danger', 'skull'], H312: ['warning', 'exclamation'],
  H314: ['danger', 'corrosion'], H315: ['warning', 'exclamation'], H317: ['warning', 'exclamation'],
  H318: ['danger', 'corrosion'], H319: ['warning', 'exclamation'],
  H330: ['danger', 'skull'], H331: ['danger', 'skull'], H332: ['warning', 'exclamation'],
  H334: ['danger', 'healthHazard'], H335: ['warning', 'exclamation'], H336: ['warning', 'exclamation'],
  H340: ['danger', 'healthHazard'], H341: ['warning', 'healthHazard'],
  H350: ['danger', 'healthHazard'], H351: ['warning', 'healthHazard'],
  H360FD: ['danger', 'healthHazard'], H361d: ['warning', 'healthHazard'],
  H372: ['danger', 'healthHazard'], H373: ['warning', 'healthHazard'],
  H400: ['warning', 'environment'], H410: ['warning', 'environment'], H411: ['none', 'environment'],
  H412: ['none', null],
} // prettier-ignore

/** A statement on the left makes those on the right redundant. @see UN GHS rev. 9, 1.4.10.5 */
const COVERS: Readonly<Record<string, readonly string[]>> = {
  H314: ['H315', 'H318', 'H319'],
  H318: ['H319'],
  H410: ['H400', 'H411', 'H412'],
  H411: ['H412'],
  H372: ['H373'],
  H225: ['H226'],
  H271: ['H272'],
}

/**
 * Signal word, pictograms and statements of a label.
 *
 * @param codes hazard statements, in any order, such as `H314`.
 * @returns statements in rising order without those that a graver one covers; pictograms by the rules of precedence.
 * @see UN GHS rev. 9 (2021), 1.4.10.5.3; from memory
 */
export function labelElements(codes: readonly string[]): LabelElements {
  const covered = new Set(codes.flatMap((code) => COVERS[code] ?? []))
  const statements = [...new Set(codes)].filter((code) => !covered.has(code)).sort()
  const signals = statements.map((code) => ELEMENTS[code]?.[0] ?? 'none')
  const has = (code: string) => statements.includes(code)
  const hasSkull = statements.some((code) => ELEMENTS[code]?.[1] === 'skull')
  // The exclamation mark gives way to the skull, and to the corrosion or health-hazard sign for the same organ.
  const isSilent = (code: string) =>
    ELEMENTS[code]?.[1] === 'exclamation' &&
    (hasSkull ||
      (['H315', 'H319'].includes(code) && (has('H314') || has('H318') || has('H334'))) ||
      (code === 'H317' && has('H334')))
  return {
    signal: signals.includes('danger') ? 'danger' : signals.includes('warning') ? 'warning' : 'none',
    pictograms: [
      ...new Set(
        statements
          .filter((code) => !isSilent(code))
          .flatMap((code) => ELEMENTS[code]?.[1] ?? [])
          .sort((a, b) => ORDER.indexOf(a) - ORDER.indexOf(b)),
      ),
    ],
    statements,
  }
}

const ORDER: readonly Pictogram[] = [
  'skull',
  'healthHazard',
  'corrosion',
  'flameOverCircle',
  'flame',
  'exclamation',
  'environment',
]

/** Statements whose own limits replace the general ones together: who gives a limit for one gives them for all. */
const GROUPS: readonly (readonly string[])[] = [['H314', 'H315', 'H318', 'H319']]
const groupOf = (code: string) => GROUPS.find((group) => group.includes(code)) ?? [code]

/** Strength from which one substance carries a statement into the mixture. */
function limitOf(part: MixturePart, code: string, general: number): number {
  const own = part.substance.hazard.limits ?? []
  const exact = own.find((one) => one.statement === code)
  if (exact) return exact.fromPercent
  return own.some((one) => groupOf(code).includes(one.statement)) ? Infinity : general
}

/** Shares of the limit, summed: from 1 on, the mixture carries the statement. */
function additive(parts: readonly MixturePart[], code: string, general: Readonly<Record<string, number>>) {
  const sum = parts.reduce((total, part) => {
    const hazards = Object.keys(general).filter((hazard) => part.substance.hazard.statements.includes(hazard))
    const limits = hazards.map((hazard) => limitOf(part, code, general[hazard] ?? Infinity))
    const own = hazards.length ? Math.min(...limits) : limitOf(part, code, Infinity)
    return total + part.percent / own
  }, 0)
  return sum >= 1
}

const carried = (parts: readonly MixturePart[], code: string, general: number) =>
  parts.some(
    (part) => part.substance.hazard.statements.includes(code) && part.percent >= limitOf(part, code, general),
  )

/**
 * Acute toxicity: converted point estimates by category, and the estimate up to which a mixture still belongs to it.
 * Mouth and skin in mg/kg; breathing in mg/l, of vapour for liquids and of mist for dissolved solids.
 *
 * @see UN GHS rev. 9 (2021), tables 3.1.1 and 3.1.2; from memory
 */
const ROUTES = [
  { codes: ['H301', 'H302'], estimate: [100, 500], upTo: [300, 2000] },
  { codes: ['H311', 'H312'], estimate: [300, 1100], upTo: [1000, 2000] },
  { codes: ['H330', 'H331', 'H332'], estimate: [0.05, 0.5, 1.5], upTo: [0.5, 1, 5], of: 'solid' },
  { codes: ['H330', 'H331', 'H332'], estimate: [0.5, 3, 11], upTo: [2, 10, 20], of: 'liquid' },
] as const

function acuteStatements(parts: readonly MixturePart[]): string[] {
  return ROUTES.flatMap((route) => {
    const inverse = parts.reduce((sum, { substance, percent }) => {
      if ('of' in route && (route.of === 'liquid') !== (substance.state === 'liquid')) return sum
      const category = route.codes.findIndex((code) => substance.hazard.statements.includes(code))
      // A part counts from 1 % on; one of the graver categories from 0.1 %.
      const counts = percent >= (category === route.codes.length - 1 ? 1 : 0.1)
      return category >= 0 && counts ? sum + percent / 100 / (route.estimate[category] ?? Infinity) : sum
    }, 0)
    if (inverse === 0) return []
    const reached = route.upTo.findIndex((limit) => 1 / inverse <= limit)
    return reached >= 0 ? [route.codes[reached] as string] : []
  })
}

/** @see UN GHS rev. 9 (2021), table 4.1.3 and 4.1.4 (summation with M-factors); from memory */
function aquaticStatements(parts: readonly MixturePart[]): string[] {
  const sum = (code: string, weighed = true) =>
    parts
      .filter(({ substance }) => substance.hazard.statements.includes(code))
      .reduce(
        (total, { substance, percent }) =>
          total + percent * (weighed ? (substance.hazard.aquaticFactor ?? 1) : 1),
        0,
      )
  // On a label the long-lasting statement covers the acute one, so a substance with H410 counts for both.
  const [chronic1, chronic2, chronic3] = [sum('H410'), sum('H411', false), sum('H412', false)]
  if (chronic1 >= 25) return ['H410']
  const acute = sum('H400') + chronic1 >= 25 ? ['H400'] : []
  if (10 * chronic1 + chronic2 >= 25) return [...acute, 'H411']
  if (100 * chronic1 + 10 * chronic2 + chronic3 >= 25) return [...acute, 'H412']
  return acute
}

/**
 * Hazard statements of a mixture by calculation from its parts.
 *
 * General limits in % by weight: sensitizers and category 1 carcinogens and mutagens 0.1, suspected carcinogens 0.1,
 * suspected mutagens 1, reproductive toxins 0.3 (suspected 3), skin corrosion 5 (irritation from 1), eye damage 3
 * (irritation from 1), irritants 10, repeated exposure 10 (a step weaker from 1), airways and drowsiness 20, aspiration
 * 10; acute toxicity by the additivity formula. A substance's own limits come first. What has to be measured on the
 * mixture itself is only carried by a substance's own limit (oxidising power, attack on metals), and from 10 % where it has
 * none (flash point, a rule of thumb from memory).
 *
 * @param parts percent by weight; percent w/v may be given for watery solutions and then errs to the safe side.
 * @returns statements with no order; `labelElements` orders them.
 * @see UN GHS rev. 9 (2021), chapters 3.1 to 3.10 and 4.1, and annex I of the EU's CLP; from memory
 */
export function mixtureStatements(parts: readonly MixturePart[]): string[] {
  const all = parts.map(asSold)
  const found: string[] = []
  const say = (code: string, is: boolean) => is && found.push(code)

  for (const [code, limit] of [['H317', 0.1], ['H334', 0.1], ['H340', 0.1], ['H341', 1], ['H350', 0.1], ['H351', 0.1], ['H360FD', 0.3], ['H361d', 3], ['H372', 10]] as const)
    say(code, carried(all, code, limit)) // prettier-ignore
  say('H373', carried(all, 'H373', 10) || all.some((part) => part.substance.hazard.statements.includes('H372') && part.percent >= 1)) // prettier-ignore

  say('H314', additive(all, 'H314', { H314: 5 }))
  say('H315', additive(all, 'H315', { H314: 1, H315: 10 }))
  say('H318', additive(all, 'H318', { H314: 3, H318: 3 }))
  say('H319', additive(all, 'H319', { H314: 1, H318: 1, H319: 10 }))
  say('H335', additive(all, 'H335', { H335: 20 }))
  say('H336', additive(all, 'H336', { H336: 20 }))
  say('H304', additive(all, 'H304', { H304: 10 }))

  for (const code of ['H224', 'H225', 'H226']) say(code, additive(all, code, { [code]: 10 }))
  for (const code of ['H271', 'H272', 'H290']) say(code, additive(all, code, {}))

  return [...new Set([...found, ...acuteStatements(all), ...aquaticStatements(all)])]
}

const isTradeMixture = ({ substance }: MixturePart) => substance.forms.length === 0

/** What has no formula is classed as it is sold, so its share of the mixture is that of the bought liquid. */
function asSold(part: MixturePart): MixturePart {
  const { liquid } = part.substance
  return isTradeMixture(part) && liquid
    ? { ...part, percent: Math.min(100, (100 * part.percent) / liquid.percentWw) }
    : part
}
