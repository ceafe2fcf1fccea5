<script setup lang="ts">
import type { Part } from '@zucchini/core/catalogue'
import { bestView, extentOfBounds, fitTo, strokesOf } from '@zucchini/core/drawing'
import { computed, useId } from 'vue'
import { alone } from '../screens/catalogue/part-drawing.ts'
import RigStrokes from './RigStrokes.vue'

// A part by itself, from where it is known best: its face true, its depth beside it.
const props = withDefaults(defineProps<{ part: Part; width?: number; height?: number; fine?: boolean }>(), {
  width: 52,
  height: 40,
})
const PAD_PX = 3
const hatch = `thumb-${useId()}`
const assembly = computed(() => alone(props.part))
const view = computed(() => `${bestView(props.part)}-deep` as const)
const strokes = computed(() => {
  const bounds = assembly.value.placed[0]?.bounds
  if (!bounds) return []
  const pad = { left: PAD_PX, right: PAD_PX, top: PAD_PX, bottom: PAD_PX }
  const fit = fitTo(extentOfBounds(view.value, bounds), props.width, props.height, pad)
  return strokesOf(view.value, assembly.value, fit)
})
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${height}`" :width="width" :height="height" aria-hidden="true">
    <RigStrokes :strokes="strokes" :hatch-id="hatch" :thin="!fine" class="pointer-events-none" />
  </svg>
</template>
