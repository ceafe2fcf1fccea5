<script setup lang="ts">
import { standardOf } from '@zucchini/core/catalogue'
import { pointName } from '@zucchini/core/checks'
import type { PointMark } from '../../drawing/marks.ts'
import { useBench } from '../../stores/bench.ts'
import MountGlyph from '../../widgets/MountGlyph.vue'

// The open mounting points on the drawing: each a button with the shape of its standard.
defineProps<{ marks: readonly PointMark[] }>()
const bench = useBench()
const keyOf = ({ point }: PointMark) => `${point.piece.instance.id}/${point.mount.id}`
</script>

<template>
  <g>
    <g
      v-for="mark in marks"
      :key="keyOf(mark)"
      role="button"
      tabindex="0"
      class="point cursor-pointer"
      :data-point="keyOf(mark)"
      :aria-label="`Open point: ${pointName(mark.point)}`"
      :aria-pressed="bench.pointKey === keyOf(mark)"
      @click.stop="bench.pickPoint(keyOf(mark))"
      @keydown.enter.stop.prevent="bench.pickPoint(keyOf(mark))"
      @keydown.space.stop.prevent="bench.pickPoint(keyOf(mark))"
    >
      <title>{{ pointName(mark.point) }}</title>
      <circle
        :cx="mark.x"
        :cy="mark.y"
        :r="mark.covered ? 7 : 9.5"
        class="halo"
        :fill="bench.pointKey === keyOf(mark) ? 'var(--blossom)' : 'var(--card)'"
        :fill-opacity="bench.pointKey === keyOf(mark) ? 1 : mark.covered ? 0.45 : 0.88"
        :stroke="bench.pointKey === keyOf(mark) ? 'var(--amber)' : 'transparent'"
        stroke-width="1.5"
      />
      <g
        :transform="`translate(${mark.x} ${mark.y}) rotate(${mark.turn}) scale(${mark.covered ? 0.72 : 1})`"
        :opacity="mark.covered && bench.pointKey !== keyOf(mark) ? 0.6 : 1"
        :style="{ color: bench.pointKey === keyOf(mark) ? '#20261f' : 'var(--leaf)' }"
      >
        <MountGlyph :glyph="standardOf(mark.point.mount.standard).glyph" />
      </g>
    </g>
  </g>
</template>

<style scoped>
.point {
  outline: none;
}
.point:focus-visible .halo,
.point:hover .halo {
  stroke: var(--leaf);
  stroke-width: 2;
}
</style>
