<script setup lang="ts">
import type { StyleValue } from 'vue'
import type { LeadLine } from './lead-lines.ts'

/** `hidden`: only a thin broken line over what covers the lead. */
defineProps<{ leads: readonly LeadLine[]; hang: StyleValue; hidden?: boolean }>()
defineEmits<{ pick: [cable: string] }>()
</script>

<template>
  <g
    v-for="lead in leads"
    :key="lead.cable"
    class="hang"
    :class="{ 'cursor-pointer': !hidden }"
    :style="hang"
    :data-lead="hidden ? undefined : lead.cable"
    :pointer-events="hidden ? 'none' : undefined"
    fill="none"
    stroke-linecap="round"
    stroke-linejoin="round"
    @click.stop="$emit('pick', lead.cable)"
  >
    <title>{{ lead.away ? `${lead.name}, to ${lead.away.to}` : lead.name }}</title>
    <path
      v-if="hidden"
      :d="lead.d"
      :stroke="lead.amiss ? 'var(--brick)' : 'var(--ink)'"
      stroke-width="0.9"
      stroke-dasharray="4 3"
      opacity="0.55"
    />
    <template v-else>
      <path :d="lead.d" :stroke="lead.amiss ? 'var(--brick)' : 'var(--ink)'" :stroke-width="lead.width + 1.6" />
      <path
        :d="lead.d"
        :stroke="lead.power ? 'var(--leaf)' : 'var(--d-knob)'"
        :stroke-width="Math.max(0.8, lead.width - 0.4)"
        :stroke-dasharray="lead.amiss ? '7 4' : undefined"
      />
      <template v-for="(plug, i) in lead.plugs" :key="i">
        <path :d="plug.body" fill="var(--d-grip)" stroke="var(--ink)" stroke-width="1" />
        <path v-if="plug.ribs" :d="plug.ribs" stroke="var(--ink)" stroke-width="0.55" opacity="0.7" />
      </template>
      <text
        v-if="lead.away"
        :x="lead.away.at[0] + 8"
        :y="lead.away.at[1] + 2"
        font-size="11"
        fill="var(--soft)"
        stroke="var(--card)"
        stroke-width="3"
        paint-order="stroke"
      >
        off the rig
      </text>
    </template>
  </g>
</template>

<style scoped>
.hang {
  transition: transform 0.35s ease-in-out;
}
@media (prefers-reduced-motion: reduce) {
  .hang {
    transition: none;
  }
}
</style>
