<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'

defineProps<{ open: boolean }>()
defineEmits<{ close: [] }>()

/** Two spaces part keys that are pressed by themselves; one stands within keys that are pressed together. */
const capsOf = (keys: string): readonly string[] => keys.split('  ')

const groups = [
  [
    'Look',
    [
      ['1  2  3  4  5', 'side, front, top, rear, turntable'],
      ['+  −  0', 'nearer, farther, the whole rig'],
      ['R', 'rooms on or off'],
      ['L', 'leads on or off'],
      ['H', 'as it hangs'],
      ['Esc', 'let go of everything'],
    ],
  ],
  [
    'Choose',
    [
      ['O  Shift O', 'next, previous open point'],
      ['P  Shift P', 'next, previous piece'],
      ['/', 'find anything'],
      ['F', 'filter what fits'],
      ['W', 'how the figures of a part or a way out are reckoned'],
    ],
  ],
  [
    'Do',
    [
      ['↑  ↓  Enter', 'choose a part, put it on'],
      [',  .', 'slide the piece by a step'],
      ['T', 'turn the piece'],
      ['Delete', 'take the piece off'],
      ['C', 'first cure of the worst finding'],
      ['Ctrl Z  Ctrl Shift Z', 'undo, redo'],
    ],
  ],
] as const
</script>

<template>
  <Dialog :open="open" class="relative z-50" @close="$emit('close')">
    <div class="fixed inset-0 bg-black/30" aria-hidden="true" />
    <div class="fixed inset-0 flex items-center justify-center p-6">
      <DialogPanel class="w-full max-w-2xl rounded-xl border border-line bg-card p-6 shadow-xl">
        <DialogTitle class="text-lg font-semibold">Keys at the bench</DialogTitle>
        <div class="mt-4 grid grid-cols-3 gap-6">
          <section v-for="[title, keys] in groups" :key="title">
            <h3 class="label mb-1.5">{{ title }}</h3>
            <dl class="flex flex-col gap-1.5">
              <div v-for="[key, what] in keys" :key="key">
                <dt class="flex gap-1">
                  <span v-for="cap in capsOf(key)" :key="cap" class="key">{{ cap }}</span>
                </dt>
                <dd class="text-[13px]">{{ what }}</dd>
              </div>
            </dl>
          </section>
        </div>
        <button class="btn btn-do mt-5" @click="$emit('close')">Back to the bench</button>
      </DialogPanel>
    </div>
  </Dialog>
</template>
