<script setup lang="ts">
import { type Fit, type Misfit } from '@zucchini/core/assess'
import { canGoOff, offPlaceWords, type PlacedPart, slideWay, travelOf, wayName } from '@zucchini/core/assembly'
import { endName, mountOf, roles, toolName } from '@zucchini/core/catalogue'
import { isPriced } from '@zucchini/core/money'
import { scale } from '@zucchini/core/kernel'
import { Trash2, X } from '@lucide/vue'
import { computed, shallowRef, watch } from 'vue'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import { useContext } from '../../stores/context.ts'
import { benchWorker } from '../../workers/client.ts'
import { millimetres, money, partGrams } from '../../wording.ts'
import FitsTable from './FitsTable.vue'
import NeedsLine from './NeedsLine.vue'
import OffSelect from './OffSelect.vue'
import { alongWith, alongWords, takeOff } from './take-off.ts'

const props = defineProps<{ piece: PlacedPart }>()
const store = useRig()
const bench = useBench()
const context = useContext()
const filter = shallowRef('')

const joint = computed(() => props.piece.joint)
const travel = computed(() => travelOf(props.piece))
const ways = computed(() => {
  const way = slideWay(props.piece)
  return way && { less: wayName(scale(way, -1)), more: wayName(way) }
})
const turns = computed(() => {
  const mated = props.piece.mate
  if (!mated?.ok || mated.value.turnStepDeg >= 360) return []
  return mated.value.turnStepDeg > 90 ? [0, 180] : [0, 90, 180, -90]
})
/** Toothed and free joints can be set finer than by quarters. */
const turnStep = computed(() => {
  const mated = props.piece.mate
  return mated?.ok && mated.value.turnStepDeg < 90 ? mated.value.turnStepDeg : 0
})
/** Where it goes along off the rig, and whether it can. */
const offAt = computed(() => store.setup?.off?.find(({ instance }) => instance === props.piece.instance.id)?.at)
const canBeOff = computed(() => offAt.value !== undefined || (joint.value !== undefined && canGoOff(props.piece.part)))
const seat = computed(() => {
  const { host, mate, part } = props.piece
  const [hostMount, guestMount] = [
    host && mountOf(host.part, joint.value?.hostMount ?? ''),
    mountOf(part, joint.value?.guestMount ?? ''),
  ]
  if (offAt.value) return `${offPlaceWords[offAt.value]}, joined by its leads`
  if (!host || !hostMount || !guestMount) return 'carries everything else'
  const by = `${endName({ part, mount: guestMount })} on ${host.part.name}, ${hostMount.label ?? hostMount.id}`
  return mate?.ok
    ? `${by}; ${mate.value.tool === 'fingers' ? 'by hand' : toolName(mate.value)}, ${mate.value.seconds} s${mate.value.holdsTwist ? ', can not turn' : ', can turn'}`
    : by
})
const pieces = computed(() => context.owned.get(props.piece.part.id) ?? 0)
const swaps = shallowRef<readonly Fit[]>([])
const chosen = shallowRef<Fit | Misfit>()
let asked = 0
watch(
  [() => props.piece.instance.id, () => store.rig, () => store.setup?.id, () => context.owned],
  async () => {
    const turn = ++asked
    if (!store.rig || !store.setup) return
    const answer = await benchWorker().swaps(store.rig, store.setup.id, props.piece.instance.id)
    if (turn === asked) swaps.value = answer
  },
  { immediate: true },
)
const set = (change: { slideMm?: number; turnDeg?: number }, note: string) =>
  store.setup &&
  store.apply(
    [{ do: 'set', setup: store.setup.id, instance: props.piece.instance.id, ...change }],
    `${note} ${props.piece.part.name}`,
    `${note} ${props.piece.instance.id}`,
  )
const hinges = computed(() => {
  const { piece } = props
  const poses = store.setup?.poses ?? []
  return (context.catalogue?.parts.get(piece.part.id)?.hinges ?? []).map((hinge) => ({
    hinge,
    now:
      poses.find((pose) => pose.instance === piece.instance.id && pose.hinge === hinge.id)?.position ??
      hinge.positions[0]?.id ??
      '',
  }))
})
const pose = (hinge: string, position: string) =>
  store.setup &&
  store.apply(
    [{ do: 'pose', setup: store.setup.id, instance: props.piece.instance.id, hinge, position }],
    `set the ${hinge} of ${props.piece.part.name}`,
  )
const braces = computed(() =>
  (store.assessment?.assembly.braces ?? []).filter(
    ({ guest, host }) => guest.instance === props.piece.instance || host.instance === props.piece.instance,
  ),
)
const unbrace = (guest: string, host: string) =>
  store.setup &&
  store.apply([{ do: 'unbrace', setup: store.setup.id, guest, host }], `undo a brace of ${props.piece.part.name}`)
const swap = (fit: Fit | Misfit) => store.apply(fit.commands, `swap ${props.piece.part.name} for ${fit.part.name}`)
const along = computed(() => (store.assessment ? alongWords(alongWith(store.assessment.assembly, props.piece)) : ''))
const off = () => {
  if (takeOff(store, props.piece)) bench.dropAll()
}
const age = (percent: number) =>
  store.apply(
    [{ do: 'health', instance: props.piece.instance.id, health: Math.min(100, Math.max(20, percent || 100)) / 100 }],
    `how much ${props.piece.part.name} still holds`,
  )
</script>

