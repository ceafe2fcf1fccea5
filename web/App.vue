<script setup lang="ts">
import { RouterView } from 'vue-router'
import ErrorBoundary from './widgets/ErrorBoundary.vue'
import TroubleNotes from './widgets/TroubleNotes.vue'
</script>

<template>
  <ErrorBoundary><RouterView /></ErrorBoundary>
  <TroubleNotes />
</template>
