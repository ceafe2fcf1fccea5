<script setup lang="ts">
import { useRig } from '../stores/rig.ts'

const store = useRig()
</script>

<template>
  <div
    v-if="store.rig"
    class="flex items-center gap-1 max-md:w-full max-md:overflow-x-auto max-md:whitespace-nowrap"
    role="group"
    aria-label="Set-ups"
  >
    <button
      v-for="setup in store.rig.setups"
      :key="setup.id"
      class="rounded-lg px-2.5 py-1 max-md:min-h-11 max-md:shrink-0"
      :class="setup.id === store.setup?.id ? 'bg-leaf-tint font-semibold' : 'text-soft hover:text-ink'"
      :aria-pressed="setup.id === store.setup?.id"
      @click="store.setupId = setup.id"
    >
      {{ setup.name }}
    </button>
    <slot />
  </div>
</template>
