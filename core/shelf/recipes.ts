import type { ProcessDefinition, SoluteDefinition, StockDefinition } from '../schema/definition'

/** A solution that some process asks for: what it holds, how it is made and how long it serves. */
export interface ShelfRecipe {
  /** Stable id: process and component that name it first. */
  id: string
  name: string
  /** Names of the processes that use it. */
  usedFor: string[]
  stock: StockDefinition
  /** Whether it is coated, or is in a tray. */
  use: 'coat' | 'bath'
}

/**
 * Every solution that the given processes ask for, each once: equal ones under different names of a process are one.
 * Options that change what a bottle holds give recipes of their own.
 */
export function recipesOf(definitions: readonly ProcessDefinition[]): ShelfRecipe[] {
  const found = new Map<string, ShelfRecipe>()
  const add = (
    definition: ProcessDefinition,
    id: string,
    name: string,
    stock: StockDefinition,
    use: ShelfRecipe['use'],
  ) => {
    if (!stock.solutes.length) return
    const key = keyOf(stock.solutes)
    const known = found.get(key)
    if (!known) found.set(key, { id: `${definition.id}/${id}`, name, usedFor: [definition.name], stock, use })
    else {
      if (!known.usedFor.includes(definition.name)) known.usedFor.push(definition.name)
      if (use === 'coat') known.use = 'coat'
    }
  }
  for (const definition of definitions) {
    for (const component of definition.components)
      add(definition, component.id, component.name, component.stock, 'coat')
    for (const bath of definition.baths) add(definition, bath.id, bath.name, bath.stock, 'bath')
    for (const choice of definition.choices)
      for (const option of choice.options)
        for (const [id, solutes] of Object.entries(option.stocks ?? {})) {
          const component = definition.components.find((one) => one.id === id)
          if (component)
            add(definition, `${id}-${option.id}`, component.name, { ...component.stock, solutes }, 'coat')
        }
  }
  return [...found.values()]
}

const keyOf = (solutes: readonly SoluteDefinition[]) =>
  solutes
    .map((one) => `${one.substanceId} ${one.percentWv.toPrecision(4)}`)
    .sort()
    .join(' + ')
