<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import { computed } from 'vue'
import { useRig } from '../../stores/rig.ts'
import ScaleBar from '../../widgets/ScaleBar.vue'
import { degrees, grams, holdWords, hoursMinutes, millimetres, money } from '../../wording.ts'

const props = defineProps<{ assessment: Assessment }>()
const store = useRig()
const brief = computed(() => props.assessment.assembly.rig.brief)
const units = computed(() => store.style.units)

const against = (value: number, cap: number) => ({
  share: cap > 0 ? value / cap : 0,
  state: cap === 0 ? ('none' as const) : value > cap ? ('over' as const) : value > cap * 0.95 ? ('look' as const) : ('good' as const),
})
const hangState = (tilt: number) => (Math.abs(tilt) <= 3 ? ('good' as const) : Math.abs(tilt) <= 8 ? ('look' as const) : ('over' as const))
const times = (value: number) => `${value.toFixed(2)} ×`
const hang = computed(() => props.assessment.hang)
</script>

<template>
  <div class="flex flex-col gap-[9px]">
    <ScaleBar
      label="In the hand"
      :figure="grams(assessment.mass.inHandG, units)"
      :of="brief.inHandG ? `of ${grams(brief.inHandG, units)}` : ''"
      v-bind="against(assessment.mass.inHandG, brief.inHandG)"
    />
    <ScaleBar
      label="Still to buy"
      :figure="money(assessment.cost.usual, brief.currency)"
      :of="brief.budgetMinor ? `of ${money(brief.budgetMinor, brief.currency).replace(/\.00$/, '')}` : ''"
      v-bind="against(assessment.cost.usual, brief.budgetMinor)"
    />
    <ScaleBar
      v-if="hang"
      label="Hangs"
      :figure="degrees(Math.abs(hang.tiltDeg))"
      :of="Math.abs(hang.tiltDeg) < 0.05 ? 'level' : hang.tiltDeg > 0 ? 'nose down' : 'nose up'"
      :share="Math.abs(hang.tiltDeg) / 15"
      :state="hangState(hang.tiltDeg)"
    />
    <ScaleBar v-else label="Hangs" figure="–" of="no top handle" :share="0" state="none" />
    <ScaleBar
      label="Tall"
      :figure="millimetres(Math.round(assessment.size.tallMm), units)"
      :of="brief.tallMm ? `of ${millimetres(brief.tallMm, units)}` : ''"
      v-bind="against(assessment.size.tallMm, brief.tallMm)"
    />
    <dl class="grid grid-cols-3 gap-x-3 text-[12px] leading-tight text-soft">
      <div>
        <dt>set up in</dt>
        <dd class="fig text-[13px] text-ink">{{ hoursMinutes(assessment.setupSeconds) }}</dd>
      </div>
      <div
        v-if="assessment.steadiness"
        :title="`Turning shake against the bare camera: pitch ${times(assessment.steadiness.pitch)}, yaw ${times(assessment.steadiness.yaw)}, roll ${times(assessment.steadiness.roll)}`"
      >
        <dt>yaw shake</dt>
        <dd class="fig text-[13px] text-ink">{{ times(assessment.steadiness.yaw) }}</dd>
      </div>
      <div
        v-if="assessment.holdMinutes !== undefined"
        title="Estimate for an average arm (Rohmert 1960), not medical advice. Stop when it hurts."
      >
        <dt>held still for</dt>
        <dd class="fig text-[13px] text-ink">{{ holdWords(assessment.holdMinutes) }}</dd>
      </div>
    </dl>
  </div>
</template>
