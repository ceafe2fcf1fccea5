<script setup lang="ts">
import { averageOperator, isPosture, strengthFrom } from '@zucchini/core/balance'
import type { Assessment } from '@zucchini/core/assess'
import { computed, ref } from 'vue'
import { useContext } from '../../stores/context.ts'

const props = defineProps<{ assessment: Assessment }>()
const context = useContext()
const minutes = ref('')
const trouble = ref('')

const support = computed(() => props.assessment.assembly.setup.support)
const strength = computed(() => context.operator?.strengthNm ?? averageOperator.strengthNm)
const keep = async () => {
  if (!isPosture(support.value)) return
  const found = strengthFrom(props.assessment.mass.inHandG, support.value, Number(minutes.value))
  if (found === undefined || found < 5 || found > 300) {
    trouble.value = 'Give minutes between 0.1 and 20: the time until it began to hurt.'
    return
  }
  trouble.value = ''
  minutes.value = ''
  await context.setOperator({ strengthNm: Math.round(found * 10) / 10, armMassG: averageOperator.armMassG })
}
</script>

<template>
  <form class="flex flex-col gap-1.5" @submit.prevent="keep">
    <h2 class="font-semibold">Your own arm</h2>
    <p class="label leading-snug">
      {{
        context.calibrated
          ? `Reckoned with ${strength} N m at the shoulder, from your timed hold.`
          : 'Reckoned with an average adult.'
      }}
      Hold this set-up still, stop when it begins to hurt, and write down the minutes.
    </p>
    <div class="flex items-center gap-2">
      <label class="flex items-center gap-1.5"
        ><input
          v-model="minutes"
          class="field w-20 py-0.5 text-right"
          inputmode="decimal"
          aria-label="Minutes held"
          :disabled="!isPosture(support)"
        />
        min</label
      >
      <button class="btn btn-do py-0.5" :disabled="!isPosture(support) || !minutes">Keep</button>
      <button v-if="context.calibrated" type="button" class="btn py-0.5" @click="context.setOperator(undefined)">
        Average again
      </button>
    </div>
    <p v-if="trouble" role="alert" class="text-brick">{{ trouble }}</p>
    <p class="label leading-snug">An estimate (Rohmert 1960), not medical advice.</p>
  </form>
</template>
