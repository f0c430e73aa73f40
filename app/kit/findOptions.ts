import Fuse from 'fuse.js'

/** What can be chosen, and by which other names it is found. */
export interface Findable {
  id: string
  name: string
  /** Other names, shown beside it. */
  also?: readonly string[]
  /** Names by which it is found and that are not shown, such as formulas. */
  finds?: readonly string[]
}

/** Without accents, signs and case, and in one spelling: `Na₂S₂O₃·5H₂O` is found as `na2s2o3`, sulphite as sulfite. */
const plain = (text: string) =>
  text
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
    .toLowerCase()
    .replace(/sulph/g, 'sulf')

const namesOf = ({ name, also = [], finds = [] }: Findable) => [name, ...also, ...finds]

const MOST_CLOSE = 5

/**
 * The options that a search means: those that hold every word of it, and where none does, the few that are close.
 *
 * @returns whether they are only close; all of the options, in their order, for an empty search.
 */
export function findOptions<Option extends Findable>(
  options: readonly Option[],
  search: string,
): { found: readonly Option[]; isClose: boolean } {
  const words = plain(search).split(' ').filter(Boolean)
  if (!words.length) return { found: options, isClose: false }
  const holding = options.filter((option) => {
    const names = plain(namesOf(option).join(' | '))
    return words.every((word) => names.includes(word))
  })
  if (holding.length) return { found: holding, isClose: false }
  const fuse = new Fuse(
    options.map((option) => ({ option, names: namesOf(option).map(plain) })),
    { keys: ['names'], threshold: 0.5, ignoreLocation: true },
  )
  return {
    found: fuse.search(words.join(' '), { limit: MOST_CLOSE }).map(({ item }) => item.option),
    isClose: true,
  }
}
