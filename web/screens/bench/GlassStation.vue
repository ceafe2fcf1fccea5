<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import FrontPanel from '../light/FrontPanel.vue'
import { choiceName, fNumber, stopSpan } from '../light/light-words.ts'
import { useContext } from '../../stores/context.ts'

const props = defineProps<{ assessment: Assessment }>()
const context = useContext()

const plan = computed(() => props.assessment.facts.light)
const wanted = computed(() => {
  const stops = plan.value.phases.flatMap(({ mostStops, leastStops }) => [mostStops, leastStops])
  return stops.length > 0 ? stopSpan(Math.max(0, Math.min(...stops)), Math.max(0, ...stops)) : 'nothing filmed'
})
const open = computed(() => plan.value.phases.filter(({ missesBy }) => missesBy > 0).length)
const best = computed(() => plan.value.phases.find(({ by }) => (by[0]?.ids.length ?? 0) > 0)?.by[0])
</script>

<template>
  <section class="flex min-h-0 w-[52%] shrink-0 border-l border-line" aria-label="Glass station">
    <FrontPanel class="min-w-0 flex-1" compact :assessment="assessment" />
    <dl class="flex w-[168px] shrink-0 flex-col gap-1 border-l border-line px-3 pt-2.5">
      <div v-ask="['fact light', assessment]">
        <dt class="label">the day wants</dt>
        <dd class="fig">{{ wanted }}</dd>
        <dd class="label tight">at {{ fNumber(plan.setting.fNumber) }}, ISO {{ plan.setting.iso }}</dd>
      </div>
      <div>
        <dt class="label">held by</dt>
        <dd class="tight" :class="{ 'text-brick': open > 0 }">
          <template v-if="open > 0">nothing, in {{ open }} of {{ plan.phases.length }} scenes</template>
          <template v-else-if="context.catalogue">{{
            best ? choiceName(best, context.catalogue, true) : 'the bare lens'
          }}</template>
        </dd>
      </div>
      <RouterLink
        class="btn mt-auto mb-3 justify-center py-0.5"
        :to="{
          name: 'light',
          params: { id: assessment.assembly.rig.id },
          query: { setup: assessment.assembly.setup.id },
        }"
        >To the light</RouterLink
      >
    </dl>
  </section>
</template>
