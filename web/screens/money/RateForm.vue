<script setup lang="ts">
import { z } from 'zod'
import { api, type PriceOverview } from '../../api.ts'
import Field from '../../widgets/Field.vue'
import { typedIn, useSchemaForm } from '../../widgets/form.ts'

/** What one unit of another currency is worth at home, today. */
const props = defineProps<{ home: string; today: string }>()
const emit = defineEmits<{ stored: [now: PriceOverview] }>()

const RATE = 'A rate must be more than 0: what one unit is worth here.'
const worth = z.strictObject({
  currency: z
    .string()
    .trim()
    .regex(/^[A-Za-z]{3}$/),
  rate: typedIn(z.number().positive()),
})
const { submit, setFieldValue } = useSchemaForm<z.infer<typeof worth>>(
  worth,
  { currency: '', rate: null },
  async ({ currency, rate }, refuse) => {
    if (rate === null) return
    try {
      emit('stored', await api.addRate({ currency: currency.toUpperCase(), seenOn: props.today, rate }))
      setFieldValue('rate', null, false)
    } catch (error) {
      refuse({ rate: error instanceof Error ? error.message : 'It could not be stored.' })
    }
  },
  { currency: 'Use a three-letter currency code, such as GBP.', rate: RATE },
)
</script>

<template>
  <form class="flex items-end gap-1.5" novalidate @submit="submit">
    <Field name="currency" label="currency" class="w-20" :longest="3" hint="GBP" />
    <Field name="rate" :label="`one is worth, ${home}`" kind="number" class="min-w-0 flex-1" hint="1.17" />
    <button class="btn py-0.5">Store the rate</button>
  </form>
</template>
