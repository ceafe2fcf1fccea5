<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import type { Vec3 } from '@zucchini/core/kernel'
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { extentOfRig, fitTo, flat, onSheet, strokesOf, type ViewId, views } from '@zucchini/core/drawing'
import CentreMark from '../../drawing/CentreMark.vue'
import RigStrokes from '../../drawing/RigStrokes.vue'
import { useRig } from '../../stores/rig.ts'
import { degrees, grams, millimetres } from '../../wording.ts'
import { heldScale } from '../bench/held-scale.ts'
import { settle, type Slide } from './slides.ts'

const props = defineProps<{ assessment: Assessment; slides: readonly Slide[]; view: ViewId; picked: string }>()
const emit = defineEmits<{ slide: [slide: Slide, slideMm: number]; pick: [instance: string] }>()
const store = useRig()
const sheet = useTemplateRef<HTMLElement>('sheet')
const { width, height } = useElementSize(sheet, { width: 800, height: 420 })

const extent = computed(() => extentOfRig(props.view, props.assessment.assembly))
const fit = computed(() => fitTo(extent.value, width.value, height.value, { left: 90, right: 90, top: 56, bottom: 64 }))
const strokes = computed(() => strokesOf(props.view, props.assessment.assembly, fit.value))
const put = (p: Vec3) => onSheet(fit.value, flat(props.view, p))
const centre = computed(() => put(props.assessment.mass.centre))

/** Where the rig is borne in this set-up, and what of it each place bears. */
const holds = computed((): { at: Vec3; words: string }[] => {
  const { facts, assembly } = props.assessment
  const { support } = assembly.setup
  const { units } = store.style
  if (support === 'tripod' || support === 'gimbal')
    return facts.onPlate ? [{ at: facts.onPlate.at, words: 'middle of the plate' }] : []
  if (support === 'shoulder') return facts.shoulder ? [{ at: facts.shoulder.at, words: 'pad' }] : []
  const { bearings, massG } = facts.ground
  const palms = bearings.filter(({ by }) => by === 'hand')
  if (palms.length > 1) return palms.map(({ at, share }) => ({ at, words: grams(massG * share, units) }))
  return palms.map(({ at }) => ({ at, words: 'palm' }))
})

/** As the bench grades it. */
const hangsWell = computed(() => heldScale(props.assessment, store.style).state === 'good')

/** It hangs from one hand only; then the whole drawing turns about the palm as the rig would. */
const turnDeg = computed(() => {
  const { hang, assembly } = props.assessment
  if (!hang || assembly.setup.support !== 'hand-low' || props.view === 'top') return 0
  return { side: hang.tiltDeg, rear: hang.rollDeg, front: -hang.rollDeg }[props.view]
})
const pivot = computed(() => (props.assessment.hang ? put(props.assessment.hang.grip) : centre.value))
const hangStyle = computed(() => ({
  transform: `rotate(${turnDeg.value}deg)`,
  transformOrigin: `${pivot.value[0]}px ${pivot.value[1]}px`,
}))

interface Handle {
  readonly slide: Slide
  readonly x: number
  readonly y: number
  /** Sheet pixels that one millimetre of slide moves the piece, before the drawing is turned. */
  readonly px: readonly [number, number]
  readonly angle: number
}
const handles = computed(() => {
  const made = props.slides.flatMap((slide): Handle[] => {
    const [dx, dy] = flat(props.view, slide.way)
    const long = Math.hypot(dx, dy)
    if (long < 0.3) return []
    const [x, y] = put(slide.piece.centre)
    return [
      { slide, x, y, px: [dx * fit.value.scale, -dy * fit.value.scale], angle: (Math.atan2(-dy, dx) * 180) / Math.PI },
    ]
  })
  // Handles that would lie on each other are moved apart, the heavier keeps its place.
  return made.map((handle, i) => {
    const crowd = made.slice(0, i).filter((other) => Math.hypot(other.x - handle.x, other.y - handle.y) < 30).length
    return { ...handle, y: handle.y + crowd * 30 }
  })
})

const dragging = ref<{ handle: Handle; from: readonly [number, number]; slideMm: number }>()
const grab = (event: PointerEvent, handle: Handle) => {
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  dragging.value = { handle, from: [event.clientX, event.clientY], slideMm: handle.slide.slideMm }
  emit('pick', handle.slide.piece.instance.id)
}
const drag = (event: PointerEvent) => {
  const now = dragging.value
  if (!now) return
  const angle = (-turnDeg.value * Math.PI) / 180
  const [dx, dy] = [event.clientX - now.from[0], event.clientY - now.from[1]]
  const [x, y] = [dx * Math.cos(angle) - dy * Math.sin(angle), dx * Math.sin(angle) + dy * Math.cos(angle)]
  const [px, py] = now.handle.px
  const byMm = (x * px + y * py) / (px * px + py * py)
  emit('slide', now.handle.slide, settle(now.handle.slide, now.slideMm + byMm))
}
const nudge = (event: KeyboardEvent, { slide }: Handle) => {
  const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key]
  if (by === undefined) return
  event.preventDefault()
  emit('slide', slide, settle(slide, slide.slideMm + by * slide.stepMm * (event.shiftKey ? 5 : 1)))
}

