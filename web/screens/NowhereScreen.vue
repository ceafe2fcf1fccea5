<script setup lang="ts">
import { RouterLink } from 'vue-router'
import TopBar from '../widgets/TopBar.vue'
</script>

<template>
  <TopBar />
  <main class="mx-auto max-w-xl p-10">
    <h1 class="text-xl font-semibold">Nothing lies here</h1>
    <p class="mt-2 text-soft">The address leads to no rig and no screen. It may have been taken off the shelf.</p>
    <RouterLink to="/" class="btn btn-do mt-4">To the shelf</RouterLink>
  </main>
</template>
