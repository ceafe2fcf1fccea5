<script setup lang="ts">
import type { Assembly } from '@zucchini/core/assembly'
import { computed, useId } from 'vue'
import { type Extent, extentOfRig, fitTo, strokesOf, type ViewId, views } from '@zucchini/core/drawing'
import { inHand } from '@zucchini/core/balance'
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
/** A stand is shown by its top, and cut. */
const STAND_MM = 46
const CUT_PX = 9
const stands = computed(() => props.view !== 'top' && props.assembly.placed.some((piece) => !inHand(piece)))
const shown = computed((): Extent => {
  const extent = props.within ?? extentOfRig(props.view, props.assembly)
  return stands.value ? { ...extent, bottom: extent.bottom - STAND_MM } : extent
})
const fit = computed(() => {
  const pad = props.pad ?? 10
  return fitTo(shown.value, props.width, props.height, {
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
    <BreakLine v-if="stands" :width="width" :y="height - CUT_PX" :height="height" />
  </svg>
</template>
