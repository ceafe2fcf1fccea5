<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import type { Setup } from '@zucchini/core/assembly'
import { type Finding, findingKey } from '@zucchini/core/checks'
import { computed, ref } from 'vue'
import type { ViewId } from '@zucchini/core/drawing'
import RigSketch from '../../drawing/RigSketch.vue'
import { useRig } from '../../stores/rig.ts'
import ViewPicker from '../../widgets/ViewPicker.vue'
import LevelMark from '../../widgets/LevelMark.vue'
import { fill, headline, hoursMinutes } from '../../wording.ts'
import { compareRows, extentOfBoth } from './compare-rows.ts'
import { orientationWords, supportWords } from './setup-words.ts'

interface Side {
  readonly setup: Setup
  readonly assessment: Assessment
}
const props = defineProps<{ a: Side; b: Side; there: number; back: number }>()
const store = useRig()
const view = ref<ViewId>('side')

/** Both drawn to one scale: the larger of the two decides. */
const within = computed(() => extentOfBoth(view.value, props.a.assessment, props.b.assessment))
const rows = computed(() => compareRows(props.a.assessment, props.b.assessment, store.style))
const findings = computed(() => {
  const keys = (side: Side) => new Set(side.assessment.findings.map(findingKey))
  const [inA, inB] = [keys(props.a), keys(props.b)]
  return [
    {
      title: `only ${props.a.setup.name}`,
      list: props.a.assessment.findings.filter((finding) => !inB.has(findingKey(finding))),
    },
    {
      title: `only ${props.b.setup.name}`,
      list: props.b.assessment.findings.filter((finding) => !inA.has(findingKey(finding))),
    },
    { title: 'both', list: props.b.assessment.findings.filter((finding) => inA.has(findingKey(finding))) },
  ]
})
const head = (finding: Finding) => headline(fill(finding.text, finding.numbers, finding.names, store.style)).head
</script>

<template>
  <section class="rounded-xl border border-line bg-card" aria-labelledby="compare-title">
    <header class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line px-4 py-2.5">
      <h2 id="compare-title" class="text-[15px] font-semibold">{{ a.setup.name }} beside {{ b.setup.name }}</h2>
      <p class="label">{{ hoursMinutes(there) }} there, {{ hoursMinutes(back) }} back</p>
      <ViewPicker class="ml-auto" label="View of both" :view="view" @pick="view = $event" />
    </header>
    <div class="grid grid-cols-1 gap-4 p-4 min-[900px]:grid-cols-[1fr_1.1fr_1fr]">
      <figure
        v-for="(side, i) in [a, b]"
        :key="side.setup.id"
        class="min-w-0 text-center"
        :class="i === 0 ? 'order-1' : 'order-3'"
      >
        <RigSketch
          class="mx-auto max-w-full"
          :assembly="side.assessment.assembly"
          :view="view"
          :width="300"
          :height="260"
          :pad="12"
          :within="within"
        />
        <figcaption class="mt-1">
          <strong>{{ side.setup.name }}</strong>
          <span class="label block"
            >{{ supportWords[side.setup.support] }}, {{ orientationWords[side.setup.orientation] }}</span
          >
        </figcaption>
      </figure>
      <table class="order-2 h-min w-full text-[13px]">
        <thead>
          <tr class="label text-right">
            <th scope="col" class="pb-1 text-left font-normal"><span class="sr-only">figure</span></th>
            <th scope="col" class="pb-1 font-normal">{{ a.setup.name }}</th>
            <th scope="col" class="pb-1 font-normal">{{ b.setup.name }}</th>
            <th scope="col" class="pb-1 font-normal">change</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.title" class="border-t border-line">
            <th scope="row" class="py-1 text-left font-normal text-soft">{{ row.title }}</th>
            <td v-ask="[row.asks, a.assessment]" class="fig py-1 text-right">{{ row.a }}</td>
            <td v-ask="[row.asks, b.assessment]" class="fig py-1 text-right">{{ row.b }}</td>
            <td class="tight py-1 pl-3 text-right text-soft">{{ row.change }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <div class="grid grid-cols-1 gap-4 border-t border-line p-4 min-[720px]:grid-cols-3">
      <div v-for="group in findings" :key="group.title">
        <h3 class="label mb-1">{{ group.title }}</h3>
        <ul class="flex flex-col gap-1">
          <li v-for="finding in group.list" :key="findingKey(finding)" class="flex gap-2 leading-snug">
            <LevelMark class="mt-0.5 shrink-0" :level="finding.level" /><span
              ><span class="sr-only">{{ finding.level }}: </span>{{ head(finding) }}</span
            >
          </li>
          <li v-if="group.list.length === 0" class="text-soft">nothing</li>
        </ul>
      </div>
    </div>
  </section>
</template>
