<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import { computed, ref } from 'vue'
import { useRig } from '../../stores/rig.ts'
import { grams, money } from '../../wording.ts'
import { wayWords } from './light-words.ts'

const props = defineProps<{ assessment: Assessment }>()
const store = useRig()
const effect = ref<'variable-nd' | 'nd'>('variable-nd')
const ways = computed(() => props.assessment.facts.economy.find((one) => one.effect === effect.value)?.ways ?? [])
const cheapest = computed(() =>
  Math.min(...ways.value.filter(({ without }) => without.length === 0).map(({ costMinor }) => costMinor)),
)
</script>

<template>
  <section v-ask="['fact economy', assessment]" aria-label="Filters for the whole kit">
    <h2 class="flex items-baseline border-b border-line pb-1 font-semibold">
      For every lens
      <span class="ml-auto flex gap-0.5 font-normal" role="group" aria-label="Kind of filter">
        <button
          v-for="(title, id) in { 'variable-nd': 'variable', nd: 'fixed' } as const"
          :key="id"
          class="rounded-md px-1.5 text-[12.5px]"
          :class="effect === id ? 'bg-leaf-tint font-semibold' : 'text-soft hover:text-ink'"
          :aria-pressed="effect === id"
          @click="effect = id"
        >
          {{ title }}
        </button>
      </span>
    </h2>
    <ul>
      <li v-for="way in ways" :key="way.way" class="border-b border-line py-1.5" :data-way="way.way">
        <p class="flex items-baseline gap-2">
          <span>{{ wayWords[way.way] }}</span>
          <span class="fig ml-auto" :class="{ 'text-leaf': way.costMinor === cheapest && way.without.length === 0 }">{{
            money(way.costMinor, store.style.currency)
          }}</span>
        </p>
        <p class="label tight">
          {{ grams(way.massG, store.style.units) }} carried ·
          {{ way.secondsPerChange ? `${way.secondsPerChange} s a lens change` : 'nothing at a lens change' }}
          <span v-if="way.without.length" class="text-amber"
            >· none for {{ way.without.map((mm) => (mm ? `${mm} mm` : 'no thread')).join(', ') }}</span
          >
        </p>
      </li>
      <li v-if="ways.length === 0" class="py-2 text-soft">No lens with a thread is in the kit.</li>
    </ul>
  </section>
</template>
