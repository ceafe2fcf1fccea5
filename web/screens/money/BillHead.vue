<script setup lang="ts">
import type { MoneyPicture } from '@zucchini/core/assess'
import { computed } from 'vue'
import { useRig } from '../../stores/rig.ts'
import { money } from '../../wording.ts'
import { percent } from './money-words.ts'

const props = defineProps<{ picture: MoneyPicture; capMinor: number; body: boolean }>()
defineEmits<{ body: [on: boolean] }>()
const store = useRig()

const cap = computed(() => props.capMinor)
const bill = computed(() => ({
  low: props.picture.bill.low.totalMinor,
  usual: props.picture.bill.usual.totalMinor,
  high: props.picture.bill.high.totalMinor,
}))
const extra = computed(() => bill.value.usual - props.picture.cost.usual)
const taxMinor = computed(() => props.picture.bill.usual.taxMinor)
const top = computed(() => Math.max(1, bill.value.high, cap.value) * 1.04)
const x = (minor: number) => (minor / top.value) * 100
const whole = (minor: number) => money(minor, store.style.currency).replace(/\.00$/, '')
const unpriced = computed(() => props.picture.cost.unpriced.length)
/** Why a chance can not be told. */
const unsure = computed(() =>
  props.picture.noRate ? 'no rate is known' : unpriced.value > 0 ? 'a price is missing' : 'not enough prices',
)
</script>

<template>
  <section class="flex flex-wrap items-center gap-x-6 gap-y-1 border-b border-line px-4 py-2" aria-label="The bill">
    <p v-ask="['to-buy', store.assessment]" class="flex items-baseline gap-2">
      <span class="fig text-[22px]" :class="cap > 0 && bill.usual > cap ? 'text-brick' : ''" data-testid="bill">{{
        `${unpriced > 0 ? 'at least ' : ''}${money(bill.usual, store.style.currency)}`
      }}</span>
      <span class="label tight"> {{ whole(bill.low) }} to {{ whole(bill.high) }}</span>
    </p>
    <div
      class="min-w-52 flex-1"
      role="img"
      :aria-label="`From ${whole(bill.low)} to ${whole(bill.high)}, usually ${whole(bill.usual)}${cap ? `; the brief has ${whole(cap)}` : ''}`"
    >
      <div class="relative h-4">
        <span class="absolute inset-y-1 rounded-[3px] bg-track" style="left: 0; right: 0" />
        <span
          class="absolute inset-y-1 rounded-[3px] bg-slate opacity-50"
          :style="{ left: `${x(bill.low)}%`, width: `${x(bill.high) - x(bill.low)}%` }"
        />
        <span class="absolute inset-y-0 w-[2.5px] bg-ink" :style="{ left: `${x(bill.usual)}%` }" />
        <span
          v-if="cap"
          class="absolute -inset-y-0.5 w-0 border-l-2 border-dashed border-brick"
          :style="{ left: `${x(cap)}%` }"
        />
      </div>
      <p v-if="cap" class="relative h-4 text-[11.5px] text-soft">
        <span class="absolute -translate-x-1/2 whitespace-nowrap" :style="{ left: `${Math.min(92, x(cap))}%` }"
          >cap {{ whole(cap) }}</span
        >
      </p>
    </div>
    <p v-if="cap" v-ask="['fact chance', store.assessment]" class="flex items-baseline gap-1.5">
      <template v-if="picture.chance.within !== undefined">
        <span class="fig text-[17px]" data-testid="chance">{{ percent(picture.chance.within) }}</span>
        <span class="label">likely within the cap</span>
      </template>
      <span v-else class="label" data-testid="chance" :title="picture.chance.thin.join(', ')"
        >chance unknown: {{ unsure }}</span
      >
    </p>
    <p v-ask="['fact bill', store.assessment]" class="label">
      {{ extra > 0 ? `with ${whole(extra)} of sending` : 'sent for nothing' }},
      {{ taxMinor > 0 ? `${whole(taxMinor)} of tax in it` : 'tax in it' }}
    </p>
    <label class="label flex items-center gap-1.5"
      ><input
        type="checkbox"
        class="accent-leaf"
        :checked="body"
        @change="$emit('body', ($event.target as HTMLInputElement).checked)"
      />
      camera and lenses in it</label
    >
  </section>
</template>
