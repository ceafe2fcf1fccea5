<script setup lang="ts">
import { type Assessment, type Beside, besideOf, evaluate, hoursOrigin } from '@zucchini/core/assess'
import { adoptRig, type Rig } from '@zucchini/core/assembly'
import { type Finding, findingKey } from '@zucchini/core/checks'
import type { ViewId } from '@zucchini/core/drawing'
import { computed, ref, shallowRef, watch } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import { api } from '../../api.ts'
import { useContext } from '../../stores/context.ts'
import { useRig } from '../../stores/rig.ts'
import LevelMark from '../../widgets/LevelMark.vue'
import RigBar from '../../widgets/RigBar.vue'
import ViewPicker from '../../widgets/ViewPicker.vue'
import { fill, grams, headline, hours, money } from '../../wording.ts'
import { useRigOfRoute } from '../rig-of-route.ts'
import { compareRows, extentOfBoth, rowOf } from '../setups/compare-rows.ts'
import OverlayDrawing from './OverlayDrawing.vue'

// Two marks, or any two rigs: what came and went, what it changes in grams, money, hours and seconds, drawn one over the
// other. The address's rig is the one that is; the other is what was.
const store = useRig()
const context = useContext()
const route = useRoute()
const trouble = useRigOfRoute()
const other = shallowRef<Rig>()
const failed = ref('')
watch(
  () => route.params['other'],
  async (id) => {
    if (typeof id !== 'string') return
    other.value = undefined
    failed.value = ''
    try {
      const [saved] = await Promise.all([api.rig(id), context.load()])
      other.value = saved.rig
    } catch (error) {
      failed.value = error instanceof Error ? error.message : 'The other rig could not be opened.'
    }
  },
  { immediate: true },
)
const otherSetup = ref('')
const was = computed((): Assessment | undefined => {
  if (!other.value || !context.whole || !store.setup) return undefined
  const taken = adoptRig(other.value, context.whole.catalogue)
  if (!taken.ok) return undefined
  const { rig, catalogue } = taken.value
  const setup = [otherSetup.value, store.setup.id].find((id) => rig.setups.some((one) => one.id === id))
  return evaluate(rig, setup ?? rig.setups[0]?.id ?? '', { ...context.whole, catalogue })
})
const is = computed(() => store.assessment)
const beside = computed((): Beside | undefined => was.value && is.value && besideOf(was.value, is.value))
const view = ref<ViewId>('side')
const within = computed(() => was.value && is.value && extentOfBoth(view.value, was.value, is.value))
const rows = computed(() => {
  if (!was.value || !is.value) return []
  const row = rowOf(was.value, is.value)
  const { currency } = store.style
  return [
    ...compareRows(was.value, is.value, store.style),
    row(
      'to-buy',
      'still to buy',
      ({ cost }) => cost.usual,
      (minor) => money(minor, currency),
    ),
    row('runs', 'runs, all on', (side) => hoursOrigin(side).value, hours),
  ]
})
const changes = computed(() => {
  const now = beside.value
  if (!now) return []
  const named = (list: Beside['came']) =>
    list.map(({ part, count }) => ({
      name: count > 1 ? `${part.name} × ${count}` : part.name,
      massG: part.massG * count,
    }))
  return [
    { title: 'came', list: named(now.came), sign: '+' },
    { title: 'went', list: named(now.went), sign: '−' },
    { title: 'sits otherwise', list: now.moved.map(({ name }) => ({ name, massG: 0 })), sign: '' },
  ]
})
const head = (finding: Finding) => headline(fill(finding.text, finding.numbers, finding.names, store.style)).head
</script>

