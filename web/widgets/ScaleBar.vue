<script setup lang="ts">
import { computed } from 'vue'

const props = defineProps<{
  label: string
  figure: string
  unit?: string
  of?: string
  share: number
  state: 'good' | 'look' | 'over' | 'none'
  /** The figure that can be asked about, and whether it is asked about now. */
  asks?: string
  asked?: boolean
  /** What it would be, were it done what is pointed at. */
  would?: string | undefined
}>()
const emit = defineEmits<{ ask: [] }>()

const tone = computed(
  () => ({ good: 'var(--leaf)', look: 'var(--amber)', over: 'var(--brick)', none: 'var(--soft)' })[props.state],
)
/** Over the cap the whole bar is what is there, and a gap marks where the cap was. */
const within = computed(() => Math.max(0, props.share > 1 ? 1 / props.share : props.share))
const beyond = computed(() => `${props.share > 1 ? (1 - 1 / props.share) * 100 : 0}%`)
const word = computed(() => ({ good: 'within', look: 'look here', over: 'over', none: '' })[props.state])
</script>

<template>
  <component
    :is="asks ? 'button' : 'div'"
    :type="asks ? 'button' : undefined"
    :class="asks ? 'block w-full cursor-pointer rounded text-left hover:bg-track/60' : ''"
    :data-scale="label"
    :data-figure="asks"
    :aria-expanded="asks ? asked : undefined"
    :title="asks ? 'How it is reckoned' : undefined"
    @click="asks && emit('ask')"
  >
    <div class="flex items-baseline">
      <span class="label">{{ label }}</span>
      <span
        class="fig ml-auto text-[17px] leading-tight"
        :style="{ color: state === 'look' || state === 'over' ? tone : 'inherit' }"
        >{{ figure }}</span
      >
      <span
        v-if="unit"
        class="ml-1 text-[12px]"
        :style="{ color: state === 'look' || state === 'over' ? tone : 'inherit' }"
        >{{ unit }}</span
      >
      <span v-if="would" class="fig ml-1.5 text-[13px] text-leaf" data-would
        ><span aria-hidden="true">→</span><span class="sr-only">would be</span> {{ would }}</span
      >
      <span v-else-if="of" class="label tight ml-1.5">{{ of }}</span>
      <span v-if="word" class="sr-only">, {{ word }}</span>
    </div>
    <!-- It grows by a transform: a width that changes would have the page laid out anew in every frame of it. -->
    <div class="relative mt-0.5 h-[7px] overflow-hidden rounded-[2px] bg-track" aria-hidden="true">
      <div
        data-bar="within"
        class="absolute inset-0 origin-left transition-transform duration-200"
        :style="{ transform: `scaleX(${within})`, background: tone, opacity: share > 1 ? 0.45 : 1 }"
      />
      <div
        v-if="share > 1"
        data-bar="beyond"
        class="absolute inset-y-0 right-0 border-l-2 border-card"
        :style="{ width: beyond, background: tone }"
      />
    </div>
  </component>
</template>
