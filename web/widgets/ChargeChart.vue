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
import { hours, shortName } from '../wording.ts'
import { chartFont, lineLooks, useColours } from './chart-look.ts'

ChartJs.register(LineController, LineElement, PointElement, LinearScale, CategoryScale, Tooltip, Legend)

const props = defineProps<{
  samples: readonly { readonly second: number; readonly percents: Readonly<Record<string, number>> }[]
  names: ReadonlyMap<string, string>
  /** Length of the day, minutes. */
  minutes: number
  label: string
}>()
const colours = useColours()
const data = computed(() => ({
  datasets: Object.keys(props.samples[0]?.percents ?? {}).map((id, i) => {
    const look = lineLooks[i % lineLooks.length] ?? lineLooks[0]
    return {
      label: shortName(props.names.get(id) ?? id),
      data: props.samples.map(({ second, percents }) => ({ x: second / 60, y: percents[id] ?? 0 })),
      borderColor: colours.value(look.colour),
      backgroundColor: colours.value(look.colour),
      borderDash: [...look.dash],
      borderWidth: 1.8,
      pointRadius: 0,
      pointHitRadius: 6,
    }
  }),
}))
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
        min: 0,
        max: props.minutes,
        ticks: {
          color: soft,
          font: chartFont(11),
          stepSize: 60,
          callback: (value: string | number) => `${Math.round(Number(value) / 60)} h`,
        },
        grid: { color: line },
        border: { color: line },
      },
      y: {
        min: 0,
        max: 100,
        ticks: { color: soft, font: chartFont(11), stepSize: 25, callback: (value: string | number) => `${value} %` },
        grid: { color: line },
        border: { color: line },
      },
    },
    plugins: {
      legend: {
        position: 'right' as const,
        align: 'start' as const,
        maxWidth: 190,
        labels: { color: ink, font: chartFont(11), boxWidth: 22, boxHeight: 0, padding: 5 },
      },
      tooltip: {
        callbacks: {
          title: (items: readonly { parsed: { x: number | null } }[]) => hours(items[0]?.parsed.x ?? 0),
          label: (item: { dataset: { label?: string }; parsed: { y: number | null } }) =>
            `${item.dataset.label ?? ''}: ${Math.round(item.parsed.y ?? 0)} %`,
        },
      },
    },
  }
})
</script>

<template>
  <div class="relative min-h-0"><Line :data="data" :options="options" :aria-label="label" /></div>
</template>
