import { meterState } from '@omblet/core'
import { differenceInCalendarDays } from 'date-fns'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { announce, listen } from '../storage/channel'
import { carriedSetting, changeSetting, type Tools } from '../storage/settings'

const NONE: Tools = { calibration: null, dropGrams: null, currency: '' }

export const useTools = defineStore('tools', () => {
  const tools = shallowRef<Tools>(NONE)
  const today = ref(new Date())
  let loaded: Promise<void> | null = null

  const load = () =>
    (loaded ??= (async () => {
      await reread()
    })())
  const reread = async () => {
    tools.value = (await carriedSetting('tools').catch(() => undefined)) ?? tools.value
  }

  async function patch(change: Partial<Tools>) {
    await load()
    tools.value = { ...tools.value, ...change }
    // what another tab set meanwhile stays
    tools.value = await changeSetting('tools', (here) => ({ ...NONE, ...here, ...change }))
    announce({ type: 'setting', id: 'tools' })
  }
  listen((message) => {
    if (message.type === 'all' || (message.type === 'setting' && message.id === 'tools')) return reread()
  })

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
