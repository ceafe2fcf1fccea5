<script setup lang="ts">
import { type Assessment, askedFact, type Blame, limitsOn } from '@zucchini/core/assess'
import type { FactName } from '@zucchini/core/facts'
import { computed, shallowRef, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { factSaid, factValue, readWords } from '../fact-words.ts'
import { inUnit, sourceWords } from '../figure-words.ts'
import { formulasOf } from '../formulas.ts'
import { useAsk } from '../stores/ask.ts'
import { useRig } from '../stores/rig.ts'
import { inMeasure } from '../wording.ts'
import { blameLater } from '../workers/blame.ts'
import FormulaText from './FormulaText.vue'

// How any figure of a set-up is reckoned: made from what was noted while it was worked out, not written for a screen.
const props = defineProps<{ assessment: Assessment; fact: FactName }>()
const ask = useAsk()
const store = useRig()
const asked = computed(() => askedFact(props.assessment, props.fact))
const said = computed(() => factSaid[props.fact])
const blame = shallowRef<Blame>()
let turns = 0
watch(
  [() => props.assessment, () => props.fact],
  async ([assessment, fact]) => {
    const turn = ++turns
    blame.value = undefined
    const found = await blameLater(assessment, fact)
    if (turn === turns) blame.value = found
  },
  { immediate: true },
)
/** How far it may be off; nothing where all is sure or nothing is known. */
const band = computed(() => {
  const { low, high, unit } = blame.value ?? { low: 0, high: 0, unit: 'g' as const }
  return high > low && Number.isFinite(high) ? `± ${inUnit((high - low) / 2, unit, store.style)}` : ''
})
const moved = (byValue: number) => {
  const unit = blame.value?.unit ?? 'g'
  return `${byValue < 0 ? '−' : '+'} ${inUnit(Math.abs(byValue), unit, store.style)}`
}
const limits = computed(() => limitsOn(props.assessment, props.fact))
const valueOf = (name: FactName) => factValue(name, props.assessment.facts, store.style)
</script>

<template>
  <section class="flex flex-col gap-3 px-5 py-4" aria-label="How it is reckoned" :data-figure-sheet="`fact ${fact}`">
    <header class="flex items-baseline gap-3">
      <h2 class="text-[16px] font-semibold">{{ said.title }}</h2>
      <span class="fig text-[16px]">{{ valueOf(fact) }}</span>
      <span v-if="band" class="fig font-normal! text-soft" data-testid="band">{{ band }}</span>
      <span v-if="blame?.unknown" class="label">something in it is unknown</span>
    </header>
    <p class="leading-snug first-letter:uppercase">{{ said.how }}.</p>
    <p v-if="asked.failed" class="text-brick" role="alert">It could not be worked out here: {{ asked.failed }}</p>
    <FormulaText :formulas="formulasOf(fact)" />
    <div v-if="blame?.most.length" data-testid="most-to-blame">
      <h3 class="label mb-1">most to blame if it is off</h3>
      <ul>
        <li v-for="one in blame.most" :key="one.instance" class="flex items-baseline gap-3 border-t border-line py-1">
          <span class="min-w-0 truncate">{{ one.name }}</span>
          <span class="label tight truncate">{{ sourceWords(one, store.style) }}</span>
          <span class="fig ml-auto whitespace-nowrap">{{ moved(one.movesBy) }}</span>
        </li>
      </ul>
    </div>
    <div v-if="limits.length" data-testid="limits">
      <h3 class="label mb-1">held to</h3>
      <ul>
        <li v-for="one in limits" :key="one.check" class="border-t border-line py-1">
          <span class="flex items-baseline gap-3">
            <span>{{ one.title }}</span>
            <span v-if="one.allowed" class="fig ml-auto whitespace-nowrap"
              ><template v-if="one.measured">{{ inMeasure(one.measured, store.style) }} against </template
              >{{ inMeasure(one.allowed, store.style) }}</span
            >
            <RouterLink
              v-if="one.own"
              class="label whitespace-nowrap underline decoration-dotted underline-offset-2"
              :class="{ 'ml-auto': !one.allowed }"
              :to="{ name: 'work', hash: `#${one.check}` }"
              >change the limit</RouterLink
            >
          </span>
          <span class="label leading-snug">{{ one.source }}</span>
        </li>
      </ul>
    </div>
    <div v-if="asked.from.length">
      <h3 class="label mb-1">made of</h3>
      <ul>
        <li v-for="name in asked.from" :key="name" class="border-t border-line">
          <button
            class="flex w-full items-baseline gap-3 py-1.5 text-left hover:bg-track/60"
            :data-deeper="name"
            @click="ask.deeper(`fact ${name}`)"
          >
            <span class="underline decoration-dotted underline-offset-2">{{ factSaid[name].title }}</span>
            <span class="fig ml-auto">{{ valueOf(name) }}</span>
          </button>
        </li>
      </ul>
    </div>
    <div v-if="asked.read.length">
      <h3 class="label mb-1">{{ asked.from.length ? 'and read from' : 'read from' }}</h3>
      <ul class="flex flex-wrap gap-1.5">
        <li v-for="words in readWords(asked)" :key="words" class="tag">{{ words }}</li>
      </ul>
    </div>
  </section>
</template>
