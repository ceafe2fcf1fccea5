<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import type { FigureId } from '@zucchini/core/assess'
import type { FactName } from '@zucchini/core/facts'
import { ArrowLeft, X } from '@lucide/vue'
import { computed } from 'vue'
import FigureSheet from '../screens/bench/FigureSheet.vue'
import { useAsk } from '../stores/ask.ts'
import FactSheet from './FactSheet.vue'
import ToldSheet from './ToldSheet.vue'

const ask = useAsk()
const fact = computed(() =>
  ask.figure?.startsWith('fact ') ? (ask.figure.slice('fact '.length) as FactName) : undefined,
)
</script>

<template>
  <Dialog :open="ask.figure !== undefined || ask.told !== undefined" class="relative z-50" @close="ask.close()">
    <div class="fixed inset-0 bg-black/30" aria-hidden="true" />
    <div class="fixed inset-0 flex items-start justify-center p-4 pt-[10vh]">
      <DialogPanel
        class="max-h-[76vh] w-full max-w-2xl overflow-y-auto rounded-xl border border-line bg-card shadow-xl"
      >
        <div class="flex items-center gap-2 border-b border-line px-5 py-2">
          <button v-if="ask.trail.length" class="btn px-1.5 py-0.5" aria-label="Back" @click="ask.back()">
            <ArrowLeft class="size-4" aria-hidden="true" />
          </button>
          <DialogTitle class="label">How it is reckoned</DialogTitle>
          <button class="btn ml-auto px-1.5 py-0.5" aria-label="Close" title="Close (Esc)" @click="ask.close()">
            <X class="size-4" aria-hidden="true" />
          </button>
        </div>
        <ToldSheet v-if="ask.told" :told="ask.told" />
        <template v-else-if="ask.assessment">
          <FactSheet v-if="fact" :assessment="ask.assessment" :fact="fact" />
          <FigureSheet
            v-else-if="ask.figure"
            :assessment="ask.assessment"
            :figure="ask.figure as FigureId"
            bare
            @close="ask.close()"
          />
        </template>
      </DialogPanel>
    </div>
  </Dialog>
</template>
