<script setup lang="ts">
import { Pause, Play, RotateCcw } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { useRig } from '../../stores/rig.ts'
import ChargeChart from '../../widgets/ChargeChart.vue'
import LevelMark from '../../widgets/LevelMark.vue'
import RigBar from '../../widgets/RigBar.vue'
import SetupTabs from '../../widgets/SetupTabs.vue'
import { volts, wattHours, watts } from '../../wording.ts'
import { useRigOfRoute } from '../rig-of-route.ts'
import PackGauge from './PackGauge.vue'
import { useRehearsal } from './rehearsal-feed.ts'
import { clock, eventLevel, eventWords, kindWords, speeds } from './rehearsal-words.ts'

const store = useRig()
const { frame, samples, trouble, start, change } = useRehearsal()
const FIRST_SPEED = 6
const speed = ref(FIRST_SPEED)

const refused = useRigOfRoute()
const begin = () => {
  if (store.rig && store.setup) void start(store.rig, store.setup.id, speed.value)
}
watch([() => store.rig?.id, () => store.setup?.id], begin, { immediate: true })

const minutes = computed(() => store.assessment?.facts.day.minutes ?? 0)
const names = computed(() => new Map(frame.value?.packs.map(({ id, name }) => [id, name]) ?? []))
const events = computed(() => [...(frame.value?.events ?? [])].filter(({ what }) => what !== 'phase').reverse())
const bright = computed(() =>
  (store.assessment?.facts.network.nodes ?? [])
    .filter(({ fullW, drawW }) => fullW > drawW)
    .map(({ id, name }) => ({ id, name })),
)
const toggled = (list: readonly string[], id: string) =>
  list.includes(id) ? list.filter((other) => other !== id) : [...list, id]
const setSpeed = (value: number) => {
  speed.value = value
  void change({ speed: value })
}
const share = computed(() =>
  frame.value && minutes.value > 0 ? Math.min(1, frame.value.second / 60 / minutes.value) : 0,
)
const phases = computed(() => {
  const list = store.assessment?.facts.day.phases ?? []
  return list.map((phase) => ({ ...phase, share: minutes.value > 0 ? phase.minutes / minutes.value : 0 }))
})
</script>

