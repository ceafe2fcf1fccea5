<script setup lang="ts">
import { formatDistanceToNow } from 'date-fns'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { useRig } from '../../stores/rig.ts'

const store = useRig()
const router = useRouter()
const trouble = ref('')

const both = async () => {
  try {
    const id = await store.keepBoth()
    if (id) await router.push({ name: 'bench', params: { id } })
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'The copy could not be saved.'
  }
}
</script>

<template>
  <div
    v-if="store.saveState === 'conflict' && store.theirs"
    class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-blossom bg-blossom-tint px-4 py-2"
    role="alert"
  >
    <p>
      <strong>Another window saved this rig</strong>
      {{ formatDistanceToNow(new Date(store.theirs.updatedAt), { addSuffix: true }) }} (revision {{ store.theirs.revision }}). Nothing is
      lost: choose which version goes on.
      <span v-if="trouble" class="text-brick">{{ trouble }}</span>
    </p>
    <span class="ml-auto flex gap-2">
      <button class="btn" @click="store.takeTheirs()">Show the other one</button>
      <button class="btn" @click="store.keepMine()">Go on with this one</button>
      <button class="btn" @click="both">Keep both</button>
    </span>
  </div>
</template>
