<script setup lang="ts">
import type { Part } from '@zucchini/core/catalogue'
import { bestView, fitTo, flat, strokesOf } from '@zucchini/core/drawing'
import { computed, useId } from 'vue'
import { alone } from '../screens/catalogue/part-drawing.ts'
import RigStrokes from './RigStrokes.vue'

// A part by itself, small, from where it is known best.
const props = withDefaults(defineProps<{ part: Part; width?: number; height?: number }>(), { width: 52, height: 40 })
const PAD_PX = 3
const hatch = `thumb-${useId()}`
const assembly = computed(() => alone(props.part))
const view = computed(() => bestView(props.part))
const strokes = computed(() => {
  const bounds = assembly.value.placed[0]?.bounds
  if (!bounds) return []
  const [a, b] = [flat(view.value, bounds.min), flat(view.value, bounds.max)]
  const extent = {
    left: Math.min(a[0], b[0]),
    right: Math.max(a[0], b[0]),
    bottom: Math.min(a[1], b[1]),
    top: Math.max(a[1], b[1]),
  }
  const pad = { left: PAD_PX, right: PAD_PX, top: PAD_PX, bottom: PAD_PX }
  return strokesOf(view.value, assembly.value, fitTo(extent, props.width, props.height, pad))
})
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${height}`" :width="width" :height="height" aria-hidden="true">
    <RigStrokes :strokes="strokes" :hatch-id="hatch" thin class="pointer-events-none" />
  </svg>
</template>
