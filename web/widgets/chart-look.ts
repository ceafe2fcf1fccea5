import { computed, type ComputedRef } from 'vue'
import { useSettings } from '../stores/settings.ts'

/** Lines are told apart by dash and mark as well as by colour. */
export const lineLooks = [
  { colour: '--leaf', dash: [] },
  { colour: '--slate', dash: [7, 3] },
  { colour: '--amber', dash: [2, 3] },
  { colour: '--brick', dash: [9, 3, 2, 3] },
  { colour: '--soft', dash: [4, 4] },
  { colour: '--ink', dash: [1, 2] },
  { colour: '--leaf', dash: [12, 4] },
  { colour: '--brick', dash: [3, 2] },
] as const

/** The colours of the theme that is on, by their names. */
export const useColours = (): ComputedRef<(name: string) => string> => {
  const settings = useSettings()
  return computed(() => {
    void settings.theme
    const style = getComputedStyle(document.documentElement)
    return (name: string) => style.getPropertyValue(name).trim() || '#888'
  })
}

export const chartFont = (size: number) => ({ family: 'Archivo Variable', size })
