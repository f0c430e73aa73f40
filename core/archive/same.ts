/** Deep equality of plain data, in any order of keys; an absent field equals an undefined one. */
export function isSame(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  const keys = new Set([...Object.keys(a), ...Object.keys(b)])
  return [...keys].every((key) => isSame((a as Data)[key], (b as Data)[key]))
}

type Data = Record<string, unknown>
