import { usePreferredDark, useStorage } from '@vueuse/core'
import { computed, watchEffect } from 'vue'

/** Evening colours, day colours, or what the device has. */
const chosen = useStorage<'system' | 'light' | 'dark'>('omblet-theme', 'system', undefined, {
  writeDefaults: false,
  onError: () => undefined, // where nothing may be kept, the choice lasts until the page is left
})
const system = usePreferredDark()
export const isDark = computed(() => chosen.value === 'dark' || (chosen.value !== 'light' && system.value))

export const startTheme = () =>
  watchEffect(() => void document.documentElement.classList.toggle('dark', isDark.value), { flush: 'sync' })
export const setTheme = (choice: 'light' | 'dark') => (chosen.value = choice)
