<script setup lang="ts">
import { ref } from 'vue'
import { useOffline } from '../stores/offline.ts'

// A newer version of the program waits; it is taken when somebody says so, never under the hands.
const offline = useOffline()
const isLater = ref(false)
</script>

<template>
  <div
    v-if="offline.hasNewer && !isLater"
    class="fixed inset-x-3 bottom-3 z-40 mx-auto flex max-w-lg flex-wrap items-center gap-2 rounded-xl border border-line bg-card px-4 py-3 shadow-lg print:hidden"
    role="status"
    data-newer
  >
    <span class="min-w-0 flex-1">A newer version is here. What is typed and ticked stays.</span>
    <button class="btn btn-do" @click="offline.takeNewer()">Use it</button>
    <button class="btn" @click="isLater = true">Later</button>
  </div>
</template>
