/** Names under which this machine calls itself. */
const LOOPBACK = /^(localhost|127\.0\.0\.1|\[::1\])(:\d{1,5})?$/i

/**
 * Whether a request may be answered: a page elsewhere can give its own name this machine's address and then ask in the
 * browser of whoever works here; such a request carries that other name.
 *
 * @param isOpen the server was told to answer the whole network, under whatever name it has there.
 */
export const isKnownHost = (host: string | undefined, isOpen: boolean): boolean =>
  isOpen || (host !== undefined && LOOPBACK.test(host))
