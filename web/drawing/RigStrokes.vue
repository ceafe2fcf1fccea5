<script setup lang="ts">
import { computed } from 'vue'
import type { Stroke } from '@zucchini/core/drawing'

/** What is drawn of a stroke here; a card has no finer lines. */
type Drawn = Pick<Stroke, 'key' | 'instance' | 'look' | 'outline'> & Partial<Pick<Stroke, 'detail'>>

const props = defineProps<{
  strokes: readonly Drawn[]
  hatchId: string
  picked?: string
  marked?: ReadonlyMap<string, string>
  thin?: boolean
}>()
defineEmits<{ pick: [instance: string] }>()

/** Matter that has a pattern: soft hatched, rubber dotted. */
const textured = new Set(['foam', 'grip'])

/** What lies on a face is drawn finer than the face. */
const onFace = new Set(['hole', 'mark', 'sensor'])
const shown = computed(() =>
  props.strokes.map((stroke) => ({
    ...stroke,
    fill: textured.has(stroke.look) ? `url(#${props.hatchId}-${stroke.look})` : `var(--d-${stroke.look}, none)`,
    line: stroke.instance === props.picked ? 'var(--amber)' : (props.marked?.get(stroke.instance) ?? 'var(--ink)'),
    width: (stroke.instance === props.picked ? 2 : props.thin ? 0.8 : 1.2) * (onFace.has(stroke.look) ? 0.6 : 1),
  })),
)
</script>

<template>
  <g stroke-linejoin="round" stroke-linecap="round">
    <defs>
      <pattern
        :id="`${hatchId}-foam`"
        width="4.6"
        height="4.6"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="4.6" height="4.6" fill="var(--d-foam)" />
        <path d="M0 0V4.6" stroke="var(--soft)" stroke-width="0.9" />
      </pattern>
      <pattern
        :id="`${hatchId}-grip`"
        width="3.6"
        height="3.6"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(30)"
      >
        <rect width="3.6" height="3.6" fill="var(--d-grip)" />
        <circle cx="1.8" cy="1.8" r="0.55" fill="var(--soft)" opacity="0.75" />
      </pattern>
    </defs>
    <g
      v-for="stroke in shown"
      :key="stroke.key"
      class="cursor-pointer"
      :data-instance="stroke.instance"
      @click.stop="$emit('pick', stroke.instance)"
    >
      <path
        v-if="stroke.outline"
        :d="stroke.outline"
        :fill="stroke.fill"
        :stroke="stroke.line"
        :stroke-width="stroke.width"
      />
      <path
        v-if="stroke.detail && !thin"
        :d="stroke.detail"
        fill="none"
        :stroke="stroke.line"
        stroke-width="0.55"
        opacity="0.55"
        pointer-events="none"
      />
    </g>
  </g>
</template>
