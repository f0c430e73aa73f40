import { usePreferences } from './preferences.store'

const canNotify = (): boolean => 'Notification' in window

/** Whether the user can still be asked: the browser can notify, and has not been told yes or no. */
export const canAskToNotify = (): boolean => canNotify() && Notification.permission === 'default'

/** Asks for the permission to notify, from a press. @returns whether it was given; it is remembered either way. */
export async function askToNotify(): Promise<boolean> {
  const preferences = usePreferences()
  if (canNotify()) await Notification.requestPermission()
  const isGiven = canNotify() && Notification.permission === 'granted'
  Object.assign(preferences.chosen, { notify: isGiven, notifyAsked: true })
  return isGiven
}
