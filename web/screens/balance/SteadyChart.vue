<script setup lang="ts">
import type { Variant } from '@zucchini/core/assess'
import { Chart as ChartJs, Legend, LinearScale, PointElement, ScatterController, Tooltip } from 'chart.js'
import { computed } from 'vue'
import { Scatter } from 'vue-chartjs'
import { useRig } from '../../stores/rig.ts'
import { useChartLook, useColours } from '../../widgets/chart-look.ts'
import { grams, holdWords } from '../../wording.ts'
import { sheetOf } from './steady-range.ts'

ChartJs.register(ScatterController, LinearScale, PointElement, Tooltip, Legend)

const props = defineProps<{ variants: readonly Variant[] }>()
const store = useRig()

const kinds = [
  { kind: 'now', label: 'this set-up', colour: '--leaf', style: 'circle', radius: 8 },
  { kind: 'setup', label: 'other set-ups', colour: '--slate', style: 'rect', radius: 6 },
  { kind: 'without', label: 'one part less', colour: '--amber', style: 'triangle', radius: 5 },
  { kind: 'bare', label: 'bare camera', colour: '--ink', style: 'crossRot', radius: 6 },
] as const

const colours = useColours()
const look = useChartLook()
const sheet = computed(() => sheetOf(props.variants))
const offWords = computed(() => {
  const { off } = sheet.value
  return (
    off && `The ${off.name} lies off this sheet: ${grams(off.massG, store.style.units)}, ${off.yawShake.toFixed(2)} ×`
  )
})
const data = computed(() => ({
  datasets: kinds
    .filter(({ kind }) => kind !== sheet.value.off?.kind)
    .map(({ kind, label, colour, style, radius }) => ({
      label,
      data: props.variants
        .filter((variant) => variant.kind === kind)
        .map((variant) => ({ x: variant.massG, y: variant.yawShake, variant })),
      backgroundColor: colours.value(colour),
      borderColor: colours.value(colour),
      borderWidth: kind === 'bare' ? 2 : 1,
      pointStyle: style,
      radius,
      hoverRadius: radius + 2,
    })),
}))
const options = computed(() => {
  const { still, axis, legend } = look.value
  const ticks = { maxTicksLimit: 7 }
  return {
    ...still,
    scales: {
      x: { ...axis({ title: 'grams in the hand: lighter to the left', ticks }), ...sheet.value.massG },
      y: { ...axis({ title: 'yaw shake: steadier below', ticks }), ...sheet.value.yawShake },
    },
    plugins: {
      legend: legend('top', 'end', { usePointStyle: true, boxHeight: 7 }),
      tooltip: {
        callbacks: {
          label: ({ raw }: { raw: unknown }) => {
            const { variant } = raw as { variant: Variant }
            const held = variant.holdMinutes === undefined ? '' : `, held ${holdWords(variant.holdMinutes)}`
            return `${variant.name}: ${grams(variant.massG, store.style.units)}, ${variant.yawShake.toFixed(2)} ×${held}`
          },
        },
      },
    },
  }
})
</script>

<template>
  <div class="relative flex h-full min-h-0 flex-col overflow-hidden">
    <div class="relative min-h-0 flex-1"><Scatter :data="data" :options="options" aria-hidden="true" /></div>
    <p v-if="offWords" class="label tight text-right" aria-hidden="true">{{ offWords }}</p>
    <table class="sr-only">
      <caption>
        Light against steady
      </caption>
      <thead>
        <tr>
          <th scope="col">variant</th>
          <th scope="col">in the hand</th>
          <th scope="col">yaw shake</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="variant in variants" :key="variant.id">
          <td>{{ variant.name }}</td>
          <td>{{ grams(variant.massG, store.style.units) }}</td>
          <td>{{ variant.yawShake.toFixed(2) }} ×</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
