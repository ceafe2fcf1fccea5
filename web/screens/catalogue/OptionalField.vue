<script setup lang="ts">
defineProps<{ label: string; name: string; value: number | undefined }>()
const emit = defineEmits<{ change: [value: number | undefined] }>()
/** Nothing typed is nothing stated; anything else is a figure, right or wrong. */
const read = (event: Event) => {
  const { value } = event.target as HTMLInputElement
  emit('change', value.trim() === '' ? undefined : Number(value))
}
</script>

<template>
  <label class="flex items-center gap-1.5"
    ><span class="label">{{ label }}</span
    ><input
      class="field fig w-20 py-0.5"
      type="number"
      step="any"
      :value.prop="value ?? ''"
      :aria-label="name"
      @change="read"
  /></label>
</template>
