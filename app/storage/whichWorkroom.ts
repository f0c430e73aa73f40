import { basePath } from './server'

/** A window shows one's own workroom or the demo; each has a storage of its own. */
const KEY = 'ember-sheet-workroom'

/** The server says in the page which one it opens; a window may have been told otherwise. */
export function whichWorkroom(): 'own' | 'demo' {
  const opened =
    document.querySelector<HTMLMetaElement>('meta[name="ember-workroom"]')?.content === 'demo'
      ? 'demo'
      : 'own'
  try {
    const told = sessionStorage.getItem(KEY)
    return told === 'own' || told === 'demo' ? told : opened
  } catch {
    return opened
  }
}

/** Turns this window to the other workroom, and begins it again there. */
export function goToWorkroom(which: 'own' | 'demo'): void {
  sessionStorage.setItem(KEY, which)
  location.assign(basePath)
}

/** Whether this window shows the demo, which never touches the user's own workroom. */
export const isDemo = whichWorkroom() === 'demo'