<template>
  <section class="flex min-h-0 flex-1 gap-5 px-4 pt-2.5 max-md:flex-col" :aria-label="piece.part.name">
    <div class="relative flex w-[250px] shrink-0 flex-col max-md:w-full gap-1.5 overflow-y-auto pb-2">
      <div class="flex items-start">
        <h2 class="leading-tight font-semibold">{{ piece.part.name }}</h2>
      </div>
      <p class="label leading-snug">{{ roles[piece.part.role].title }}; {{ seat }}</p>
      <p class="fig text-[13px]" data-given>
        {{ partGrams(piece.part, store.style.units) }} ·
        {{
          pieces > 0 ? 'owned' : isPriced(piece.part) ? money(piece.part.price.usual, store.style.currency) : 'price ?'
        }}
        <span v-if="pieces === 0 && isPriced(piece.part)" class="label tight font-normal"
          >({{ money(piece.part.price.low, store.style.currency) }} to
          {{ money(piece.part.price.high, store.style.currency) }})</span
        >
      </p>
      <div class="flex flex-wrap gap-1.5">
        <button v-if="joint || offAt" class="btn py-0.5" :title="along ? `and ${along}` : undefined" @click="off">
          <Trash2 class="size-3.5" aria-hidden="true" /> take off<span v-if="along" class="sr-only"
            >, and {{ along }}</span
          >
        </button>
        <button class="btn py-0.5" @click="context.setOwned(piece.part.id, pieces > 0 ? 0 : 1)">
          {{ pieces > 0 ? 'not mine' : 'I own this' }}
        </button>
      </div>
      <label v-if="canBeOff" class="flex items-center gap-2">
        <span class="label shrink-0">goes along</span>
        <OffSelect
          class="flex-1"
          :instance="piece.instance.id"
          :name="piece.part.name"
          :at="offAt"
          :otherwise="offAt ? 'in the bag' : 'on the rig'"
        />
      </label>
      <label v-if="travel && joint" class="mt-0.5 block">
        <span class="label flex"
          ><span>slide, {{ ways?.less }} to {{ ways?.more }}</span
          ><span class="fig ml-auto text-ink" data-given>{{
            millimetres(joint.slideMm, store.style.units)
          }}</span></span
        >
        <input
          type="range"
          class="w-full accent-leaf"
          :min="travel.minMm"
          :max="travel.maxMm"
          :step="travel.stepMm"
          :value="joint.slideMm"
          @input="set({ slideMm: Number(($event.target as HTMLInputElement).value) }, 'slide')"
        />
      </label>
      <div v-if="turns.length && joint" class="flex items-center gap-1" role="group" aria-label="Turn">
        <span class="label mr-1">turned</span>
        <button
          v-for="turn in turns"
          :key="turn"
          class="btn px-2 py-0"
          :class="{ 'border-leaf! bg-leaf-tint!': turn === joint.turnDeg }"
          :aria-pressed="turn === joint.turnDeg"
          @click="set({ turnDeg: turn }, 'turn')"
        >
          {{ turn }}°
        </button>
      </div>
      <label v-if="turnStep && joint" class="flex items-center gap-2">
        <span class="label">finer, {{ turnStep }}° steps</span>
        <input
          type="number"
          class="field w-20 py-0.5"
          min="-180"
          max="180"
          :step="turnStep"
          :value.prop="joint.turnDeg"
          @change="set({ turnDeg: Number(($event.target as HTMLInputElement).value) }, 'turn')"
        />
      </label>
      <label v-for="{ hinge, now } in hinges" :key="hinge.id" class="flex items-center gap-2">
        <span class="label">{{ hinge.label }}</span>
        <select
          class="field min-w-0 flex-1 py-0.5"
          :value="now"
          :aria-label="hinge.label"
          @change="pose(hinge.id, ($event.target as HTMLSelectElement).value)"
        >
          <option v-for="position in hinge.positions" :key="position.id" :value="position.id">
            {{ position.label }}
          </option>
        </select>
      </label>
      <label
        v-if="piece.part.power?.store"
        class="flex items-center gap-2"
        title="A battery that has aged holds less than is printed on it"
      >
        <span class="label">still holds, %</span>
        <input
          type="number"
          class="field w-20 py-0.5"
          min="20"
          max="100"
          step="5"
          :value.prop="Math.round((piece.instance.health ?? 1) * 100)"
          @change="age(Number(($event.target as HTMLInputElement).value))"
        />
      </label>
      <p
        v-for="brace in braces"
        :key="`${brace.guest.instance.id}-${brace.host.instance.id}`"
        class="label flex items-center gap-2"
      >
        braced: {{ brace.guest.instance === piece.instance ? brace.host.part.name : brace.guest.part.name }}
        <button class="btn px-1.5 py-0" @click="unbrace(brace.guest.instance.id, brace.host.instance.id)">undo</button>
      </p>
    </div>
    <div class="flex min-w-0 flex-1 flex-col">
      <div class="flex items-center gap-3">
        <h3 class="font-semibold">Swap for</h3>
        <span class="label tight">{{ swaps.length }} that keep their neighbours</span>
        <input
          v-model="filter"
          type="search"
          placeholder="filter"
          aria-label="Filter the swaps"
          class="field ml-auto w-28 py-0.5"
        />
        <button class="btn px-1.5" aria-label="Close" @click="bench.dropAll()"><X class="size-4" /></button>
      </div>
      <NeedsLine :row="chosen" />
      <FitsTable
        :fits="swaps"
        :misfits="[]"
        :filter="filter"
        :show-misfits="false"
        compact
        act="swap"
        @take="swap"
        @choose="(row) => (chosen = row)"
      />
    </div>
  </section>
</template>
