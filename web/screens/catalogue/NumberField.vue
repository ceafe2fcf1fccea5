<script setup lang="ts">
const props = defineProps<{ value: number; name: string; step?: number; wide?: boolean }>()
const emit = defineEmits<{ change: [value: number] }>()
const read = (event: Event) => {
  const { value } = event.target as HTMLInputElement
  const next = value.trim() === '' ? NaN : Number(value)
  if (!Object.is(next, props.value)) emit('change', next)
}
</script>

<template>
  <input
    type="number"
    class="field plain-number py-0.5 text-right tabular-nums"
    :class="wide ? 'w-[86px]' : 'w-[62px]'"
    :step="step ?? 'any'"
    :value="Number.isFinite(value) ? Math.round(value * 100) / 100 : ''"
    :aria-label="name"
    :title="name"
    :aria-invalid="!Number.isFinite(value)"
    @input="read"
  />
</template>
