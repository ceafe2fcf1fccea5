<script setup lang="ts">
import { Check, CloudOff } from '@lucide/vue'
import { computed } from 'vue'
import { useField } from '../stores/field.ts'
import { useOffline } from '../stores/offline.ts'
import { useRig } from '../stores/rig.ts'

// What is not stored yet, and whether this rig opens without a network.
const field = useField()
const offline = useOffline()
const store = useRig()
const count = computed(() => field.waiting.length - field.notStored.length)
const words = computed(() => {
  if (field.notStored.length > 0) return `${field.notStored.length} could not be stored: see the log`
  if (count.value > 0 && !field.isKept) return `${count.value} not sent yet, gone if this page is closed`
  if (count.value > 0)
    return `${count.value} kept here, ${offline.isReached && !field.troubled ? 'being sent' : 'sent when there is a network'}`
  if (!offline.isReached) return 'no network'
  return store.rig && offline.keeps.has(store.rig.id) ? 'works without network' : ''
})
const isQuiet = computed(() => count.value === 0 && field.notStored.length === 0 && offline.isReached)
</script>

<template>
  <span
    v-if="words"
    class="flex items-center gap-1 rounded-full px-2.5 py-0.5 text-[12.5px] whitespace-nowrap"
    :class="isQuiet ? 'bg-leaf-tint text-leaf' : 'bg-blossom-tint'"
    role="status"
    data-field-badge
  >
    <component :is="isQuiet ? Check : CloudOff" class="size-3.5" aria-hidden="true" />{{ words }}
  </span>
</template>
