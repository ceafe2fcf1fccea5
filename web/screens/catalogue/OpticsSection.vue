<script setup lang="ts">
import type { FilterOptics, LensOptics, Opening, Optics, Part, SensorOptics } from '@zucchini/core/catalogue'
import { computed } from 'vue'
import OptionalField from './OptionalField.vue'
import { newOptics } from './part-draft.ts'
import VecField from './VecField.vue'

const props = defineProps<{ part: Part }>()
const emit = defineEmits<{ change: [more: Partial<Part>] }>()

const optics = computed<Optics | undefined>(() => props.part.optics ?? newOptics(props.part.role))
const lens = computed(() => (optics.value?.kind === 'lens' ? optics.value : undefined))
const sensor = computed(() => (optics.value?.kind === 'sensor' ? optics.value : undefined))
const filter = computed(() => (optics.value?.kind === 'filter' ? optics.value : undefined))
const support = computed(() => (optics.value?.kind === 'support' ? optics.value : undefined))
const adapter = computed(() => (optics.value?.kind === 'adapter' ? optics.value : undefined))
/** Roles that light passes through before the lens. */
const opens = computed(() => ['filter', 'step-ring', 'matte-box', 'hood'].includes(props.part.role))
const opening = computed<Opening>(() => props.part.opening ?? { at: [0, 0, -5], clearMm: 60 })
const shown = computed(() => opens.value || lens.value || sensor.value || support.value || adapter.value)

const set = (
  more:
    | Partial<LensOptics>
    | Partial<SensorOptics>
    | Partial<FilterOptics>
    | { lowMm?: number; highMm?: number }
    | { contacts: boolean },
) => {
  if (optics.value) emit('change', { optics: { ...optics.value, ...more } as Optics })
}
const open = (more: Partial<Opening>) => emit('change', { opening: { ...opening.value, ...more } })
const round = (on: boolean) =>
  emit('change', {
    opening: on ? { at: opening.value.at, clearMm: 60 } : { at: opening.value.at, wideMm: 140, tallMm: 100 },
  })
const list = (event: Event): number[] =>
  (event.target as HTMLInputElement).value
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map(Number)
const ticked = (event: Event) => (event.target as HTMLInputElement).checked
const effects = {
  nd: 'neutral density',
  'variable-nd': 'variable ND',
  polariser: 'polariser',
  mist: 'mist',
  clear: 'clear',
  graduated: 'graduated, dark above',
} as const
</script>

