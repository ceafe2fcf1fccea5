<script setup lang="ts">
import { type Phase, phaseKinds, phaseSchema, sceneIds } from '@zucchini/core/brief'
import { Trash2 } from '@lucide/vue'
import Field from '../../widgets/Field.vue'
import { useLiveForm } from '../../widgets/form.ts'
import { sceneWords } from '../light/light-words.ts'

// One part of the day: what it is called, what the camera does in it, its light, how long it lasts.
const props = defineProps<{ phase: Phase; n: number }>()
const emit = defineEmits<{ change: [phase: Phase]; remove: [] }>()

useLiveForm<Phase>(
  phaseSchema,
  () => ({ ...props.phase, minutes: Math.round(props.phase.minutes) }),
  (part) => {
    const { scene, ...rest } = { ...props.phase, ...part }
    // Nothing chosen leaves it to the conditions and the hour.
    emit('change', scene ? { ...rest, scene } : rest)
  },
  {
    name: 'A part of the day has a name.',
    minutes: 'A part of the day has 1 to 1,440 minutes.',
  },
)
const kindWords = { off: 'switched off', setup: 'setting up', standby: 'waiting', roll: 'rolling' } as const
const kinds = phaseKinds.map((kind) => [kind, kindWords[kind]] as const)
const scenes = [['', 'by the hour'], ...sceneIds.map((id) => [id, sceneWords[id]] as const)] as const
</script>

<template>
  <li
    class="grid grid-cols-[minmax(0,1fr)_84px_auto_28px] items-center gap-1 max-[639px]:border-b max-[639px]:border-line max-[639px]:pb-2 min-[640px]:grid-cols-[minmax(0,1fr)_106px_154px_72px_auto_26px]"
  >
    <div class="min-w-0 max-[639px]:col-span-4">
      <Field name="name" :label="`Name of part ${n}`" labelled="heard" :longest="40" look="w-full min-w-0" />
    </div>
    <div>
      <Field name="kind" :label="`What the camera does in part ${n}`" kind="choice" labelled="heard" :choices="kinds" />
    </div>
    <div class="max-[639px]:col-span-3">
      <Field
        name="scene"
        :label="`Light in part ${n}`"
        kind="choice"
        labelled="heard"
        :choices="scenes"
        :disabled="phase.kind === 'off'"
      />
    </div>
    <div>
      <Field
        name="minutes"
        :label="`Minutes of part ${n}`"
        kind="number"
        labelled="heard"
        look="w-12"
        unit="min"
        :step="5"
      />
    </div>
    <Field class="label pl-1 whitespace-nowrap" name="mains" label="by a wall" kind="switch" />
    <button
      type="button"
      class="rounded p-1 text-soft hover:text-brick"
      :aria-label="`Leave out part ${n}`"
      @click="$emit('remove')"
    >
      <Trash2 class="size-4" aria-hidden="true" />
    </button>
  </li>
</template>
