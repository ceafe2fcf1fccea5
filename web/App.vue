<script setup lang="ts">
import { defineAsyncComponent } from 'vue'
import { RouterView } from 'vue-router'
import { useAsk } from './stores/ask.ts'
import ErrorBoundary from './widgets/ErrorBoundary.vue'
import TroubleNotes from './widgets/TroubleNotes.vue'

const ask = useAsk()
const AskDialog = defineAsyncComponent(() => import('./widgets/AskDialog.vue'))
</script>

<template>
  <ErrorBoundary><RouterView /></ErrorBoundary>
  <TroubleNotes />
  <AskDialog v-if="ask.figure" />
</template>
