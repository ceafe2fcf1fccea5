<script setup lang="ts">
import {
  CategoryScale,
  Chart as ChartJs,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js'
import { computed } from 'vue'
import { Line } from 'vue-chartjs'
import { money } from '../wording.ts'
import { useChartLook } from './chart-look.ts'

ChartJs.register(LineController, LineElement, PointElement, LinearScale, CategoryScale, Tooltip, Legend)

export interface MoneySeries {
  readonly label: string
  readonly points: readonly { readonly x: number; readonly y: number }[]
  readonly stepped?: boolean
  readonly dots?: boolean
  /** Counts instead of money, on an axis of its own at the right. */
  readonly count?: boolean
}
const props = defineProps<{
  series: readonly MoneySeries[]
  currency: string
  label: string
  /** What stands under a place of the x axis. */
  tick: (x: number) => string
  legend?: boolean
}>()
const look = useChartLook()

const data = computed(() => ({
  datasets: props.series.map((one, i) => ({
    ...look.value.stroke(i),
    label: one.label,
    data: one.points.map(({ x, y }) => ({ x, y })),
    stepped: one.stepped ? ('after' as const) : false,
    pointRadius: one.dots ? 2.5 : 0,
    pointHitRadius: 7,
    yAxisID: one.count ? 'count' : 'y',
  })),
}))
const xs = computed(() => props.series.flatMap(({ points }) => points.map(({ x }) => x)))
const counts = computed(() => props.series.some(({ count }) => count))
const options = computed(() => {
  const { still, along, axis, legend } = look.value
  const asMoney = (value: string | number) => money(Number(value), props.currency).replace(/\.00$/, '')
  const atPlace = (value: string | number) => props.tick(Number(value))
  const count = {
    ...axis({ ticks: { precision: 0 }, grid: false }),
    position: 'right' as const,
    beginAtZero: true,
  }
  return {
    ...still,
    ...along,
    scales: {
      x: {
        ...axis({ ticks: { maxTicksLimit: 7, precision: 0, callback: atPlace } }),
        type: 'linear' as const,
        min: Math.min(...xs.value),
        max: Math.max(...xs.value),
      },
      // Beside counts it is a sum that begins at nothing; prices are looked at where they are.
      y: { ...axis({ ticks: { maxTicksLimit: 5, callback: asMoney } }), beginAtZero: counts.value },
      ...(counts.value ? { count } : {}),
    },
    plugins: {
      legend: { ...legend('top', 'start'), display: props.legend ?? false },
      tooltip: {
        callbacks: {
          title: (items: readonly { parsed: { x: number | null } }[]) => props.tick(items[0]?.parsed.x ?? 0),
          label: (item: { datasetIndex: number; dataset: { label?: string }; parsed: { y: number | null } }) => {
            const value = item.parsed.y ?? 0
            const words = props.series[item.datasetIndex]?.count ? String(value) : money(value, props.currency)
            return `${item.dataset.label ?? ''}: ${words}`
          },
        },
      },
    },
  }
})
</script>

<template>
  <div class="relative min-h-0"><Line :data="data" :options="options" :aria-label="label" /></div>
</template>
