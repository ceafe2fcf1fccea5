<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import type { Unit } from '@zucchini/core/kernel'
import { computed } from 'vue'
import { useRig } from '../../stores/rig.ts'
import { figure } from '../../wording.ts'
import { rodsOf } from './rods.ts'

const props = defineProps<{ assessment: Assessment }>()
const store = useRig()
const say = (value: number, unit: Unit) => figure(value, unit, store.style)

const lines = computed(() => {
  const { facts, assembly } = props.assessment
  const { front, supports, drives } = facts
  if (!front) return []
  const fit = facts.lensKit.find(({ part }) => part.id === front.lens.part.id)
  const load = facts.loads.get(front.lens.instance.id)
  const pull = load ? say(load.momentNm, 'N m') : ''
  return [
    {
      title: 'pulls at its mount',
      figure: pull,
      note: supports.some(({ holds }) => holds) ? 'rests on a support' : '',
    },
    ...supports.map(({ piece, neededMm, lowMm, highMm, holds, beside }) => ({
      title: piece.part.name,
      figure: neededMm === undefined || beside ? '–' : say(neededMm, 'mm'),
      note: beside
        ? 'beside the lens'
        : neededMm === undefined
          ? 'under nothing'
          : holds
            ? 'holds it'
            : `reaches ${say(lowMm, 'mm')} to ${say(highMm, 'mm')}`,
    })),
    {
      title: 'focus',
      figure: fit?.focus === 'auto' ? 'by itself' : 'by hand',
      note:
        fit?.focus === 'auto'
          ? 'no follow focus needed'
          : front.glass.throwDeg
            ? `${front.glass.throwDeg}° from stop to stop`
            : '',
    },
    ...drives.map(({ piece, toothed, turns }) => ({
      title: piece.part.name,
      figure: !toothed ? 'no teeth' : turns === undefined ? 'meets teeth' : `${turns.toFixed(1)} turns`,
      note: turns === undefined ? '' : 'stop to stop',
    })),
    ...rodsOf(assembly).map(({ name, usedMm, longMm }) => ({
      title: name,
      figure: say(usedMm, 'mm'),
      note: `needed of ${say(longMm, 'mm')}`,
    })),
  ]
})
</script>

<template>
  <section v-if="lines.length" aria-label="Support and focus">
    <h2 class="border-b border-line pb-1 font-semibold">Support and focus</h2>
    <dl v-ask="['fact supports', assessment]">
      <div v-for="line in lines" :key="line.title" class="flex items-baseline gap-2 border-b border-line py-1">
        <dt class="min-w-0 truncate text-soft" :title="line.title">{{ line.title }}</dt>
        <dd class="ml-auto shrink-0 text-right">
          <span class="fig">{{ line.figure }}</span> <span v-if="line.note" class="label tight">{{ line.note }}</span>
        </dd>
      </div>
    </dl>
  </section>
</template>
