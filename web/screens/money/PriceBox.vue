<script setup lang="ts">
import { insteadOf, type MoneyPicture } from '@zucchini/core/assess'
import { daysBetween, addDays } from '@zucchini/core/kernel'
import type { CostLine, Price } from '@zucchini/core/money'
import { X } from '@lucide/vue'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, type PriceOverview } from '../../api.ts'
import { useRig } from '../../stores/rig.ts'
import { useContext } from '../../stores/context.ts'
import MoneyChart from '../../widgets/MoneyChart.vue'
import { grams, money, signed } from '../../wording.ts'
import PriceForm from './PriceForm.vue'
import WatchForm from './WatchForm.vue'

const props = defineProps<{ line: CostLine; picture: MoneyPicture }>()
defineEmits<{ close: []; swap: [part: string] }>()
const store = useRig()
const context = useContext()

const prices = shallowRef<readonly (Price & { id: string })[]>([])
const trouble = ref('')
const part = computed(() => props.line.part)
const view = computed(() => context.prices.get(part.value.id))
const home = computed(() => context.money?.home ?? 'EUR')
const today = computed(() => context.money?.today ?? context.today)
const watched = computed(() => context.money?.watches.find(({ partId }) => partId === part.value.id))

const read = async () => {
  try {
    prices.value = (await api.pricesOf(part.value.id)).prices
  } catch {
    prices.value = []
  }
}
watch([() => part.value.id, () => context.money?.feed.on], read, { immediate: true })

const first = computed(() => prices.value.at(-1)?.seenOn ?? today.value)
const series = computed(() => {
  const shops = [...new Set(prices.value.filter(({ currency }) => currency === home.value).map(({ shop }) => shop))]
  return shops.slice(0, 6).map((shop) => ({
    label: shop,
    dots: true,
    points: prices.value
      .filter((price) => price.shop === shop && price.currency === home.value)
      .map(({ seenOn, amountMinor }) => ({ x: daysBetween(first.value, seenOn), y: amountMinor }))
      .reverse(),
  }))
})
const instead = computed(() => {
  const piece = props.picture.places.get(props.line.instance)
  return piece && store.rig && context.whole ? insteadOf(store.rig, piece, context.whole) : []
})

const act = async (what: () => Promise<Parameters<typeof context.adoptPrices>[0]>) => {
  try {
    trouble.value = ''
    await context.adoptPrices(await what())
    await read()
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'It could not be stored.'
  }
}
/** The price that was taken out last: it can be stored again. */
const takenOut = shallowRef<Price>()
const takeOut = async ({ id, ...price }: Price & { id: string }) => {
  await act(() => api.removePrice(id))
  if (trouble.value === '') takenOut.value = price
}
const putBack = async () => {
  if (!takenOut.value) return
  const { source: _, ...price } = takenOut.value
  await act(() => api.addPrice(price))
  if (trouble.value === '') takenOut.value = undefined
}
const stored = async (now: PriceOverview) => {
  await context.adoptPrices(now)
  await read()
}
</script>

<template>
  <section class="flex flex-col gap-2.5" aria-label="Price of one part">
    <header class="flex items-start gap-2">
      <h2 class="leading-tight font-semibold">{{ part.name }}</h2>
      <button class="btn ml-auto px-1 py-0.5" aria-label="Close" @click="$emit('close')"><X class="size-3.5" /></button>
    </header>
    <p v-if="view">
      <span class="fig">{{ money(view.usual, home) }}</span>
      <span class="label ml-1.5"
        >{{ money(view.low, home) }} to {{ money(view.high, home) }}, {{ view.points }} prices, newest
        {{ view.ageDays }} days old</span
      >
    </p>
    <p v-else class="label">No price was seen yet: the catalogue’s {{ money(part.price.usual, home) }} counts.</p>
    <p v-if="view" class="label">
      {{ view.driftMinor === 0 ? 'steady' : `${signed(view.driftMinor, (minor) => money(minor, home))} a month`
      }}<template v-if="view.sale"> · on sale now</template
      ><template v-if="view.unavailable"> · no shop has it</template
      ><template v-if="view.usedMinor !== undefined"> · second hand {{ money(view.usedMinor, home) }}</template>
    </p>
    <MoneyChart
      v-if="prices.length > 1"
      class="h-44"
      :series="series"
      :currency="home"
      :tick="(day) => addDays(first, Math.round(day)).slice(5)"
      legend
      label="Prices seen, shop by shop"
    />
    <details>
      <summary class="cursor-pointer">Enter a price that was seen</summary>
      <PriceForm :key="part.id" :part-id="part.id" :home="home" :today="today" @stored="stored" />
    </details>
    <p v-if="takenOut" class="label flex items-center gap-2" role="status">
      {{ takenOut.shop }}, {{ takenOut.seenOn }}: {{ money(takenOut.amountMinor, takenOut.currency) }} is out of the
      ledger.
      <button class="btn px-1.5 py-0" @click="putBack">Put it back</button>
    </p>
    <details v-if="prices.length">
      <summary class="cursor-pointer">The ledger, {{ prices.length }} entries</summary>
      <ul class="mt-1 max-h-40 overflow-y-auto" tabindex="0" role="region" aria-label="Prices seen">
        <li
          v-for="price in prices"
          :key="price.id"
          class="flex items-baseline gap-2 border-b border-line py-0.5 text-[12.5px]"
        >
          <span class="label tight">{{ price.seenOn }}</span><span class="truncate"
            >{{ price.shop }}{{ price.source === 'feed' ? ' (simulated)' : '' }}{{ price.used ? ', used' : ''
            }}{{ price.available ? '' : ', none left' }}</span
          >
          <span class="fig ml-auto">{{ money(price.amountMinor, price.currency) }}</span>
          <button
            class="label hover:text-brick"
            :aria-label="`Take out the price of ${price.shop} of ${price.seenOn}`"
            @click="takeOut(price)"
          >
            ×
          </button>
        </li>
      </ul>
    </details>
    <WatchForm :key="part.id" :part-id="part.id" :below-minor="watched?.belowMinor" @stored="stored" />
    <p v-if="watched" class="label">Watched since {{ watched.since }}, under {{ money(watched.belowMinor, home) }}.</p>
    <p v-if="trouble" class="text-[12.5px] text-brick" role="alert">{{ trouble }}</p>
    <section v-if="instead.length" aria-label="In its place">
      <h3 class="border-b border-line pb-1 font-semibold">In its place</h3>
      <ul>
        <li v-for="one in instead" :key="one.part.id" class="border-b border-line py-1" :data-instead="one.part.id">
          <p class="flex items-baseline gap-2">
            <span class="min-w-0 truncate" :title="one.part.name">{{ one.part.name }}</span><button
              class="cure ml-auto shrink-0"
              @click="$emit('swap', one.part.id)"
            >
              swap
            </button>
          </p>
          <p class="label tight">
            {{ signed(-one.savesMinor, (minor) => money(minor, store.style.currency)) }} ·
            {{ signed(-one.savesG, (g) => grams(g))
            }}<template v-if="one.per100GMinor !== undefined">
              · {{ money(one.per100GMinor, store.style.currency) }} for 100 g less</template
            >
          </p>
          <p class="label tight" :class="one.losses.length ? 'text-amber!' : 'text-leaf!'">
            {{ one.losses.length ? `loses ${one.losses.join(', ')}` : 'does the same for this job' }}
          </p>
        </li>
      </ul>
    </section>
  </section>
</template>
