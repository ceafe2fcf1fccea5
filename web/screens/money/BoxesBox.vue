<script setup lang="ts">
import { boxesFor } from '@zucchini/core/assess'
import type { Rig } from '@zucchini/core/assembly'
import { computed } from 'vue'
import { useRig } from '../../stores/rig.ts'
import { useContext } from '../../stores/context.ts'
import { money } from '../../wording.ts'

const props = defineProps<{ rig: Rig }>()
const store = useRig()
const context = useContext()
const MOST = 3
const boxes = computed(() => (context.whole ? boxesFor(props.rig, context.whole).slice(0, MOST) : []))
const say = (minor: number) =>
  minor >= 0 ? `saves ${money(minor, store.style.currency)}` : `${money(-minor, store.style.currency)} dearer`
</script>

<template>
  <section v-if="boxes.length" aria-label="In one box">
    <h2 class="border-b border-line pb-1 font-semibold">In one box</h2>
    <ul>
      <li
        v-for="box in boxes"
        :key="`${box.part.id} ${box.instance}`"
        class="border-b border-line py-1"
        :data-box="box.part.id"
      >
        <p class="flex items-baseline gap-2">
          <span class="min-w-0">{{ box.part.name }}</span>
          <button class="cure ml-auto shrink-0" @click="store.apply(box.commands, `swap for ${box.part.name}`)">
            swap
          </button>
        </p>
        <p class="label tight" :class="box.savesMinor > 0 ? 'text-leaf!' : ''">
          {{ money(box.part.price.usual, store.style.currency) }}, {{ say(box.savesMinor) }}
        </p>
        <p class="label tight">
          {{
            box.used.length
              ? `used of it: ${box.used.map(({ name }) => name).join(', ')}`
              : 'nothing else of it is used'
          }}{{ box.unused.length ? `; for nothing: ${box.unused.map(({ name }) => name).join(', ')}` : '' }}
        </p>
      </li>
    </ul>
  </section>
</template>
