<script setup lang="ts">
import { type Assessment, type FigureId, reckoningOf, targets } from '@zucchini/core/assess'
import { X } from '@lucide/vue'
import { computed, nextTick, ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { boundWords, figureTitles, formulaWords, inUnit, sourceWords, valueWords } from '../../figure-words.ts'
import { formulasOfBar } from '../../formulas.ts'
import { useContext } from '../../stores/context.ts'
import { useRig } from '../../stores/rig.ts'
import TargetBox from './TargetBox.vue'
import FormulaText from '../../widgets/FormulaText.vue'

// How a figure is reckoned: its formula with the numbers in it, what it is made of and where that comes from, and whose
// limit it is held to.
const props = defineProps<{
  assessment: Assessment
  figure: FigureId
  /** Stands in a dialogue with a way out of its own. */ bare?: boolean
}>()
const emit = defineEmits<{ close: [] }>()
const store = useRig()
const context = useContext()
const reckoning = computed(() => reckoningOf(props.assessment, props.figure))
/** What can be brought down by swaps. */
const target = computed(() => targets.find((id) => id === props.figure))
const own = (partId: string) => context.setOwned(partId, 1)
const head = ref<HTMLElement>()
watch(
  () => props.figure,
  () => void nextTick(() => head.value?.focus()),
  { immediate: true },
)
const change = computed(() => {
  const from = reckoning.value?.bound?.from
  const id = store.rig?.id ?? ''
  if (from === 'brief') return { to: { name: 'brief', params: { id } }, words: 'change the brief' }
  if (from === 'set-up') return { to: { name: 'setups', params: { id } }, words: 'change the cap' }
  return from === 'how-i-work' ? { to: { name: 'work' }, words: 'change the limit' } : undefined
})
</script>

<template>
  <section
    class="flex min-h-0 flex-1 flex-col gap-1.5 overflow-y-auto px-5 py-3"
    aria-label="How it is reckoned"
    :data-figure-sheet="figure"
  >
    <header class="flex items-baseline gap-2">
      <h2 ref="head" class="font-semibold focus:outline-none" tabindex="-1">
        {{ figureTitles[figure] }}
        <span v-if="reckoning" class="fig">{{ valueWords(reckoning, store.style) }}</span>
      </h2>
      <span v-if="reckoning" class="text-soft">= {{ formulaWords(reckoning, store.style) }}</span>
      <span class="label ml-auto whitespace-nowrap">
        <template v-if="reckoning?.bound">{{ boundWords(reckoning, store.style) }}</template>
        <RouterLink v-if="change" class="ml-2 underline decoration-dotted underline-offset-2" :to="change.to">{{
          change.words
        }}</RouterLink>
      </span>
      <button
        v-if="!bare"
        class="btn px-1 py-0.5"
        aria-label="Close how it is reckoned"
        title="Close (Esc)"
        @click="emit('close')"
      >
        <X class="size-3.5" />
      </button>
    </header>
    <p v-if="!reckoning" class="text-soft">This set-up has no such figure.</p>
    <table v-else class="w-full text-left">
      <thead class="sr-only">
        <tr>
          <th scope="col">made of</th>
          <th scope="col">value</th>
          <th scope="col">where it comes from</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(term, i) in reckoning.terms" :key="`${term.name} ${i}`" class="border-t border-line">
          <th class="w-[46%] py-1 pr-3 font-normal" scope="row">
            {{ term.name }}<span v-if="i === 0 && reckoning.terms.length > 2" class="tag ml-2">most of it</span>
          </th>
          <td class="fig w-28 py-1 pr-4 text-right whitespace-nowrap">
            {{ inUnit(term.value, term.unit, store.style) }}
          </td>
          <td class="label tight py-1">{{ sourceWords(term, store.style) }}</td>
        </tr>
        <tr v-if="reckoning.rest.count > 0" class="border-t border-line text-soft">
          <th class="py-1 pr-3 font-normal" scope="row">and {{ reckoning.rest.count }} more</th>
          <td class="fig py-1 pr-4 text-right font-normal! whitespace-nowrap">
            {{ inUnit(reckoning.rest.value, reckoning.terms[0]?.unit ?? reckoning.unit, store.style) }}
          </td>
          <td />
        </tr>
      </tbody>
    </table>
    <TargetBox v-if="target && !bare" :assessment="assessment" :target="target" @own="own" />
    <FormulaText :formulas="formulasOfBar(figure)" />
  </section>
</template>
