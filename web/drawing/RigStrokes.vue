<script setup lang="ts">
import { computed } from 'vue'
import { type Drawn, type Painted, type Run, runsOf } from './painted.ts'
import StrokeRun from './StrokeRun.vue'

const props = defineProps<{
  strokes: readonly Drawn[]
  hatchId: string
  picked?: string
  marked?: ReadonlyMap<string, string>
  thin?: boolean
  /** ink: as it is. so-far: what stands already, in grey. ghost: what would be, in dashes. */
  state?: 'ink' | 'so-far' | 'ghost'
}>()
const emit = defineEmits<{ pick: [instance: string] }>()
/** One listener for all: a drawing has hundreds of strokes. */
const pick = (event: MouseEvent) => {
  const instance = (event.target as Element).closest<SVGElement>('[data-instance]')?.dataset['instance']
  if (!instance) return
  event.stopPropagation()
  emit('pick', instance)
}

/** Matter that has a pattern: soft hatched, rubber dotted. */
const textured = new Set(['foam', 'grip'])

/** Line weights, px at every zoom: a piece, what lies on its face, a texture. */
const WEIGHT = { piece: 1.2, thin: 0.8, picked: 2, face: 0.8, fine: 0.55, sheen: 1.6 } as const
/** Marks of mounts lie on a face as well. */
const small = new Set(['hole', 'mark', 'sensor', 'leaf', 'gold'])
const widthOf = ({ look, onFace }: Drawn, picked: boolean): number => {
  const face = onFace || small.has(look)
  if (face) return props.thin ? WEIGHT.fine : WEIGHT.face
  return picked ? WEIGHT.picked : props.thin ? WEIGHT.thin : WEIGHT.piece
}
const nothingSaid: NonNullable<Drawn['said']> = []
/** A ghost has outlines and no texture. */
const ghostly = (stroke: Drawn) => ({
  stroke: { ...stroke, detail: '', said: nothingSaid },
  fill: stroke.onFace || small.has(stroke.look) ? 'none' : 'color-mix(in srgb, var(--leaf-tint) 55%, transparent)',
  line: 'var(--leaf)',
  width: stroke.onFace || small.has(stroke.look) ? WEIGHT.fine : WEIGHT.piece,
  fine: 'none',
  fineWidth: 0,
  fineOpacity: 0,
})
const shown = computed(() =>
  props.strokes.map((stroke): Painted => {
    const picked = stroke.instance === props.picked
    const sheen = stroke.look === 'sheen'
    if (props.state === 'ghost') return ghostly(stroke)
    const line = picked ? 'var(--amber)' : (props.marked?.get(stroke.instance) ?? 'var(--ink)')
    return {
      stroke,
      fill: textured.has(stroke.look) ? `url(#${props.hatchId}-${stroke.look})` : `var(--d-${stroke.look}, none)`,
      line,
      width: widthOf(stroke, picked),
      fine: sheen ? 'var(--d-sheen)' : line,
      fineWidth: sheen ? WEIGHT.sheen : WEIGHT.fine,
      fineOpacity: sheen ? 0.85 : stroke.look === 'line' ? 0.85 : 0.6,
    }
  }),
)

/** What slides is moved in a few runs, and painted as it was. */
const runs = computed((before?: readonly Run[]) => runsOf(shown.value, before))
</script>

<template>
  <g stroke-linejoin="round" stroke-linecap="round" :class="state" :data-state="state" @click="pick">
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
    <g v-for="run in runs" :key="run.key" :transform="run.aside">
      <StrokeRun :strokes="run.strokes" :thin="thin ?? false" />
    </g>
  </g>
</template>

<style scoped>
.so-far {
  --ink: color-mix(in srgb, var(--soft) 70%, var(--paper));
  filter: saturate(0.25);
  opacity: 0.62;
}
.ghost :deep(path) {
  stroke-dasharray: 4 2.4;
}
</style>
