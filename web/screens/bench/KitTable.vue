<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import { roles } from '@zucchini/core/catalogue'
import { computed } from 'vue'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import { grams, money } from '../../wording.ts'

const props = defineProps<{ assessment: Assessment }>()
const store = useRig()
const bench = useBench()

const rows = computed(() => {
  const lines = new Map(props.assessment.cost.lines.map((line) => [line.instance, line]))
  const price = (id: string) => {
    const line = lines.get(id)
    return !line ? 'considered' : line.owned ? 'owned' : money(line.usual, store.style.currency)
  }
  const placed = props.assessment.assembly.placed.map((piece) => ({
    id: piece.instance.id,
    part: piece.part,
    on: piece.host ? piece.host.part.name : 'carries the rig',
    placed: true,
    price: price(piece.instance.id),
  }))
  const loose = props.assessment.assembly.loose.map(({ instance, part }) => ({
    id: instance.id,
    part,
    on: 'not on this set-up',
    placed: false,
    price: price(instance.id),
  }))
  const all = [...placed, ...loose]
  return bench.station ? all.filter(({ part }) => roles[part.role].station === bench.station) : all
})
const heaviest = computed(() => Math.max(1, ...rows.value.map(({ part }) => part.massG)))
</script>

<template>
  <section class="flex min-h-0 flex-1 flex-col px-4 pt-2.5" aria-label="Kit">
    <div class="flex items-baseline gap-3 pb-1.5">
      <h2 class="font-semibold">{{ bench.station ? `Kit, ${bench.station}` : 'Kit' }}</h2>
      <span class="label tight"
        >{{ rows.length }} {{ rows.length === 1 ? 'piece' : 'pieces' }}, heaviest bar = {{ grams(heaviest, store.style.units) }}</span
      >
      <span class="ml-auto hidden gap-1 min-[1100px]:flex" aria-hidden="true"
        ><span class="key">O open points</span><span class="key">P pieces</span><span class="key">? keys</span></span
      >
    </div>
    <ul class="relative min-h-0 flex-1 overflow-y-auto" tabindex="-1">
      <li v-for="row in rows" :key="row.id">
        <button
          class="grid w-full grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)_110px_70px_92px] items-center gap-3 border-b border-line px-1 py-1 text-left hover:bg-paper"
          :class="{ 'text-soft': !row.placed }"
          :data-piece="row.id"
          :disabled="!row.placed"
          @click="bench.pickPiece(row.id)"
        >
          <span class="truncate">{{ row.part.name }}</span>
          <span class="label tight truncate">{{ row.on }}</span>
          <span class="h-[5px] rounded-[2px] bg-track" aria-hidden="true"
            ><span class="block h-full rounded-[2px] bg-slate opacity-70" :style="{ width: `${(row.part.massG / heaviest) * 100}%` }"
          /></span>
          <span class="fig text-right font-normal!">{{ grams(row.part.massG, store.style.units) }}</span>
          <span class="fig text-right font-normal!" :class="{ 'text-leaf': row.price === 'owned' }">{{ row.price }}</span>
        </button>
      </li>
      <li v-if="rows.length === 0" class="py-4 text-soft">
        No piece of this station yet. Pick a green mark on the drawing to see what fits there.
      </li>
    </ul>
  </section>
</template>
