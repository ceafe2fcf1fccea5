<script setup lang="ts">
import { ref } from 'vue'
import { z } from 'zod'
import { api, type PriceOverview } from '../../api.ts'
import Field from '../../widgets/Field.vue'
import { typedIn, useSchemaForm } from '../../widgets/form.ts'

/** A price that was seen in a shop; `stored` gets what the ledger says with it. */
const props = defineProps<{ partId: string; home: string; today: string }>()
const emit = defineEmits<{ stored: [now: PriceOverview] }>()
const trouble = ref('')

const seen = z.strictObject({
  shop: z.string().trim().min(1).max(60),
  seenOn: z.iso.date().nullable(),
  amountMinor: typedIn(z.int().min(0)),
  shippingMinor: z.int().min(0).nullable(),
  currency: z
    .string()
    .trim()
    .regex(/^([A-Za-z]{3})?$/),
  used: z.boolean(),
  gone: z.boolean(),
})
const { submit, setFieldValue } = useSchemaForm<z.infer<typeof seen>>(
  seen,
  { shop: '', seenOn: null, amountMinor: null, shippingMinor: null, currency: '', used: false, gone: false },
  async ({ amountMinor, shippingMinor, seenOn, currency, gone, ...rest }) => {
    if (amountMinor === null) return
    trouble.value = ''
    try {
      const now = await api.addPrice({
        ...rest,
        partId: props.partId,
        seenOn: seenOn ?? props.today,
        amountMinor,
        shippingMinor: shippingMinor ?? 0,
        currency: (currency || props.home).toUpperCase(),
        available: !gone,
      })
      emit('stored', now)
      setFieldValue('amountMinor', null, false)
    } catch (error) {
      // What was refused stays to be mended.
      trouble.value = error instanceof Error ? error.message : 'It could not be stored.'
    }
  },
  {
    shop: 'Say which shop it was.',
    amountMinor: 'A price is 0 or more, such as 49.90.',
    shippingMinor: 'Sending costs 0 or more, such as 5.90.',
    currency: 'Use a three-letter currency code, such as GBP.',
  },
)
</script>

<template>
  <form class="mt-1.5 grid grid-cols-2 gap-1.5" novalidate @submit="submit">
    <Field name="shop" label="shop" />
    <Field name="seenOn" label="on" kind="date" :latest="today" />
    <Field name="amountMinor" label="price" kind="money" />
    <Field name="shippingMinor" label="sending" kind="money" hint="0" />
    <Field name="currency" label="currency" :longest="3" :hint="home" />
    <Field name="used" label="second hand" kind="switch" class="self-end pb-1" />
    <Field name="gone" label="none left" kind="switch" />
    <button class="btn col-span-2 justify-center py-0.5">Store it</button>
    <p v-if="trouble" class="col-span-2 text-[12.5px] text-brick" role="alert">{{ trouble }}</p>
  </form>
</template>
