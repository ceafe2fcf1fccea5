<script setup lang="ts">
import type { ToolPlace } from '@zucchini/core/assess'
import type { Assembly } from '@zucchini/core/assembly'
import type { SheetStep } from '@zucchini/core/build-order'
import { Clock, Triangle, Wrench } from '@lucide/vue'
import { computed } from 'vue'
import type { ViewId } from '@zucchini/core/drawing'
import { useContext } from '../../stores/context.ts'
import { useField } from '../../stores/field.ts'
import { useRig } from '../../stores/rig.ts'
import { millimetres } from '../../wording.ts'
import StepPicture from './StepPicture.vue'
import { checkOf, howOf, titleOf, toolAtWords } from './step-words.ts'

// One step: what goes where, as a picture and in words, with its tool, its screw, its time and what to look at.
const props = defineProps<{
  assembly: Assembly
  steps: readonly SheetStep[]
  at: number
  width: number
  height: number
  view?: ViewId | undefined
  places?: readonly ToolPlace[] | undefined
}>()
const store = useRig()
const field = useField()
const context = useContext()
const step = computed(() => props.steps[props.at])
/** Whose seconds they are: set by hand, shown by the watch, or the usual ones. */
const yours = computed(() => {
  const { timed = '' } = step.value ?? {}
  if (context.limits['seconds']?.[timed] !== undefined) return 'set by you'
  const shown = field.learnt.seconds.get(timed)
  return shown ? `yours, of ${shown.times}` : 'usual'
})
/** Where the tool is: one wants to know it before the rig stands open. */
const where = computed(() => {
  const { tool = 'fingers', toolName } = step.value ?? {}
  if (tool === 'fingers' || tool === 'lever') return 'by hand'
  return toolAtWords(props.places?.find((one) => one.tool === toolName))
})
/** What is closed with a tool has a screw, also where nobody states which. */
const byKey = computed(() => step.value?.tool === 'coin' || step.value?.tool === 'hex key')
const how = computed(() => (step.value ? howOf(step.value, store.style) : []))
const screw = computed(() => {
  const { screw: made } = step.value ?? {}
  if (!made) return ''
  return made.lengthMm === undefined
    ? `${made.name} screw`
    : `${made.name} × ${millimetres(made.lengthMm, store.style.units)}`
})
</script>

<template>
  <article v-if="step" class="flex min-w-0 flex-col" :data-step="step.instance">
    <header class="px-4 pt-2 pb-2">
      <h2 class="text-lg leading-tight font-semibold">{{ titleOf(step) }}</h2>
      <p v-if="step.at" class="label mt-0.5">
        <span
          v-if="step.do === 'join'"
          class="mr-1 inline-grid size-4 place-items-center rounded-full bg-leaf text-[10px] font-bold text-on-leaf"
          aria-hidden="true"
          >A</span
        >{{ step.at }}
      </p>
    </header>
    <div class="border-y border-line bg-card">
      <StepPicture :assembly="assembly" :steps="steps" :at="at" :width="width" :height="height" :view="view" />
    </div>
    <div class="px-4 pt-3">
      <p class="text-[15px] leading-snug">
        <template v-for="(sentence, i) in how" :key="i">{{ sentence }}{{ ' ' }}</template>
      </p>
      <dl class="mt-3 grid grid-cols-3 gap-2">
        <div class="chip">
          <dt class="sr-only">tool</dt>
          <dd class="flex items-center justify-between gap-1 font-semibold">
            {{ step.toolName }} <Wrench class="size-4 shrink-0 text-soft" aria-hidden="true" />
          </dd>
          <dd class="label tight">
            {{ where }}
          </dd>
        </div>
        <div class="chip">
          <dt class="sr-only">screw</dt>
          <dd class="font-semibold">{{ screw || (byKey ? 'its own screw' : 'no screw') }}</dd>
          <dd class="label tight">{{ step.firm }}</dd>
        </div>
        <div class="chip">
          <dt class="sr-only">time</dt>
          <dd class="flex items-center justify-between gap-1 font-semibold">
            {{ step.seconds }} s <Clock class="size-4 shrink-0 text-soft" aria-hidden="true" />
          </dd>
          <dd class="label tight">{{ yours }}</dd>
        </div>
      </dl>
      <p class="mt-3 flex gap-2.5 rounded-lg bg-blossom-tint px-3 py-2.5 leading-snug">
        <Triangle class="mt-0.5 size-4 shrink-0 fill-current text-amber" aria-hidden="true" />
        <span><strong>Check:</strong> {{ checkOf(step) }}</span>
      </p>
    </div>
  </article>
</template>

<style scoped>
.chip {
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
  padding: 0.4rem 0.6rem;
  min-width: 0;
}
</style>
