<script setup lang="ts">
import type { Assembly } from '@zucchini/core/assembly'
import { computed, useId } from 'vue'
import { type Extent, extentOfRig, fitTo, strokesOf, type ViewId, views } from '@zucchini/core/drawing'
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
const fit = computed(() => {
  const pad = props.pad ?? 10
  return fitTo(props.within ?? extentOfRig(props.view, props.assembly), props.width, props.height, {
    left: pad,
    right: pad,
    top: pad,
    bottom: pad,
  })
})
const strokes = computed(() => strokesOf(props.view, props.assembly, fit.value))
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
  </svg>
</template>
