import { ref } from 'vue'

export type ThemeChoice = 'system' | 'light' | 'dark'

const KEY = 'omblet-theme'
const system = matchMedia('(prefers-color-scheme: dark)')

function stored(): ThemeChoice {
  try {
    const value = localStorage.getItem(KEY)
    return value === 'light' || value === 'dark' ? value : 'system'
  } catch {
    return 'system'
  }
}

export const themeChoice = ref<ThemeChoice>('system')
export const isDark = ref(false)

function apply() {
  isDark.value = themeChoice.value === 'dark' || (themeChoice.value === 'system' && system.matches)
  document.documentElement.classList.toggle('dark', isDark.value)
}

export function startTheme() {
  themeChoice.value = stored()
  system.addEventListener('change', apply)
  apply()
}

export function setTheme(choice: ThemeChoice) {
  themeChoice.value = choice
  try {
    localStorage.setItem(KEY, choice)
  } catch {
    // The choice then lasts until the page is left.
  }
  apply()
}
