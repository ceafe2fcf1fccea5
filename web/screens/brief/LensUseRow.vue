<script setup lang="ts">
import { type LensUse, lensUseSchema } from '@zucchini/core/brief'
import { Trash2 } from '@lucide/vue'
import Field from '../../widgets/Field.vue'
import { useLiveForm } from '../../widgets/form.ts'

// One lens that comes along, and how much is shot with it.
const props = defineProps<{ name: string; use: LensUse }>()
const emit = defineEmits<{ change: [share: number]; remove: [] }>()
useLiveForm(
  lensUseSchema.pick({ share: true }),
  () => ({ share: props.use.share }),
  ({ share }) => share !== undefined && emit('change', share),
  { share: 'A share runs from 0 to 100 percent.' },
)
</script>

<template>
  <li class="grid grid-cols-[minmax(0,1fr)_auto_28px] items-center gap-2" :data-lens-use="use.partId">
    <span class="truncate">{{ name }}</span>
    <div>
      <Field
        name="share"
        :label="`Share of ${name}`"
        kind="number"
        labelled="heard"
        look="w-16 text-right"
        unit="%"
        :step="5"
      />
    </div>
    <button
      type="button"
      class="rounded p-1 text-soft hover:text-brick"
      :aria-label="`Leave ${name} at home`"
      @click="$emit('remove')"
    >
      <Trash2 class="size-4" aria-hidden="true" />
    </button>
  </li>
</template>
