<script setup lang="ts">
import type { Assessment, FigureId } from '@zucchini/core/assess'
import { offPlaceWords } from '@zucchini/core/assembly'
import { isPosture } from '@zucchini/core/balance'
import { computed } from 'vue'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import ScaleBar from '../../widgets/ScaleBar.vue'
import { heldScale, runsScale } from './held-scale.ts'
import { atLeast, degrees, grams, holdWords, hoursMinutes, millimetres, money } from '../../wording.ts'

const props = defineProps<{ assessment: Assessment }>()
const store = useRig()
const bench = useBench()
const brief = computed(() => props.assessment.assembly.rig.brief)
const units = computed(() => store.style.units)

/** A bar is never green on a figure that may be more. */
const against = (value: number, cap: number, atLeast = false) => ({
  share: cap > 0 ? value / cap : 0,
  state:
    cap === 0
      ? ('none' as const)
      : value > cap
        ? ('over' as const)
        : atLeast || value > cap * 0.95
          ? ('look' as const)
          : ('good' as const),
})
/** Which figure stands on the sheet; asking for it again puts the sheet away. */
const ask = (figure: FigureId) => (bench.figure = bench.figure === figure ? undefined : figure)
const asking = (figure: FigureId) => ({ asks: figure, asked: bench.figure === figure, onAsk: () => ask(figure) })
const unweighed = computed(() => props.assessment.mass.unknown.length > 0)
const unpriced = computed(() => props.assessment.cost.unpriced.length > 0)
const runs = computed(() => runsScale(props.assessment))
const held = computed(() => heldScale(props.assessment, store.style))
/** The set-up's own cap; without one, what is carried has the brief's. */
const capG = computed(() => {
  const { setup } = props.assessment.assembly
  return setup.capG || (isPosture(setup.support) ? brief.value.inHandG : 0)
})
/** What the scales would show; nothing where they would stay. */
const would = computed(() => {
  const effect = bench.foreseen
  if (!effect) return {}
  const { mass, cost, size } = props.assessment
  const { tiltFromDeg: from, tiltToDeg: to } = effect
  return {
    hand: effect.massG === 0 ? undefined : grams(mass.inHandG + effect.massG, units.value),
    buy: effect.toBuyMinor === 0 ? undefined : money(cost.usual + effect.toBuyMinor, brief.value.currency),
    tall: Math.abs(effect.tallMm) < 0.5 ? undefined : millimetres(size.tallMm + effect.tallMm, units.value),
    hangs: from === undefined || to === undefined || Math.abs(from - to) < 0.05 ? undefined : degrees(Math.abs(to)),
  }
})
const times = (value: number) => `${value.toFixed(2)} ×`
</script>

<template>
  <div class="flex flex-col gap-[9px]">
    <ScaleBar
      label="In the hand"
      :would="would.hand"
      :figure="atLeast(grams(assessment.mass.inHandG, units), unweighed)"
      :of="capG ? `of ${grams(capG, units)}` : ''"
      v-bind="{ ...against(assessment.mass.inHandG, capG, unweighed), ...asking('in-hand') }"
    />
    <ScaleBar
      label="Still to buy"
      :would="would.buy"
      :figure="atLeast(money(assessment.cost.usual, brief.currency), unpriced)"
      :of="brief.budgetMinor ? `of ${money(brief.budgetMinor, brief.currency).replace(/\.00$/, '')}` : ''"
      v-bind="{ ...against(assessment.cost.usual, brief.budgetMinor, unpriced), ...asking('to-buy') }"
    />
    <ScaleBar v-bind="{ ...runs, ...asking('runs') }" />
    <ScaleBar v-bind="{ ...held, ...(held.label === 'Hangs' ? { ...asking('hangs'), would: would.hangs } : {}) }" />
    <ScaleBar
      label="Tall"
      :figure="millimetres(Math.round(assessment.size.tallMm), units)"
      :of="brief.tallMm ? `of ${millimetres(brief.tallMm, units)}` : ''"
      v-bind="{ ...against(assessment.size.tallMm, brief.tallMm), ...asking('tall') }"
    />
    <dl class="grid grid-cols-3 gap-x-3 text-[12px] leading-tight text-soft">
      <div>
        <dt>set up in</dt>
        <dd class="fig text-[13px] text-ink">
          <button
            class="underline decoration-dotted underline-offset-2"
            data-figure="set-up"
            title="How it is reckoned"
            @click="ask('set-up')"
          >
            {{ hoursMinutes(assessment.setupSeconds) }}
          </button>
        </dd>
      </div>
      <div
        v-if="assessment.steadiness"
        v-ask="['fact steadiness', assessment]"
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
        <dd class="fig text-[13px] text-ink">
          <button class="underline decoration-dotted underline-offset-2" data-figure="held" @click="ask('held')">
            {{ holdWords(assessment.holdMinutes) }}
          </button>
        </dd>
      </div>
      <div
        v-for="{ at, massG, pieces } in assessment.facts.worn"
        :key="at"
        v-ask="['fact worn', assessment]"
        class="mt-1.5"
        :title="pieces.map(({ part }) => part.name).join(', ')"
      >
        <dt>{{ offPlaceWords[at] }}</dt>
        <dd class="fig text-[13px] text-ink">{{ grams(massG, units) }}</dd>
      </div>
    </dl>
  </div>
</template>
