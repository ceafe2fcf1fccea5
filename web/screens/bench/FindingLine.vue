<script setup lang="ts">
import type { Line, Way } from '@zucchini/core/assess'
import type { Finding, Remedy } from '@zucchini/core/checks'
import { computed } from 'vue'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import { fill, grams, headline, money, signed } from '../../wording.ts'
import { priceWords, rangeWords } from './card-words.ts'

// One line of a card: what is wrong, from where to where when it is true of several, and the ways out.
const props = defineProps<{ line: Line; cures: readonly Way[] }>()
const emit = defineEmits<{ look: [finding: Finding] }>()
const store = useRig()
const bench = useBench()

const say = (text: string, of: { numbers: Finding['numbers']; names: Finding['names'] }) =>
  fill(text, of.numbers, of.names, store.style)
const finding = computed(() => props.line.finding)
const said = computed(() => headline(say(finding.value.text, finding.value)))
const ranges = computed(() => rangeWords(props.line, store.style))

const consequence = (way: Way): string => {
  const { effect } = way
  const parts = [
    way.as === 'part' ? 'helps in part' : '',
    effect.massG === 0 ? '' : signed(effect.massG, (g) => grams(g, store.style.units)),
    effect.toBuyMinor === 0 ? '' : signed(effect.toBuyMinor, (m) => money(m, store.style.currency)),
    priceWords(way, store.setup?.id ?? '', (id) => store.rig?.setups.find((setup) => setup.id === id)?.name ?? id),
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
    <li v-for="(way, i) in cures" :key="i">
      <button
        class="cure"
        @click="cure(way.remedy)"
        @mouseenter="bench.foresee(way.remedy.commands)"
        @mouseleave="bench.forget()"
        @focus="bench.foresee(way.remedy.commands)"
        @blur="bench.forget()"
      >
        {{ say(way.remedy.text, way.remedy)
        }}<span v-if="consequence(way)" class="tight whitespace-nowrap"> · {{ consequence(way) }}</span>
      </button>
    </li>
  </ul>
</template>
