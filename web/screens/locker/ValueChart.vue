<script setup lang="ts">
import { addMonths } from '@zucchini/core/kernel'
import { type LockerPiece, valueOver } from '@zucchini/core/locker'
import { computed } from 'vue'
import MoneyChart from '../../widgets/MoneyChart.vue'

const props = defineProps<{ pieces: readonly LockerPiece[]; today: string; currency: string }>()

/** Back to the first purchase, and two years on if nothing is bought or sold. */
const AHEAD_MONTHS = 24
const months = computed(() => {
  const first = props.pieces.reduce(
    (least, { boughtOn }) => (boughtOn && boughtOn < least ? boughtOn : least),
    props.today,
  )
  const back = Math.min(
    96,
    (Number(props.today.slice(0, 4)) - Number(first.slice(0, 4))) * 12 +
      Number(props.today.slice(5, 7)) -
      Number(first.slice(5, 7)),
  )
  return Array.from({ length: back + AHEAD_MONTHS + 1 }, (_, i) => i - back)
})
const monthOf = (offset: number) => addMonths(props.today, offset)
const values = computed(() =>
  valueOver(
    props.pieces.filter(({ currency }) => currency === props.currency),
    months.value.map((offset) => (offset === 0 ? props.today : `${monthOf(offset)}-28`)),
  ),
)
const points = computed(() => months.value.map((x, i) => ({ x, y: values.value[i]?.valueMinor ?? 0 })))
const series = computed(() => [
  { label: 'worth', points: points.value.filter(({ x }) => x <= 0) },
  { label: 'if nothing changes', points: points.value.filter(({ x }) => x >= 0) },
])
</script>

<template>
  <MoneyChart
    :series="series"
    :currency="currency"
    :tick="monthOf"
    legend
    label="What the locker is worth, month by month, an estimate"
  />
</template>
