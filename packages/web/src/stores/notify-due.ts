import { notifyDue as texts } from '#words/stores'
import { getSetting, setSetting } from '../storage/settings'
import { localDay } from '../browser/days'

const KEY = 'told-of-looks'

/** Whether the browser can be asked for leave to tell. */
export const mayNotify = () => 'Notification' in window && Notification.permission === 'default'

export const askToNotify = async (): Promise<NotificationPermission> =>
  'Notification' in window ? Notification.requestPermission() : 'denied'

/** Tells once a day how many looks are due, where the browser allows it. */
export async function tellOfLooks(count: number) {
  if (count === 0 || !('Notification' in window) || Notification.permission !== 'granted') return
  const today = localDay()
  if ((await getSetting<string>(KEY).catch(() => today)) === today) return
  await setSetting(KEY, today).catch(() => undefined)
  new Notification('Omblet', {
    body: count === 1 ? texts.oneObservationIsDueToday : texts.observationsAreDueToday(count),
    tag: 'omblet-looks',
  })
}
