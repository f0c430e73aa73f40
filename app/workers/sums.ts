import { bytesToHex } from '@noble/hashes/utils.js'
import { sumsOf } from '@core/archive/archive'

/** SHA-256 in hexadecimal, by the browser's own means, which it offers only to pages it takes for safe. */
export async function sumOf(bytes: Uint8Array): Promise<string> {
  if (!('subtle' in crypto)) return sumsOf(new Map([['', bytes]])).get('') ?? ''
  return bytesToHex(new Uint8Array(await crypto.subtle.digest('SHA-256', bytes as BufferSource)))
}

/** So many are asked for before the first is waited for: the browser sums up on threads of its own. */
const AT_ONCE = 500

/** Sums of many files, by path. @param pulse throws to call it off. */
export async function sumsOfAll(
  files: Iterable<readonly [path: string, bytes: Uint8Array]>,
  pulse: () => void,
): Promise<Map<string, string>> {
  const sums = new Map<string, string>()
  const all = [...files]
  for (let from = 0; from < all.length; from += AT_ONCE) {
    const some = all.slice(from, from + AT_ONCE)
    for (const [path, sum] of await Promise.all(
      some.map(async ([path, bytes]) => [path, await sumOf(bytes)] as const),
    ))
      sums.set(path, sum)
    pulse()
  }
  return sums
}
