import { usePreferences } from './preferences.store'

/** Whether this browser can notify at all. */
export const canNotify = (): boolean => 'Notification' in window

/** Asks for the permission to notify, from a press. @returns whether it was given; it is remembered either way. */
export async function askToNotify(): Promise<boolean> {
  const preferences = usePreferences()
  if (canNotify()) await Notification.requestPermission()
  const isGiven = canNotify() && Notification.permission === 'granted'
  Object.assign(preferences.chosen, { notify: isGiven, notifyAsked: true })
  return isGiven
}
