<script setup lang="ts">
import type { Vec3 } from '@zucchini/core/kernel'
import NumberField from './NumberField.vue'

const props = defineProps<{ value: Vec3; name: string; axes?: readonly [string, string, string] }>()
const emit = defineEmits<{ change: [value: Vec3] }>()
const set = (at: number, to: number) =>
  emit('change', props.value.map((old, i) => (i === at ? to : old)) as unknown as Vec3)
const words = (i: number) => `${props.name}, ${(props.axes ?? ['right', 'up', 'towards you'])[i]} (mm)`
</script>

<template>
  <span class="inline-flex gap-1"
    ><NumberField
      v-for="i in 3"
      :key="i"
      :value="value[i - 1] ?? NaN"
      :name="words(i - 1)"
      @change="set(i - 1, $event)"
  /></span>
</template>
