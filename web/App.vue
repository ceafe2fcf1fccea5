<script setup lang="ts">
import { defineAsyncComponent, onMounted, watch } from 'vue'
import { RouterView, useRoute } from 'vue-router'
import { useAsk } from './stores/ask.ts'
import { useOffline } from './stores/offline.ts'
import ErrorBoundary from './widgets/ErrorBoundary.vue'
import TroubleNotes from './widgets/TroubleNotes.vue'

const ask = useAsk()
const route = useRoute()
// Whoever goes on to another screen is done asking.
watch(
  () => route.path,
  () => ask.close(),
)
// What keeps the program for days without a network starts once the page itself is there.
const offline = useOffline()
onMounted(() => setTimeout(() => void offline.start().catch(() => undefined), 1500))
const NewerNote = defineAsyncComponent(() => import('./widgets/NewerNote.vue'))
const AskDialog = defineAsyncComponent(() => import('./widgets/AskDialog.vue'))
</script>

<template>
  <ErrorBoundary><RouterView /></ErrorBoundary>
  <TroubleNotes />
  <NewerNote v-if="offline.hasNewer" />
  <AskDialog v-if="ask.figure || ask.told" />
</template>
