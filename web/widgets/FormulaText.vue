<script setup lang="ts">
import type { Formula } from '../formulas.ts'

// Formulas as they are written down. What stands between backticks is a formula, all else is words.
defineProps<{ formulas: readonly Formula[] }>()
const pieces = (text: string) => text.split('`').map((said, i) => ({ said, formula: i % 2 === 1 }))
</script>

<template>
  <details v-if="formulas.length" class="rounded-lg border border-line px-3 py-1.5">
    <summary class="label cursor-pointer">the formula, and where it comes from</summary>
    <p v-for="{ title, text } in formulas" :key="title" class="mt-1.5 leading-snug">
      <strong class="font-semibold">{{ title }}.</strong>{{ ' ' }}
      <template v-for="(piece, i) in pieces(text)" :key="i"
        ><span v-if="piece.formula" class="fig font-normal! text-ink">{{ piece.said }}</span
        ><template v-else>{{ piece.said }}</template></template
      >
    </p>
  </details>
</template>
