import { hostname, networkInterfaces } from 'node:os'

/** Names under which a machine calls itself. */
const LOOPBACK = ['localhost', '127.0.0.1', '[::1]']

/** Names and addresses under which other machines of the network reach this one. */
export function ownNames(): string[] {
  const addresses = Object.values(networkInterfaces()).flatMap((list) =>
    (list ?? []).map(({ address, family }) => (family === 'IPv6' ? `[${address.split('%')[0]}]` : address)),
  )
  const name = hostname()
  return [name, `${name}.local`, ...addresses]
}

/**
 * Whether a request may be answered: a page elsewhere can give its own name this machine's address and then ask in the
 * browser of whoever works here; such a request carries that other name.
 *
 * @param isOpen the server was told to answer the network: under this machine's names and addresses there too.
 */
export function isKnownHost(host: string | undefined, isOpen: boolean): boolean {
  const name = host?.replace(/:\d{1,5}$/, '').toLowerCase()
  if (name === undefined) return false
  return LOOPBACK.includes(name) || (isOpen && ownNames().some((own) => own.toLowerCase() === name))
}
