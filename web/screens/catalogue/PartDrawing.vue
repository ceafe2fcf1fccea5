<script setup lang="ts">
import { pointsOf } from '@zucchini/core/assembly'
import { isStandard, type Part, standardOf } from '@zucchini/core/catalogue'
import { roomPoses } from '@zucchini/core/clearance'
import type { Point2 } from '@zucchini/core/kernel'
import { computed, useId } from 'vue'
import { dimensionPath, figureSpot, overall } from '../../drawing/dimensions.ts'
import { isCovered } from '../../drawing/marks.ts'
import {
  type Extent,
  fitTo,
  flat,
  onSheet,
  roundedPath,
  silhouette,
  strokesOf,
  type ViewId,
  views,
} from '@zucchini/core/drawing'
import CentreMark from '../../drawing/CentreMark.vue'
import RigStrokes from '../../drawing/RigStrokes.vue'
import { useSettings } from '../../stores/settings.ts'
import MountGlyph from '../../widgets/MountGlyph.vue'
import { millimetres } from '../../wording.ts'
import { alone } from './part-drawing.ts'

const props = defineProps<{
  part: Part
  view: ViewId
  width: number
  height: number
  rooms?: boolean
  picked?: string
}>()
defineEmits<{ pick: [mount: string] }>()
const settings = useSettings()
const hatch = `hatch-${useId()}`

const assembly = computed(() => alone(props.part))
/** All of the part, stands too: here it is the part that counts, not the rig. */
const extent = computed((): Extent => {
  const bounds = assembly.value.placed[0]?.bounds
  const [a, b] = [flat(props.view, bounds?.min ?? [0, 0, 0]), flat(props.view, bounds?.max ?? [1, 1, 1])]
  return {
    left: Math.min(a[0], b[0]),
    right: Math.max(a[0], b[0]),
    bottom: Math.min(a[1], b[1]),
    top: Math.max(a[1], b[1]),
  }
})
const fit = computed(() => fitTo(extent.value, props.width, props.height, { left: 58, right: 26, top: 26, bottom: 44 }))
const strokes = computed(() => strokesOf(props.view, assembly.value, fit.value))
const dimensions = computed(() => overall(extent.value, fit.value))
const marks = computed(() =>
  props.part.mounts.every(({ standard }) => isStandard(standard))
    ? pointsOf(assembly.value).map((point) => {
        const [x, y] = onSheet(fit.value, flat(props.view, point.at))
        return { point, x, y, covered: isCovered(props.view, point, assembly.value) }
      })
    : [],
)
/** Their figures stand clear of the marks. */
const figures = computed(() => {
  const spots = marks.value.map(({ x, y }) => [x, y] as const)
  return dimensions.value.map((d) => ({ d, at: figureSpot(d, spots) }))
})
const centre = computed(() => onSheet(fit.value, flat(props.view, props.part.centre)))
const roomPaths = computed(() => {
  const [piece] = assembly.value.placed
  if (!props.rooms || !piece) return []
  return props.part.rooms.map((room) =>
    roomPoses(piece, room)
      .map(({ shape }) =>
        roundedPath(
          silhouette(props.view, shape).map((p): Point2 => onSheet(fit.value, p)),
          2,
        ),
      )
      .join(''),
  )
})
</script>

<template>
  <svg
    :viewBox="`0 0 ${width} ${height}`"
    :width="width"
    :height="height"
    class="block max-w-full"
    role="img"
    :aria-label="`${views[view].title} elevation of ${part.name}`"
  >
    <text x="10" y="17" font-size="11.5" fill="var(--soft)">{{ views[view].title }}</text>
    <RigStrokes :strokes="strokes" :hatch-id="hatch" class="pointer-events-none" />
    <path
      v-for="(d, i) in roomPaths"
      :key="`r${i}`"
      :d="d"
      fill="var(--amber)"
      fill-opacity="0.06"
      stroke="var(--amber)"
      stroke-width="1"
      stroke-dasharray="4 3"
    />
    <g stroke="var(--soft)" fill="none" stroke-width="0.8">
      <path v-for="(d, i) in dimensions" :key="i" :d="dimensionPath(d)" />
    </g>
    <text
      v-for="({ d, at: [x, y] }, i) in figures"
      :key="`t${i}`"
      :x="x"
      :y="y + 4"
      class="fig"
      data-given
      font-size="11.5"
      text-anchor="middle"
      fill="var(--ink)"
      stroke="var(--card)"
      stroke-width="4"
      paint-order="stroke"
    >
      {{ millimetres(Math.round(d.lengthMm), settings.units) }}
    </text>
    <CentreMark :at="centre" :radius="6" />
    <g
      v-for="mark in marks"
      :key="mark.point.mount.id"
      class="cursor-pointer"
      :transform="`translate(${mark.x} ${mark.y})`"
      :opacity="mark.covered && picked !== mark.point.mount.id ? 0.45 : 1"
      :style="{ color: picked === mark.point.mount.id ? '#20261f' : 'var(--leaf)' }"
      @click="$emit('pick', mark.point.mount.id)"
    >
      <title>{{ mark.point.mount.label ?? mark.point.mount.id }}</title>
      <circle
        r="9"
        :fill="picked === mark.point.mount.id ? 'var(--blossom)' : 'var(--card)'"
        :fill-opacity="picked === mark.point.mount.id ? 1 : 0.85"
        :stroke="picked === mark.point.mount.id ? 'var(--amber)' : 'transparent'"
      />
      <MountGlyph :glyph="standardOf(mark.point.mount.standard).glyph" />
    </g>
  </svg>
</template>
