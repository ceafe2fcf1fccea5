<script setup lang="ts">
import { canGoOff, offPlaceWords } from '@zucchini/core/assembly'
import type { Assessment } from '@zucchini/core/assess'
import type { Run } from '@zucchini/core/cabling'
import { bagRoles, type Part, roles } from '@zucchini/core/catalogue'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import { grams, partGrams, partPrice } from '../../wording.ts'
import OffSelect from './OffSelect.vue'

const props = defineProps<{ assessment: Assessment }>()
const store = useRig()
const bench = useBench()
const router = useRouter()

/** Where a piece is that sits on no mount: between two sockets, in its slot, in the bag. */
const whereabouts = (part: Part, run: Run | undefined): string => {
  if (run) return `${run.from.piece.part.name} to ${run.to.piece.part.name}`
  if (part.media?.stores && part.role === 'card') return 'in a slot or the bag'
  return part.power?.store || bagRoles.has(part.role) ? 'in the bag' : 'not on this set-up'
}
const look = (row: { readonly id: string; readonly lead?: string | undefined; readonly plugged: boolean }) => {
  const { rig, setup } = props.assessment.assembly
  if (row.plugged)
    void router.push({ name: 'wiring', params: { id: rig.id }, query: { setup: setup.id, lead: row.lead ?? row.id } })
  else bench.pickPiece(row.id)
}

const rows = computed(() => {
  const lines = new Map(props.assessment.cost.lines.map((line) => [line.instance, line]))
  const price = (id: string) => {
    const line = lines.get(id)
    if (!line) return 'considered'
    if (line.owned) return 'owned'
    return line.inBoxOf === undefined ? partPrice(line.part, store.style.currency) : 'in the box'
  }
  const placed = props.assessment.assembly.placed.map((piece) => ({
    id: piece.instance.id,
    part: piece.part,
    on: piece.host ? piece.host.part.name : 'carries the rig',
    placed: true,
    plugged: false,
    at: undefined,
    movable: false,
    lead: undefined,
    price: price(piece.instance.id),
  }))
  const off = props.assessment.assembly.off.map(({ piece, at }) => ({
    id: piece.instance.id,
    part: piece.part,
    on: piece.host ? piece.host.part.name : offPlaceWords[at],
    placed: true,
    plugged: false,
    at: piece.host ? undefined : at,
    movable: !piece.host,
    lead: undefined,
    price: price(piece.instance.id),
  }))
  // A port saver is looked at with the lead that is plugged into it.
  const leads = new Map(
    props.assessment.facts.leads.flatMap((run) =>
      [run.link.cable, ...Object.values(run.link.couplers ?? {})].map((id) => [id, run] as const),
    ),
  )
  const loose = props.assessment.assembly.loose.map(({ instance, part }) => ({
    id: instance.id,
    lead: leads.get(instance.id)?.link.cable,
    part,
    on: whereabouts(part, leads.get(instance.id)),
    placed: false,
    plugged: leads.has(instance.id),
    at: undefined,
    movable: instance.status === 'in' && canGoOff(part),
    price: price(instance.id),
  }))
  const all = [...placed, ...off, ...loose]
  return bench.station ? all.filter(({ part }) => roles[part.role].station === bench.station) : all
})
const heaviest = computed(() => Math.max(1, ...rows.value.map(({ part }) => part.massG)))
</script>

<template>
  <section class="flex min-h-0 flex-1 flex-col px-4 pt-2.5" aria-label="Kit">
    <div class="flex items-baseline gap-3 pb-1.5">
      <h2 class="font-semibold">{{ bench.station ? `Kit, ${bench.station}` : 'Kit' }}</h2>
      <span class="label tight"
        >{{ rows.length }} {{ rows.length === 1 ? 'piece' : 'pieces'
        }}{{ bench.station === 'glass' ? '' : `, heaviest bar = ${grams(heaviest, store.style.units)}` }}</span
      >
      <span v-if="bench.station !== 'glass'" class="ml-auto hidden gap-1 min-[1100px]:flex" aria-hidden="true"
        ><span class="key"><kbd>O</kbd> open points</span><span class="key"><kbd>P</kbd> pieces</span
        ><span class="key"><kbd>?</kbd> keys</span></span
      >
    </div>
    <ul class="relative min-h-0 flex-1 overflow-y-auto" tabindex="-1" data-given>
      <li v-for="row in rows" :key="row.id">
        <component
          :is="row.movable && !row.placed ? 'div' : 'button'"
          class="grid w-full items-center gap-3 border-b border-line px-1 py-1 text-left hover:bg-paper"
          :class="[
            bench.station === 'glass'
              ? 'grid-cols-[minmax(0,1fr)_62px_74px]'
              : 'grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)_110px_70px_92px] max-md:min-h-11 max-md:grid-cols-[minmax(0,1fr)_64px_76px]',
            { 'text-soft': !row.placed && !row.plugged },
          ]"
          :data-piece="row.id"
          :disabled="(!row.placed && !row.plugged && !row.movable) || undefined"
          @click="(row.placed || row.plugged) && look(row)"
        >
          <span class="truncate">{{ row.part.name }}</span>
          <OffSelect
            v-if="bench.station !== 'glass' && row.movable && !row.placed"
            class="label tight max-md:hidden"
            :instance="row.id"
            :name="row.part.name"
            :at="row.at"
            :otherwise="row.on"
          />
          <span v-else-if="bench.station !== 'glass'" class="label tight truncate max-md:hidden">{{ row.on }}</span>
          <span v-if="bench.station !== 'glass'" class="h-[5px] rounded-[2px] bg-track max-md:hidden" aria-hidden="true"
            ><span
              class="block h-full rounded-[2px] bg-slate opacity-70"
              :style="{ width: `${(row.part.massG / heaviest) * 100}%` }"
          /></span>
          <span class="fig text-right font-normal!">{{ partGrams(row.part, store.style.units) }}</span>
          <span class="fig text-right font-normal!" :class="{ 'text-leaf': row.price === 'owned' }">{{
            row.price
          }}</span>
        </component>
      </li>
      <li v-if="rows.length === 0" class="py-4 text-soft">
        No piece of this station yet. Pick a green mark on the drawing to see what fits there.
      </li>
    </ul>
  </section>
</template>
