import { Calibration, meterState } from '@omblet/core'
import { differenceInCalendarDays } from 'date-fns'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import * as z from 'zod'
import { getSetting, setSetting } from '../storage/formulas'

/** What is true of a maker's own tools: the meter's last calibration, the weight of a drop, the money that is counted in. */
const Tools = z.object({
  calibration: Calibration.nullable(),
  dropGrams: z.number().gt(0).max(1).nullable(),
  currency: z.string().max(8).default(''),
})
type Tools = z.infer<typeof Tools>
const KEY = 'tools'

export const useTools = defineStore('tools', () => {
  const tools = shallowRef<Tools>({ calibration: null, dropGrams: null, currency: '' })
  const today = ref(new Date())
  let loaded: Promise<void> | null = null

  const load = () =>
    (loaded ??= (async () => {
      const parsed = Tools.safeParse(await getSetting<unknown>(KEY).catch(() => null))
      if (parsed.success) tools.value = parsed.data
    })())

  async function patch(change: Partial<Tools>) {
    // what is stored is known before anything is written over it
    await load()
    tools.value = { ...tools.value, ...change }
    await setSetting(KEY, tools.value)
  }

  const meter = computed(() => {
    const c = tools.value.calibration
    if (!c) return null
    const days = differenceInCalendarDays(today.value, new Date(c.at))
    const electrodeDays = c.electrodeSince
      ? differenceInCalendarDays(today.value, new Date(c.electrodeSince))
      : undefined
    return meterState(c, { days, ...(electrodeDays === undefined ? {} : { electrodeDays }) })
  })
  /** Times the usual error of a reading: more while the meter wants its buffers. */
  const doubt = computed(() => meter.value?.doubt ?? 1)

  return { tools, meter, doubt, load, patch }
})
