<script setup lang="ts">
import type { Catalogue } from '@zucchini/core/catalogue'
import type { LightPlan } from '@zucchini/core/optics'
import { computed } from 'vue'
import LevelMark from '../../widgets/LevelMark.vue'
import { stateOf } from './day-chart.ts'
import { choiceName, clock, fNumber, iso, sceneWords } from './light-words.ts'
import { useRig } from '../../stores/rig.ts'

const props = defineProps<{ plan: LightPlan; catalogue: Catalogue }>()

const store = useRig()
const tenth = (value: number): string => (Math.round(value * 10) / 10).toFixed(1).replace('-', '−')
const rows = computed(() =>
  props.plan.phases.map((phase) => {
    const state = stateOf(phase, props.plan)
    const choices = phase.by[0] ? [phase.by[0]] : [phase.forMost, phase.forLeast].flatMap((one) => one ?? [])
    const held = choices.map((choice) => choiceName(choice, props.catalogue, true)).join(', then ')
    return {
      phase,
      state,
      level: state === 'bright' || state === 'pitch' ? ('risk' as const) : ('ok' as const),
      wants: tenth(phase.mostStops),
      answer: {
        held,
        two: held,
        dark: `${iso(phase.iso)}, no filter`,
        bright: `nothing, ${tenth(phase.missesBy)} off`,
        pitch: `${iso(phase.iso)} is too much`,
      }[state],
      /** What does without: an iris no smaller than lenses have, or a way of saying that there is none. */
      without: phase.mostStops <= 0 ? '–' : phase.iris <= 32 ? fNumber(phase.iris) : 'no iris',
    }
  }),
)
</script>

<template>
  <table v-ask="['fact light', store.assessment]" class="w-full text-left" aria-label="The day’s exposures">
    <thead>
      <tr class="label">
        <th class="py-0.5 font-normal">filmed</th>
        <th class="text-right font-normal" title="Stops to take at the brightest moment; less than nothing: too dark">
          stops
        </th>
        <th class="pl-3 font-normal">held by</th>
        <th class="text-right font-normal" title="The f-number that would do without a filter">without</th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="row in rows"
        :key="row.phase.light.phase.name + row.phase.light.fromMin"
        class="border-t border-line align-top"
        :data-scene="row.phase.light.phase.name"
      >
        <td class="max-w-40 py-1">
          <span class="block truncate" :title="row.phase.light.phase.name">{{ row.phase.light.phase.name }}</span>
          <span class="label tight block truncate"
            >{{ clock(row.phase.light.fromMin) }}
            {{ row.phase.light.scenes.map((scene) => sceneWords[scene]).join(', then ')
            }}<template v-if="row.phase.light.sunDeg > 0 && row.phase.light.brightEv !== 7"
              >, sun {{ Math.round(row.phase.light.sunDeg) }}°</template
            ></span
          >
        </td>
        <td class="fig py-1 text-right" :class="{ 'text-brick': row.level === 'risk' }">{{ row.wants }}</td>
        <td class="py-1 pl-3" :class="{ 'text-brick': row.level === 'risk' }">
          <span class="flex items-baseline gap-1.5"
            ><LevelMark v-if="row.level === 'risk'" class="shrink-0" level="risk" />{{ row.answer }}</span
          >
        </td>
        <td class="fig py-1 text-right">{{ row.without }}</td>
      </tr>
      <tr v-if="rows.length === 0">
        <td colspan="4" class="py-2 text-soft">The brief has no hours yet.</td>
      </tr>
    </tbody>
  </table>
</template>
