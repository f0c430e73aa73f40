const rules = new Intl.PluralRules('en')

/** A number with its noun, held together on one line: `1 print`, `3 prints`. */
export const counted = (count: number, one: string, many = `${one}s`): string =>
  `${count}\u00A0${rules.select(count) === 'one' ? one : many}`
