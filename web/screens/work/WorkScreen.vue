<script setup lang="ts">
import { averageOperator } from '@zucchini/core/balance'
import { allLimits, type Limit, marginLines, secondsOfWork } from '@zucchini/core/checks'
import { computed, nextTick, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import { useContext } from '../../stores/context.ts'
import { useField } from '../../stores/field.ts'
import TopBar from '../../widgets/TopBar.vue'
import LimitColumns from './LimitColumns.vue'
import LimitRow from './LimitRow.vue'
import { optionWords, unitSign } from './work-words.ts'

const context = useContext()
const field = useField()
const trouble = ref('')
const route = useRoute()
/** From a figure one comes to the limit it is held to: `#hang-tilt`. */
const toLimit = async () => {
  await nextTick()
  const row = [...document.querySelectorAll<HTMLElement>('[data-limit]')].find((one) =>
    one.dataset['limit']?.startsWith(`${route.hash.slice(1)} `),
  )
  row?.scrollIntoView({ block: 'center' })
  row?.querySelector('input')?.focus()
}
onMounted(async () => {
  try {
    await context.load()
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'It could not be read.'
  }
  if (route.hash) await toLimit()
})

const onlyOwn = ref(false)
const kept = (limit: Limit) => !onlyOwn.value || limit.own !== undefined
const limits = computed(() =>
  [...allLimits(context.limits)].sort((a, b) => a.title.localeCompare(b.title)).filter(kept),
)
const seconds = computed(() => secondsOfWork(context.limits).filter(kept))
const margins = computed(() => marginLines(context.limits).filter(kept))
const changed = computed(
  () =>
    [...allLimits(context.limits), ...marginLines(context.limits), ...secondsOfWork(context.limits)].filter(
      ({ own }) => own !== undefined,
    ).length,
)

const home = computed(() => context.money?.home ?? 'EUR')
const arm = computed(() => context.arm ?? averageOperator)
const wrong = ref('')
const strength = async (event: Event) => {
  const value = Number((event.target as HTMLInputElement).value.replace(',', '.'))
  wrong.value = value >= 5 && value <= 300 ? '' : 'A shoulder holds from 5 to 300 N m.'
  if (wrong.value === '') await context.setOperator({ ...arm.value, strengthNm: value })
}
</script>

<template>
  <TopBar><span class="text-[13px] text-soft">How I work</span></TopBar>
  <main class="min-h-0 flex-1 overflow-y-auto">
    <div class="mx-auto max-w-[1080px] px-6 py-5">
      <h1 class="text-[20px] font-semibold">How I work</h1>
      <p class="mt-1 max-w-[70ch] text-soft">
        Every limit the checks judge by, where it comes from, and what you make of it. Your values count for all rigs
        and travel in rig files. Only a maker’s rating stops a plan for its load; these figures warn.
      </p>
      <p v-if="trouble" class="mt-3 text-brick" role="alert">{{ trouble }}</p>
      <section class="mt-4 flex flex-wrap items-center gap-x-6 gap-y-2" aria-label="Your own arm">
        <label class="flex items-center gap-2"
          >my shoulder holds
          <input
            class="field fig w-20 py-0.5"
            inputmode="decimal"
            :value.prop="Math.round(arm.strengthNm * 10) / 10"
            @change="strength"
          />
          N m</label
        >
        <span class="label">{{
          context.calibrated
            ? 'set by you'
            : field.learnt.strengthNm
              ? `by timed holds in the field, last on ${field.learnt.strengthNm.last}`
              : 'an average adult; a timed hold on the Balance page sets it better'
        }}</span>
        <button v-if="context.calibrated" type="button" class="btn py-0.5" @click="context.setOperator(undefined)">
          back to the average
        </button>
        <span v-if="wrong" class="text-[12px] text-brick" role="alert">{{ wrong }}</span>
        <label class="ml-auto flex items-center gap-1.5"
          ><input v-model="onlyOwn" type="checkbox" class="accent-leaf" />only what I changed ({{ changed }})</label
        >
      </section>
      <table class="mt-5 w-full text-left md:table-fixed" aria-label="Limits">
        <LimitColumns />
        <thead>
          <tr class="label border-b border-line max-md:hidden">
            <th class="py-1 font-normal">limit</th>
            <th class="pr-4 text-right font-normal">usual</th>
            <th class="font-normal">mine</th>
            <th class="font-normal">where the usual one comes from</th>
          </tr>
        </thead>
        <tbody>
          <LimitRow
            v-for="limit in limits"
            :key="`${limit.check} ${limit.option}`"
            :limit="limit"
            :words="optionWords(limit.option)"
            :unit="unitSign(limit.unit, home)"
          />
          <tr v-if="limits.length === 0">
            <td colspan="4" class="py-2 text-soft">All limits are the usual ones.</td>
          </tr>
        </tbody>
      </table>
      <h2 class="mt-7 font-semibold">Margins and prices</h2>
      <p class="label">What figures are reckoned with where nobody states it.</p>
      <table class="mt-2 w-full text-left md:table-fixed" aria-label="Margins">
        <LimitColumns />
        <tbody>
          <LimitRow
            v-for="limit in margins"
            :key="limit.option"
            :limit="limit"
            words=""
            :unit="unitSign(limit.unit, home)"
          />
        </tbody>
      </table>
      <h2 class="mt-7 font-semibold">Seconds at the bench</h2>
      <p class="label">One joint put together or taken apart, for set-up and changeover times.</p>
      <table class="mt-2 w-full text-left md:table-fixed" aria-label="Seconds">
        <LimitColumns />
        <tbody>
          <LimitRow
            v-for="limit in seconds"
            :key="limit.option"
            :limit="limit"
            words=""
            unit="s"
            :shown="field.learnt.seconds.get(limit.option)"
          />
        </tbody>
      </table>
    </div>
  </main>
</template>
