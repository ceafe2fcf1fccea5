<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import { computed, ref } from 'vue'
import { connectList } from './connect-list.ts'
import { stageWords } from './wiring-words.ts'

const props = defineProps<{ assessment: Assessment }>()
const strip = ref(false)
const steps = computed(() => connectList(props.assessment))
const shown = computed(() => (strip.value ? [...steps.value].reverse() : steps.value))
const words = (text: string) => (strip.value ? text.replace('switch on', 'switch off') : text)
const starts = (i: number) => shown.value[i]?.stage !== shown.value[i - 1]?.stage
</script>

<template>
  <section aria-label="Order of plugging">
    <h2 class="flex items-baseline border-b border-line pb-1 font-semibold">
      {{ strip ? 'To strip it' : 'To connect it' }}
      <button
        class="ml-auto text-[12.5px] font-normal text-soft underline decoration-line underline-offset-3 hover:text-ink"
        :aria-pressed="strip"
        @click="strip = !strip"
      >
        {{ strip ? 'connect' : 'strip' }}
      </button>
    </h2>
    <ol class="mt-1">
      <template v-for="(step, i) in shown" :key="step.key">
        <li v-if="starts(i)" class="label pt-1.5 leading-snug" aria-hidden="true">
          {{ strip && step.stage === 'picture' ? 'Picture first.' : strip ? '' : stageWords[step.stage] }}
        </li>
        <li class="flex gap-2 py-0.5 leading-snug">
          <span class="fig w-4 shrink-0 text-right text-soft" data-given>{{ i + 1 }}</span><span>{{
            words(step.text)
          }}</span>
        </li>
      </template>
      <li v-if="shown.length === 0" class="py-2 text-soft">Nothing is plugged in yet.</li>
    </ol>
  </section>
</template>
