<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import { orientations, type Orientation, type Setup, supports, type Support } from '@zucchini/core/assembly'
import { levels } from '@zucchini/core/checks'
import { Copy, Trash2 } from '@lucide/vue'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import RigSketch from '../../drawing/RigSketch.vue'
import { useRig } from '../../stores/rig.ts'
import LevelMark from '../../widgets/LevelMark.vue'
import { atLeast, degrees, grams, holdWords, hoursMinutes, millimetres } from '../../wording.ts'
import { orientationWords, supportWords } from './setup-words.ts'

const props = defineProps<{ setup: Setup; assessment: Assessment; only: boolean; picked: boolean }>()
defineEmits<{
  copy: []
  drop: []
  pick: []
  rename: [name: string]
  support: [support: Support]
  orientation: [orientation: Orientation]
  cap: [capG: number]
}>()
const store = useRig()

const counts = computed(() =>
  levels
    .map((level) => ({ level, n: props.assessment.findings.filter((finding) => finding.level === level).length }))
    .filter(({ n }) => n > 0),
)
const setupHangs = computed(() => props.setup.support === 'hand-low')
const figures = computed(() => {
  const { mass, size, hang, setupSeconds, steadiness, holdMinutes } = props.assessment
  return [
    ['in the hand', atLeast(grams(mass.inHandG, store.style.units), mass.unknown.length > 0), 'in-hand'],
    ['tall', millimetres(Math.round(size.tallMm), store.style.units), 'tall'],
    ['hangs', hang && setupHangs.value ? degrees(Math.abs(hang.tiltDeg)) : '–', 'hangs'],
    ['set up in', hoursMinutes(setupSeconds), 'set-up'],
    ['yaw shake', steadiness ? `${steadiness.yaw.toFixed(2)} ×` : '–', 'fact steadiness'],
    ['held still for', holdMinutes === undefined ? '–' : holdWords(holdMinutes), 'held'],
  ] as const
})
</script>

<template>
  <article
    class="flex flex-col rounded-xl border bg-card"
    :class="picked ? 'border-leaf' : 'border-line'"
    :data-setup="setup.id"
  >
    <RouterLink
      :to="{ name: 'bench', params: { id: store.rig?.id }, query: { setup: setup.id } }"
      class="grid h-[220px] place-items-center border-b border-line"
      :title="`${setup.name}, on the bench`"
    >
      <RigSketch :assembly="assessment.assembly" view="side" :width="280" :height="208" :pad="12" />
      <span class="sr-only">{{ setup.name }}, on the bench</span>
    </RouterLink>
    <div class="flex items-center gap-2 px-4 pt-3">
      <input
        class="field w-full min-w-0 border-transparent bg-transparent px-1 text-[15px] font-semibold hover:border-line"
        maxlength="40"
        :value.prop="setup.name"
        :aria-label="`Name of the set-up ${setup.name}`"
        @change="$emit('rename', ($event.target as HTMLInputElement).value)"
      />
      <button class="btn px-1.5" :aria-label="`Copy ${setup.name}`" title="Copy" @click="$emit('copy')">
        <Copy class="size-4" />
      </button>
      <button
        class="btn px-1.5"
        :disabled="only"
        :aria-label="`Drop ${setup.name}`"
        title="Drop (Undo brings it back)"
        @click="$emit('drop')"
      >
        <Trash2 class="size-4" />
      </button>
    </div>
    <label class="mt-1.5 block px-4">
      <span class="sr-only">How {{ setup.name }} is held</span>
      <select
        class="field w-full"
        :value="setup.support"
        @change="$emit('support', ($event.target as HTMLSelectElement).value as Support)"
      >
        <option v-for="support in supports" :key="support" :value="support">{{ supportWords[support] }}</option>
      </select>
    </label>
    <div class="mt-1.5 flex items-center gap-2 px-4">
      <label class="min-w-0 flex-1">
        <span class="sr-only">Which way up {{ setup.name }} is</span>
        <select
          class="field w-full"
          :value="setup.orientation"
          @change="$emit('orientation', ($event.target as HTMLSelectElement).value as Orientation)"
        >
          <option v-for="orientation in orientations" :key="orientation" :value="orientation">
            {{ orientationWords[orientation] }}
          </option>
        </select>
      </label>
      <label class="label flex items-center gap-1.5"
        >at most
        <input
          type="number"
          class="field w-20 py-0.5 text-right"
          min="0"
          max="60000"
          step="50"
          :value.prop="setup.capG || ''"
          placeholder="brief"
          :aria-label="`The most ${setup.name} may weigh, grams; empty: as the brief says`"
          @change="$emit('cap', Number(($event.target as HTMLInputElement).value) || 0)"
        />
        g</label
      >
    </div>
    <dl class="mt-3 grid grid-cols-3 gap-x-3 gap-y-1.5 px-4">
      <div v-for="[title, figure, asks] in figures" :key="title" v-ask="[asks, assessment]">
        <dt class="label">{{ title }}</dt>
        <dd class="fig text-[15px]">{{ figure }}</dd>
      </div>
    </dl>
    <p class="mt-3 flex items-center gap-3 border-t border-line px-4 py-2.5">
      <span v-for="{ level, n } in counts" :key="level" class="flex items-center gap-1.5"
        ><LevelMark :level="level" />{{ n }} {{ level }}{{ n > 1 ? 's' : '' }}</span
      >
      <span v-if="counts.length === 0" class="flex items-center gap-1.5"><LevelMark level="ok" />nothing to say</span>
      <label class="label ml-auto flex cursor-pointer items-center gap-1.5"
        ><input type="checkbox" class="accent-leaf" :checked="picked" @change="$emit('pick')" /> compare</label
      >
    </p>
  </article>
</template>
