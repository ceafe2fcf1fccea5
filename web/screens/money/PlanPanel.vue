<script setup lang="ts">
import type { MoneyPicture } from '@zucchini/core/assess'
import type { Rig } from '@zucchini/core/assembly'
import { briefSchema } from '@zucchini/core/brief'
import { addMonths } from '@zucchini/core/kernel'
import { computed } from 'vue'
import { z } from 'zod'
import { useRig } from '../../stores/rig.ts'
import MoneyChart from '../../widgets/MoneyChart.vue'
import Field from '../../widgets/Field.vue'
import { orNothing, useLiveForm } from '../../widgets/form.ts'
import { money } from '../../wording.ts'
import NeededBy from './NeededBy.vue'
import { monthWords } from './money-words.ts'

const props = defineProps<{ picture: MoneyPicture; rig: Rig; from: string }>()
const store = useRig()

const names = computed(() => new Map(props.picture.tiers.map(({ line }) => [line.instance, line.part.name])))
const nameOf = (setup: string) => props.rig.setups.find(({ id }) => id === setup)?.name ?? setup
const order = computed(() => new Map(props.picture.plan.order.map((one) => [one.setup, one])))
const series = computed(() => {
  const { months } = props.picture.plan
  const at = months.map((month, x) => ({ month, x }))
  // A plan of one month is a step: it is drawn with the month after it.
  const drawn = at.length === 1 ? [...at, { ...at[0], x: 1 } as (typeof at)[number]] : at
  return [
    { label: 'spent', stepped: true, points: drawn.map(({ month, x }) => ({ x, y: month.spentMinor })) },
    {
      label: 'set-ups that work',
      stepped: true,
      count: true,
      points: drawn.map(({ month, x }) => ({ x, y: month.works.length })),
    },
  ]
})
useLiveForm(
  z.object({ monthlyMinor: orNothing(briefSchema.shape.monthlyMinor) }),
  () => ({ monthlyMinor: props.rig.brief.monthlyMinor }),
  (change) => store.apply([{ do: 'brief', brief: { ...props.rig.brief, ...change } }], 'monthly allowance'),
  { monthlyMinor: 'An allowance is 0 or more, such as 150.' },
)
const need = (setup: string, neededBy: string | undefined) =>
  store.apply([{ do: 'need', setup, ...(neededBy ? { neededBy } : {}) }], `when ${nameOf(setup)} is needed`)
</script>

<template>
  <section class="grid min-h-0 grid-cols-[minmax(0,0.78fr)_minmax(0,1.22fr)]" aria-label="What to buy when">
    <div class="flex min-h-0 min-w-0 flex-col px-4 pt-2 pb-1">
      <h2 class="flex items-center gap-3 font-semibold">
        What to buy when
        <Field
          class="ml-auto justify-end font-normal"
          name="monthlyMinor"
          label="each month"
          kind="money"
          labelled="beside"
          look="min-h-6 w-20 text-right"
        />
      </h2>
      <MoneyChart
        class="flex-1"
        :series="series"
        :currency="store.style.currency"
        :tick="(month) => monthWords(addMonths(from, Math.round(month)))"
        legend
        label="Spent and set-ups that work, month by month; the same stands in the list beside it"
      />
    </div>
    <div
      class="grid min-h-0 grid-cols-[auto_minmax(0,1fr)] gap-5 overflow-y-auto border-l border-line px-4 pt-2 pb-2"
      tabindex="0"
      role="region"
      aria-label="Set-ups and months"
    >
      <table v-ask="['fact cost', store.assessment]" class="self-start text-left whitespace-nowrap">
        <thead>
          <tr class="label">
            <th class="font-normal">set-up</th>
            <th class="font-normal">needed by</th>
            <th class="pl-2 font-normal">works</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="setup in rig.setups" :key="setup.id" class="border-t border-line" :data-plan="setup.id">
            <td class="py-0.5 pr-2">{{ setup.name }}</td>
            <td>
              <NeededBy
                :month="setup.neededBy"
                :label="`Month ${setup.name} is needed by`"
                @change="need(setup.id, $event)"
              />
            </td>
            <td class="fig pl-2" :class="{ 'text-brick': order.get(setup.id)?.late || !order.get(setup.id)?.month }">
              {{ order.get(setup.id)?.month ? monthWords(order.get(setup.id)?.month ?? '') : 'never'
              }}{{ order.get(setup.id)?.late ? ', late' : '' }}
            </td>
          </tr>
        </tbody>
      </table>
      <ol class="self-start">
        <li
          v-for="month in picture.plan.months"
          v-show="month.buys.length"
          :key="month.month"
          class="border-b border-line py-0.5"
          :data-month="month.month"
        >
          <p class="flex items-baseline gap-2">
            <span class="font-semibold">{{ monthWords(month.month) }}</span><span class="label tight ml-auto"
              >{{ money(month.leftMinor, store.style.currency) }} left</span
            >
          </p>
          <p class="label leading-snug">{{ month.buys.map((id) => names.get(id) ?? id).join(', ') }}</p>
        </li>
        <li v-if="picture.plan.months.every(({ buys }) => buys.length === 0)" class="label">
          Nothing is to be bought, or there is no money for it.
        </li>
      </ol>
    </div>
  </section>
</template>
