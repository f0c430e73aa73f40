import { CoreError } from '../errors'
import type { Figure } from '../quantity/figure'
import { ATOMIC_WEIGHTS } from './atomicWeights'

/**
 * Atoms in one formula unit.
 *
 * @param formula such as `K3[Fe(CN)6]` or `H2C2O4·2H2O`; a middle dot or full stop joins water of crystallisation.
 * @returns element symbol to count.
 * @throws CoreError `unreadable-formula` or `unknown-element`, naming the piece.
 */
export function atomsIn(formula: string): Map<string, number> {
  const atoms = new Map<string, number>()
  for (const part of formula.replace(/\s/g, '').split(/[·.]/)) {
    const [, times = '', body = ''] = /^(\d*)(.*)$/.exec(part) ?? []
    addGroup(atoms, body, Number(times || 1), formula)
  }
  return atoms
}

const GROUP = /^(?:([A-Z][a-z]?)|\(([^()]*)\)|\[((?:[^[\]])*)\])(\d*)/

function addGroup(atoms: Map<string, number>, body: string, times: number, formula: string): void {
  if (!body) throw unreadable(formula, formula)
  let rest = body
  while (rest) {
    const match = GROUP.exec(rest)
    if (!match) throw unreadable(formula, rest)
    const [whole, element, round, square, count] = match
    const n = times * Number(count || 1)
    if (element) {
      if (!(element in ATOMIC_WEIGHTS))
        throw new CoreError({
          code: 'unknown-element',
          field: formula,
          problem: `“${element}” is not an element symbol.`,
          remedy: 'Check capitals: Co is cobalt, CO is carbon and oxygen.',
          part: element,
        })
      atoms.set(element, (atoms.get(element) ?? 0) + n)
    } else addGroup(atoms, round ?? square ?? '', n, formula)
    rest = rest.slice(whole.length)
  }
}

const unreadable = (formula: string, part: string) =>
  new CoreError({
    code: 'unreadable-formula',
    field: formula || 'formula',
    problem: part ? `“${part}” is not a valid formula.` : 'The formula is empty.',
    remedy: 'Enter a formula such as K3[Fe(CN)6] or H2C2O4·2H2O.',
    part,
  })

/**
 * Mass of one mole.
 *
 * @param formula see `atomsIn`.
 * @returns g/mol.
 * @throws CoreError as `atomsIn`.
 * @see IUPAC/CIAAW abridged standard atomic weights (2021); from memory
 */
export function molarMass(formula: string): Figure {
  const atoms = [...atomsIn(formula)]
  return {
    value: atoms.reduce((sum, [element, count]) => sum + count * (ATOMIC_WEIGHTS[element] as number), 0),
    unit: 'g/mol',
    working: {
      words: 'sum over the atoms of one formula unit',
      formula: `M(${formula}) = Σ n·A`,
      inputs: atoms.map(([element, count]) => ({
        name: `${element} × ${count}`,
        symbol: `A(${element})`,
        value: ATOMIC_WEIGHTS[element] as number,
        unit: 'g/mol',
      })),
      standing: 'published',
      source: 'IUPAC/CIAAW abridged standard atomic weights, 2021 (from memory)',
    },
  }
}
