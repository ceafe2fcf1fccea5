<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import { useId } from 'vue'
import type { FigureRef } from '../../stores/ask.ts'

// A figure beside its plan: what it is, what came of it, and what was planned.
defineProps<{
  label: string
  plan: string
  hint: string
  wrong: boolean
  /** How the plan comes about, where that can be asked. */
  asks?: readonly [FigureRef, Assessment] | undefined
}>()
const typed = defineModel<string>({ required: true })
const id = useId()
</script>

<template>
  <div class="rounded-lg border bg-card px-3 py-2" :class="wrong ? 'border-brick' : 'border-line'">
    <label class="label block truncate" :for="id" :title="label">{{ label }}</label>
    <input
      :id="id"
      v-model="typed"
      class="fig mt-0.5 w-full border-0 border-b border-line bg-transparent py-1 text-[17px] font-semibold placeholder:font-normal placeholder:opacity-45 focus:border-leaf"
      inputmode="decimal"
      maxlength="12"
      :placeholder="hint"
      :aria-invalid="wrong"
      :aria-describedby="`${id}-plan`"
    />
    <p :id="`${id}-plan`" class="label tight mt-1">
      <span v-if="wrong" class="text-brick" role="alert">a figure such as {{ hint }}</span>
      <span v-else-if="asks" v-ask="asks">{{ plan }}</span>
      <template v-else>{{ plan }}</template>
    </p>
  </div>
</template>
