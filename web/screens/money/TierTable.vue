<script setup lang="ts">
import { type Tier, type TierLine, tiers } from '@zucchini/core/money'
import { computed } from 'vue'
import { useRig } from '../../stores/rig.ts'
import { useContext } from '../../stores/context.ts'
import { money } from '../../wording.ts'
import { becauseWords, tierWords } from './money-words.ts'

const props = defineProps<{ lines: readonly TierLine[]; capMinor: number; picked: string }>()
defineEmits<{ pick: [instance: string]; tier: [instance: string, tier: Tier | undefined] }>()
const store = useRig()
const context = useContext()

const currency = computed(() => store.style.currency)
const whole = (minor: number) => money(minor, currency.value).replace(/\.00$/, '')
const groups = computed(() =>
  tiers.map((tier) => {
    const lines = props.lines.filter((line) => line.tier === tier)
    return { tier, lines, sum: lines.reduce((all, { line }) => all + line.usual, 0) }
  }),
)
const unknown = ({ high, inBoxOf }: TierLine['line']): boolean => high === 0 && inBoxOf === undefined
/** Where the running sum crosses the cap: everything after that line is out of reach. */
const firstOver = computed(
  () => props.lines.find(({ runningMinor }) => props.capMinor > 0 && runningMinor > props.capMinor)?.line.instance,
)
/** Each price against its own usual one: from half of it at the left to half as much again at the right. */
const at = (minor: number, usual: number): number =>
  Math.max(0, Math.min(1, minor / Math.max(1, usual) - 0.5)) * 156 + 2
const flags = (part: string): readonly string[] => {
  const view = context.prices.get(part)
  if (!view) return []
  return [
    ...(view.unavailable ? ['gone'] : []),
    ...(view.sale ? ['sale'] : []),
    ...(view.ageDays > 120 ? ['old price'] : []),
    ...(Math.abs(view.driftMinor) > view.usual * 0.01 ? [view.driftMinor > 0 ? '↗' : '↘'] : []),
  ]
}
</script>

<template>
  <div
    class="min-h-0 flex-1 overflow-y-auto px-4 pb-3"
    tabindex="0"
    role="region"
    aria-label="What is still to buy, by tiers"
  >
    <table v-ask="['fact cost', store.assessment]" class="w-full text-left">
      <thead class="sticky top-0 z-10 bg-paper">
        <tr class="label">
          <th class="py-1.5 font-normal">still to buy</th>
          <th class="font-normal">tier</th>
          <th class="w-40 font-normal">low – usual – high</th>
          <th class="text-right font-normal">usual</th>
          <th class="text-right font-normal">running</th>
        </tr>
      </thead>
      <tbody v-for="group in groups" :key="group.tier" :data-tier="group.tier">
        <tr>
          <th colspan="4" class="border-b border-line pt-3 pb-1 font-semibold">
            {{ tierWords[group.tier][0] }} <span class="label font-normal">{{ tierWords[group.tier][1] }}</span>
          </th>
          <td class="fig border-b border-line pt-3 pb-1 text-right">{{ whole(group.sum) }}</td>
        </tr>
        <template v-for="one in group.lines" :key="one.line.instance">
          <tr v-if="one.line.instance === firstOver" aria-hidden="true">
            <td colspan="5" class="p-0">
              <p class="border-t-2 border-brick pt-0.5 text-right text-[12px] text-brick">
                here the {{ whole(capMinor) }} end
              </p>
            </td>
          </tr>
          <tr
            class="border-b border-line"
            :class="one.line.instance === picked ? 'bg-leaf-tint' : 'hover:bg-card'"
            :data-line="one.line.instance"
          >
            <td>
              <button
                class="min-h-6 w-full text-left"
                :aria-pressed="one.line.instance === picked"
                @click="$emit('pick', one.line.instance)"
              >
                <span>{{ one.line.part.name }}</span>
                <span v-if="one.line.inBoxOf" class="label tight"> in the box</span>
                <span v-for="flag in flags(one.line.part.id)" :key="flag" class="tag ml-1.5">{{ flag }}</span>
                <span class="label tight ml-2">{{ becauseWords[one.because] }}</span>
              </button>
            </td>
            <td>
              <select
                class="field min-h-6 py-0 text-[12.5px]"
                :value="one.because === 'chosen' ? one.tier : ''"
                :aria-label="`Tier of ${one.line.part.name}`"
                @change="
                  $emit(
                    'tier',
                    one.line.instance,
                    (($event.target as HTMLSelectElement).value || undefined) as Tier | undefined,
                  )
                "
              >
                <option value="">as found</option>
                <option v-for="tier in tiers" :key="tier" :value="tier">{{ tierWords[tier][0].toLowerCase() }}</option>
              </select>
            </td>
            <td>
              <span v-if="unknown(one.line)" class="label">nobody has entered a price</span>
              <svg
                v-else
                viewBox="0 0 160 14"
                class="h-3.5 w-40"
                role="img"
                :aria-label="`${whole(one.line.low)} to ${whole(one.line.high)}`"
              >
                <path
                  :d="`M${at(one.line.low, one.line.usual)} 7H${at(one.line.high, one.line.usual)}`"
                  stroke="var(--slate)"
                  stroke-width="4"
                  opacity="0.45"
                />
                <path :d="`M${at(one.line.usual, one.line.usual)} 2V12`" stroke="var(--ink)" stroke-width="2" />
              </svg>
            </td>
            <td class="fig text-right">{{ unknown(one.line) ? '?' : money(one.line.usual, currency) }}</td>
            <td
              class="fig text-right font-normal!"
              :class="{ 'text-brick': capMinor > 0 && one.runningMinor > capMinor }"
            >
              {{ whole(one.runningMinor) }}
            </td>
          </tr>
        </template>
        <tr v-if="group.lines.length === 0">
          <td colspan="5" class="label py-1">nothing</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
