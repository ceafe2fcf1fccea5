<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import type { Room } from '@zucchini/core/catalogue'
import { computed, ref } from 'vue'
import { useBench } from '../../stores/bench.ts'
import { useSettings } from '../../stores/settings.ts'
import { millimetres, shortName } from '../../wording.ts'

// What fits, but only just: a result as well, though nothing has to be done about it.
const props = defineProps<{ assessment: Assessment }>()
const bench = useBench()
const settings = useSettings()
const open = ref(false)

const roomWords: Readonly<Record<Room['kind'], string>> = {
  swing: 'screen',
  door: 'door',
  hand: 'fingers',
  plug: 'plug',
  lever: 'lever',
  turn: 'ring',
  view: 'eye',
}
const fits = computed(() => (open.value ? props.assessment.facts.closeFits : []))
const tenths = (mm: number) => Math.round(mm * 10) / 10
</script>

<template>
  <section class="border-t border-line pt-1.5 pb-2" aria-label="Close fits">
    <button class="flex w-full items-baseline text-left text-[13px]" :aria-expanded="open" @click="open = !open">
      <strong>Close fits</strong><span class="label ml-2">free by less than 5 mm</span>
      <span class="label ml-auto">{{ open ? 'hide' : 'show' }}</span>
    </button>
    <p v-if="open && fits.length === 0" class="label py-1">None: what is free is free by 5 mm and more.</p>
    <ul v-else-if="open" class="max-h-44 overflow-y-auto">
      <li
        v-for="(fit, i) in fits"
        :key="i"
        v-ask="['fact closeFits', assessment]"
        class="flex items-baseline gap-2 border-b border-line py-1 text-[13px] last:border-0"
      >
        <button class="min-w-0 text-left" @click="bench.pickPiece(fit.by.instance.id)">
          {{ roomWords[fit.room.kind] }} of {{ shortName(fit.piece.part.name) }}
          <span class="text-soft">beside {{ shortName(fit.by.part.name) }}</span>
        </button>
        <span class="fig ml-auto shrink-0">{{ millimetres(tenths(fit.spareMm), settings.units) }}</span>
      </li>
    </ul>
  </section>
</template>
