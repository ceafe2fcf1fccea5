<script setup lang="ts">
import { X } from '@lucide/vue'
import { useTroubles } from '../stores/troubles.ts'

const troubles = useTroubles()
</script>

<template>
  <ul
    v-if="troubles.notes.length"
    class="fixed bottom-3 left-1/2 z-40 flex w-[min(640px,92vw)] -translate-x-1/2 flex-col gap-2"
  >
    <li
      v-for="note in troubles.notes"
      :key="note.id"
      class="flex items-start gap-3 rounded-lg border border-brick bg-card px-4 py-2.5 shadow-lg"
      role="alert"
      data-testid="trouble"
    >
      <p class="min-w-0">
        <strong>That could not be done.</strong> {{ note.words }}
        <span class="text-soft">Nothing is lost; everything else goes on.</span>
      </p>
      <button class="btn ml-auto px-1.5" aria-label="Put this note away" @click="troubles.drop(note.id)">
        <X class="size-4" />
      </button>
    </li>
  </ul>
</template>
