<script setup lang="ts">
import { exchanged } from '@zucchini/core/money'
import { type Brief, briefSchema, conditionIds, type Condition, emptyBrief, shootKinds } from '@zucchini/core/brief'
import { computed } from 'vue'
import { useRig } from '../../stores/rig.ts'
import { useContext } from '../../stores/context.ts'
import Field from '../../widgets/Field.vue'
import { useLiveForm } from '../../widgets/form.ts'
import RigBar from '../../widgets/RigBar.vue'
import { useRigOfRoute } from '../rig-of-route.ts'
import BriefAnswer from './BriefAnswer.vue'
import DayParts from './DayParts.vue'
import DayStart from './DayStart.vue'
import LensChoice from './LensChoice.vue'
import { conditionWords, kindWords } from './brief-words.ts'

const store = useRig()

const trouble = useRigOfRoute()
const brief = computed(() => store.rig?.brief)
/** What camera and recorders can record; what the brief names and none of them makes is planned as the usual one. */
const codecs = computed(() => {
  const all = (store.assessment?.assembly.placed ?? []).flatMap(({ part }) => part.media?.codecs ?? [])
  return [...new Map(all.map((one) => [one.id, one])).values()]
})
const codec = computed(() => (codecs.value.find(({ id }) => id === brief.value?.codec) ?? codecs.value[0])?.id)

/** Takes a change into the rig if the whole brief still makes sense; else it is said at the field what would. */
const { commit, refuse, show } = useLiveForm<Brief>(
  briefSchema,
  () => ({ ...(brief.value ?? emptyBrief), codec: codec.value ?? '' }),
  (part) => {
    if (part.currency) reckonIn(part.currency)
    else change(part)
  },
  {
    hoursOnLocation: 'Hours run from 0 to 24, and not fewer than the rolling hours.',
    hoursRolling: 'Rolling hours run from 0 up to the hours on location.',
    budgetMinor: 'Money runs from 0 (no limit) to ten million.',
    inHandG: 'Grams run from 0 (no limit) to 60,000.',
    tallMm: 'Millimetres run from 0 (no limit) to 3,000.',
    currency: 'Use a three-letter currency code, such as EUR.',
  },
)
const change = (part: Partial<Brief>) => {
  if (!brief.value) return
  store.apply([{ do: 'brief', brief: { ...brief.value, ...part } }], `brief: ${Object.keys(part).join(', ')}`)
}
const toggle = (condition: Condition) => {
  const now = brief.value?.conditions ?? []
  commit(
    'conditions',
    conditionIds.filter((id) => (id === condition ? !now.includes(id) : now.includes(id))),
  )
}
const changeWords = [
  ['', 'with any tool'],
  ['coin', 'with a coin at most'],
  ['hands', 'with bare hands'],
] as const
const prices = useContext()
/** Currencies a brief can be reckoned in: those whose worth the price ledger knows. */
const currencies = computed(() => {
  const known = prices.money
  return [
    ...new Set([
      brief.value?.currency ?? 'EUR',
      ...(known ? [known.home, ...known.rates.map(({ currency }) => currency)] : []),
    ]),
  ].sort()
})
const reckonIn = (currency: string) => {
  const now = brief.value
  if (!now) return
  const amounts = [now.budgetMinor, now.monthlyMinor].map((minor) =>
    exchanged(minor, now.currency, currency, prices.money ?? {}),
  )
  const [budgetMinor, monthlyMinor] = amounts
  if (budgetMinor === undefined || monthlyMinor === undefined) {
    show('currency', now.currency)
    refuse('currency', `What ${now.currency} is worth in ${currency} is not known. Enter a rate with the prices first.`)
    return
  }
  change({ currency, budgetMinor, monthlyMinor })
}
const figures = computed(
  () =>
    [
      { name: 'hoursOnLocation', label: 'Hours on location', unit: 'h', step: 0.5, kind: 'number' },
      { name: 'hoursRolling', label: 'of them rolling', unit: 'h', step: 0.1, kind: 'number' },
      { name: 'budgetMinor', label: 'Still to spend', unit: brief.value?.currency, step: 10, kind: 'money' },
      { name: 'inHandG', label: 'In the hand', unit: 'g', step: 50, kind: 'number' },
      { name: 'tallMm', label: 'Tall', unit: 'mm', step: 10, kind: 'number' },
    ] as const,
)
</script>

