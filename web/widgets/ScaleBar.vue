<script setup lang="ts">
import { computed } from 'vue'

const props = defineProps<{ label: string; figure: string; unit?: string; of?: string; share: number; state: 'good' | 'look' | 'over' | 'none' }>()

const tone = computed(() => ({ good: 'var(--leaf)', look: 'var(--amber)', over: 'var(--brick)', none: 'var(--soft)' })[props.state])
const shown = computed(() => `${Math.max(0, Math.min(1, props.share)) * 100}%`)
const word = computed(() => ({ good: 'within', look: 'look here', over: 'over', none: '' })[props.state])
</script>

<template>
  <div :data-scale="label">
    <div class="flex items-baseline">
      <span class="label">{{ label }}</span>
      <span class="fig ml-auto text-[17px] leading-tight" :style="{ color: state === 'look' || state === 'over' ? tone : 'inherit' }">{{ figure }}</span>
      <span v-if="unit" class="ml-1 text-[12px]" :style="{ color: state === 'look' || state === 'over' ? tone : 'inherit' }">{{ unit }}</span>
      <span v-if="of" class="label tight ml-1.5">{{ of }}</span>
      <span v-if="word" class="sr-only">, {{ word }}</span>
    </div>
    <div class="mt-0.5 h-[7px] overflow-hidden rounded-[2px] bg-track" aria-hidden="true">
      <div class="h-full transition-[width] duration-200" :style="{ width: shown, background: tone }" />
    </div>
  </div>
</template>
