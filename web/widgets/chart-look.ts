import { computed, type ComputedRef, ref } from 'vue'
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

const FAMILY = "'Archivo Variable', system-ui, sans-serif"
/** A canvas draws with whatever face it has at that moment: once ours has come, charts are drawn anew. */
const faceCame = ref(false)
if (typeof document !== 'undefined' && 'fonts' in document)
  void document.fonts.load(`11px ${FAMILY}`).then(
    () => (faceCame.value = true),
    () => undefined,
  )

/** The colours of the theme that is on, by their names. */
export const useColours = (): ComputedRef<(name: string) => string> => {
  const settings = useSettings()
  return computed(() => {
    void settings.theme
    void faceCame.value
    const style = getComputedStyle(document.documentElement)
    return (name: string) => style.getPropertyValue(name).trim() || '#888'
  })
}

export const chartFont = (size: number) => ({ family: FAMILY, size })