<template>
  <section v-if="shown" class="mt-4" aria-label="Light and glass">
    <h2 class="border-b border-line pb-1 font-semibold">
      Light and glass <span class="label font-normal">as its maker states it</span>
    </h2>
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1.5 py-2">
      <template v-if="lens">
        <OptionalField
          label="from, mm"
          name="Shortest focal length (mm)"
          :value="lens.focalMinMm"
          @change="set({ focalMinMm: $event ?? NaN })"
        />
        <OptionalField
          label="to, mm"
          name="Longest focal length (mm)"
          :value="lens.focalMaxMm"
          @change="set({ focalMaxMm: $event ?? NaN })"
        />
        <OptionalField label="f/" name="Widest stop" :value="lens.stop" @change="set({ stop: $event ?? NaN })" />
        <OptionalField
          label="image circle, mm"
          name="Image circle (mm)"
          :value="lens.imageCircleMm"
          @change="set({ imageCircleMm: $event ?? NaN })"
        />
        <OptionalField
          label="pupil ahead of flange, mm"
          name="Entrance pupil ahead of the flange (mm)"
          :value="lens.pupilMm"
          @change="set({ pupilMm: $event ?? NaN })"
        />
        <OptionalField
          label="focus turns, °"
          name="Focus turns from stop to stop (degrees)"
          :value="lens.throwDeg"
          @change="set({ throwDeg: $event })"
        />
        <label class="flex items-center gap-1.5"
          ><input
            type="checkbox"
            class="accent-leaf"
            :checked="lens.autofocus ?? false"
            @change="set({ autofocus: ticked($event) })"
          />
          autofocus</label
        >
        <label class="flex items-center gap-1.5"
          ><input
            type="checkbox"
            class="accent-leaf"
            :checked="lens.turnsFront ?? false"
            @change="set({ turnsFront: ticked($event) })"
          />
          front turns with a ring</label
        >
      </template>
      <template v-if="sensor">
        <OptionalField
          label="sensor wide, mm"
          name="Sensor width (mm)"
          :value="sensor.wideMm"
          @change="set({ wideMm: $event ?? NaN })"
        />
        <OptionalField
          label="tall, mm"
          name="Sensor height (mm)"
          :value="sensor.tallMm"
          @change="set({ tallMm: $event ?? NaN })"
        />
        <label class="flex items-center gap-1.5"
          ><span class="label">native ISO</span
          ><input
            class="field fig w-28 py-0.5"
            :value.prop="sensor.isos?.join(', ') ?? ''"
            aria-label="Native sensitivities"
            placeholder="100, 800"
            @change="set({ isos: list($event) })"
        /></label>
        <OptionalField
          label="highest ISO"
          name="Highest sensitivity fit to show"
          :value="sensor.isoMax"
          @change="set({ isoMax: $event })"
        />
      </template>
      <template v-if="filter">
        <label class="flex items-center gap-1.5"
          ><span class="label">effect</span>
          <select
            class="field py-0.5"
            :value="filter.effect"
            aria-label="Effect of the filter"
            @change="set({ effect: ($event.target as HTMLSelectElement).value as FilterOptics['effect'] })"
          >
            <option v-for="(title, id) in effects" :key="id" :value="id">{{ title }}</option>
          </select></label
        >
        <OptionalField
          label="takes from, stops"
          name="Takes at least (stops)"
          :value="filter.minStops"
          @change="set({ minStops: $event ?? NaN })"
        />
        <OptionalField
          label="to"
          name="Takes at most (stops)"
          :value="filter.maxStops"
          @change="set({ maxStops: $event ?? NaN })"
        />
      </template>
      <label v-if="adapter" class="flex items-center gap-1.5"
        ><input
          type="checkbox"
          class="accent-leaf"
          :checked="adapter.contacts"
          @change="set({ contacts: ticked($event) })"
        />
        passes focus and iris on</label
      >
      <template v-if="support">
        <OptionalField
          label="cradle from, mm"
          name="Cradle lowest over the rods (mm)"
          :value="support.lowMm"
          @change="set({ lowMm: $event ?? NaN })"
        />
        <OptionalField
          label="to, mm"
          name="Cradle highest over the rods (mm)"
          :value="support.highMm"
          @change="set({ highMm: $event ?? NaN })"
        />
      </template>
      <template v-if="opens">
        <label class="flex items-center gap-1.5"
          ><input
            type="checkbox"
            class="accent-leaf"
            :checked="opening.clearMm !== undefined"
            @change="round(ticked($event))"
          />
          round opening</label
        >
        <OptionalField
          v-if="opening.clearMm !== undefined"
          label="clear, mm"
          name="Clear diameter (mm)"
          :value="opening.clearMm"
          @change="open({ clearMm: $event ?? NaN })"
        />
        <template v-else>
          <OptionalField
            label="wide, mm"
            name="Opening width (mm)"
            :value="opening.wideMm"
            @change="open({ wideMm: $event ?? NaN })"
          />
          <OptionalField
            label="tall, mm"
            name="Opening height (mm)"
            :value="opening.tallMm"
            @change="open({ tallMm: $event ?? NaN })"
          />
        </template>
        <span class="flex items-center gap-1.5"
          ><span class="label">its front at</span
          ><VecField :value="opening.at" name="Front of the opening" @change="open({ at: $event })"
        /></span>
      </template>
    </div>
  </section>
</template>
