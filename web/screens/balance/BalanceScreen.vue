<script setup lang="ts">
import { variantsOf } from '@zucchini/core/assess'
import { hangCure } from '@zucchini/core/balance'
import { computed, ref } from 'vue'
import type { ViewId } from '@zucchini/core/drawing'
import { useRig } from '../../stores/rig.ts'
import { useContext } from '../../stores/context.ts'
import RigBar from '../../widgets/RigBar.vue'
import SetupTabs from '../../widgets/SetupTabs.vue'
import ViewPicker from '../../widgets/ViewPicker.vue'
import LevelMark from '../../widgets/LevelMark.vue'
import { fill, grams, headline, millimetres } from '../../wording.ts'
import { orientationWords, supportWords } from '../setups/setup-words.ts'
import { useRigOfRoute } from '../rig-of-route.ts'
import BalanceDrawing from './BalanceDrawing.vue'
import CalibrateBox from './CalibrateBox.vue'
import { heldFigures } from './held-figures.ts'
import { type Slide, slidesOf } from './slides.ts'
import SteadyChart from './SteadyChart.vue'

const store = useRig()
const context = useContext()
const view = ref<ViewId>('side')
const picked = ref('')

const trouble = useRigOfRoute()
const assessment = computed(() => store.assessment)
const slides = computed(() => (assessment.value ? slidesOf(assessment.value) : []))
const figures = computed(() => (assessment.value ? heldFigures(assessment.value, store.style) : []))
const variants = computed(() =>
  store.rig && store.setup && context.whole ? variantsOf(store.rig, store.setup.id, context.whole) : [],
)
const slide = (one: Slide, slideMm: number) => {
  if (!store.setup || slideMm === one.slideMm) return
  const instance = one.piece.instance.id
  store.apply(
    [{ do: 'set', setup: store.setup.id, instance, slideMm }],
    `slide ${one.piece.part.name}`,
    `slide ${instance}`,
  )
}
/** The one slide that brings it nearest to level. */
const best = computed(() => {
  const now = assessment.value
  if (!now?.hang || store.setup?.support !== 'hand-low') return undefined
  return hangCure(now.assembly, now.mass, now.hang)
})
const level = () => {
  if (!best.value || !store.setup) return
  const { piece, slideMm } = best.value
  store.apply(
    [{ do: 'set', setup: store.setup.id, instance: piece.instance.id, slideMm }],
    `level it with ${piece.part.name}`,
  )
}
const findings = computed(() => assessment.value?.findings.filter(({ family }) => family === 'balance') ?? [])
</script>

<template>
  <div class="relative flex h-full min-h-0 flex-col overflow-hidden">
    <RigBar here="Balance" />
    <p v-if="trouble" class="p-8" role="alert">{{ trouble }}</p>
    <main v-if="assessment" class="flex min-h-0 flex-1">
      <div class="flex min-w-0 flex-1 flex-col">
        <div class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line px-4 py-1.5">
          <h1 class="sr-only">Balance of {{ store.rig?.name }}</h1>
          <SetupTabs />
          <span v-if="store.setup" class="label"
            >{{ supportWords[store.setup.support] }}, {{ orientationWords[store.setup.orientation] }}</span
          >
          <ViewPicker class="ml-auto" :view="view" @pick="view = $event" />
        </div>
        <BalanceDrawing
          :assessment="assessment"
          :slides="slides"
          :view="view"
          :picked="picked"
          @slide="slide"
          @pick="picked = $event"
        />
        <div class="grid h-[236px] shrink-0 grid-cols-[1fr_248px] border-t border-line bg-card">
          <section
            v-ask="['fact steadiness', store.assessment]"
            class="flex min-w-0 flex-col px-4 pt-2 pb-1"
            aria-label="Light against steady"
          >
            <h2 class="font-semibold">Light against steady</h2>
            <SteadyChart v-if="variants.length" class="flex-1" :variants="variants" />
            <p v-else class="label mt-2">No set-up of this rig is carried by hand.</p>
          </section>
          <div class="overflow-y-auto border-l border-line px-4 pt-2"><CalibrateBox :assessment="assessment" /></div>
        </div>
      </div>
      <aside
        class="flex w-[312px] shrink-0 flex-col gap-4 overflow-y-auto border-l border-line bg-card px-4 py-3"
        aria-label="Figures and slides"
      >
        <section>
          <h2 class="border-b border-line pb-1 font-semibold">As it is held</h2>
          <dl>
            <div
              v-for="{ title, figure, note, asks } in figures"
              :key="title"
              v-ask="[asks, store.assessment]"
              class="flex items-baseline gap-2 border-b border-line py-1"
            >
              <dt class="text-soft">{{ title }}</dt>
              <dd class="fig ml-auto text-right" :data-held="title">
                {{ figure }} <span v-if="note" class="label tight font-normal">{{ note }}</span>
              </dd>
            </div>
          </dl>
        </section>
        <section>
          <h2 class="flex items-center border-b border-line pb-1 font-semibold">
            What slides
            <button v-if="best" class="btn btn-do ml-auto py-0" @click="level">level it</button>
          </h2>
          <label
            v-for="one in slides"
            :key="one.piece.instance.id"
            class="mt-1.5 block"
            :class="{ 'text-amber': one.piece.instance.id === picked }"
          >
            <span class="flex items-baseline gap-2"
              ><span class="truncate">{{ one.piece.part.name }}</span
              ><span class="fig ml-auto shrink-0" data-given>{{
                millimetres(one.slideMm, store.style.units)
              }}</span></span
            >
            <input
              type="range"
              class="w-full accent-leaf"
              :min="one.minMm"
              :max="one.maxMm"
              :step="one.stepMm"
              :value="one.slideMm"
              @focus="picked = one.piece.instance.id"
              @input="slide(one, Number(($event.target as HTMLInputElement).value))"
            />
            <span class="label tight flex"
              ><span>{{ one.less }}</span
              ><span class="mx-auto" :class="{ invisible: one.carriesG === 0 }"
                >carries {{ grams(one.carriesG, store.style.units) }}</span
              ><span>{{ one.more }}</span></span
            >
          </label>
          <p v-if="slides.length === 0" class="label mt-2">
            Nothing on this set-up slides. A handle or plate with a slot would.
          </p>
        </section>
        <section>
          <h2 class="border-b border-line pb-1 font-semibold">What balance says</h2>
          <ul>
            <li
              v-for="finding in findings"
              :key="finding.check"
              class="flex gap-2 border-b border-line py-1.5 leading-snug"
              :data-check="finding.check"
            >
              <LevelMark class="mt-0.5 shrink-0" :level="finding.level" />
              <span
                ><span class="sr-only">{{ finding.level }}: </span
                ><strong>{{ headline(fill(finding.text, finding.numbers, finding.names, store.style)).head }}</strong>
                {{ headline(fill(finding.text, finding.numbers, finding.names, store.style)).rest }}</span
              >
            </li>
            <li v-if="findings.length === 0" class="py-1.5 text-soft">Nothing to mend.</li>
          </ul>
        </section>
      </aside>
    </main>
  </div>
</template>
