/**
 * An import may put another record in the place of one without a new moment of change, which lists go by. It is called out
 * to every window, this one too, so that they read everything once more.
 */
const NAME = 'ember-sheet-brought-in'

/** @returns the way to stop listening. */
export function onImported(listen: () => void): () => void {
  const channel = new BroadcastChannel(NAME)
  channel.onmessage = listen
  return () => channel.close()
}

export function announceImport(): void {
  const channel = new BroadcastChannel(NAME)
  channel.postMessage(null)
  channel.close()
}
