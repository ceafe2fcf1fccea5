<script setup lang="ts">
import { type ViewId, viewIds, views } from '@zucchini/core/drawing'

defineProps<{ view: ViewId | undefined; label?: string }>()
defineEmits<{ pick: [view: ViewId] }>()
</script>

<template>
  <div class="flex items-center gap-1" role="group" :aria-label="label ?? 'View'">
    <button
      v-for="(id, i) in viewIds"
      :key="id"
      class="rounded-md px-2.5 py-1 font-medium"
      :class="view === id ? 'bg-ink text-paper' : 'text-soft hover:text-ink'"
      :aria-pressed="view === id"
      :title="`${views[id].title} elevation (${i + 1})`"
      @click="$emit('pick', id)"
    >
      {{ views[id].title }}
    </button>
    <slot />
  </div>
</template>
