import { toSignificant } from '@core/quantity/number'
import { computed, ref } from 'vue'
import { leftIn } from '@core/chemistry/lots'
import type { Bottle } from '@core/schema/records'
import { conditionOf } from '@core/shelf/condition'
import { substances } from '@library/index'
import { useNow } from '../../state/useNow'
import { useWorkroom } from '../../state/workroom.store'
import { useRecipes } from '../../state/useRecipes'

/** One bottle as it is on its board. */
export interface ShelvedBottle {
  bottle: Bottle
  /** `null` where no one measured. */
  left: number | null
  /** How full it is drawn, from 0 to 1. */
  level: number
  condition: ReturnType<typeof conditionOf>
  colour: string
  /** What the label says below the name: strength, then the day. */
  strength: string
}

const CLEAR = '#dfe0da'

/** The shelf: what is on which board, and what there is to make. */
export function useShelf() {
  const [workroom, now] = [useWorkroom(), useNow()]
  // A shelf is read by the minute; conditions need not be asked at every beat.
  const minute = computed(() => Math.floor(now.now / 60_000) * 60_000)
  const recipes = useRecipes()

  const standing = computed<ShelvedBottle[]>(() =>
    workroom.bottles
      .filter((bottle) => !bottle.ended)
      .sort((a, b) => a.name.localeCompare(b.name) || (a.madeAt ?? 0) - (b.madeAt ?? 0))
      .map((bottle) => {
        const left = leftIn(bottle, workroom.taken)
        return {
          bottle,
          left,
          level: left !== null && bottle.amount ? Math.min(1, left / bottle.amount) : 0.6,
          condition: conditionOf(bottle, left, minute.value),
          colour: colourOf(bottle),
          strength: strengthOf(bottle),
        }
      }),
  )
  const isBath = (bottle: Bottle) => {
    const held = new Set(bottle.contents.map((one) => one.substanceId))
    const recipe = recipes.value.find(
      (one) =>
        one.stock.solutes.length === held.size && one.stock.solutes.every((s) => held.has(s.substanceId)),
    )
    return recipe ? recipe.use === 'bath' : false
  }
  /** What is searched for, and whether only bottles that need attention are shown. */
  const [asked, onlyWrong] = [ref(''), ref(false)]
  const wrong = computed(() => standing.value.filter((one) => one.condition?.tone === 'wrong').length)
  const seen = computed(() => {
    const words = asked.value.toLowerCase().split(/\s+/).filter(Boolean)
    return standing.value.filter((one) => {
      if (onlyWrong.value && one.condition?.tone !== 'wrong') return false
      const text = textOf(one)
      return words.every((word) => text.includes(word))
    })
  })
  const boards = computed(() =>
    [
      {
        name: 'For coating',
        bottles: seen.value.filter(({ bottle }) => bottle.kind === 'solution' && !isBath(bottle)),
      },
      {
        name: 'For trays',
        bottles: seen.value.filter(({ bottle }) => bottle.kind === 'solution' && isBath(bottle)),
      },
      { name: 'Jars', bottles: seen.value.filter(({ bottle }) => bottle.kind !== 'solution') },
    ].filter((board) => board.bottles.length),
  )
  return { boards, standing, recipes, minute, asked, onlyWrong, wrong }
}

/** All by which a bottle can be found: its label, its condition, and every name of what it holds. */
function textOf({ bottle, strength, condition }: ShelvedBottle): string {
  const held = bottle.contents.flatMap(({ substanceId }) => {
    const substance = substances[substanceId]
    return substance
      ? [substance.name, ...substance.synonyms, ...substance.forms.map((one) => one.formula)]
      : []
  })
  return [bottle.name, bottle.label, strength, condition?.words, ...held].join(' ').toLowerCase()
}

/** The colour that decides how a solution looks: of its most coloured part. */
function colourOf(bottle: Bottle): string {
  if (bottle.kind === 'solid') return substances[bottle.contents[0]?.substanceId ?? '']?.colour ?? '#ece8dd'
  const coloured = bottle.contents
    .flatMap((one) => ({ percent: one.percent, colour: substances[one.substanceId]?.colour }))
    .filter((one) => one.colour)
    .sort((a, b) => b.percent - a.percent)
  return coloured[0]?.colour ?? CLEAR
}

function strengthOf(bottle: Bottle): string {
  const strengths = bottle.contents.map((one) => String(toSignificant(one.percent, 3)))
  return strengths.length ? `${strengths.join(' + ')} %` : ''
}
