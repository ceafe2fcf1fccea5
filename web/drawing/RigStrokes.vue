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

const shown = computed(() =>
  props.strokes.map((stroke) => ({
    ...stroke,
    fill: stroke.look === 'foam' ? `url(#${props.hatchId})` : `var(--d-${stroke.look})`,
    line: stroke.instance === props.picked ? 'var(--amber)' : (props.marked?.get(stroke.instance) ?? 'var(--ink)'),
    width: stroke.instance === props.picked ? 2 : props.thin ? 0.8 : 1.15,
  })),
)
</script>

<template>
  <g stroke-linejoin="round" stroke-linecap="round">
    <defs>
      <pattern :id="hatchId" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="5" height="5" fill="var(--d-foam)" />
        <path d="M0 0V5" stroke="var(--soft)" stroke-width="0.9" />
      </pattern>
    </defs>
    <g
      v-for="stroke in shown"
      :key="stroke.key"
      class="cursor-pointer"
      :data-instance="stroke.instance"
      @click.stop="$emit('pick', stroke.instance)"
    >
      <path :d="stroke.outline" :fill="stroke.fill" :stroke="stroke.line" :stroke-width="stroke.width" />
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
