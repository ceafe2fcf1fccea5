<script setup lang="ts">
import { type Carried, carried, connectorIds, connectors, type Socket } from '@zucchini/core/catalogue'
import { X } from '@lucide/vue'
import { computed } from 'vue'
import OptionalField from './OptionalField.vue'
import { type Direction, directionName, directions } from './part-draft.ts'
import VecField from './VecField.vue'

const props = defineProps<{ socket: Socket; n: number }>()
const emit = defineEmits<{ change: [socket: Socket]; remove: [] }>()

const change = (more: Partial<Socket>) => emit('change', { ...props.socket, ...more })
const value = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value
const carries = computed(() => props.socket.carries ?? [])
const pass = (what: Carried, on: boolean) =>
  change({ carries: on ? [...carries.value, what] : carries.value.filter((own) => own !== what) })
/** A voltage wants both ends; while one is missing the other stands for it. */
const volts = (end: 'min' | 'max', next: number | undefined) => {
  const { volts: _, ...bare } = props.socket
  const other = end === 'min' ? props.socket.volts?.max : props.socket.volts?.min
  emit(
    'change',
    next === undefined ? bare : { ...bare, volts: { min: other ?? next, max: other ?? next, [end]: next } },
  )
}
const most = (watts: number | undefined) => {
  const { watts: _, ...bare } = props.socket
  emit('change', watts === undefined ? bare : { ...bare, watts })
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-2.5 gap-y-1.5 border-b border-line py-2">
    <select
      class="field py-0.5"
      :value="socket.connector"
      :aria-label="`Socket ${n}, connector`"
      @change="change({ connector: value($event) as Socket['connector'] })"
    >
      <option v-for="id in connectorIds" :key="id" :value="id">{{ connectors[id].title }}</option>
    </select>
    <select
      class="field py-0.5"
      :value="socket.direction"
      :aria-label="`Socket ${n}, works as`"
      @change="change({ direction: value($event) as Socket['direction'] })"
    >
      <option value="in">input</option>
      <option value="out">output</option>
      <option value="both">both</option>
    </select>
    <span class="flex items-center gap-1.5"
      ><span class="label">at</span
      ><VecField :value="socket.at" :name="`Socket ${n}, place`" @change="change({ at: $event })"
    /></span>
    <select
      class="field py-0.5"
      :value="directionName(socket.out) ?? ''"
      :aria-label="`Socket ${n}, looks`"
      @change="change({ out: directions[value($event) as Direction] })"
    >
      <option v-for="(_, name) in directions" :key="name" :value="name">{{ name }}</option>
    </select>
    <button type="button" class="btn ml-auto px-1.5 py-0.5" :aria-label="`Remove socket ${n}`" @click="emit('remove')">
      <X class="size-3.5" />
    </button>
    <span class="flex basis-full flex-wrap items-center gap-x-3 gap-y-1">
      <label v-for="what in carried" :key="what" class="flex items-center gap-1.5"
        ><input
          type="checkbox"
          class="accent-leaf"
          :checked="carries.includes(what)"
          @change="pass(what, ($event.target as HTMLInputElement).checked)"
        />{{ what }}</label
      >
      <template v-if="carries.includes('power')">
        <OptionalField
          label="from, V"
          :name="`Socket ${n}, lowest (V)`"
          :value="socket.volts?.min"
          @change="volts('min', $event)"
        />
        <OptionalField
          label="to, V"
          :name="`Socket ${n}, highest (V)`"
          :value="socket.volts?.max"
          @change="volts('max', $event)"
        />
        <OptionalField label="at most, W" :name="`Socket ${n}, most (W)`" :value="socket.watts" @change="most" />
      </template>
    </span>
  </div>
</template>
