<script setup lang="ts">
import { watch } from 'vue'
import { RouterLink } from 'vue-router'
import { useRig } from '../stores/rig.ts'
import { saveWords } from '../wording.ts'
import RigNotices from './RigNotices.vue'
import { useOffline } from '../stores/offline.ts'
import FieldBadge from './FieldBadge.vue'
import TopBar from './TopBar.vue'

defineProps<{ here: string }>()
const store = useRig()
const offline = useOffline()
// A rig that was opened once on this machine opens without a network from then on.
watch(
  () => store.rig?.id,
  (id) => {
    if (id !== undefined) void offline.keepRig(id).catch(() => undefined)
  },
  { immediate: true },
)
</script>

<template>
  <TopBar slim>
    <nav class="flex min-w-0 flex-1 items-baseline gap-1.5" aria-label="Where you are">
      <RouterLink to="/" class="text-soft hover:text-ink max-[640px]:hidden">Shelf</RouterLink
      ><span class="text-soft max-[640px]:hidden">/</span>
      <RouterLink
        v-if="store.rig"
        :to="{ name: 'bench', params: { id: store.rig.id } }"
        class="truncate font-semibold hover:underline"
        >{{ store.rig.name }}</RouterLink
      >
      <span class="whitespace-nowrap text-soft">/ {{ here }}</span>
    </nav>
    <template #end>
      <FieldBadge />
      <span class="label tight" role="status" data-testid="save-state">{{ saveWords[store.saveState] }}</span>
      <button class="btn" :disabled="!store.canUndo" @click="void store.undo()">Undo</button>
      <RouterLink v-if="store.rig" class="btn btn-do" :to="{ name: 'bench', params: { id: store.rig.id } }"
        ><span class="max-[640px]:hidden">To the bench</span><span class="min-[641px]:hidden">Bench</span></RouterLink
      >
    </template>
  </TopBar>
  <RigNotices />
</template>
