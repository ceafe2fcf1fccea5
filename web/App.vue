<script setup lang="ts">
import { defineAsyncComponent, watch } from 'vue'
import { RouterView, useRoute } from 'vue-router'
import { useAsk } from './stores/ask.ts'
import ErrorBoundary from './widgets/ErrorBoundary.vue'
import TroubleNotes from './widgets/TroubleNotes.vue'

const ask = useAsk()
const route = useRoute()
// Whoever goes on to another screen is done asking.
watch(
  () => route.path,
  () => ask.close(),
)
const AskDialog = defineAsyncComponent(() => import('./widgets/AskDialog.vue'))
</script>

<template>
  <ErrorBoundary><RouterView /></ErrorBoundary>
  <TroubleNotes />
  <AskDialog v-if="ask.figure || ask.told" />
</template>