const offMm = computed(() => {
  const [hold] = holds.value
  if (!hold || holds.value.length > 1) return undefined
  const [hx] = flat(props.view, hold.at)
  const [cx] = flat(props.view, props.assessment.mass.centre)
  return cx - hx
})
</script>

<template>
  <div ref="sheet" class="relative min-h-0 flex-1">
    <svg
      :viewBox="`0 0 ${width} ${height}`"
      :width="width"
      :height="height"
      class="absolute inset-0 block touch-none select-none"
    >
      <title>{{ views[view].title }} elevation, as it hangs or stands</title>
      <g class="hang" :class="{ live: dragging }" :style="hangStyle">
        <RigStrokes :strokes="strokes" hatch-id="balance-hatch" :picked="picked" @pick="emit('pick', $event)" />
        <CentreMark :at="centre" :radius="9" />
        <g
          v-for="handle in handles"
          :key="handle.slide.piece.instance.id"
          role="slider"
          tabindex="0"
          class="handle"
          :class="handle.slide.piece.instance.id === picked ? 'picked' : ''"
          :aria-label="`Slide ${handle.slide.piece.part.name}, ${handle.slide.less} to ${handle.slide.more}`"
          :aria-valuemin="handle.slide.minMm"
          :aria-valuemax="handle.slide.maxMm"
          :aria-valuenow="handle.slide.slideMm"
          :transform="`translate(${handle.x} ${handle.y}) rotate(${handle.angle})`"
          :data-slide="handle.slide.piece.instance.id"
          @pointerdown="grab($event, handle)"
          @pointermove="drag"
          @pointerup="dragging = undefined"
          @pointercancel="dragging = undefined"
          @keydown="nudge($event, handle)"
        >
          <title>{{ handle.slide.piece.part.name }}: drag it along</title>
          <rect x="-23" y="-11" width="46" height="22" rx="11" class="knob" />
          <path
            d="M-9 -5L-16 0L-9 5M9 -5L16 0L9 5M-14 0H14"
            fill="none"
            stroke="currentColor"
            stroke-width="1.7"
            stroke-linecap="round"
          />
        </g>
      </g>
      <g v-for="(hold, i) in holds" :key="i" pointer-events="none">
        <path
          :d="`M${put(hold.at)[0]} ${put(hold.at)[1]}V${height - 40}`"
          stroke="var(--leaf)"
          stroke-width="1.4"
          stroke-dasharray="6 3.5"
        />
        <circle :cx="put(hold.at)[0]" :cy="put(hold.at)[1]" r="5" fill="var(--leaf)" stroke="var(--paper)" />
        <path :d="`M${put(hold.at)[0]} ${height - 31}l-5 -10h10z`" fill="var(--leaf)" />
        <text
          :x="put(hold.at)[0]"
          :y="height - 16"
          text-anchor="middle"
          font-size="12.5"
          v-ask="['fact hang', assessment]"
          pointer-events="auto"
          class="fig"
          fill="var(--leaf)"
          stroke="var(--paper)"
          stroke-width="5"
          paint-order="stroke"
        >
          {{ hold.words }}
        </text>
      </g>
      <g v-if="offMm !== undefined && holds[0] && turnDeg === 0 && Math.abs(offMm) >= 1" pointer-events="none">
        <path :d="`M${put(holds[0].at)[0]} ${centre[1]}H${centre[0]}`" stroke="var(--amber)" stroke-width="2" />
        <text
          :x="(put(holds[0].at)[0] + centre[0]) / 2"
          :y="centre[1] - 12"
          text-anchor="middle"
          font-size="12.5"
          v-ask="['fact hang', assessment]"
          pointer-events="auto"
          class="fig"
          fill="var(--amber)"
          stroke="var(--card)"
          stroke-width="4"
          paint-order="stroke"
        >
          {{ millimetres(Math.round(Math.abs(offMm)), store.style.units) }}
        </text>
      </g>
      <text
        v-if="Math.abs(turnDeg) >= 0.05"
        x="24"
        :y="height - 18"
        font-size="13"
        v-ask="['fact hang', assessment]"
        pointer-events="auto"
        class="fig"
        :fill="hangsWell ? 'var(--ink)' : 'var(--amber)'"
      >
        hangs {{ degrees(Math.abs(turnDeg)) }} off
      </text>
    </svg>
  </div>
</template>

<style scoped>
.hang {
  transition: transform 0.3s ease-in-out;
}
.hang.live {
  transition: none;
}
@media (prefers-reduced-motion: reduce) {
  .hang {
    transition: none;
  }
}
.handle {
  color: var(--leaf);
  cursor: grab;
  outline: none;
}
.handle .knob {
  fill: var(--card);
  fill-opacity: 0.92;
  stroke: var(--leaf);
  stroke-width: 1.2;
}
.handle:hover .knob,
.handle:focus-visible .knob {
  stroke-width: 2.4;
}
.handle.picked .knob {
  fill: var(--blossom-tint);
  stroke: var(--amber);
}
</style>
