<script setup lang="ts">
import { type FigureId, MOST_WAYS, type Way } from '@zucchini/core/assess'
import type { WayKind } from '@zucchini/core/checks'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { useAsk } from '../../stores/ask.ts'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import { fill, grams, headline, hoursMinutes, money, signed } from '../../wording.ts'
import { useAsIf } from './as-if.ts'
import { hintWords, priceWords, shortly } from './card-words.ts'

// The ways out of one finding: what kind, what and how far, grams, money, seconds, tool. A row is pressed to do it; a
// figure of it, or the key W, says how it would be reckoned.
const props = defineProps<{ ways: readonly Way[] }>()
defineEmits<{ take: [way: Way] }>()
const store = useRig()
const bench = useBench()

const kinds: Readonly<Record<WayKind, string>> = {
  slide: 'slide',
  turn: 'turn',
  pose: 'pose',
  move: 'move',
  insert: 'insert',
  support: 'support',
  swap: 'swap',
  lead: 'lead',
  add: 'add',
  brief: 'brief',
  'take-off': 'leave out',
  'leave-out': 'leave out',
  other: 'other',
}
/** A row is the way it shows: when the list changes, a button under the hand never turns into another. */
const keyOf = ({ remedy }: Way): string => JSON.stringify(remedy.commands)
const all = ref(false)
const shown = computed(() => (all.value ? props.ways : props.ways.slice(0, MOST_WAYS)))
const more = computed(() => props.ways.length - MOST_WAYS)
const nameOf = (id: string) => store.rig?.setups.find((setup) => setup.id === id)?.name ?? id

const said = ({ remedy }: Way) => fill(remedy.text, remedy.numbers, remedy.names, store.style)
const costs = ({ effect }: Way) =>
  (
    [
      ['in-hand', effect.massG === 0 ? '' : signed(effect.massG, (g) => grams(g, store.style.units))],
      ['to-buy', effect.toBuyMinor === 0 ? '' : signed(effect.toBuyMinor, (m) => money(m, store.style.currency))],
    ] as const
  ).filter(([, text]) => text !== '')
const ask = useAsk()
const asIf = useAsIf()
const askOf = ({ remedy }: Way, figure: FigureId) => {
  const tried = asIf(remedy.commands)
  if (tried) ask.open(figure, tried)
}
const askFirst = (way: Way) => askOf(way, costs(way)[0]?.[0] ?? 'hangs')
const work = ({ seconds, tools }: Way) =>
  [seconds > 0 ? hoursMinutes(seconds) : '', tools.length > 0 ? tools.join(', ') : seconds > 0 ? 'no tool' : '']
    .filter(Boolean)
    .join(', ')
const price = (way: Way) =>
  [way.as === 'part' ? 'helps in part' : '', priceWords(way, store.setup?.id ?? '', nameOf)].filter(Boolean).join(', ')
const briefly = ({ text, numbers, names }: Way['hints'][number]['finding']) =>
  shortly(headline(fill(text, numbers, names, store.style)).head)
const brings = (way: Way) => hintWords(way, store.setup?.id ?? '', nameOf, briefly)
/** The way that is pointed at. One that goes from the list is left by nobody: it is forgotten with it. */
let pointed: string | undefined
const foresee = (way: Way) => {
  pointed = keyOf(way)
  bench.foresee(way.remedy.commands, way.effect)
}
const forget = () => {
  if (pointed !== undefined) bench.forget()
  pointed = undefined
}
watch(shown, (ways) => {
  if (!ways.some((way) => keyOf(way) === pointed)) forget()
})
onBeforeUnmount(forget)
</script>

<template>
  <ul class="mt-1.5 w-full overflow-hidden rounded-lg border border-line" data-ways>
    <li v-for="way in shown" :key="keyOf(way)" class="border-b border-line last:border-0">
      <button
        class="way"
        :data-way="way.kind"
        @click="$emit('take', way)"
        @keydown.w.prevent="askFirst(way)"
        @mouseenter="foresee(way)"
        @mouseleave="forget"
        @focus="foresee(way)"
        @blur="forget"
      >
        <span class="label tight way-kind">{{ kinds[way.kind] }}</span>
        <span class="way-what">{{ said(way) }}</span>
        <span class="way-cost tight">
          <template v-for="([figure, text], i) in costs(way)" :key="figure"
            ><span v-if="i > 0"> · </span
            ><strong class="fig asks whitespace-nowrap" :data-figure="figure" @click.stop="askOf(way, figure)">{{
              text
            }}</strong></template
          >
          <span v-if="work(way)" class="whitespace-nowrap text-soft"
            >{{ costs(way).length > 0 ? ' · ' : '' }}{{ work(way) }}</span
          >
          <span v-if="price(way)" class="block text-amber">{{ price(way) }}</span>
          <span v-if="brings(way)" class="block text-soft" data-brings>{{ brings(way) }}</span>
        </span>
      </button>
    </li>
    <li v-if="more > 0" class="border-t border-line">
      <button class="label w-full px-2.5 py-1 text-left hover:text-ink" :aria-expanded="all" @click="all = !all">
        {{ all ? 'fewer' : `${more} more` }}
      </button>
    </li>
  </ul>
</template>
