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
import { chartFont, lineLooks, useColours } from './chart-look.ts'

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
const colours = useColours()

const data = computed(() => ({
  datasets: props.series.map((one, i) => {
    const look = lineLooks[i % lineLooks.length] ?? lineLooks[0]
    return {
      label: one.label,
      data: one.points.map(({ x, y }) => ({ x, y })),
      borderColor: colours.value(look.colour),
      backgroundColor: colours.value(look.colour),
      borderDash: [...look.dash],
      borderWidth: 1.8,
      stepped: one.stepped ? ('after' as const) : false,
      pointRadius: one.dots ? 2.5 : 0,
      pointHitRadius: 7,
      yAxisID: one.count ? 'count' : 'y',
    }
  }),
}))
const xs = computed(() => props.series.flatMap(({ points }) => points.map(({ x }) => x)))
const counts = computed(() => props.series.some(({ count }) => count))
const options = computed(() => {
  const [ink, line, soft] = ['--ink', '--line', '--soft'].map((name) => colours.value(name))
  return {
    responsive: true,
    maintainAspectRatio: false,
    animation: false as const,
    parsing: false as const,
    interaction: { mode: 'nearest' as const, axis: 'x' as const, intersect: false },
    scales: {
      x: {
        type: 'linear' as const,
        min: Math.min(...xs.value),
        max: Math.max(...xs.value),
        ticks: {
          color: soft,
          font: chartFont(11),
          maxTicksLimit: 7,
          precision: 0,
          callback: (value: string | number) => props.tick(Number(value)),
        },
        grid: { color: line },
        border: { color: line },
      },
      y: {
        beginAtZero: false,
        ticks: {
          color: soft,
          font: chartFont(11),
          maxTicksLimit: 5,
          callback: (value: string | number) => money(Number(value), props.currency).replace(/\.00$/, ''),
        },
        grid: { color: line },
        border: { color: line },
      },
      ...(counts.value
        ? {
            count: {
              position: 'right' as const,
              beginAtZero: true,
              ticks: { color: soft, font: chartFont(11), precision: 0 },
              grid: { display: false },
              border: { color: line },
            },
          }
        : {}),
    },
    plugins: {
      legend: {
        display: props.legend ?? false,
        position: 'top' as const,
        align: 'start' as const,
        labels: { color: ink, font: chartFont(11), boxWidth: 22, boxHeight: 0, padding: 8 },
      },
      tooltip: {
        callbacks: {
          title: (items: readonly { parsed: { x: number | null } }[]) => props.tick(items[0]?.parsed.x ?? 0),
          label: (item: { datasetIndex: number; dataset: { label?: string }; parsed: { y: number | null } }) =>
            `${item.dataset.label ?? ''}: ${props.series[item.datasetIndex]?.count ? String(item.parsed.y ?? 0) : money(item.parsed.y ?? 0, props.currency)}`,
        },
      },
    },
  }
})
</script>

<template>
  <div class="relative min-h-0"><Line :data="data" :options="options" :aria-label="label" /></div>
</template>
