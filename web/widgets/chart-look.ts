import { computed, type ComputedRef, ref } from 'vue'
import { useSettings } from '../stores/settings.ts'

/** Lines are told apart by dash and mark as well as by colour. */
const lineLooks = [
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

const chartFont = (size: number) => ({ family: FAMILY, size })

interface AxisLook {
  readonly title?: string
  readonly ticks?: object
  /** Lines across the sheet; an axis at the right has none. */
  readonly grid?: boolean
}

/** How every chart looks in the theme that is on: its axes, its legend, and that nothing moves. */
export const useChartLook = () => {
  const colours = useColours()
  return computed(() => {
    const [ink, line, soft] = ['--ink', '--line', '--soft'].map((name) => colours.value(name))
    return {
      still: { responsive: true, maintainAspectRatio: false, animation: false as const },
      /** What lies next to the pointer along the axis is told. */
      along: {
        parsing: false as const,
        interaction: { mode: 'nearest' as const, axis: 'x' as const, intersect: false },
      },
      axis: ({ title, ticks = {}, grid = true }: AxisLook = {}) => ({
        ...(title ? { title: { display: true, text: title, color: soft, font: chartFont(12) } } : {}),
        ticks: { color: soft, font: chartFont(11), ...ticks },
        grid: grid ? { color: line } : { display: false },
        border: { color: line },
      }),
      legend: <P extends 'top' | 'right', A extends 'start' | 'end'>(position: P, align: A, labels: object = {}) => ({
        position,
        align,
        labels: { color: ink, font: chartFont(11), boxWidth: 22, boxHeight: 0, padding: 8, ...labels },
      }),
      /** A line by its place in the chart: its colour and its dashes. */
      stroke: (i: number) => {
        const look = lineLooks[i % lineLooks.length] ?? lineLooks[0]
        const colour = colours.value(look.colour)
        return { borderColor: colour, backgroundColor: colour, borderDash: [...look.dash], borderWidth: 1.8 }
      },
    }
  })
}
