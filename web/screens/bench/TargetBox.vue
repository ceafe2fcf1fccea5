<script setup lang="ts">
import { type Assessment, heaviestOf, type TargetAnswer, type TargetId, usualTarget } from '@zucchini/core/assess'
import { computed, ref, shallowRef, useId, watch } from 'vue'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import { fill, grams, hoursMinutes, money, signed } from '../../wording.ts'
import { benchWorker } from '../../workers/client.ts'

// So much lighter, cheaper, sooner ready: one list of swaps and removals with the running sum, done by one press.
const props = defineProps<{ assessment: Assessment; target: TargetId }>()
const emit = defineEmits<{ own: [partId: string] }>()
const store = useRig()
const bench = useBench()
const field = useId()

/** Money is typed in whole units. */
const PER_UNIT = { 'in-hand': 1, 'to-buy': 100, 'set-up': 1 } as const
const words = { 'in-hand': 'lighter', 'to-buy': 'cheaper', 'set-up': 'sooner ready' } as const
/** On a head or a gimbal that binds, it is what the stand carries that one wants to come under. */
const stand = computed(() => (props.target === 'in-hand' ? heaviestOf(props.assessment).stand : undefined))
const unit = computed(() => ({ 'in-hand': 'g', 'to-buy': store.style.currency, 'set-up': 's' })[props.target])
const wanted = ref(0)
const answer = shallowRef<TargetAnswer>()
const isLooking = ref(false)
let asked = 0
watch(
  [() => props.target, () => props.assessment],
  () => {
    asked++
    answer.value = undefined
    isLooking.value = false
    wanted.value = Math.ceil(usualTarget(props.assessment, props.target) / PER_UNIT[props.target])
  },
  { immediate: true },
)
const say = (value: number) =>
  props.target === 'in-hand'
    ? grams(value, store.style.units)
    : props.target === 'to-buy'
      ? money(value, store.style.currency)
      : hoursMinutes(Math.round(value))
const look = async () => {
  const by = wanted.value * PER_UNIT[props.target]
  if (!(by > 0)) return
  const turn = ++asked
  isLooking.value = true
  const { rig, assembly } = props.assessment
  const found = await benchWorker().target(rig, assembly.setup.id, props.target, by)
  if (turn !== asked) return
  isLooking.value = false
  answer.value = found
}
const lines = computed(() =>
  (answer.value?.steps ?? []).map(({ remedy, gains, sum }) => ({
    what: fill(remedy.text, remedy.numbers, remedy.names, store.style),
    gains: signed(-gains, say),
    sum: signed(-sum, say),
  })),
)
const foresee = () => {
  const { remedy, effect } = answer.value ?? {}
  if (remedy) bench.foresee(remedy.commands, effect)
}
const doAll = () => {
  const { remedy } = answer.value ?? {}
  if (!remedy) return
  bench.forget()
  void store.apply(remedy.commands, `${lines.value.at(-1)?.sum ?? ''} by ${lines.value.length} changes`)
}
</script>

<template>
  <section class="mt-1 border-t border-line pt-2" aria-label="Bring it down" data-target>
    <form class="flex flex-wrap items-center gap-2" @submit.prevent="look">
      <label class="label" :for="field">Bring it down by</label>
      <input
        :id="field"
        v-model.number="wanted"
        class="field plain-number w-20 py-0.5 text-right"
        type="number"
        min="1"
        max="10000000"
        required
      />
      <span class="label"
        >{{ unit }}, {{ words[target] }}{{ stand ? `, so that ${stand.part.name} carries it` : '' }}</span
      >
      <button class="btn py-0.5" type="submit" :disabled="isLooking">
        {{ isLooking ? 'looking ...' : 'What would do it?' }}
      </button>
    </form>
    <div v-if="answer" aria-live="polite">
      <p v-if="answer.perhapsOwned" class="mt-1.5">
        Is {{ answer.perhapsOwned.name }} yours? It stands in the bill with
        <strong>{{ say(answer.perhapsOwned.minor) }}</strong>.
        <button class="cure ml-1" @click="emit('own', answer.perhapsOwned.partId)">I own this</button>
      </p>
      <table v-if="lines.length" class="mt-1.5 w-full text-left">
        <thead>
          <tr class="label tight">
            <th class="font-normal" scope="col">change</th>
            <th class="w-24 text-right font-normal" scope="col">brings</th>
            <th class="w-24 text-right font-normal" scope="col">so far</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in lines" :key="line.what" class="border-t border-line">
            <td class="py-1 pr-3">{{ line.what }}</td>
            <td class="fig py-1 text-right font-normal!">{{ line.gains }}</td>
            <td class="fig py-1 text-right">{{ line.sum }}</td>
          </tr>
        </tbody>
      </table>
      <p class="mt-1.5 flex flex-wrap items-center gap-2">
        <span :class="answer.isReached ? 'text-leaf' : 'text-amber'">{{
          answer.isReached
            ? 'That reaches it. Nothing the brief asks for is lost, and nothing new is wrong in any set-up.'
            : lines.length
              ? 'More is not to be had without losing what the brief asks for.'
              : 'Nothing can be swapped or left out for it without losing what the brief asks for.'
        }}</span>
        <button
          v-if="lines.length"
          class="btn btn-do ml-auto py-0.5"
          @click="doAll"
          @mouseenter="foresee"
          @mouseleave="bench.forget()"
          @focus="foresee"
          @blur="bench.forget()"
        >
          Do {{ lines.length > 1 ? `all ${lines.length}` : 'it' }}
        </button>
      </p>
    </div>
  </section>
</template>
