<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import { aspectIds, type AspectId } from '@zucchini/core/brief'
import { viewfinderOf } from '@zucchini/core/clearance'
import { angleDeg, circleOf, depthOfField, equivalentMm } from '@zucchini/core/optics'
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { millimetres, shortName } from '../../wording.ts'
import { aspectWords } from './light-words.ts'
import { darkRims, intruders, plateOf } from './picture.ts'

const props = defineProps<{ assessment: Assessment }>()
const emit = defineEmits<{ aspect: [id: AspectId]; also: [ids: readonly AspectId[]] }>()
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
const picture = computed(() => props.assessment.facts.picture)
const light = computed(() => props.assessment.assembly.rig.brief.light)
/** Other pictures cut from the same take, as frames in this one where they are smaller. */
const cuts = computed(() => {
  const [whole, sheetNow] = [picture.value, plate.value]
  if (!whole || !sheetNow) return []
  return props.assessment.facts.deliveries.slice(1).map(({ aspect: id, picture: cut }) => {
    const [across, up] = upright.value
      ? [cut.tallMm / whole.tallMm, cut.wideMm / whole.wideMm]
      : [cut.wideMm / whole.wideMm, cut.tallMm / whole.tallMm]
    const [wide, tall] = [Math.min(1, across) * sheetNow.wide, Math.min(1, up) * sheetNow.tall]
    return { id, wide, tall, x: (sheetNow.wide - wide) / 2, y: (sheetNow.tall - tall) / 2 }
  })
})
const toggleAlso = (id: AspectId) =>
  emit('also', light.value.also.includes(id) ? light.value.also.filter((one) => one !== id) : [...light.value.also, id])

const METRE = 1000
const focusM = ref(2)
const fNumber = computed(() => props.assessment.facts.light.setting.fNumber)
const metres = (mm: number): string =>
  Number.isFinite(mm) ? `${(mm / METRE).toFixed(mm < 10 * METRE ? 2 : 1)} m` : 'infinity'
const sharp = computed(() => {
  const found =
    picture.value && depthOfField(focalMm.value, fNumber.value, circleOf(picture.value), focusM.value * METRE)
  return found
    ? `sharp from ${metres(found.nearMm)} to ${metres(found.farMm)} at f/${fNumber.value}; hyperfocal ${metres(found.hyperfocalMm)}`
    : 'nearer than the lens can focus'
})
const finder = computed(() =>
  picture.value && focalMm.value > 0
    ? viewfinderOf(props.assessment.assembly, focalMm.value, picture.value)
    : undefined,
)
const plate = computed(
  () =>
    picture.value &&
    plateOf(picture.value, upright.value, Math.max(60, width.value - 32), Math.max(60, height.value - 14)),
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
  <section
    v-ask="['fact deliveries', assessment]"
    class="flex min-h-0 min-w-0 flex-col border-l border-line"
    aria-label="Through the lens"
  >
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
          @click="emit('aspect', id)"
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
          <path
            v-for="(d, i) in one.paths"
            :key="i"
            :d="d"
            fill="url(#intruding)"
            stroke="var(--brick)"
            stroke-width="1"
          />
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
        <g v-for="cut in cuts" :key="cut.id" :data-cut="cut.id">
          <rect
            :x="cut.x"
            :y="cut.y"
            :width="cut.wide"
            :height="cut.tall"
            fill="none"
            stroke="var(--ink)"
            stroke-dasharray="6 4"
          />
          <text
            :x="cut.x + 5"
            :y="cut.y + 14"
            font-size="11.5"
            fill="var(--ink)"
            paint-order="stroke"
            stroke="var(--d-screen)"
            stroke-width="3"
          >
            {{ cut.id }}
          </text>
        </g>
        <rect :width="plate.wide" :height="plate.tall" fill="none" stroke="var(--ink)" stroke-width="1.6" />
      </svg>
      <p v-else class="p-4 text-soft">Sensor or lens unknown: no picture.</p>
    </div>
    <label v-if="front" class="flex items-center gap-3 px-4 pt-1 pb-2">
      <span class="label tight w-[236px] shrink-0"
        ><span class="fig text-ink">{{ millimetres(focalMm, 'metric') }}</span
        ><template v-if="front.sensor">
          as {{ Math.round(equivalentMm(focalMm, picture ?? front.sensor)) }} mm,
          {{ Math.round(angleDeg(focalMm, acrossMm)) }}° across</template
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
    <p v-if="front" class="label tight flex items-center gap-2 px-4 pb-1.5" data-testid="sharp">
      <label class="flex items-center gap-1.5"
        >focus at
        <input
          v-model.number="focusM"
          type="number"
          class="field fig w-18 py-0.5 text-[13px] text-ink"
          min="0.1"
          max="200"
          step="0.1"
        />m</label
      >
      <span class="min-w-0 truncate" :title="sharp">{{ sharp }}</span>
    </p>
    <p class="label tight flex items-center gap-2 px-4 pb-1.5">
      also cut to
      <label v-for="id in aspectIds.filter((one) => one !== aspect)" :key="id" class="flex items-center gap-1"
        ><input type="checkbox" class="accent-leaf" :checked="light.also.includes(id)" @change="toggleAlso(id)" />{{
          id
        }}</label
      >
    </p>
    <p
      class="label tight truncate px-4 pb-1.5"
      :class="{ 'text-brick!': inPicture.length || rims.length }"
      data-testid="in-picture"
    >
      In the picture: {{ verdict }}.
    </p>
  </section>
</template>
