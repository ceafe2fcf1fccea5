<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import { diagonalMm } from '@zucchini/core/optics'
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import RigStrokes from '../../drawing/RigStrokes.vue'
import { useRig } from '../../stores/rig.ts'
import { millimetres, shortName } from '../../wording.ts'
import { frontDrawing } from './front-drawing.ts'

const props = defineProps<{ assessment: Assessment; compact?: boolean }>()
const store = useRig()
const sheet = useTemplateRef<HTMLElement>('sheet')
const { width, height } = useElementSize(sheet, { width: 540, height: 260 })

const drawn = computed(() => {
  const { facts, assembly } = props.assessment
  return facts.front && facts.picture && facts.clean
    ? frontDrawing(assembly, facts.front, facts.picture, facts.clean, { width: width.value, height: height.value })
    : undefined
})
const mm = (value: number) => millimetres(value, store.style.units)
const verdict = computed(() => {
  const { front, clean } = props.assessment.facts
  if (!front || !clean) return ''
  const { focalMinMm, focalMaxMm } = front.glass
  if (front.openings.length === 0) return 'nothing stands before the lens'
  if (clean.fromMm === undefined) return `never clean between ${mm(focalMinMm)} and ${mm(focalMaxMm)}`
  if (clean.by.length === 0)
    return focalMinMm === focalMaxMm ? `clean at ${mm(focalMinMm)}` : `clean from the short end on, ${mm(focalMinMm)}`
  return `clean from ${mm(Math.ceil(clean.fromMm * 10) / 10)} on; the lens begins at ${mm(focalMinMm)}`
})
/** Labels stand in rows over each other, the innermost the lowest, so that no leader runs through one. px */
const ROW = 14
const names = computed(() =>
  (drawn.value?.rims ?? []).map((rim, i, all) => ({
    ...rim,
    label: shortName(rim.name),
    y: 14 + (all.length - 1 - i) * ROW,
  })),
)
</script>

<template>
  <section v-ask="['fact clean', assessment]" class="flex min-h-0 min-w-0 flex-col" aria-label="The front, to scale">
    <h2 class="flex items-baseline gap-3 px-4 pt-2" :class="{ 'justify-center': compact }">
      <span v-if="!compact" class="font-semibold">The front, to scale</span>
      <span class="label tight" :class="{ 'text-amber!': drawn && !drawn.clean }" data-testid="clean">{{
        verdict
      }}</span>
    </h2>
    <div ref="sheet" class="relative min-h-0 flex-1">
      <svg
        v-if="drawn"
        class="absolute inset-0 size-full"
        role="img"
        :aria-label="`The lens and what stands before it, from the side: ${verdict}`"
      >
        <RigStrokes :strokes="drawn.strokes" hatch-id="front-foam" />
        <path
          :d="`M${drawn.axis[0].join(' ')}L${drawn.axis[1].join(' ')}`"
          stroke="var(--soft)"
          stroke-width="0.8"
          stroke-dasharray="9 3 2 3"
        />
        <path
          v-for="(ray, i) in drawn.rays"
          :key="i"
          :d="`M${ray[0].join(' ')}L${ray[1].join(' ')}`"
          :stroke="drawn.clean ? 'var(--leaf)' : 'var(--brick)'"
          stroke-width="1.4"
          fill="none"
        />
        <path :d="`M${drawn.pupil[0].join(' ')}L${drawn.pupil[1].join(' ')}`" stroke="var(--ink)" stroke-width="2.6" />
        <g v-for="rim in names" :key="rim.id" :data-rim="rim.id" :stroke="rim.clips ? 'var(--brick)' : 'var(--ink)'">
          <path :d="`M${rim.upper.join(' ')}v-9M${rim.lower.join(' ')}v9`" stroke-width="2.2" />
          <path :d="`M${rim.upper[0]} ${rim.upper[1] - 9}V${rim.y - 10}`" stroke-width="0.7" stroke-dasharray="2 3" />
          <text
            :x="rim.upper[0] - 4"
            :y="rim.y"
            text-anchor="end"
            font-size="11.5"
            stroke="none"
            :fill="rim.clips ? 'var(--brick)' : 'var(--ink)'"
            :font-weight="rim.clips ? 600 : 400"
          >
            {{ rim.label }}, {{ mm(Math.round(rim.depthMm)) }}
          </text>
        </g>
        <g v-if="!compact" font-size="11" fill="var(--soft)">
          <text :x="drawn.pupil[0][0] - 5" :y="height - 8" text-anchor="end">entrance pupil</text>
          <path
            :d="`M${drawn.pupil[0][0]} ${drawn.pupil[0][1] + 3}V${height - 4}`"
            stroke="var(--soft)"
            stroke-width="0.7"
            stroke-dasharray="2 3"
          />
          <text :x="width - 12" :y="height - 8" text-anchor="end">
            corner ray{{
              assessment.facts.picture
                ? `, picture ${mm(Math.round(diagonalMm(assessment.facts.picture) * 10) / 10)} across`
                : ''
            }}
          </text>
        </g>
      </svg>
      <p v-else class="p-4 text-soft">No lens with known glass sits on this set-up. Put one on at the bench.</p>
    </div>
  </section>
</template>
