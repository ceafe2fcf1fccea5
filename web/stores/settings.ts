import { defineStore } from 'pinia'
import { ref, watchEffect } from 'vue'
import type { Units } from '../wording.ts'

const read = (key: string): string | null => {
  try {
    return localStorage.getItem(key)
  } catch {
    return null
  }
}
const keep = (key: string, value: string): void => {
  try {
    localStorage.setItem(key, value)
  } catch {
    // A browser that keeps nothing still works; the choice just ends with the visit.
  }
}

/** Choices of this browser: theme and units. */
export const useSettings = defineStore('settings', () => {
  const theme = ref<'light' | 'dark'>(document.documentElement.dataset['theme'] === 'dark' ? 'dark' : 'light')
  const units = ref<Units>(read('zucchini:units') === 'imperial' ? 'imperial' : 'metric')
  watchEffect(() => {
    document.documentElement.dataset['theme'] = theme.value
  })
  const turnTheme = () => {
    theme.value = theme.value === 'dark' ? 'light' : 'dark'
    keep('zucchini:theme', theme.value)
  }
  const turnUnits = () => {
    units.value = units.value === 'metric' ? 'imperial' : 'metric'
    keep('zucchini:units', units.value)
  }
  return { theme, units, turnTheme, turnUnits }
})
