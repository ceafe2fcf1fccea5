<script setup lang="ts">
import type { BillRules } from '@zucchini/core/money'
import { computed, ref } from 'vue'
import { api, type PriceOverview } from '../../api.ts'
import { useContext } from '../../stores/context.ts'
import { money } from '../../wording.ts'
import { typedMoney } from '../../widgets/typed-money.ts'
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
const rule = (more: Partial<BillRules>) => {
  if (known.value) change({ rules: { ...known.value.rules, ...more } })
}
const amount = (key: 'shippingMinor' | 'freeFromMinor', event: Event) => {
  const minor = typedMoney((event.target as HTMLInputElement).value)
  if (minor === null) trouble.value = 'An amount is 0 or more, such as 6.90.'
  else rule({ [key]: minor ?? 0 })
}
const tax = (event: Event) => {
  const value = Number((event.target as HTMLInputElement).value || Number.NaN)
  if (value >= 0 && value <= 100) rule({ taxPercent: value })
  else trouble.value = 'A tax runs from 0 to 100 percent.'
}
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
    <label class="flex items-center gap-2"
      ><input
        type="checkbox"
        class="accent-leaf"
        :checked="known.feed.on"
        :disabled="busy"
        @change="change({ feed: { ...known.feed, on: ($event.target as HTMLInputElement).checked } })"
      />
      <span>ask three simulated shops <span class="label">invented prices, for trying it out</span></span></label
    >
    <div class="grid grid-cols-2 gap-x-3 gap-y-1.5">
      <label class="label"
        >one order’s sending<input
          class="field fig mt-0.5 w-full py-0.5 text-ink"
          inputmode="decimal"
          :value.prop="(known.rules.shippingMinor / 100).toFixed(2)"
          @change="amount('shippingMinor', $event)"
      /></label>
      <label class="label"
        >free from<input
          class="field fig mt-0.5 w-full py-0.5 text-ink"
          inputmode="decimal"
          :value.prop="(known.rules.freeFromMinor / 100).toFixed(2)"
          @change="amount('freeFromMinor', $event)"
      /></label>
      <label class="label"
        >tax, %<input
          class="field fig mt-0.5 w-full py-0.5 text-ink"
          type="number"
          min="0"
          max="100"
          step="any"
          :value.prop="known.rules.taxPercent"
          @change="tax"
      /></label>
      <label class="flex items-center gap-1.5 self-end pb-1"
        ><input
          type="checkbox"
          class="accent-leaf"
          :checked="known.rules.taxIncluded"
          @change="rule({ taxIncluded: ($event.target as HTMLInputElement).checked })"
        />
        prices have it in</label
      >
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
