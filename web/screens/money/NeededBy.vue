<script setup lang="ts">
import { setupSchema } from '@zucchini/core/assembly'
import { z } from 'zod'
import Field from '../../widgets/Field.vue'
import { useLiveForm } from '../../widgets/form.ts'

// By when one set-up has to work; nothing: there is no hurry.
const props = defineProps<{ month: string | undefined; label: string }>()
const emit = defineEmits<{ change: [month: string | undefined] }>()
useLiveForm(
  z.object({ neededBy: z.union([z.literal(''), setupSchema.shape.neededBy.unwrap()]) }),
  () => ({ neededBy: props.month ?? '' }),
  ({ neededBy }) => emit('change', neededBy || undefined),
  { neededBy: 'Give a month, such as 2027-03.' },
)
</script>

<template>
  <Field
    name="neededBy"
    :label="label"
    kind="month"
    labelled="heard"
    look="min-h-6 w-[118px] px-1 py-0 text-[12.5px]"
  />
</template>
