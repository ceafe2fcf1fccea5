<script setup lang="ts">
import type { Changeover } from '@zucchini/core/build-order'
import { hoursMinutes } from '../../wording.ts'
import type { Assessment } from '@zucchini/core/assess'

defineProps<{ title: string; changeover: Changeover; /** The set-up it ends in. */ of: Assessment }>()
const word = {
  undo: 'take off',
  'put on': 'put on',
  move: 'put back',
  slide: 'set',
  pose: 'swing',
  brace: 'hold',
  unbrace: 'let go',
  unplug: 'unplug',
  'plug in': 'plug in',
  turn: 'turn',
  balance: 'balance',
} as const
</script>

<template>
  <section v-ask="['set-up', of]" class="rounded-xl border border-line bg-card px-4 py-3" :aria-label="title">
    <h2 class="flex items-baseline font-semibold">
      {{ title }} <span class="fig ml-auto">{{ hoursMinutes(changeover.seconds) }}</span>
    </h2>
    <p class="label">
      {{ changeover.tools.length ? `in the pocket: ${changeover.tools.join(', ')}` : 'by hand, no tools' }}
    </p>
    <ol class="mt-2">
      <li
        v-for="(step, i) in changeover.steps"
        :key="i"
        class="grid grid-cols-[22px_64px_minmax(0,1fr)_auto] items-baseline gap-2 border-t border-line py-1"
      >
        <span class="fig text-soft">{{ i + 1 }}</span><span class="font-medium">{{ word[step.do] }}</span
        ><span class="min-w-0"
          >{{ step.name
          }}<span v-if="step.with.length" class="text-soft"> as one with {{ step.with.join(', ') }}</span></span
        >
        <span class="label tight"
          >{{ step.tool === 'fingers' ? '' : step.toolName }}
          <span class="fig text-ink">{{ step.seconds }} s</span></span
        >
      </li>
      <li v-if="changeover.steps.length === 0" class="border-t border-line py-1 text-soft">
        Nothing to do: they stand alike.
      </li>
    </ol>
  </section>
</template>
