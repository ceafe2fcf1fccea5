<script setup lang="ts">
import { computed } from 'vue'

// Where a drawing of a rig is cut from the stand that goes on below: a break line, and nothing under it.
const props = defineProps<{ width: number; y: number; height: number }>()
const TOOTH = { wide: 14, high: 5 } as const
const line = computed(() => {
  const teeth = Math.ceil(props.width / (2 * TOOTH.wide))
  return `M0 ${props.y}${Array.from({ length: teeth }, () => `l${TOOTH.wide} ${-TOOTH.high}l${TOOTH.wide} ${TOOTH.high}`).join('')}`
})
</script>

<template>
  <g class="break-line">
    <path :d="`${line}V${height}H0Z`" fill="var(--card)" />
    <path :d="line" fill="none" stroke="var(--soft)" stroke-width="0.9" stroke-linejoin="round" />
  </g>
</template>
