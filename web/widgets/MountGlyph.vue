<script setup lang="ts">
import type { Glyph } from '@zucchini/core/catalogue'

defineProps<{ glyph: Glyph }>()
</script>

<template>
  <g fill="none" stroke="currentColor" stroke-width="1.5" stroke-linejoin="round">
    <circle v-if="glyph === 'ring'" r="4" />
    <template v-else-if="glyph === 'ring-pins'">
      <circle r="3.6" />
      <circle cx="-6.2" r="1.1" fill="currentColor" stroke="none" />
      <circle cx="6.2" r="1.1" fill="currentColor" stroke="none" />
    </template>
    <path v-else-if="glyph === 'shoe'" d="M-6 -2.5h4M2 -2.5h4M-6 -2.5v5h12v-5" />
    <path v-else-if="glyph === 'dovetail'" d="M-3.5 -3h7l3 6h-13z" />
    <path v-else-if="glyph === 'rail'" d="M-6.5 -2h13M-6.5 2h13" stroke-width="2" />
    <path v-else-if="glyph === 'seat'" d="M-6 3v-5h12v5" />
    <template v-else-if="glyph === 'bayonet'">
      <circle r="5" />
      <path d="M-5 0h2M5 0h-2M0 5v-2" />
    </template>
    <template v-else-if="glyph === 'rods'">
      <circle cx="-4" r="2.8" />
      <circle cx="4" r="2.8" />
    </template>
    <template v-else-if="glyph === 'rosette'">
      <circle r="5.2" stroke-dasharray="1.2 1.1" stroke-width="2" />
      <circle r="1.6" />
    </template>
    <path v-else-if="glyph === 'wedge'" d="M-5.5 -4h11L2 4.5h-4z" />
    <template v-else-if="glyph === 'studs'">
      <circle cx="-4" cy="-3.4" r="1.8" />
      <circle cx="4" cy="-3.4" r="1.8" />
      <circle cy="3.8" r="1.8" />
    </template>
    <path v-else-if="glyph === 'brick'" d="M-5.5 -4h11v8h-11zM-2.5 -4v2.5M0 -4v2.5M2.5 -4v2.5" />
    <path v-else-if="glyph === 'pad'" d="M-5 -4h10v8h-10zM-5 0h10M0 -4v8" />
    <circle v-else-if="glyph === 'gear'" r="4.8" stroke-dasharray="2 1" stroke-width="2.4" />
    <template v-else>
      <circle r="5" stroke-dasharray="2 1.5" />
      <circle r="2.6" />
    </template>
  </g>
</template>
