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
import { useChartLook } from './chart-look.ts'

ChartJs.register(LineController, LineElement, PointElement, LinearScale, CategoryScale, Tooltip, Legend)

const props = defineProps<{
  samples: readonly { readonly second: number; readonly percents: Readonly<Record<string, number>> }[]
  names: ReadonlyMap<string, string>
  /** Length of the day, minutes. */
  minutes: number
  label: string
}>()
const look = useChartLook()
const data = computed(() => ({
  datasets: Object.keys(props.samples[0]?.percents ?? {}).map((id, i) => ({
    ...look.value.stroke(i),
    label: shortName(props.names.get(id) ?? id),
    data: props.samples.map(({ second, percents }) => ({ x: second / 60, y: percents[id] ?? 0 })),
    pointRadius: 0,
    pointHitRadius: 6,
  })),
}))
const options = computed(() => {
  const { still, along, axis, legend } = look.value
  const asHours = (value: string | number) => `${Math.round(Number(value) / 60)} h`
  return {
    ...still,
    ...along,
    scales: {
      x: {
        ...axis({ ticks: { stepSize: 60, callback: asHours } }),
        type: 'linear' as const,
        min: 0,
        max: props.minutes,
      },
      y: {
        ...axis({ ticks: { stepSize: 25, callback: (value: string | number) => `${value} %` } }),
        min: 0,
        max: 100,
      },
    },
    plugins: {
      legend: { ...legend('right', 'start', { padding: 5 }), maxWidth: 190 },
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
