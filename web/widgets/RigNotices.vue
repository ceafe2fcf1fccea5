<script setup lang="ts">
import { formatDistanceToNow } from 'date-fns'
import { X } from '@lucide/vue'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { useRig } from '../stores/rig.ts'

// What has to be told about the open rig, whichever screen it is open on.
const store = useRig()
const router = useRouter()
const trouble = ref('')

const attempt = async (what: () => Promise<string | undefined | void>, fallback: string) => {
  try {
    trouble.value = ''
    const id = await what()
    if (typeof id === 'string') await router.push({ name: 'bench', params: { id } })
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : fallback
  }
}
const both = () => attempt(() => store.keepBoth(), 'The copy could not be saved.')
const asNew = () => attempt(() => store.saveAsNew(), 'The copy could not be saved.')
const putBack = () => attempt(() => store.putBack(), 'It could not be put back.')
const take = () => attempt(() => store.takeTheirs(), 'It could not be opened.')
</script>

<template>
  <div
    v-if="store.saveState === 'conflict' && store.theirs"
    class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-blossom bg-blossom-tint px-4 py-2"
    role="alert"
  >
    <p>
      <strong>Another window saved this rig</strong>
      {{ formatDistanceToNow(new Date(store.theirs.updatedAt), { addSuffix: true }) }} (revision
      {{ store.theirs.revision }}) while you had something unsaved. Nothing is lost: choose which version goes on.
      <span v-if="trouble" class="text-brick">{{ trouble }}</span>
    </p>
    <span class="ml-auto flex gap-2">
      <button class="btn" @click="take">Show the other one</button>
      <button class="btn" @click="store.keepMine()">Go on with this one</button>
      <button class="btn" @click="both">Keep both</button>
    </span>
  </div>
  <div
    v-else-if="store.saveState === 'removed'"
    class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-blossom bg-blossom-tint px-4 py-2"
    role="alert"
  >
    <p>
      <strong>This rig was taken off the shelf in another window.</strong> What you see here is whole, and its history
      stays.
      <span v-if="trouble" class="text-brick">{{ trouble }}</span>
    </p>
    <span class="ml-auto flex gap-2">
      <button class="btn" @click="putBack">Put it back</button>
      <button class="btn" @click="asNew">Save it as a new rig</button>
    </span>
  </div>
  <p
    v-else-if="store.saveState === 'waiting'"
    class="border-b border-line bg-blossom-tint px-4 py-1.5"
    role="status"
    data-testid="waiting"
  >
    {{ store.waitingFor }}
  </p>
  <p
    v-if="store.notice"
    class="flex items-start gap-3 border-b border-line bg-leaf-tint px-4 py-1.5"
    role="status"
    data-testid="notice"
  >
    <span>{{ store.notice }}</span>
    <button class="btn ml-auto px-1 py-0" aria-label="Put this line away" @click="store.notice = ''">
      <X class="size-3.5" />
    </button>
  </p>
  <p v-if="store.refused" class="border-b border-line bg-blossom-tint px-4 py-1.5" role="alert">{{ store.refused }}</p>
</template>
