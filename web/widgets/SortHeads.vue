<script setup lang="ts" generic="Row">
import type { Column, Sorting } from './table.ts'

// The heads of a table: each a button that puts the rows in order, with an arrow on the one that does.
const props = defineProps<{ columns: readonly Column<Row>[]; sorting: Sorting | undefined }>()
defineEmits<{ sort: [id: string] }>()
const sign = (id: string) => (props.sorting?.id !== id ? '' : props.sorting.down ? ' ↓' : ' ↑')
const said = (id: string) =>
  props.sorting?.id !== id ? 'press to put in order' : props.sorting.down ? 'from the most' : 'from the least'
</script>

<template>
  <div>
    <button
      v-for="{ id, title, right } in columns"
      :key="id"
      class="label hover:text-ink"
      :class="[right ? 'text-right' : 'text-left', { 'font-semibold text-ink!': sorting?.id === id }]"
      :data-sort="id"
      @click="$emit('sort', id)"
    >
      <slot :name="id">{{ title }}</slot><span aria-hidden="true">{{ sign(id) }}</span
      ><span class="sr-only">, {{ said(id) }}</span>
    </button>
  </div>
</template>
