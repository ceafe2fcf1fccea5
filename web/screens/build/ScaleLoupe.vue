<script setup lang="ts">
import { computed, useId } from 'vue'

// A scale under a glass, with the edge that is set standing at its figure.
const props = defineProps<{
  mm: number
  x: number
  y: number
  radius: number
  from: readonly [number, number]
}>()
const clip = `loupe-${useId()}`

const PX_PER_MM = 5
const REACH_MM = 12
const ticks = computed(() => {
  const first = Math.max(0, Math.floor(props.mm - REACH_MM))
  return Array.from({ length: 2 * REACH_MM + 2 }, (_, i) => first + i).map((mm) => ({
    mm,
    x: props.x + (mm - props.mm) * PX_PER_MM,
    long: mm % 5 === 0,
  }))
})
const line = computed(() => props.y + props.radius * 0.12)
/** The thread between the glass and what is looked at ends at the rim. */
const rim = computed(() => {
  const [dx, dy] = [props.from[0] - props.x, props.from[1] - props.y]
  const far = Math.hypot(dx, dy) || 1
  return [props.x + (dx / far) * props.radius, props.y + (dy / far) * props.radius] as const
})
</script>

<template>
  <g data-loupe>
    <line
      :x1="rim[0]"
      :y1="rim[1]"
      :x2="from[0]"
      :y2="from[1]"
      stroke="var(--soft)"
      stroke-width="0.9"
      stroke-dasharray="3 2.5"
    />
    <clipPath :id="clip"><circle :cx="x" :cy="y" :r="radius" /></clipPath>
    <circle :cx="x" :cy="y" :r="radius" fill="var(--card)" />
    <g :clip-path="`url(#${clip})`">
      <rect :x="x - radius" :y="y - radius * 0.42" :width="radius" :height="radius * 0.54" fill="var(--d-metal)" />
      <line :x1="x" :y1="y - radius * 0.5" :x2="x" :y2="line + 17" stroke="var(--leaf)" stroke-width="2" />
      <line :x1="x - radius" :y1="line" :x2="x + radius" :y2="line" stroke="var(--ink)" stroke-width="1.1" />
      <g v-for="tick in ticks" :key="tick.mm" stroke="var(--ink)" :stroke-width="tick.long ? 1.1 : 0.7">
        <line :x1="tick.x" :y1="line" :x2="tick.x" :y2="line + (tick.long ? 12 : 7)" />
        <text
          v-if="tick.long"
          :x="tick.x"
          :y="line + 24"
          class="fig"
          font-size="10"
          text-anchor="middle"
          fill="var(--ink)"
          stroke="none"
          data-given
        >
          {{ tick.mm }}
        </text>
      </g>
      <text
        :x="x - 6"
        :y="y - radius * 0.08"
        class="fig"
        :font-size="radius * 0.24"
        text-anchor="end"
        fill="var(--ink)"
        data-given
      >
        {{ Math.round(mm * 10) / 10 }} mm
      </text>
    </g>
    <circle :cx="x" :cy="y" :r="radius" fill="none" stroke="var(--ink)" stroke-width="1.2" />
  </g>
</template>
