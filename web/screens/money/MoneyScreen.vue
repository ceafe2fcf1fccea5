<script setup lang="ts">
import { moneyOf, shoppingCsv } from '@zucchini/core/assess'
import { type Command, swapCommands } from '@zucchini/core/assembly'
import { forgottenOf } from '@zucchini/core/checks'
import type { Tier } from '@zucchini/core/money'
import { computed, ref } from 'vue'
import { useRig } from '../../stores/rig.ts'
import { useContext } from '../../stores/context.ts'
import { save } from '../../save-file.ts'
import RigBar from '../../widgets/RigBar.vue'
import { money } from '../../wording.ts'
import FindingsPanel from '../bench/FindingsPanel.vue'
import { useRigOfRoute } from '../rig-of-route.ts'
import BillHead from './BillHead.vue'
import BoxesBox from './BoxesBox.vue'
import PlanPanel from './PlanPanel.vue'
import PriceBox from './PriceBox.vue'
import ReckoningBox from './ReckoningBox.vue'
import TierTable from './TierTable.vue'

const store = useRig()
const context = useContext()
const picked = ref('')
const body = ref(true)

const trouble = useRigOfRoute((asked) => {
  picked.value = asked('line') ?? picked.value
})
const assessment = computed(() => store.assessment)
const from = computed(() => context.today.slice(0, 7))
const picture = computed(() =>
  store.rig && context.whole ? moneyOf(store.rig, context.whole, from.value, body.value) : undefined,
)
const lines = computed(() => picture.value?.tiers ?? [])
const line = computed(() => picture.value?.tiers.find((one) => one.line.instance === picked.value)?.line)
const forgotten = computed(() => (assessment.value ? forgottenOf(assessment.value.facts) : []))

const tier = (instance: string, word: Tier | undefined) =>
  store.apply([{ do: 'tier', instance, ...(word ? { tier: word } : {}) }], word ? `tier: ${word}` : 'tier as found')
const swap = (partId: string) => {
  const part = context.catalogue?.parts.get(partId)
  if (!store.rig || !part || !context.catalogue) return
  const commands: readonly Command[] = swapCommands(store.rig, picked.value, part, context.catalogue)
  store.apply(commands, `swap for ${part.name}`)
}
const list = () => {
  if (picture.value && store.rig)
    save(`${store.rig.id}-shopping.csv`, shoppingCsv(picture.value), 'text/csv;charset=utf-8')
}
const print = () => window.print()
</script>

<template>
  <div class="relative flex h-full min-h-0 flex-col overflow-hidden print:h-auto print:overflow-visible">
    <RigBar here="Money" />
    <p v-if="trouble" class="p-8" role="alert">{{ trouble }}</p>
    <main v-if="assessment && picture && store.rig" class="flex min-h-0 flex-1">
      <div class="flex min-w-0 flex-1 flex-col">
        <h1 class="sr-only">Money of {{ store.rig.name }}</h1>
        <BillHead :picture="picture" :cap-minor="store.rig.brief.budgetMinor" :body="body" @body="body = $event" />
        <TierTable
          :lines="lines"
          :cap-minor="store.rig.brief.budgetMinor"
          :picked="picked"
          @pick="picked = picked === $event ? '' : $event"
          @tier="tier"
        />
        <p
          v-if="forgotten.length"
          class="border-t border-line px-4 py-1 text-[12.5px] text-amber"
          data-testid="forgotten"
        >
          Not in it yet:
          {{
            forgotten
              .map(({ what, count, costMinor }) => `${count} ${what}, ${money(costMinor, store.style.currency)}`)
              .join(' · ')
          }}
        </p>
        <PlanPanel
          class="h-[252px] shrink-0 border-t border-line bg-card"
          :picture="picture"
          :rig="store.rig"
          :from="from"
        />
      </div>
      <aside
        class="flex w-[324px] shrink-0 flex-col gap-4 overflow-y-auto border-l border-line bg-card px-4 py-3 print:hidden"
        aria-label="Prices and findings"
      >
        <PriceBox v-if="line" :key="line.part.id" :line="line" :picture="picture" @close="picked = ''" @swap="swap" />
        <div class="flex gap-1.5">
          <button class="btn py-0.5" title="The shopping list in the order of the plan" @click="list">List, CSV</button>
          <button class="btn py-0.5" @click="print">Print</button>
        </div>
        <FindingsPanel class="flex-none!" :assessment="assessment" :only="['money']" title="What the money says" />
        <BoxesBox :rig="store.rig" />
        <ReckoningBox />
      </aside>
    </main>
  </div>
</template>
