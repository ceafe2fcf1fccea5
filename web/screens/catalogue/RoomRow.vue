<script setup lang="ts">
import type { Room } from '@zucchini/core/catalogue'
import { X } from '@lucide/vue'
import NumberField from './NumberField.vue'
import VecField from './VecField.vue'

const props = defineProps<{ room: Room; n: number }>()
const emit = defineEmits<{ change: [room: Room]; remove: [] }>()
const change = (more: object) => emit('change', { ...props.room, ...more })
const shape = (more: object) => change({ shape: { ...props.room.shape, ...more } })
const kinds: Record<Room['kind'], string> = {
  swing: 'swing of a screen',
  door: 'door',
  hand: 'hand',
  plug: 'plug',
  lever: 'lever or knob',
  turn: 'ring to turn',
  view: 'eye',
}
const value = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-2.5 gap-y-1.5 border-b border-line py-2">
    <select
      class="field py-0.5"
      :value="room.kind"
      :aria-label="`Room ${n}, kind`"
      @change="change({ kind: value($event) })"
    >
      <option v-for="(words, kind) in kinds" :key="kind" :value="kind">{{ words }}</option>
    </select>
    <span class="flex items-center gap-1.5"
      ><span class="label">middle</span
      ><VecField :value="room.shape.centre" :name="`Room ${n}, middle`" @change="shape({ centre: $event })"
    /></span>
    <span v-if="room.shape.kind === 'box'" class="flex items-center gap-1.5"
      ><span class="label">wide, tall, deep</span
      ><VecField
        :value="room.shape.size"
        :name="`Room ${n}`"
        :axes="['width', 'height', 'depth']"
        @change="shape({ size: $event })"
    /></span>
    <span v-else class="flex items-center gap-1.5"
      ><span class="label">radius, length</span
      ><NumberField
        :value="room.shape.radius"
        :name="`Room ${n}, radius (mm)`"
        @change="shape({ radius: $event })" /><NumberField
        :value="room.shape.length"
        :name="`Room ${n}, length (mm)`"
        @change="shape({ length: $event })"
    /></span>
    <label class="flex items-center gap-1.5"
      ><span class="label">without it</span
      ><input
        class="field w-[200px] py-0.5"
        maxlength="120"
        :value="room.lost"
        @input="change({ lost: value($event) })"
    /></label>
    <button type="button" class="btn ml-auto px-1.5 py-0.5" :aria-label="`Remove room ${n}`" @click="$emit('remove')">
      <X class="size-3.5" />
    </button>
  </div>
</template>
