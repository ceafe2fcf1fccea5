<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import { aspectIds, type AspectId, aspects } from '@zucchini/core/brief'
import { viewfinderOf } from '@zucchini/core/clearance'
import { angleDeg, equivalentMm, pictureOf } from '@zucchini/core/optics'
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { millimetres, shortName } from '../../wording.ts'
import { aspectWords } from './light-words.ts'
import { darkRims, intruders, plateOf } from './picture.ts'

const props = defineProps<{ assessment: Assessment }>()
defineEmits<{ aspect: [id: AspectId] }>()
const sheet = useTemplateRef<HTMLElement>('sheet')
const { width, height } = useElementSize(sheet, { width: 400, height: 240 })

const front = computed(() => props.assessment.facts.front)
const upright = computed(() => props.assessment.assembly.setup.orientation === 'upright')
const aspect = computed(() => props.assessment.assembly.rig.brief.light.aspect)
const focalMm = ref(0)
watch(
  () => front.value?.lens.part.id,
  () => (focalMm.value = front.value?.glass.focalMinMm ?? 0),
  { immediate: true },
)
const picture = computed(() => front.value?.sensor && pictureOf(front.value.sensor, aspects[aspect.value], upright.value))
const finder = computed(() =>
  picture.value && focalMm.value > 0 ? viewfinderOf(props.assessment.assembly, focalMm.value, picture.value) : undefined,
)
const plate = computed(
  () => picture.value && plateOf(picture.value, upright.value, Math.max(60, width.value - 32), Math.max(60, height.value - 14)),
)
const inPicture = computed(() => (finder.value && plate.value ? intruders(finder.value, plate.value) : []))
const rims = computed(() => (finder.value && plate.value ? darkRims(finder.value, plate.value) : []))
const verdict = computed(() => {
  const seen = inPicture.value.map(({ name }) => shortName(name))
  const corners = rims.value.length > 0 ? ['dark corners'] : []
  return [...seen, ...corners].join(', ') || 'nothing of the rig'
})
const acrossMm = computed(() => (picture.value ? (upright.value ? picture.value.tallMm : picture.value.wideMm) : 0))
</script>

<template>
  <section class="flex min-h-0 min-w-0 flex-col border-l border-line" aria-label="Through the lens">
    <h2 class="flex items-baseline gap-3 px-4 pt-2">
      <span class="font-semibold">Through the lens</span>
      <span class="ml-auto flex gap-0.5" role="group" aria-label="Picture">
        <button
          v-for="id in aspectIds"
          :key="id"
          class="rounded-md px-1.5 text-[12.5px]"
          :class="aspect === id ? 'bg-leaf-tint font-semibold' : 'text-soft hover:text-ink'"
          :aria-pressed="aspect === id"
          :title="aspectWords[id]"
          @click="$emit('aspect', id)"
        >
          {{ id }}
        </button>
      </span>
    </h2>
    <div ref="sheet" class="relative min-h-0 flex-1">
      <svg
        v-if="plate"
        class="absolute inset-0 m-auto overflow-hidden rounded-[3px]"
        :width="plate.wide"
        :height="plate.tall"
        role="img"
        :aria-label="`In the picture at ${Math.round(focalMm)} mm: ${verdict}`"
      >
        <defs>
          <pattern id="intruding" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="6" height="6" fill="var(--ink)" opacity="0.8" />
            <path d="M0 0V6" stroke="var(--brick)" stroke-width="2.6" />
          </pattern>
        </defs>
        <rect :width="plate.wide" :height="plate.tall" fill="var(--d-screen)" />
        <rect :y="plate.tall * 0.56" :width="plate.wide" :height="plate.tall * 0.44" fill="var(--d-glass)" />
        <path :d="`M0 ${plate.tall * 0.56}H${plate.wide}`" stroke="var(--slate)" stroke-width="0.8" />
        <path
          :d="`M${plate.wide / 3} 0V${plate.tall}M${(plate.wide * 2) / 3} 0V${plate.tall}M0 ${plate.tall / 3}H${plate.wide}M0 ${(plate.tall * 2) / 3}H${plate.wide}`"
          stroke="var(--card)"
          stroke-width="0.7"
          opacity="0.6"
        />
        <g v-for="one in inPicture" :key="one.id" :data-intruder="one.id">
          <path v-for="(d, i) in one.paths" :key="i" :d="d" fill="url(#intruding)" stroke="var(--brick)" stroke-width="1" />
          <text
            :x="Math.max(46, Math.min(plate.wide - 46, one.label[0]))"
            :y="Math.min(plate.tall - 6, one.label[1] + 14)"
            text-anchor="middle"
            font-size="11.5"
            font-weight="600"
            fill="var(--ink)"
            paint-order="stroke"
            stroke="var(--d-screen)"
            stroke-width="3"
          >
            {{ shortName(one.name) }}
          </text>
        </g>
        <path v-for="rim in rims" :key="rim.key" :d="rim.d" fill="#101412" fill-rule="evenodd" opacity="0.26" />
        <rect :width="plate.wide" :height="plate.tall" fill="none" stroke="var(--ink)" stroke-width="1.6" />
      </svg>
      <p v-else class="p-4 text-soft">Sensor or lens unknown: no picture.</p>
    </div>
    <label v-if="front" class="flex items-center gap-3 px-4 pt-1 pb-2">
      <span class="label tight w-[236px] shrink-0"
        ><span class="fig text-ink">{{ millimetres(focalMm, 'metric') }}</span
        ><template v-if="front.sensor">
          as {{ Math.round(equivalentMm(focalMm, front.sensor)) }} mm, {{ Math.round(angleDeg(focalMm, acrossMm)) }}° across</template
        ></span
      >
      <input
        type="range"
        class="min-w-0 flex-1 accent-leaf"
        aria-label="Focal length"
        :min="front.glass.focalMinMm"
        :max="front.glass.focalMaxMm"
        step="0.5"
        :value="focalMm"
        :disabled="front.glass.focalMinMm === front.glass.focalMaxMm"
        @input="focalMm = Number(($event.target as HTMLInputElement).value)"
      />
    </label>
    <p class="label tight truncate px-4 pb-1.5" :class="{ 'text-brick!': inPicture.length || rims.length }" data-testid="in-picture">
      In the picture: {{ verdict }}.
    </p>
  </section>
</template>
