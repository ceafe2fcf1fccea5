<script setup lang="ts">
import type { LeadLine } from '@zucchini/core/assess'
import { useRig } from '../../stores/rig.ts'
import { grams, millimetres, money } from '../../wording.ts'

defineProps<{ lines: readonly LeadLine[] | undefined; act: string; empty: string; ends?: boolean }>()
const emit = defineEmits<{ take: [line: LeadLine] }>()
const store = useRig()
const MOST = 8
const price = (line: LeadLine) =>
  line.source === 'catalogue'
    ? money(line.priceMinor, store.style.currency)
    : line.source === 'kit'
      ? 'in the kit'
      : 'owned'
</script>

<template>
  <p v-if="!lines" class="label py-2">Trying leads ...</p>
  <ul v-else>
    <li
      v-for="line in lines.slice(0, MOST)"
      :key="`${line.partId}-${line.from}-${line.to}`"
      class="flex items-start gap-2 border-b border-line py-1.5 leading-snug"
    >
      <span class="min-w-0"
        ><span class="block">{{ line.name }}</span
        ><span v-if="ends" class="label tight block">{{ line.from }} to {{ line.to }}</span
        ><span class="label tight block"
          >{{ price(line) }} · {{ grams(line.massG, store.style.units) }} ·
          {{ millimetres(Math.round(line.spareMm), store.style.units) }} over</span
        ></span
      >
      <button class="cure ml-auto shrink-0" @click="emit('take', line)">{{ act }}</button>
    </li>
    <li v-if="lines.length === 0" class="py-2 text-soft">{{ empty }}</li>
  </ul>
</template>
