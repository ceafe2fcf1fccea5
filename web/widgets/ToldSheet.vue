<script setup lang="ts">
import type { Told } from '../stores/told.ts'
import { formulasNamed } from '../formulas.ts'
import FormulaText from './FormulaText.vue'

// How a figure is reckoned that belongs to no set-up: the worth of the locker, the price of a part.
defineProps<{ told: Told }>()
</script>

<template>
  <section class="flex flex-col gap-3 px-5 py-4" aria-label="How it is reckoned" :data-figure-sheet="told.id">
    <header class="flex items-baseline gap-3">
      <h2 class="text-[16px] font-semibold">{{ told.title }}</h2>
      <span class="fig text-[16px]">{{ told.value }}</span>
    </header>
    <p class="leading-snug first-letter:uppercase">{{ told.how }}.</p>
    <FormulaText :formulas="formulasNamed(told.formulas)" />
    <ul v-if="told.rows.length">
      <li
        v-for="(row, i) in told.rows"
        :key="`${row.name} ${i}`"
        class="flex items-baseline gap-3 border-t border-line py-1"
      >
        <span class="min-w-0 truncate">{{ row.name }}</span>
        <span class="label tight truncate">{{ row.note }}</span>
        <span class="fig ml-auto whitespace-nowrap">{{ row.value }}</span>
      </li>
    </ul>
  </section>
</template>