<template>
  <div class="relative flex h-full min-h-0 flex-col overflow-hidden">
    <RigBar here="Rehearsal" />
    <p v-if="refused || trouble" class="border-b border-line bg-blossom-tint px-4 py-1.5" role="alert">
      {{ refused || trouble }} <button v-if="trouble" class="btn ml-2 py-0" @click="begin">Play it again</button>
    </p>
    <main v-if="store.assessment" class="flex min-h-0 flex-1">
      <div class="flex min-w-0 flex-1 flex-col">
        <div class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line px-4 py-1.5">
          <h1 class="sr-only">Rehearsal of the day, {{ store.rig?.name }}</h1>
          <SetupTabs />
          <span
            class="label rounded border border-dashed border-soft px-2 py-0.5"
            title="No battery or meter is connected"
            >simulated batteries and meters</span
          >
          <RouterLink
            v-if="store.rig && store.setup"
            class="ml-auto text-soft underline decoration-line underline-offset-3 hover:text-ink"
            :to="{ name: 'wiring', params: { id: store.rig.id }, query: { setup: store.setup.id } }"
            >to the wiring</RouterLink
          >
        </div>
        <section v-if="frame" class="px-4 pt-3" aria-label="The day">
          <div class="flex items-baseline gap-4">
            <span class="fig text-[26px] leading-none" data-testid="clock" data-given>{{ clock(frame.second) }}</span>
            <span class="font-semibold">{{ frame.phase?.name ?? 'the day is over' }}</span>
            <span v-if="frame.phase" class="label"
              >{{ kindWords[frame.phase.kind] }}{{ frame.phase.mains ? ', near a wall' : '' }}</span
            >
            <span class="ml-auto flex items-center gap-1.5">
              <button
                class="btn btn-do px-2.5"
                :disabled="frame.over"
                :aria-label="frame.paused ? 'Go on' : 'Pause'"
                @click="change({ paused: !frame.paused })"
              >
                <component :is="frame.paused ? Play : Pause" class="size-4" aria-hidden="true" />
                {{ frame.paused ? 'Go on' : 'Pause' }}
              </button>
              <button class="btn px-2" @click="change({ again: true, paused: false })">
                <RotateCcw class="size-4" aria-hidden="true" /> From the morning
              </button>
              <span class="ml-2 flex rounded-md border border-line" role="group" aria-label="How fast it plays">
                <button
                  v-for="[value, word] in speeds"
                  :key="value"
                  class="px-2 py-1"
                  :class="frame.speed === value ? 'bg-leaf-tint font-semibold' : 'text-soft hover:text-ink'"
                  :aria-pressed="frame.speed === value"
                  :title="`${value} min of the day in a second`"
                  @click="setSpeed(value)"
                >
                  {{ word }}
                </button>
              </span>
            </span>
          </div>
          <div class="relative mt-3 flex h-6 overflow-hidden rounded border border-line" aria-hidden="true">
            <span
              v-for="(phase, i) in phases"
              :key="i"
              class="tight truncate border-r border-line px-1 text-[11px] leading-6 last:border-0"
              :class="{
                'bg-leaf-tint': phase.kind === 'roll',
                'bg-card': phase.kind === 'standby' || phase.kind === 'setup',
                'bg-track text-soft': phase.kind === 'off',
              }"
              :style="{ width: `${phase.share * 100}%` }"
              :title="phase.name"
              >{{ phase.name }}</span
            >
            <span class="absolute inset-y-0 w-0.5 bg-brick" :style="{ left: `calc(${share * 100}% - 1px)` }" />
          </div>
        </section>
        <section
          v-if="frame"
          class="grid grid-cols-[repeat(auto-fill,minmax(178px,1fr))] gap-2 px-4 pt-3"
          aria-label="Batteries"
        >
          <PackGauge
            v-for="pack in frame.packs"
            :key="pack.id"
            v-ask="['fact runDown', store.assessment]"
            :pack="pack"
            :forgotten="frame.disturbance.forgotten.includes(pack.id)"
            @forget="change({ forgotten: toggled(frame.disturbance.forgotten, pack.id) })"
          />
          <p v-if="frame.packs.length === 0" class="label">No battery sits on this set-up, and none is in the bag.</p>
        </section>
        <section class="flex min-h-0 flex-1 flex-col px-4 pt-3 pb-2" aria-label="Charge so far">
          <h2 class="font-semibold">Charge so far</h2>
          <ChargeChart
            v-if="samples.length > 1"
            class="flex-1"
            :samples="samples"
            :names="names"
            :minutes="minutes"
            label="Charge of every pack so far, in percent; the gauges above say how it stands now"
          />
        </section>
      </div>
      <aside
        class="flex w-[312px] shrink-0 flex-col gap-4 overflow-y-auto border-l border-line bg-card px-4 py-3"
        aria-label="Meters and changes"
      >
        <section v-if="frame">
          <h2 class="border-b border-line pb-1 font-semibold">What draws now</h2>
          <ul v-ask="['fact network', store.assessment]">
            <li
              v-for="piece in frame.pieces"
              :key="piece.id"
              class="flex items-baseline gap-2 border-b border-line py-1"
              :data-piece="piece.id"
            >
              <LevelMark :level="piece.dark ? 'stop' : 'ok'" />
              <span class="min-w-0 truncate" :title="piece.name">{{ piece.name }}</span>
              <span class="fig ml-auto shrink-0" :class="{ 'text-brick': piece.dark }">{{
                piece.dark ? 'dark' : watts(piece.watts)
              }}</span>
            </li>
          </ul>
          <dl
            v-ask="['fact day', store.assessment]"
            class="mt-2 grid grid-cols-4 gap-2 text-[12px] leading-tight text-soft"
          >
            <div>
              <dt>used</dt>
              <dd class="fig text-[13px] text-ink">{{ wattHours(frame.usedWh) }}</dd>
            </div>
            <div>
              <dt>lost</dt>
              <dd class="fig text-[13px] text-ink">{{ wattHours(frame.lostWh) }}</dd>
            </div>
            <div>
              <dt>wall</dt>
              <dd class="fig text-[13px] text-ink">{{ wattHours(frame.wallWh) }}</dd>
            </div>
            <div>
              <dt>changes</dt>
              <dd class="fig text-[13px] text-ink">{{ frame.swaps }}</dd>
            </div>
          </dl>
        </section>
        <section v-if="frame">
          <h2 class="border-b border-line pb-1 font-semibold">What if</h2>
          <label class="mt-2 block"
            ><span class="flex items-baseline"
              ><span class="label">it is</span
              ><span class="fig ml-auto" data-given>{{ frame.disturbance.celsius }} °C</span></span
            ><input
              type="range"
              class="w-full accent-leaf"
              min="-20"
              max="30"
              step="5"
              aria-label="Temperature, degrees Celsius"
              :value="frame.disturbance.celsius"
              @change="change({ celsius: Number(($event.target as HTMLInputElement).value) })"
          /></label>
          <label v-for="piece in bright" :key="piece.id" class="flex items-center gap-2"
            ><input
              type="checkbox"
              class="accent-leaf"
              :checked="frame.disturbance.turnedUp.includes(piece.id)"
              @change="change({ turnedUp: toggled(frame.disturbance.turnedUp, piece.id) })"
            /><span class="min-w-0 truncate">{{ piece.name }} turned up full</span></label
          >
          <p class="label mt-1">A pack left at home: press “forget” on its gauge.</p>
        </section>
        <section aria-label="What happened">
          <h2 class="border-b border-line pb-1 font-semibold">What happened</h2>
          <ol aria-live="polite">
            <li
              v-for="(event, i) in events"
              :key="`${event.second}-${event.what}-${event.name}-${i}`"
              class="flex items-baseline gap-2 border-b border-line py-1"
            >
              <LevelMark :level="eventLevel(event.what)" /><span class="min-w-0 leading-snug">{{
                eventWords(event)
              }}</span
              ><span class="fig ml-auto shrink-0 text-soft" data-given>{{ clock(event.second) }}</span>
            </li>
            <li v-if="events.length === 0" class="py-2 text-soft">Nothing yet.</li>
          </ol>
        </section>
        <p class="label">
          An estimate from printed figures: {{ volts(7.2) }} packs are read by a straight line. Never charge lithium
          packs unattended.
        </p>
      </aside>
    </main>
  </div>
</template>
