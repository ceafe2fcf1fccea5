<script setup lang="ts">
import type { Painted } from './painted.ts'

/** Strokes of one piece that follow each other, as they are painted. */
defineProps<{ strokes: readonly Painted[]; thin?: boolean }>()
</script>

<template>
  <g
    v-for="{ stroke, fill, line, width, fine, fineWidth, fineOpacity } in strokes"
    :key="stroke.key"
    class="cursor-pointer"
    :data-instance="stroke.instance"
  >
    <path
      v-if="stroke.outline"
      :d="stroke.outline"
      fill-rule="evenodd"
      :fill="fill"
      :stroke="line"
      :stroke-width="width"
    />
    <path
      v-if="stroke.detail && !thin"
      :d="stroke.detail"
      fill="none"
      :stroke="fine"
      :stroke-width="fineWidth"
      :opacity="fineOpacity"
      pointer-events="none"
    />
    <template v-if="stroke.said && !thin">
      <text
        v-for="(one, i) in stroke.said"
        :key="i"
        :x="one.x"
        :y="one.y + one.size * 0.36"
        :font-size="one.size"
        class="fig"
        text-anchor="middle"
        fill="var(--ink)"
        pointer-events="none"
        data-given
      >
        {{ one.text }}
      </text>
    </template>
  </g>
</template>
