<script setup lang="ts">
import { format } from 'date-fns'
import { computed } from 'vue'
import { useRig } from '../../stores/rig.ts'
import { saveWords } from '../../wording.ts'

/** By itself: it changes twice with every edit, and nothing else of the bar has to be asked for that. */
const store = useRig()
const word = computed(() => {
  if (store.saveState === 'saved') return store.savedAt ? `saved ${format(new Date(store.savedAt), 'HH:mm')}` : 'saved'
  return saveWords[store.saveState]
})
</script>

<template>
  <span
    class="label tight whitespace-nowrap"
    :class="{ 'text-amber!': store.saveState !== 'saved' && store.saveState !== 'saving' }"
    role="status"
    data-testid="save-state"
    >{{ word }}</span
  >
</template>
