<script setup lang="ts">
import type { Sign } from './legend.ts'

// The findings' numbers beside the rig, each with a line to what it means. Square: stop; triangle: risk.
defineProps<{ signs: readonly Sign[] }>()
</script>

<template>
  <g pointer-events="none">
    <g fill="none" stroke-width="0.8" pointer-events="none">
      <template v-for="sign in signs" :key="`line${sign.n}`">
        <path
          v-if="sign.leads"
          :d="`M${sign.x} ${sign.y}L${sign.at[0] - 13} ${sign.at[1]}`"
          :stroke="sign.level === 'stop' ? 'var(--brick)' : 'var(--amber)'"
          opacity="0.7"
        />
        <circle
          v-if="sign.leads"
          :cx="sign.x"
          :cy="sign.y"
          r="2.6"
          :fill="sign.level === 'stop' ? 'var(--brick)' : 'var(--amber)'"
          stroke="var(--paper)"
        />
      </template>
    </g>
    <g
      v-for="sign in signs"
      :key="`sign${sign.n}`"
      pointer-events="none"
      :data-sign="sign.n"
      :transform="`translate(${sign.at[0]} ${sign.at[1]})`"
    >
      <rect
        v-if="sign.level === 'stop'"
        x="-8"
        y="-8"
        width="16"
        height="16"
        rx="2"
        fill="var(--brick)"
        stroke="var(--paper)"
        stroke-width="1.5"
      />
      <path
        v-else
        :d="sign.n > 9 ? 'M0 -12 13.5 9.5H-13.5Z' : 'M0 -10 10.5 8H-10.5Z'"
        fill="var(--amber)"
        stroke="var(--paper)"
        stroke-width="1.5"
      />
      <text
        :y="sign.level === 'stop' ? 4 : sign.n > 9 ? 6.5 : 5"
        text-anchor="middle"
        :font-size="sign.n > 9 && sign.level !== 'stop' ? 9.8 : 10.5"
        font-weight="700"
        fill="var(--paper)"
      >
        {{ sign.n }}
      </text>
    </g>
  </g>
</template>
