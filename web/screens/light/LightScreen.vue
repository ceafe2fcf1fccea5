<script setup lang="ts">
import type { Light } from '@zucchini/core/brief'
import { computed } from 'vue'
import { useRig } from '../../stores/rig.ts'
import { useContext } from '../../stores/context.ts'
import RigBar from '../../widgets/RigBar.vue'
import SetupTabs from '../../widgets/SetupTabs.vue'
import FindingsPanel from '../bench/FindingsPanel.vue'
import { useRigOfRoute } from '../rig-of-route.ts'
import DayLightChart from './DayLightChart.vue'
import DayLightTable from './DayLightTable.vue'
import EconomyBox from './EconomyBox.vue'
import ExposureBar from './ExposureBar.vue'
import FocusBox from './FocusBox.vue'
import FrontPanel from './FrontPanel.vue'
import LensKitBox from './LensKitBox.vue'
import PicturePanel from './PicturePanel.vue'

const store = useRig()
const context = useContext()
const trouble = useRigOfRoute()
const assessment = computed(() => store.assessment)
const change = (light: Light) => {
  if (store.rig) store.apply([{ do: 'brief', brief: { ...store.rig.brief, light } }], 'exposure', 'exposure')
}
</script>

<template>
  <div class="relative flex h-full min-h-0 flex-col overflow-hidden">
    <RigBar here="Light" />
    <p v-if="trouble" class="p-8" role="alert">{{ trouble }}</p>
    <main v-if="assessment && store.rig && context.catalogue" class="flex min-h-0 flex-1">
      <div class="flex min-w-0 flex-1 flex-col">
        <div class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line px-4 py-1.5">
          <h1 class="sr-only">Light and glass of {{ store.rig.name }}</h1>
          <SetupTabs />
          <ExposureBar
            class="ml-auto"
            :brief="store.rig.brief"
            :plan="assessment.facts.light"
            :sensor="assessment.facts.front?.sensor"
            @change="change"
          />
        </div>
        <div class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_minmax(0,0.86fr)]">
          <FrontPanel :assessment="assessment" />
          <PicturePanel
            :assessment="assessment"
            @aspect="change({ ...store.rig.brief.light, aspect: $event })"
            @also="change({ ...store.rig.brief.light, also: $event })"
          />
        </div>
        <div class="grid h-[272px] shrink-0 grid-cols-[minmax(0,1fr)_minmax(0,0.86fr)] border-t border-line bg-card">
          <section class="flex min-h-0 min-w-0 flex-col px-4 pt-2" aria-label="The day’s light">
            <h2 class="font-semibold">
              The day’s light <span class="label font-normal">against what each choice holds</span>
            </h2>
            <DayLightChart :plan="assessment.facts.light" :catalogue="context.catalogue" />
          </section>
          <div
            class="min-h-0 overflow-y-auto border-l border-line px-4 pt-2"
            tabindex="0"
            role="region"
            aria-label="The day’s exposures"
          >
            <DayLightTable :plan="assessment.facts.light" :catalogue="context.catalogue" />
          </div>
        </div>
      </div>
      <aside
        class="flex w-[312px] shrink-0 flex-col gap-4 overflow-y-auto border-l border-line bg-card px-4 py-3"
        aria-label="Glass and findings"
      >
        <LensKitBox :assessment="assessment" />
        <FindingsPanel class="flex-none!" :assessment="assessment" :only="['glass']" title="What the light says" />
        <FocusBox :assessment="assessment" />
        <EconomyBox :assessment="assessment" />
      </aside>
    </main>
  </div>
</template>
