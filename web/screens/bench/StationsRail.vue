<script setup lang="ts">
import type { StationState } from '@zucchini/core/assess'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import { screensFrom } from '../list.ts'
import LevelMark from '../../widgets/LevelMark.vue'

defineProps<{ stations: readonly StationState[] }>()
const bench = useBench()
const store = useRig()
const shownId = computed(() => store.rig?.id)
const shownSetup = computed(() => store.setup?.id)
/** The same for one set-up, whatever is edited: a link that is given a new place looks it up anew. */
const places = computed(() =>
  screensFrom('bench rail').map(({ name, note, icon, title }) => ({
    name,
    note,
    icon,
    title,
    to: { name, params: { id: shownId.value }, query: shownSetup.value ? { setup: shownSetup.value } : {} },
  })),
)

const title = (station: string) => station[0]?.toUpperCase() + station.slice(1)
const markOf = (state: StationState) =>
  state.worst ?? (state.openNeeds.length > 0 ? 'open' : state.instances.length > 0 ? 'ok' : 'open')
const noteOf = (state: StationState) => {
  if (state.openNeeds.length > 0) return `${state.openNeeds.length} wanted`
  if (state.findings.length > 0) return String(state.findings.length)
  if (state.instances.length > 0) return state.instances.length === 1 ? '1 part' : `${state.instances.length} parts`
  return state.advice.verdict === 'leave out' ? 'leave out' : ''
}
const wordOf = (state: StationState) =>
  ({ stop: 'has a stop', risk: 'has a risk', hint: 'has a hint', ok: 'in order', open: 'open' })[markOf(state)]
</script>

<template>
  <nav
    class="flex w-[164px] shrink-0 flex-col gap-0.5 border-r border-line p-1.5 max-md:order-0 max-md:w-full max-md:flex-row max-md:overflow-x-auto max-md:border-r-0 max-md:border-b"
    aria-label="Stations, in working order"
  >
    <button
      v-for="state in stations"
      :key="state.station"
      class="flex items-center gap-2.5 rounded-lg border px-2.5 py-[7px] text-left max-md:min-h-11 max-md:shrink-0 max-md:gap-1.5"
      :class="bench.station === state.station ? 'border-line bg-card' : 'border-transparent hover:bg-card'"
      :aria-pressed="bench.station === state.station"
      :title="`${title(state.station)}: ${state.advice.verdict}, ${state.advice.reason}`"
      @click="bench.station = bench.station === state.station ? undefined : state.station"
    >
      <LevelMark :level="markOf(state)" /><span class="sr-only">{{ wordOf(state) }}</span>
      <span class="font-semibold">{{ title(state.station) }}</span>
      <span class="label tight ml-auto whitespace-nowrap">{{ noteOf(state) }}</span>
    </button>
    <div class="mt-auto flex flex-col gap-0.5 pb-1 max-md:mt-0 max-md:flex-row max-md:pb-0">
      <RouterLink
        v-for="place in places"
        :key="place.name"
        :to="place.to"
        class="flex items-center gap-2.5 rounded-lg px-2.5 py-[5px] hover:bg-card max-md:min-h-11 max-md:gap-1.5"
        :title="place.note"
        ><component :is="place.icon" class="size-3.5 text-leaf" aria-hidden="true" /><span class="font-semibold">{{
          place.title
        }}</span></RouterLink
      >
    </div>
    <div class="px-2.5 pb-2 text-[12px] leading-snug text-soft max-md:hidden">
      <template v-if="bench.station">
        <p v-for="state in stations.filter((entry) => entry.station === bench.station)" :key="state.station">
          <strong class="text-ink">{{ title(state.advice.verdict) }}.</strong> {{ title(state.advice.reason) }}.
        </p>
      </template>
      <p v-else>Pick a green mark on the drawing to see what fits there.</p>
    </div>
  </nav>
</template>
