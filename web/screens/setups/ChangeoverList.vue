<script setup lang="ts">
import type { Changeover } from '@zucchini/core/build-order'
import { Check, Timer } from '@lucide/vue'
import { computed } from 'vue'
import type { Assessment } from '@zucchini/core/assess'
import { useLapWatch } from '../../field/watch.ts'
import { useRig } from '../../stores/rig.ts'
import { useTicks } from '../../stores/ticks.ts'
import { hoursMinutes } from '../../wording.ts'
import { settingWords } from '../build/step-words.ts'
import { changeKeys, changeWords } from './setup-words.ts'

// What it takes to get from one set-up to the other, step by step: ticked as it is done, timed where the watch runs.
const props = defineProps<{
  title: string
  changeover: Changeover
  from: string
  /** The set-up it ends in. */
  of: Assessment
}>()
const store = useRig()
const steps = computed(() => props.changeover.steps)
const keys = computed(() => changeKeys(steps.value))
const ticks = useTicks(
  () => store.told,
  () => `change ${props.from} ${props.of.setupId}`,
  keys,
)
/** Where it goes, and how it is set there. */
const whereOf = ({ at, setting }: Changeover['steps'][number]): string => {
  const set = settingWords(setting, store.style).join(' ')
  return [at, set].filter(Boolean).join('. ')
}
const isDone = (i: number): boolean => ticks.isDone(keys.value[i] ?? '')
const next = computed(() => steps.value.find((_, i) => !isDone(i)))
const left = computed(() => steps.value.reduce((sum, { seconds }, i) => sum + (isDone(i) ? 0 : seconds), 0))
const { runs, told, lap } = useLapWatch(() => next.value)
const tick = (i: number) => {
  const [step, key] = [steps.value[i], keys.value[i]]
  if (!step || key === undefined) return
  const on = !isDone(i)
  // Out of turn it says nothing of how long it took.
  if (on && step === next.value) void lap(step)
  void ticks.tick(key, on)
}
</script>

<template>
  <section class="rounded-xl border border-line bg-card px-4 py-3" :aria-label="title">
    <h2 v-ask="['set-up', of]" class="flex items-baseline font-semibold">
      {{ title }} <span class="fig ml-auto">{{ hoursMinutes(changeover.seconds) }}</span>
    </h2>
    <p class="label flex flex-wrap items-center gap-x-3">
      <span>{{ changeover.tools.length ? `in the pocket: ${changeover.tools.join(', ')}` : 'by hand, no tools' }}</span>
      <span v-if="ticks.count.value > 0">{{ left > 0 ? `${hoursMinutes(left)} left` : 'all done' }}</span>
      <span v-if="steps.length" class="ml-auto flex gap-3">
        <button v-if="ticks.count.value > 0" class="min-h-6 underline decoration-dotted" @click="ticks.clear()">
          begin anew
        </button>
        <button
          class="flex min-h-6 items-center gap-1 underline decoration-dotted"
          :aria-pressed="runs"
          @click="runs = !runs"
        >
          <Timer class="size-4" :class="{ 'text-leaf': runs }" aria-hidden="true" />{{
            runs ? 'the watch runs' : 'time it'
          }}
        </button>
      </span>
    </p>
    <p v-if="told" class="label" role="status">{{ told }}</p>
    <ol class="mt-2">
      <li v-for="(step, i) in steps" :key="keys[i]" class="border-t border-line">
        <button
          class="step"
          role="checkbox"
          :aria-checked="isDone(i)"
          :class="{ next: step === next && (ticks.count.value > 0 || runs) }"
          @click="tick(i)"
        >
          <span class="tick" :class="{ on: isDone(i) }" aria-hidden="true"
            ><Check v-if="isDone(i)" class="size-3.5" /><template v-else>{{ i + 1 }}</template></span
          ><span class="font-medium" :class="{ 'text-soft': isDone(i) }">{{ changeWords[step.do] }}</span
          ><span class="min-w-0" :class="{ 'text-soft': isDone(i) }"
            >{{ step.name
            }}<span v-if="step.with.length" class="text-soft"> as one with {{ step.with.join(', ') }}</span
            ><span v-if="whereOf(step)" class="label tight block">{{ whereOf(step) }}</span></span
          >
          <span class="label tight"
            >{{ step.tool === 'fingers' ? '' : step.toolName }}
            <span class="fig text-ink" data-given>{{ step.seconds }} s</span></span
          >
        </button>
      </li>
      <li v-if="steps.length === 0" class="border-t border-line py-1 text-soft">Nothing to do: they stand alike.</li>
    </ol>
  </section>
</template>

<style scoped>
.step {
  display: grid;
  grid-template-columns: 24px 64px minmax(0, 1fr) auto;
  align-items: center;
  gap: 0.5rem;
  width: calc(100% + 1rem);
  min-height: 2.25rem;
  margin-inline: -0.5rem;
  padding: 0.2rem 0.5rem;
  text-align: left;
}
.step.next {
  background: var(--blossom-tint);
  box-shadow: inset 3px 0 0 var(--blossom);
}
@media (pointer: coarse) {
  .step {
    min-height: 2.75rem;
  }
}
</style>
