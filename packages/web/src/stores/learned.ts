import { inVessel, learn, type Learned, type LearnedValue } from '@omblet/core'
import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { carriedSetting, changeSetting } from '../storage/settings'
import { useBatches } from './batches'

/** What earlier batches taught, and what of it was forgotten. */
export const useLearned = defineStore('learned', () => {
  const batches = useBatches()
  /** Since when batches count, by lesson and what it is of. */
  const forgotten = shallowRef<Record<string, string>>({})
  let reading: Promise<void> | null = null
  const load = () =>
    (reading ??= (async () => {
      if (!batches.ready) await batches.load()
      forgotten.value = (await carriedSetting('forgotten').catch(() => undefined)) ?? {}
    })())
  const keyOf = (lesson: LearnedValue, of: string | null) => `${lesson} ${of ?? ''}`.trim()

  /** What was learned of something; null where nothing was, or it was forgotten. */
  function of(lesson: LearnedValue, what: string | null = null): Learned | null {
    void load()
    return learn(batches.heads, lesson, what, forgotten.value[keyOf(lesson, what)] ?? '')
  }
  /** What a lesson is of: this very vessel where it taught something, else every one. */
  function nearest(lesson: LearnedValue, what: string | null, vesselGrams: number | null): string | null {
    const own = vesselGrams === null ? null : inVessel(what, vesselGrams)
    return own !== null && of(lesson, own) ? own : what
  }
  /** Forgets what was learned so far: only batches that begin later count. Gives back how to undo it. */
  async function forget(lesson: LearnedValue, what: string | null, now = new Date().toISOString()) {
    const key = keyOf(lesson, what)
    const before = forgotten.value[key]
    const put = async (since: string | undefined) => {
      const next = (here: Record<string, string> = {}) => {
        const { [key]: _old, ...others } = here
        return since === undefined ? others : { ...others, [key]: since }
      }
      forgotten.value = next(forgotten.value)
      forgotten.value = await changeSetting('forgotten', next).catch(() => forgotten.value)
    }
    await put(now)
    return () => put(before)
  }
  return { load, of, nearest, forget }
})