<template>
  <div class="flex h-full min-h-0 flex-col">
    <RigBar here="Brief" />
    <p v-if="trouble" class="p-8" role="alert">{{ trouble }}</p>
    <main
      v-if="brief && store.assessment"
      class="mx-auto grid min-h-0 w-full max-w-[1280px] flex-1 grid-cols-1 overflow-y-auto min-[900px]:grid-cols-[minmax(0,1fr)_minmax(0,0.95fr)] min-[900px]:overflow-hidden"
    >
      <section class="flex flex-col gap-5 px-7 py-6 min-[900px]:overflow-y-auto" aria-label="Questions">
        <h1 class="text-xl font-semibold">What is this rig for?</h1>
        <fieldset>
          <legend class="label mb-1.5">What kind of shoot is it?</legend>
          <div class="grid grid-cols-2 gap-1.5 min-[1100px]:grid-cols-4">
            <label
              v-for="kind in shootKinds"
              :key="kind"
              class="cursor-pointer rounded-lg border px-3 py-2 has-focus-visible:outline-2 has-focus-visible:outline-leaf"
              :class="brief.kind === kind ? 'border-leaf bg-leaf-tint' : 'border-line bg-card hover:border-soft'"
            >
              <input
                type="radio"
                name="kind"
                class="sr-only"
                :checked="brief.kind === kind"
                @change="commit('kind', kind)"
              />
              <span class="block font-semibold">{{ kindWords[kind][0] }}</span><span
                class="tight text-[12.5px] text-soft"
                >{{ kindWords[kind][1] }}</span
              >
            </label>
          </div>
        </fieldset>
        <fieldset>
          <legend class="label mb-1.5">What will it meet?</legend>
          <div class="flex flex-wrap gap-1.5">
            <label
              v-for="condition in conditionIds"
              :key="condition"
              class="flex cursor-pointer items-center gap-2 rounded-lg border px-3 py-1.5 has-focus-visible:outline-2 has-focus-visible:outline-leaf"
              :class="
                brief.conditions.includes(condition)
                  ? 'border-leaf bg-leaf-tint'
                  : 'border-line bg-card hover:border-soft'
              "
            >
              <input
                type="checkbox"
                class="accent-leaf"
                :checked="brief.conditions.includes(condition)"
                @change="toggle(condition)"
              />{{ conditionWords[condition] }}
            </label>
          </div>
        </fieldset>
        <fieldset>
          <legend class="label mb-1.5">How long, and within what?</legend>
          <div class="grid grid-cols-2 gap-x-4 gap-y-3 min-[1100px]:grid-cols-5">
            <Field v-for="entry in figures" :key="entry.name" v-bind="entry" look="w-full min-w-0" />
          </div>
        </fieldset>
        <div class="-mt-3 flex flex-wrap items-baseline gap-2">
          <Field
            name="currency"
            label="money in"
            kind="choice"
            labelled="beside"
            look=""
            :choices="currencies.map((one) => [one, one] as const)"
          />
          <span class="label">changing it converts the amounts at the ledger’s rates</span>
        </div>
        <DayParts :brief="brief" @change="commit('phases', $event)" />
        <DayStart :brief="brief" @change="change" />
        <LensChoice :brief="brief" @change="change" />
        <Field
          v-if="codecs.length"
          name="codec"
          label="Recording to plan with"
          kind="choice"
          labelled="beside"
          look=""
          :choices="codecs.map(({ id, title }) => [id, title] as const)"
        />
        <Field
          name="changeWith"
          label="From one set-up to another"
          kind="choice"
          labelled="beside"
          look=""
          :choices="changeWords"
        />
        <Field name="about" label="In a few words" kind="notes" :longest="600" look="min-h-24 w-full leading-relaxed" />
      </section>
      <BriefAnswer :assessment="store.assessment" :brief="brief" @change="change" />
    </main>
  </div>
</template>
