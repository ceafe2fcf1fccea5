<script setup lang="ts">
import { averageOperator, isPosture, strengthFrom } from '@zucchini/core/balance'
import type { Assessment } from '@zucchini/core/assess'
import { computed } from 'vue'
import { z } from 'zod'
import { useContext } from '../../stores/context.ts'
import { useField } from '../../stores/field.ts'
import Field from '../../widgets/Field.vue'
import { typedIn, useSchemaForm } from '../../widgets/form.ts'

const props = defineProps<{ assessment: Assessment }>()
const context = useContext()
const field = useField()

/** Muscle strength that a timed hold can speak of, N m at the shoulder; outside, the minutes are a slip. */
const [WEAKEST_NM, STRONGEST_NM] = [5, 300] as const
const MINUTES = 'Give minutes between 0.1 and 20: the time until it began to hurt.'
const timed = z.strictObject({ minutes: typedIn(z.number().min(0.1).max(20)) })

const support = computed(() => props.assessment.assembly.setup.support)
const strength = computed(() => context.arm?.strengthNm ?? averageOperator.strengthNm)
const reckoned = computed(() =>
  context.calibrated
    ? `Reckoned with ${strength.value} N m at the shoulder, from your timed hold.`
    : field.learnt.strengthNm
      ? `Reckoned with ${Math.round(strength.value)} N m at the shoulder, from holds told in the log.`
      : 'Reckoned with an average adult.',
)
const { submit, resetForm } = useSchemaForm<z.infer<typeof timed>>(
  timed,
  { minutes: null },
  async ({ minutes }, refuse) => {
    if (minutes === null || !isPosture(support.value)) return
    const found = strengthFrom(props.assessment.mass.inHandG, support.value, minutes)
    if (found === undefined || found < WEAKEST_NM || found > STRONGEST_NM) {
      refuse({ minutes: MINUTES })
      return
    }
    await context.setOperator({ strengthNm: Math.round(found * 10) / 10, armMassG: averageOperator.armMassG })
    resetForm()
  },
  { minutes: MINUTES },
)
</script>

<template>
  <form class="flex flex-col gap-1.5" novalidate @submit="submit">
    <h2 class="font-semibold">Your own arm</h2>
    <p class="label leading-snug">
      {{ reckoned }}
      Hold this set-up still, stop when it begins to hurt, and write down the minutes.
    </p>
    <div class="flex items-end gap-2">
      <Field name="minutes" label="Minutes held" kind="number" class="w-28" :disabled="!isPosture(support)" />
      <button class="btn btn-do py-0.5" :disabled="!isPosture(support)">Keep</button>
      <button v-if="context.calibrated" type="button" class="btn py-0.5" @click="context.setOperator(undefined)">
        Average again
      </button>
    </div>
    <p class="label leading-snug">An estimate (Rohmert 1960), not medical advice.</p>
  </form>
</template>
