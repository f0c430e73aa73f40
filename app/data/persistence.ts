/** Asks the browser not to clear the workroom when the disk runs short. It may say no; exports remain the safe copy. */
export async function askToKeep(): Promise<boolean> {
  if (!('storage' in navigator) || !navigator.storage.persist) return false
  return (await navigator.storage.persisted()) || navigator.storage.persist()
}
