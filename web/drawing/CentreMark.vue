<script setup lang="ts">
import type { Point2 } from '@zucchini/core/kernel'

defineProps<{ at: Point2; radius?: number }>()
</script>

<template>
  <g :transform="`translate(${at[0]} ${at[1]}) scale(${(radius ?? 8) / 8})`" pointer-events="none">
    <title>Centre of mass</title>
    <circle r="8" fill="var(--card)" stroke="var(--ink)" stroke-width="1.2" />
    <path d="M0 0V-8A8 8 0 0 1 8 0ZM0 0V8A8 8 0 0 1 -8 0Z" fill="var(--ink)" />
  </g>
</template>
