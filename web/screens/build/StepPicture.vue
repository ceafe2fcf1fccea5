<script setup lang="ts">
import type { Assembly } from '@zucchini/core/assembly'
import type { SheetStep } from '@zucchini/core/build-order'
import { fitTo, flat, onSheet, strokesOf, type ViewId } from '@zucchini/core/drawing'
import { computed, useId } from 'vue'
import RigStrokes from '../../drawing/RigStrokes.vue'
import ScaleLoupe from './ScaleLoupe.vue'
import { sceneOf } from './step-picture.ts'

// One step as a picture: what stands in grey, what comes in ink with the arrow of its way, its place in dashes.
const props = defineProps<{
  assembly: Assembly
  steps: readonly SheetStep[]
  at: number
  width: number
  height: number
  view?: ViewId | undefined
}>()
const hatch = `step-${useId()}`

const PAD = 26
const step = computed(() => props.steps[props.at])
const NARROW_PX = 500
/** The glass has a strip of its own at the right, so that it never lies over what comes. */
const radius = computed(() => (props.width < NARROW_PX ? 50 : 64))
const isSet = computed(() => step.value?.setting.scaleMm !== undefined)
const scene = computed(() => sceneOf(props.assembly, props.steps, props.at, props.view))
const fit = computed(() =>
  scene.value
    ? fitTo(scene.value.extent, props.width, props.height, {
        left: PAD,
        right: isSet.value ? 2 * radius.value + PAD : PAD,
        top: PAD,
        bottom: PAD,
      })
    : undefined,
)
const drawn = computed(() => {
  const [now, on] = [scene.value, fit.value]
  if (!now || !on) return undefined
  const strokes = (placed: typeof now.soFar) => strokesOf(now.view, { ...props.assembly, placed }, on)
  const sheet = (p: typeof now.from) => p && onSheet(on, flat(now.view, p))
  const [from, to] = [sheet(now.from), sheet(now.to)]
  const far = from && to ? Math.hypot(from[0] - to[0], from[1] - to[1]) : 0
  return { soFar: strokes(now.soFar), coming: strokes(now.coming), place: strokes(now.place), from, to, far }
})
/** A bow from where the foot is to where it goes, ending short of the letter. */
const arrow = computed(() => {
  const { from, to, far = 0 } = drawn.value ?? {}
  if (!from || !to || far < 14) return undefined
  const [dx, dy] = [(to[0] - from[0]) / far, (to[1] - from[1]) / far]
  const end = [to[0] - dx * 11, to[1] - dy * 11] as const
  const bow = Math.min(26, far * 0.18)
  const middle = [(from[0] + end[0]) / 2 - dy * bow, (from[1] + end[1]) / 2 + dx * bow] as const
  return `M${from[0]} ${from[1]} Q${middle[0]} ${middle[1]} ${end[0]} ${end[1]}`
})
const GAP_PX = 10
/** Beside what is drawn, as far as the page goes; what is far away is not looked at together. */
const loupe = computed(() => {
  const edge = props.width - radius.value - GAP_PX
  const [now, on] = [scene.value, fit.value]
  const right = now && on ? onSheet(on, [now.extent.right, now.extent.bottom])[0] : edge
  return { x: Math.min(edge, right + radius.value + 4 * GAP_PX), y: props.height - radius.value - GAP_PX }
})
const words = computed(() =>
  step.value
    ? `${step.value.name}${step.value.onto ? `, to ${step.value.onto}` : ''}; what stands so far in grey, its way as an arrow`
    : '',
)
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${height}`" class="block w-full" role="img" :aria-label="words" data-step-picture>
    <defs>
      <marker :id="`${hatch}-tip`" viewBox="0 0 10 10" refX="6" refY="5" markerWidth="5" markerHeight="5" orient="auto">
        <path d="M0 0 10 5 0 10z" fill="var(--leaf)" />
      </marker>
    </defs>
    <template v-if="drawn">
      <RigStrokes :strokes="drawn.soFar" :hatch-id="`${hatch}-far`" state="so-far" class="pointer-events-none" />
      <RigStrokes
        v-if="drawn.place.length"
        :strokes="drawn.place"
        :hatch-id="`${hatch}-place`"
        state="ghost"
        class="pointer-events-none"
      />
      <RigStrokes :strokes="drawn.coming" :hatch-id="`${hatch}-ink`" class="pointer-events-none" />
      <path
        v-if="arrow"
        :d="arrow"
        fill="none"
        stroke="var(--leaf)"
        stroke-width="2.4"
        :marker-end="`url(#${hatch}-tip)`"
      />
      <g v-if="drawn.to">
        <circle
          :cx="drawn.to[0]"
          :cy="drawn.to[1]"
          r="8.5"
          fill="var(--leaf)"
          stroke="var(--paper)"
          stroke-width="1.5"
        />
        <text
          :x="drawn.to[0]"
          :y="drawn.to[1] + 4"
          text-anchor="middle"
          font-size="11"
          font-weight="700"
          fill="var(--on-leaf)"
          data-given
        >
          A
        </text>
      </g>
      <ScaleLoupe
        v-if="step?.setting.scaleMm !== undefined && drawn.to"
        :mm="step.setting.scaleMm"
        :x="loupe.x"
        :y="loupe.y"
        :radius="radius"
        :from="drawn.to"
      />
    </template>
  </svg>
</template>
