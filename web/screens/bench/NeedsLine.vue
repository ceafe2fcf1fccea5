<script setup lang="ts">
import type { Bundle, Fit, Misfit } from '@zucchini/core/assess'
import { computed, shallowRef, watch } from 'vue'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import { fill, grams, money, signed } from '../../wording.ts'
import { benchWorker } from '../../workers/client.ts'

// The part that is chosen, with what it needs: its lead, its power, its hold; of a camera its cage and its packs.
const props = defineProps<{ row: Fit | Misfit | undefined }>()
const emit = defineEmits<{ done: [instance: string | undefined] }>()
const store = useRig()
const bench = useBench()

const bundle = shallowRef<Bundle>()
let weighed = 0
watch(
  () => props.row,
  async (row) => {
    const turn = ++weighed
    bundle.value = undefined
    if (!row || !('effect' in row) || !store.rig || !store.setup) return
    if (row.effect.gained.stop + row.effect.gained.risk === 0) return
    const answer = await benchWorker().bundle(store.rig, store.setup.id, row.commands, row.part.name)
    if (turn === weighed && answer && answer.added > 0) bundle.value = answer
  },
  { immediate: true },
)
const words = computed(() => {
  const { text, numbers, names } = bundle.value?.remedy ?? { text: '', numbers: {}, names: {} }
  return fill(text, numbers, names, store.style)
})
const costs = computed(() => {
  const { effect, gained } = bundle.value ?? {}
  if (!effect || !gained) return ''
  return [
    signed(effect.massG, (g) => grams(g, store.style.units)),
    signed(effect.toBuyMinor, (m) => money(m, store.style.currency)),
    gained.length === 0
      ? 'nothing new is wrong then'
      : `${gained.length} new finding${gained.length > 1 ? 's' : ''} left`,
  ].join(' · ')
})
const take = () => {
  if (!bundle.value) return
  const { commands } = bundle.value.remedy
  bench.forget()
  if (!store.apply(commands, words.value)) return
  const placed = commands.find((command) => command.do === 'place')
  emit('done', placed?.do === 'place' ? placed.joint.guest : undefined)
}
</script>

<template>
  <p v-if="bundle" class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line py-1" data-bundle>
    <span class="min-w-0"><span class="text-soft">With what it needs:</span> {{ words }}</span>
    <span class="label tight">{{ costs }}</span>
    <button class="cure ml-auto" @click="take">do all of it</button>
  </p>
</template>
