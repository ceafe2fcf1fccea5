<script setup lang="ts">
import type { Assembly } from '@zucchini/core/assembly'
import { computed, useId } from 'vue'
import { type Extent, fitTo, sketchOf, slidStrokesOf, type ViewId, views } from '@zucchini/core/drawing'
import BreakLine from './BreakLine.vue'
import RigStrokes from './RigStrokes.vue'

const props = defineProps<{
  assembly: Assembly
  view: ViewId
  width: number
  height: number
  pad?: number
  within?: Extent
}>()

const hatch = `hatch-${useId()}`
const CUT_PX = 9
const sketch = computed(() => sketchOf(props.view, props.assembly, props.within))
const fit = computed(() => {
  const pad = props.pad ?? 10
  return fitTo(sketch.value.extent, props.width, props.height, {
    left: pad,
    right: pad,
    top: pad,
    bottom: pad,
  })
})
const strokes = computed(() => slidStrokesOf(props.view, props.assembly, fit.value))
</script>

<template>
  <svg
    :viewBox="`0 0 ${width} ${height}`"
    :width="width"
    :height="height"
    role="img"
    :aria-label="`${views[view].title} elevation`"
  >
    <RigStrokes :strokes="strokes" :hatch-id="hatch" thin class="pointer-events-none" />
    <BreakLine v-if="sketch.cut" :width="width" :y="height - CUT_PX" :height="height" />
  </svg>
</template>
