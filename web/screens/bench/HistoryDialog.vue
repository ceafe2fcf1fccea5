<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'
import { ref } from 'vue'
import { useRig } from '../../stores/rig.ts'
import HistoryList from '../../widgets/HistoryList.vue'

defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const store = useRig()
const trouble = ref('')
const back = async (revision: number) => {
  try {
    trouble.value = ''
    await store.goTo(revision)
    emit('close')
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'That revision could not be opened.'
  }
}
</script>

<template>
  <Dialog :open="open" class="relative z-50" @close="$emit('close')">
    <div class="fixed inset-0 bg-black/30" aria-hidden="true" />
    <div class="fixed inset-0 flex items-center justify-center p-6">
      <DialogPanel
        class="flex max-h-full w-full max-w-2xl flex-col rounded-xl border border-line bg-card p-6 shadow-xl"
      >
        <div class="flex items-start gap-3">
          <div>
            <DialogTitle class="text-lg font-semibold">History of {{ store.rig?.name }}</DialogTitle>
            <p class="label mt-0.5">
              Going back is an edit like any other: Undo takes it back. Every edit of a week is kept, then the last of
              each hour, after two months the last of each day; what has a name always stays.
            </p>
          </div>
          <button class="btn ml-auto px-1.5" aria-label="Close" @click="$emit('close')">
            <X class="size-4" aria-hidden="true" />
          </button>
        </div>
        <p v-if="trouble" class="mt-2 text-brick" role="alert">{{ trouble }}</p>
        <div class="relative mt-3 flex min-h-0 flex-1 flex-col overflow-y-auto border-t border-line" tabindex="-1">
          <HistoryList v-if="open && store.rig" :rig-id="store.rig.id" :present="store.revision" @back="back" />
        </div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
