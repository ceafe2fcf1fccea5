<script setup lang="ts">
import { z } from 'zod'
import { api, type PriceOverview } from '../../api.ts'
import Field from '../../widgets/Field.vue'
import { typedIn, useSchemaForm } from '../../widgets/form.ts'

/** Under which price one wants to know; `belowMinor` is what is watched already. */
const props = defineProps<{ partId: string; belowMinor: number | undefined }>()
const emit = defineEmits<{ stored: [now: PriceOverview] }>()

const WORDS = 'Say under which price you want to know, such as 49.90.'
const mark = z.strictObject({ belowMinor: typedIn(z.int().positive()) })
const store = async (belowMinor: number | null, refuse: (errors: { belowMinor?: string }) => void = () => {}) => {
  try {
    emit('stored', await api.watchPrice(props.partId, belowMinor))
  } catch (error) {
    refuse({ belowMinor: error instanceof Error ? error.message : 'It could not be stored.' })
  }
}
const { submit } = useSchemaForm<z.infer<typeof mark>>(
  mark,
  { belowMinor: null },
  async ({ belowMinor }, refuse) => {
    await store(belowMinor, refuse)
  },
  { belowMinor: WORDS },
)
</script>

<template>
  <form class="flex items-end gap-1.5" novalidate @submit="submit">
    <Field
      name="belowMinor"
      label="tell me when it is under"
      kind="money"
      class="min-w-0 flex-1"
      :hint="belowMinor === undefined ? '' : (belowMinor / 100).toFixed(2)"
    />
    <button class="btn py-0.5">Watch</button>
    <button v-if="belowMinor !== undefined" type="button" class="btn py-0.5" @click="store(null)">Stop</button>
  </form>
</template>
