<script setup lang="ts">
import { type Assessment, askedFact } from '@zucchini/core/assess'
import type { FactName } from '@zucchini/core/facts'
import { computed } from 'vue'
import { factSaid, factValue, readWords } from '../fact-words.ts'
import { useAsk } from '../stores/ask.ts'
import { useRig } from '../stores/rig.ts'

// How any figure of a set-up is reckoned: made from what was noted while it was worked out, not written for a screen.
const props = defineProps<{ assessment: Assessment; fact: FactName }>()
const ask = useAsk()
const store = useRig()
const asked = computed(() => askedFact(props.assessment, props.fact))
const said = computed(() => factSaid[props.fact])
const valueOf = (name: FactName) => factValue(name, props.assessment.facts, store.style)
</script>

<template>
  <section class="flex flex-col gap-3 px-5 py-4" aria-label="How it is reckoned" :data-figure-sheet="`fact ${fact}`">
    <header class="flex items-baseline gap-3">
      <h2 class="text-[16px] font-semibold">{{ said.title }}</h2>
      <span class="fig text-[16px]">{{ valueOf(fact) }}</span>
    </header>
    <p class="leading-snug first-letter:uppercase">{{ said.how }}.</p>
    <p v-if="asked.failed" class="text-brick" role="alert">It could not be worked out here: {{ asked.failed }}</p>
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
