import type { Incompatibility } from '@core/record/substance'

/** What must not meet in a glass, a tray or a waste jar. Common practice of laboratory safety. */
export const incompatibilities: readonly Incompatibility[] = [
  {
    between: ['ferricyanide', 'strongAcid'],
    danger: 'Ferricyanide with a strong acid can give off hydrogen cyanide.',
    remedy: 'Keep them apart; wash between the baths, and never pour them into one jar.',
  },
  {
    between: ['sulfite', 'acid'],
    danger: 'Sulfite with acid gives off sulfur dioxide.',
    remedy: 'Wash in running water between the two baths.',
  },
  {
    between: ['thiosulfate', 'acid'],
    danger: 'Thiosulfate with acid gives off sulfur dioxide and throws sulfur.',
    remedy: 'Wash in running water between the two baths; fix in a plain or alkaline fixer.',
  },
  {
    between: ['silver', 'ammonia'],
    danger: 'Silver and ammonia left standing can form explosive silver compounds.',
    remedy:
      'Never store them together. Ask the local licensed service before anything that holds both stands.',
  },
  {
    between: ['hypochlorite', 'acid'],
    danger: 'Hypochlorite with acid gives off chlorine.',
    remedy: 'Never in one room at one time; rinse trays well between them.',
  },
  {
    between: ['hypochlorite', 'ammonia'],
    danger: 'Hypochlorite with ammonia gives off poisonous chloramines.',
    remedy: 'Never in one room at one time.',
  },
  {
    between: ['oxidiser', 'flammable'],
    danger: 'An oxidiser with a flammable liquid can take fire.',
    remedy: 'Keep them on separate shelves; add in small amounts only where a recipe calls for both.',
  },
]
