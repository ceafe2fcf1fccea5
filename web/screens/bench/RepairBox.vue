<script setup lang="ts">
import type { Assessment, RepairOffer } from '@zucchini/core/assess'
import { edit, placeSetup, setupOf } from '@zucchini/core/assembly'
import { ArrowRight } from '@lucide/vue'
import { computed, ref } from 'vue'
import RigSketch from '../../drawing/RigSketch.vue'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import { degrees, fill, grams, hoursMinutes, millimetres, money } from '../../wording.ts'

// Ways out that hold together, as one: what would change, before and after, and one press that one undo takes back.
const props = defineProps<{
  assessment: Assessment
  offer: RepairOffer
  /** The numbers of the cards it clears. */
  numbers: readonly number[]
}>()
const store = useRig()
const bench = useBench()
const open = ref(false)

const after = computed(() => {
  const { assembly, facts } = props.assessment
  const edited = edit(assembly.rig, props.offer.remedy.commands, facts.context.catalogue)
  const setup = edited.ok ? setupOf(edited.value, assembly.setup.id) : undefined
  return edited.ok && setup ? placeSetup(edited.value, setup, facts.context.catalogue) : undefined
})
const figures = computed(() => {
  const { mass, cost, size } = props.assessment
  const { effect } = props.offer
  const { units, currency } = store.style
  const rows = [
    ['hand', grams(mass.inHandG, units), grams(mass.inHandG + effect.massG, units)],
    ['to buy', money(cost.usual, currency), money(cost.usual + effect.toBuyMinor, currency)],
    ...(effect.tiltFromDeg === undefined || effect.tiltToDeg === undefined
      ? []
      : [['hangs', degrees(Math.abs(effect.tiltFromDeg)), degrees(Math.abs(effect.tiltToDeg))]]),
    ['tall', millimetres(size.tallMm, units), millimetres(size.tallMm + effect.tallMm, units)],
  ]
  return rows.map(([label = '', was = '', now = '']) => ({ label, was, now }))
})
const left = computed(() => {
  const { stop, risk, hint } = props.offer.left
  const parts = [
    [stop, 'stop'],
    [risk, 'risk'],
    [hint, 'hint'],
  ] as const
  return parts.filter(([n]) => n > 0).map(([n, word]) => `${n} ${word}${n > 1 ? 's' : ''}`)
})
const cleared = computed(() => {
  const all = [...new Set(props.numbers)].sort((a, b) => a - b)
  return all.length > 1 ? `${all.slice(0, -1).join(', ')} and ${all.at(-1) ?? ''}` : all.join('')
})
const steps = computed(() =>
  props.offer.steps.map(({ text, numbers, names }) => fill(text, numbers, names, store.style)),
)
const foresee = () => bench.foresee(props.offer.remedy.commands, props.offer.effect)
const doAll = () => {
  bench.forget()
  return store.apply(
    props.offer.remedy.commands,
    `Repair of ${props.offer.cured.length} findings by ${steps.value.length} moves`,
  )
}
</script>

<template>
  <section
    class="mt-2 rounded-lg border border-leaf/50 bg-leaf-tint p-2.5 leading-snug"
    aria-label="Repair all that is safe"
    data-repair
  >
    <h3 class="font-semibold">Repair all that is safe</h3>
    <p>
      <strong>{{ steps.length }} moves</strong> clear {{ cleared }}; nothing comes off.
    </p>
    <p class="tight mt-1 flex flex-wrap gap-x-3 text-[12.5px]">
      <span v-for="row in figures" :key="row.label" class="whitespace-nowrap"
        ><span class="text-soft">{{ row.label }}</span> {{ row.was }} <span aria-hidden="true">→</span
        ><span class="sr-only">becomes</span> <strong>{{ row.now }}</strong></span
      >
      <span class="whitespace-nowrap"
        ><span class="text-soft">left</span> <strong>{{ left.length > 0 ? left.join(', ') : 'nothing' }}</strong></span
      >
    </p>
    <template v-if="open">
      <div v-if="after" class="mt-2 flex items-end justify-center gap-1">
        <figure>
          <RigSketch :assembly="assessment.assembly" view="side" :width="112" :height="104" :pad="3" />
          <figcaption class="label tight text-center">now</figcaption>
        </figure>
        <ArrowRight class="mb-14 size-3.5 shrink-0 text-leaf" aria-hidden="true" />
        <figure>
          <RigSketch :assembly="after" view="side" :width="112" :height="104" :pad="3" />
          <figcaption class="label tight text-center">after</figcaption>
        </figure>
      </div>
      <ol class="mt-1.5 list-decimal pl-5 text-[12.5px]" data-repair-steps>
        <li v-for="(step, i) in steps" :key="i">{{ step }}</li>
      </ol>
      <p class="label tight mt-1.5">
        {{ hoursMinutes(offer.seconds) }}{{ offer.tools.length > 0 ? `, ${offer.tools.join(', ')}` : ', no tool' }}.
        Judged again together, in every set-up: none is worse.
      </p>
    </template>
    <div class="mt-2 flex gap-2">
      <button
        class="btn btn-do"
        @click="doAll"
        @mouseenter="foresee"
        @mouseleave="bench.forget()"
        @focus="foresee"
        @blur="bench.forget()"
      >
        Do all {{ steps.length }}
      </button>
      <button class="btn" :aria-expanded="open" @click="open = !open">
        {{ open ? 'Hide the moves' : 'Show the moves' }}
      </button>
    </div>
  </section>
</template>
