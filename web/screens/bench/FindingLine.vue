<script setup lang="ts">
import type { Effect, Line } from '@zucchini/core/assess'
import type { Finding, Remedy } from '@zucchini/core/checks'
import { computed } from 'vue'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import type { Cure } from '../../workers/bench.worker.ts'
import { fill, grams, headline, money, signed } from '../../wording.ts'
import { rangeWords } from './card-words.ts'

// One line of a card: what is wrong, from where to where when it is true of several, and the ways out.
const props = defineProps<{ line: Line; cures: readonly Cure[] }>()
const emit = defineEmits<{ look: [finding: Finding] }>()
const store = useRig()
const bench = useBench()

const say = (text: string, of: { numbers: Finding['numbers']; names: Finding['names'] }) =>
  fill(text, of.numbers, of.names, store.style)
const finding = computed(() => props.line.finding)
const said = computed(() => headline(say(finding.value.text, finding.value)))
const ranges = computed(() => rangeWords(props.line, store.style))

const consequence = (effect: Effect | undefined): string => {
  if (!effect) return ''
  const parts = [
    effect.massG === 0 ? '' : signed(effect.massG, (g) => grams(g, store.style.units)),
    effect.toBuyMinor === 0 ? '' : signed(effect.toBuyMinor, (m) => money(m, store.style.currency)),
    effect.gained.stop > 0
      ? `${effect.gained.stop} new stop${effect.gained.stop > 1 ? 's' : ''}`
      : effect.gained.risk > 0
        ? `${effect.gained.risk} new risk${effect.gained.risk > 1 ? 's' : ''}`
        : '',
  ]
  return parts.filter(Boolean).join(', ')
}
const cure = (remedy: Remedy) => {
  bench.forget()
  return store.apply(remedy.commands, `${say(remedy.text, remedy)}, for: ${said.value.head}`)
}
</script>

<template>
  <button class="text-left leading-snug" :title="finding.why" @click="emit('look', finding)">
    <span class="sr-only">{{ finding.level }}: </span>
    <strong>{{ said.head }}</strong>
    {{ said.rest }}
    <span v-if="ranges" class="text-soft">{{ ranges }}</span>
  </button>
  <ul v-if="cures.length" class="mt-1.5 flex flex-col items-start gap-1">
    <li v-for="({ remedy, effect }, i) in cures" :key="i">
      <button
        class="cure"
        @click="cure(remedy)"
        @mouseenter="bench.foresee(remedy.commands)"
        @mouseleave="bench.forget()"
        @focus="bench.foresee(remedy.commands)"
        @blur="bench.forget()"
      >
        {{ say(remedy.text, remedy)
        }}<span v-if="consequence(effect)" class="tight whitespace-nowrap"> · {{ consequence(effect) }}</span>
      </button>
    </li>
  </ul>
</template>
