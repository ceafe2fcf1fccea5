<script setup lang="ts">
import { type BillRules, billRulesSchema, plainRules } from '@zucchini/core/money'
import { computed, ref } from 'vue'
import { z } from 'zod'
import { api, type PriceOverview } from '../../api.ts'
import { useContext } from '../../stores/context.ts'
import Field from '../../widgets/Field.vue'
import { orNothing, useLiveForm } from '../../widgets/form.ts'
import { money } from '../../wording.ts'
import RateForm from './RateForm.vue'

const context = useContext()
const trouble = ref('')
const busy = ref(false)
const known = computed(() => context.money)

const act = async (what: () => Promise<PriceOverview>) => {
  busy.value = true
  try {
    trouble.value = ''
    await context.adoptPrices(await what())
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'It could not be stored.'
  } finally {
    busy.value = false
  }
}
const change = (more: Partial<Pick<PriceOverview, 'home' | 'rules' | 'feed'>>) => {
  const now = known.value
  if (now) void act(() => api.reckon({ home: now.home, rules: now.rules, feed: now.feed, ...more }))
}
const { shape } = billRulesSchema
const AMOUNT = 'An amount is 0 or more, such as 6.90.'
useLiveForm<BillRules & { readonly asks: boolean }>(
  z.object({
    ...shape,
    shippingMinor: orNothing(shape.shippingMinor),
    freeFromMinor: orNothing(shape.freeFromMinor),
    asks: z.boolean(),
  }),
  () => ({ ...(known.value?.rules ?? plainRules), asks: known.value?.feed.on ?? false }),
  ({ asks, ...more }) => {
    if (!known.value) return
    if (asks === undefined) change({ rules: { ...known.value.rules, ...more } })
    else change({ feed: { ...known.value.feed, on: asks } })
  },
  { shippingMinor: AMOUNT, freeFromMinor: AMOUNT, taxPercent: 'A tax runs from 0 to 100 percent.' },
)
const parts = computed(() => context.catalogue?.parts)
</script>

<template>
  <section v-if="known" class="flex flex-col gap-2" aria-label="How it is reckoned">
    <ul v-if="known.notices.length" class="rounded-lg border border-leaf bg-leaf-tint px-3 py-1.5" role="status">
      <li v-for="notice in known.notices" :key="notice.partId">
        {{ parts?.get(notice.partId)?.name ?? notice.partId }} is down to {{ money(notice.nowMinor, known.home) }}.
      </li>
    </ul>
    <h2 class="border-b border-line pb-1 font-semibold">How it is reckoned</h2>
    <div class="flex flex-wrap items-baseline gap-2">
      <Field name="asks" label="ask three simulated shops" kind="switch" :disabled="busy" />
      <span class="label">invented prices, for trying it out</span>
    </div>
    <div class="grid grid-cols-2 gap-x-3 gap-y-1.5">
      <Field name="shippingMinor" label="one order’s sending" kind="money" />
      <Field name="freeFromMinor" label="free from" kind="money" />
      <Field name="taxPercent" label="tax, %" kind="number" />
      <Field class="self-end pb-1" name="taxIncluded" label="prices have it in" kind="switch" />
    </div>
    <RateForm :home="known.home" :today="known.today" @stored="context.adoptPrices" />
    <p v-if="known.rates.length" class="label">
      {{
        known.rates
          .slice(0, 4)
          .map((one) => `1 ${one.currency} = ${one.rate} ${known?.home ?? ''} (${one.seenOn})`)
          .join(' · ')
      }}
    </p>
    <p v-if="trouble" class="text-[12.5px] text-brick" role="alert">{{ trouble }}</p>
  </section>
</template>
