<script setup lang="ts">
import type { Assessment, Effect } from '@zucchini/core/assess'
import { type Family, type Finding, findingKey, levels, type Remedy } from '@zucchini/core/checks'
import { computed, shallowRef, watch } from 'vue'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import LevelMark from '../../widgets/LevelMark.vue'
import type { Cure } from '../../workers/bench.worker.ts'
import { benchWorker } from '../../workers/client.ts'
import { fill, grams, headline, money, signed } from '../../wording.ts'

const props = defineProps<{
  assessment: Assessment
  /** The checks to tell about; all of them when left out. */
  only?: readonly Family[]
  title?: string
}>()
const store = useRig()
const bench = useBench()

const wanted = (finding: Finding) => props.only?.includes(finding.family) ?? true
const shown = computed(() => {
  const own = bench.station && props.assessment.stations.find(({ station }) => station === bench.station)
  return props.assessment.findings
    .map((finding, i) => ({ finding, n: i + 1 }))
    .filter(({ finding }) => (props.only ? wanted(finding) : !own || own.findings.includes(finding)))
})
const count = computed(() =>
  levels
    .map((level) => ({ level, n: shown.value.filter(({ finding }) => finding.level === level).length }))
    .filter(({ n }) => n > 0)
    .map(({ level, n }) => `${n} ${level}${n > 1 ? 's' : ''}`)
    .join(' · '),
)
const say = (text: string, of: { numbers: Finding['numbers']; names: Finding['names'] }) =>
  fill(text, of.numbers, of.names, store.style)

// Trying out cures is dear, so the worker does it. What was known of the same trouble stays until the new answer comes,
// so that
// nothing jumps.
const cures = shallowRef<ReadonlyMap<string, readonly Cure[]>>()
const curesOf = (finding: Finding): readonly Cure[] => cures.value?.get(findingKey(finding)) ?? []
let asked = 0
watch(
  () => props.assessment,
  async ({ findings, assembly }) => {
    const turn = ++asked
    const found = findings.length === 0 ? [] : await benchWorker().cures(assembly.rig, assembly.setup.id)
    if (turn === asked && found)
      cures.value = new Map(findings.map((finding, i) => [findingKey(finding), found[i] ?? []]))
  },
  { immediate: true },
)
const consequence = (effect: Effect | undefined): string => {
  if (!effect) return ''
  const parts = [
    effect.massG === 0 ? '' : signed(effect.massG, (g) => grams(g, store.style.units)),
    effect.toBuyMinor === 0 ? '' : signed(effect.toBuyMinor, (m) => money(m, store.style.currency)),
    effect.gained.stop > 0
      ? `${effect.gained.stop} new stop${effect.gained.stop > 1 ? 's' : ''}`
      : effect.gained.risk > 0
        ? `${effect.gained.risk} new risk${effect.gained.risk > 1 ? 's' : ''}`
        : '',
  ]
  return parts.filter(Boolean).join(', ')
}
const cure = (finding: Finding, remedy: Remedy) => {
  bench.forget()
  return store.apply(remedy.commands, `${say(remedy.text, remedy)}, for: ${headline(say(finding.text, finding)).head}`)
}
const look = (finding: Finding) => {
  const [first] = finding.parts
  if (first && props.assessment.assembly.byInstance.has(first)) bench.pickPiece(first)
}
</script>

<template>
  <section class="flex min-h-0 flex-1 flex-col" aria-label="Findings">
    <h2 class="flex items-baseline border-b border-line pb-1.5 text-[13px] font-semibold">
      {{ title ?? (bench.station ? `Findings, ${bench.station}` : 'Findings') }}
      <span class="ml-auto text-[12.5px]" aria-live="polite" data-testid="finding-count">{{ count || 'none' }}</span>
    </h2>
    <p v-if="!cures && shown.length > 0" class="label py-1" role="status">looking for ways out ...</p>
    <ol class="relative min-h-0 flex-1 overflow-y-auto pr-1" tabindex="-1">
      <li
        v-for="{ finding, n } in shown"
        :key="findingKey(finding)"
        class="border-b border-line py-2.5"
        :data-check="finding.check"
        :data-level="finding.level"
      >
        <div class="flex gap-2.5">
          <span class="mt-1 flex flex-col items-center gap-0.5"
            ><LevelMark :level="finding.level" /><span class="tight text-[11px] text-soft">{{ n }}</span></span
          >
          <div class="min-w-0">
            <button class="text-left leading-snug" :title="finding.why" @click="look(finding)">
              <span class="sr-only">{{ finding.level }}: </span>
              <strong>{{ headline(say(finding.text, finding)).head }}</strong>
              {{ headline(say(finding.text, finding)).rest }}
            </button>
            <ul v-if="curesOf(finding).length" class="mt-1.5 flex flex-col items-start gap-1">
              <li v-for="({ remedy, effect }, i) in curesOf(finding)" :key="i">
                <button
                  class="cure"
                  @click="cure(finding, remedy)"
                  @mouseenter="bench.foresee(remedy.commands)"
                  @mouseleave="bench.forget()"
                  @focus="bench.foresee(remedy.commands)"
                  @blur="bench.forget()"
                >
                  {{ say(remedy.text, remedy)
                  }}<span v-if="consequence(effect)" class="tight whitespace-nowrap"> · {{ consequence(effect) }}</span>
                </button>
              </li>
            </ul>
          </div>
        </div>
      </li>
      <li v-if="shown.length === 0" class="py-4 text-soft">
        {{
          only || bench.station
            ? 'Nothing to mend here.'
            : 'Nothing to say. Balance it on a finger and shake it before you leave.'
        }}
      </li>
    </ol>
  </section>
</template>
