import { Calibration } from '@omblet/core'
import * as z from 'zod'
import { openStore, whole } from './db'

/** What is true of a maker's own tools: the meter's last calibration, the weight of a drop, the money that is counted in. */
export const Tools = z.object({
  calibration: Calibration.nullable().catch(null),
  dropGrams: z.number().gt(0).max(1).nullable().catch(null),
  currency: z.string().max(8).catch('').default(''),
})
export type Tools = z.infer<typeof Tools>

/** Settings that a backup carries, what is true of the maker and not of this browser, each with its shape. */
export const CARRIED = {
  tools: Tools,
  who: z.string().max(100),
  /** Since when batches count, by lesson and what it is of. */
  forgotten: z.record(z.string(), z.string()),
}
export const isCarried = (key: string): key is keyof typeof CARRIED => key in CARRIED

export async function getSetting<T>(key: string): Promise<T | undefined> {
  return (await (await openStore()).get('settings', key))?.value as T | undefined
}
/** A setting that is carried, where it is what it should be. */
export async function carriedSetting<K extends keyof typeof CARRIED>(key: K) {
  return CARRIED[key].safeParse(await getSetting(key)).data as z.infer<(typeof CARRIED)[K]> | undefined
}
export const setSetting = async (key: string, value: unknown) => {
  await (await openStore()).put('settings', { key, value })
}
/** Changes a setting from what stands in the store, so that two tabs add up; gives back what stands now. */
export async function changeSetting<K extends keyof typeof CARRIED>(
  key: K,
  change: (here: z.infer<(typeof CARRIED)[K]> | undefined) => z.infer<(typeof CARRIED)[K]>,
): Promise<z.infer<(typeof CARRIED)[K]>> {
  const tx = (await openStore()).transaction('settings', 'readwrite')
  return whole(tx, async (put) => {
    const here = CARRIED[key].safeParse((await tx.store.get(key))?.value).data
    const next = change(here as never)
    put(tx.store.put({ key, value: next }))
    return next
  })
}
