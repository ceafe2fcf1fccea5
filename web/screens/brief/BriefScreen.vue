<script setup lang="ts">
import { exchanged } from '@zucchini/core/money'
import { type Brief, briefSchema, changeWiths, conditionIds, type Condition, shootKinds } from '@zucchini/core/brief'
import { computed, ref } from 'vue'
import { useRig } from '../../stores/rig.ts'
import { useContext } from '../../stores/context.ts'
import RigBar from '../../widgets/RigBar.vue'
import { useRigOfRoute } from '../rig-of-route.ts'
import BriefAnswer from './BriefAnswer.vue'
import DayParts from './DayParts.vue'
import DayStart from './DayStart.vue'
import LensChoice from './LensChoice.vue'
import { conditionWords, kindWords } from './brief-words.ts'

const store = useRig()
const wrong = ref<Readonly<Record<string, string>>>({})

const trouble = useRigOfRoute()
const brief = computed(() => store.rig?.brief)
/** What camera and recorders can record; what the brief names and none of them makes is planned as the usual one. */
const codecs = computed(() => {
  const all = (store.assessment?.assembly.placed ?? []).flatMap(({ part }) => part.media?.codecs ?? [])
  return [...new Map(all.map((one) => [one.id, one])).values()]
})
const codec = computed(() => (codecs.value.find(({ id }) => id === brief.value?.codec) ?? codecs.value[0])?.id)

/** Takes a change into the rig if the whole brief still makes sense; else says at the field what would. */
const change = (part: Partial<Brief>) => {
  if (!brief.value) return
  const parsed = briefSchema.safeParse({ ...brief.value, ...part })
  const keys = new Set(Object.keys(part))
  wrong.value = Object.fromEntries(Object.entries(wrong.value).filter(([key]) => !keys.has(key)))
  if (parsed.success) store.apply([{ do: 'brief', brief: parsed.data }], `brief: ${[...keys].join(', ')}`)
  else
    wrong.value = {
      ...wrong.value,
      ...Object.fromEntries(
        parsed.error.issues.map((issue) => [[...keys][0] ?? String(issue.path[0] ?? ''), sentence(issue)]),
      ),
    }
}
const limits: Readonly<Record<string, string>> = {
  hoursOnLocation: 'Hours run from 0 to 24, and not fewer than the rolling hours.',
  hoursRolling: 'Rolling hours run from 0 up to the hours on location.',
  budgetMinor: 'Money runs from 0 (no limit) to ten million.',
  inHandG: 'Grams run from 0 (no limit) to 60,000.',
  tallMm: 'Millimetres run from 0 (no limit) to 3,000.',
  currency: 'Use a three-letter currency code, such as EUR.',
}
const sentence = (issue: { path: PropertyKey[]; message: string }) =>
  limits[String(issue.path[0])] ?? `${issue.message}.`
const numberOf = (event: Event) => Number((event.target as HTMLInputElement).value || Number.NaN)
const toggle = (condition: Condition) => {
  const now = brief.value?.conditions ?? []
  change({ conditions: conditionIds.filter((id) => (id === condition ? !now.includes(id) : now.includes(id))) })
}
const changeWords = { any: 'with any tool', coin: 'with a coin at most', hands: 'with bare hands' } as const
const changeOver = (event: Event) => {
  const { value } = event.target as HTMLSelectElement
  change({ changeWith: changeWiths.find((one) => one === value) })
}
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
    wrong.value = {
      ...wrong.value,
      currency: `What ${now.currency} is worth in ${currency} is not known. Enter a rate with the prices first.`,
    }
    return
  }
  change({ currency, budgetMinor, monthlyMinor })
}
const figures = computed(() =>
  brief.value
    ? [
        {
          key: 'hoursOnLocation',
          title: 'Hours on location',
          unit: 'h',
          value: brief.value.hoursOnLocation,
          step: 0.5,
          of: (v: number) => v,
        },
        {
          key: 'hoursRolling',
          title: 'of them rolling',
          unit: 'h',
          value: brief.value.hoursRolling,
          step: 0.1,
          of: (v: number) => v,
        },
        {
          key: 'budgetMinor',
          title: 'Still to spend',
          unit: brief.value.currency,
          value: brief.value.budgetMinor / 100,
          step: 10,
          of: (v: number) => Math.round(v * 100),
        },
        {
          key: 'inHandG',
          title: 'At most in the hand',
          unit: 'g',
          value: brief.value.inHandG,
          step: 50,
          of: (v: number) => v,
        },
        { key: 'tallMm', title: 'At most tall', unit: 'mm', value: brief.value.tallMm, step: 10, of: (v: number) => v },
      ]
    : [],
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
                @change="change({ kind })"
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
            <label v-for="entry in figures" :key="entry.key" class="flex flex-col gap-1">
              <span class="text-[12.5px]">{{ entry.title }}</span>
              <span class="flex items-center gap-1.5"
                ><input
                  type="number"
                  class="field fig w-full min-w-0"
                  :class="{ 'border-brick!': wrong[entry.key] }"
                  min="0"
                  :step="entry.step"
                  :value.prop="entry.value"
                  :aria-invalid="Boolean(wrong[entry.key])"
                  :aria-describedby="`wrong-${entry.key}`"
                  @change="change({ [entry.key]: entry.of(numberOf($event)) })"
                /><span class="label">{{ entry.unit }}</span></span
              >
              <span :id="`wrong-${entry.key}`" class="text-[12px] leading-snug text-brick">{{ wrong[entry.key] }}</span>
            </label>
          </div>
        </fieldset>
        <label class="label -mt-3 flex items-center gap-2"
          >money in
          <select
            class="field py-0.5"
            :value="brief.currency"
            :aria-describedby="'wrong-currency'"
            @change="reckonIn(($event.target as HTMLSelectElement).value)"
          >
            <option v-for="one in currencies" :key="one" :value="one">{{ one }}</option>
          </select>
          <span id="wrong-currency" class="text-[12px] text-brick">{{ wrong['currency'] }}</span>
          <span v-if="!wrong['currency']">changing it converts the amounts at the ledger’s rates</span>
        </label>
        <DayParts :brief="brief" @change="change({ phases: $event })" />
        <DayStart :brief="brief" @change="change" />
        <LensChoice :brief="brief" @change="change" />
        <label v-if="codecs.length" class="flex items-center gap-3"
          ><span class="label">Recording to plan with</span>
          <select
            class="field py-0.5"
            :value="codec"
            @change="change({ codec: ($event.target as HTMLSelectElement).value })"
          >
            <option v-for="one in codecs" :key="one.id" :value="one.id">{{ one.title }}</option>
          </select>
        </label>
        <label class="flex flex-wrap items-center gap-3"
          ><span class="label">From one set-up to another</span>
          <select class="field py-0.5" :value="brief.changeWith ?? 'any'" @change="changeOver">
            <option v-for="(words, id) in changeWords" :key="id" :value="id">{{ words }}</option>
          </select>
        </label>
        <label class="flex flex-col gap-1"
          ><span class="label">In a few words</span
          ><textarea
            class="field min-h-24 leading-relaxed"
            maxlength="600"
            :value.prop="brief.about"
            @change="change({ about: ($event.target as HTMLTextAreaElement).value })"
          />
        </label>
      </section>
      <BriefAnswer :assessment="store.assessment" :brief="brief" @change="change" />
    </main>
  </div>
</template>
