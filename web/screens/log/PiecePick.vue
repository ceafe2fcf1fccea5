<script setup lang="ts">
import type { LogPiece } from '@zucchini/core/assess'
import { computed, ref } from 'vue'
import { shortName } from '../../wording.ts'

// Which pieces something happened to: the likeliest first, all of them on request; a tap names one or takes it back.
const props = defineProps<{ label: string; pieces: readonly LogPiece[]; chosen: readonly string[] }>()
const emit = defineEmits<{ toggle: [piece: string] }>()

const FEW = 8
const all = ref(false)
const shown = computed(() => {
  const first = props.pieces.slice(0, FEW)
  const picked = props.pieces.slice(FEW).filter(({ piece }) => props.chosen.includes(piece))
  return all.value ? props.pieces : [...first, ...picked]
})
</script>

<template>
  <div class="mt-2 flex flex-wrap gap-1.5" role="group" :aria-label="label">
    <button
      v-for="one in shown"
      :key="one.piece"
      type="button"
      class="min-h-11 max-w-full truncate rounded-full border px-3"
      :class="chosen.includes(one.piece) ? 'border-leaf bg-leaf-tint font-semibold' : 'border-line bg-card'"
      :aria-pressed="chosen.includes(one.piece)"
      :title="one.name"
      :data-log-piece="one.piece"
      @click="emit('toggle', one.piece)"
    >
      {{ shortName(one.name) }}
    </button>
    <button
      v-if="!all && pieces.length > shown.length"
      type="button"
      class="min-h-11 px-2 text-soft underline decoration-dotted"
      @click="all = true"
    >
      {{ pieces.length - shown.length }} more
    </button>
  </div>
</template>