<template>
  <div class="flex h-full min-h-0 flex-col">
    <RigBar here="Side by side" />
    <p v-if="trouble || failed" class="p-8" role="alert">{{ trouble || failed }}</p>
    <main v-else-if="was && is && beside && within" class="min-h-0 flex-1 overflow-y-auto">
      <div class="mx-auto max-w-6xl px-4 py-4 md:px-6">
        <header class="flex flex-wrap items-center gap-x-4 gap-y-2">
          <h1 class="text-xl font-semibold">{{ is.rig.name }}</h1>
          <span class="text-soft">beside</span>
          <RouterLink
            class="text-[15px] underline decoration-dotted"
            :to="{ name: 'bench', params: { id: was.rig.id } }"
            >{{ was.rig.name }}</RouterLink
          >
          <label class="ml-auto flex items-center gap-1.5"
            ><span class="label">now</span>
            <select
              class="field py-1"
              :value="is.setupId"
              @change="store.setupId = ($event.target as HTMLSelectElement).value"
            >
              <option v-for="setup in is.rig.setups" :key="setup.id" :value="setup.id">{{ setup.name }}</option>
            </select></label
          >
          <label class="flex items-center gap-1.5"
            ><span class="label">before</span>
            <select
              class="field py-1"
              :value="was.setupId"
              @change="otherSetup = ($event.target as HTMLSelectElement).value"
            >
              <option v-for="setup in was.rig.setups" :key="setup.id" :value="setup.id">{{ setup.name }}</option>
            </select></label
          >
        </header>
        <div class="mt-3 grid gap-5 min-[900px]:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]">
          <figure class="min-w-0 rounded-xl border border-line bg-card p-2">
            <div class="flex items-center px-2">
              <ViewPicker label="View of both" :view="view" @pick="view = $event" />
            </div>
            <OverlayDrawing
              :was="was.assembly"
              :is="is.assembly"
              :view="view"
              :within="within"
              :width="620"
              :height="430"
            />
            <figcaption class="label px-2 pb-1">
              In ink what both have; green lines came, brick dashes went. Both cameras stand in one place.
            </figcaption>
          </figure>
          <table class="h-min w-full text-[13px]" aria-label="Figures side by side">
            <thead>
              <tr class="label text-right">
                <th scope="col" class="pb-1 text-left font-normal"><span class="sr-only">figure</span></th>
                <th scope="col" class="pb-1 font-normal">before</th>
                <th scope="col" class="pb-1 font-normal">now</th>
                <th scope="col" class="pb-1 font-normal">change</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in rows" :key="row.title" class="border-t border-line">
                <th scope="row" class="py-1.5 text-left font-normal text-soft">{{ row.title }}</th>
                <td v-ask="[row.asks, was]" class="fig py-1.5 text-right">{{ row.a }}</td>
                <td v-ask="[row.asks, is]" class="fig py-1.5 text-right">{{ row.b }}</td>
                <td class="tight py-1.5 pl-3 text-right text-soft">{{ row.change }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <div class="mt-5 grid gap-5 min-[720px]:grid-cols-3">
          <section v-for="group in changes" :key="group.title" :aria-label="group.title">
            <h2 class="text-[15px] font-semibold">{{ group.title }}</h2>
            <ul class="mt-1">
              <li
                v-for="one in group.list"
                :key="one.name"
                class="flex items-baseline gap-3 border-t border-line py-1.5 leading-snug"
              >
                <span class="min-w-0 flex-1">{{ one.name }}</span>
                <span v-if="group.sign" class="fig whitespace-nowrap text-soft" data-given
                  >{{ group.sign }}{{ grams(one.massG, store.style.units) }}</span
                >
              </li>
              <li v-if="group.list.length === 0" class="border-t border-line py-1.5 text-soft">nothing</li>
            </ul>
          </section>
        </div>
        <div class="mt-5 grid gap-5 min-[720px]:grid-cols-2">
          <section
            v-for="[title, list] in [
              ['Findings gone', beside.lost],
              ['Findings new', beside.gained],
            ] as const"
            :key="title"
            :aria-label="title"
          >
            <h2 class="text-[15px] font-semibold">{{ title }}</h2>
            <ul class="mt-1 flex flex-col gap-1.5">
              <li v-for="finding in list" :key="findingKey(finding)" class="flex gap-2 leading-snug">
                <LevelMark class="mt-0.5 shrink-0" :level="finding.level" /><span
                  ><span class="sr-only">{{ finding.level }}: </span>{{ head(finding) }}</span
                >
              </li>
              <li v-if="list.length === 0" class="text-soft">none</li>
            </ul>
          </section>
        </div>
      </div>
    </main>
    <p v-else class="label p-8" role="status">reading both ...</p>
  </div>
</template>
