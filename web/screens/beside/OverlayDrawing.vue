<script setup lang="ts">
import type { Assembly } from '@zucchini/core/assembly'
import { type Extent, fitTo, sketchOf, strokesOf, type ViewId, views } from '@zucchini/core/drawing'
import { computed, useId } from 'vue'
import RigStrokes from '../../drawing/RigStrokes.vue'

// One rig drawn over the other, their cameras in one place: what was in grey, what is in ink.
const props = defineProps<{
  was: Assembly
  is: Assembly
  view: ViewId
  within: Extent
  width: number
  height: number
}>()
const PAD = 14
const hatch = `hatch-${useId()}`
const fit = computed(() =>
  fitTo(sketchOf(props.view, props.is, props.within).extent, props.width, props.height, {
    left: PAD,
    right: PAD,
    top: PAD,
    bottom: PAD,
  }),
)
/** Pieces of the first that are the same in the second, where they are: drawn once, in ink. */
const seats = (assembly: Assembly) =>
  new Set(assembly.placed.map(({ part, centre }) => `${part.id} ${centre.map((v) => v.toFixed(1)).join(' ')}`))
const only = (assembly: Assembly, other: Assembly) => {
  const there = seats(other)
  return assembly.placed.filter(
    ({ part, centre }) => !there.has(`${part.id} ${centre.map((v) => v.toFixed(1)).join(' ')}`),
  )
}
const gone = computed(() => new Set(only(props.was, props.is).map(({ instance }) => instance.id)))
const came = computed(
  () => new Map(only(props.is, props.was).map(({ instance }) => [instance.id, 'var(--leaf)'] as const)),
)
const was = computed(() =>
  strokesOf(props.view, props.was, fit.value).filter(({ instance }) => gone.value.has(instance)),
)
const is = computed(() => strokesOf(props.view, props.is, fit.value))
</script>

<template>
  <svg
    :viewBox="`0 0 ${width} ${height}`"
    class="h-auto w-full"
    role="img"
    :aria-label="`Both, ${views[view].title.toLowerCase()}: what went in dashes, what came in green lines`"
  >
    <RigStrokes :strokes="is" :hatch-id="hatch" :marked="came" thin class="pointer-events-none" />
    <g class="gone">
      <RigStrokes :strokes="was" :hatch-id="`${hatch}-was`" state="ghost" class="pointer-events-none" />
    </g>
  </svg>
</template>

<style scoped>
/* What went is brick, not the green of what would come. */
.gone {
  --leaf: var(--brick);
  --leaf-tint: transparent;
}
</style>
