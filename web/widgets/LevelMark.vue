<script setup lang="ts">
import type { Level } from '@zucchini/core/checks'

defineProps<{ level: Level | 'ok' | 'open' }>()
</script>

<template>
  <svg viewBox="0 0 12 12" class="inline-block size-3 shrink-0" aria-hidden="true">
    <rect v-if="level === 'stop'" x="1" y="1" width="10" height="10" fill="var(--brick)" />
    <path v-else-if="level === 'risk'" d="M6 .8 11.6 11H.4Z" fill="var(--amber)" />
    <circle v-else-if="level === 'hint'" cx="6" cy="6" r="4.5" fill="var(--slate)" />
    <path
      v-else-if="level === 'ok'"
      d="M1.5 6.5 4.8 9.8 10.5 2.5"
      fill="none"
      stroke="var(--leaf)"
      stroke-width="1.8"
    />
    <circle v-else cx="6" cy="6" r="4.6" fill="none" stroke="var(--soft)" stroke-width="1.3" stroke-dasharray="2 1.8" />
  </svg>
</template>
