<script setup lang="ts">
import type { LogPlan } from '@zucchini/core/assess'
import { useIntervalFn } from '@vueuse/core'
import { onBeforeUnmount, ref, shallowRef, useId } from 'vue'
import { api, ApiRefusal, type MeterFrame } from '../../api.ts'
import { shortName, volts, watts } from '../../wording.ts'

// A battery meter between a battery and a piece: it shows what is drawn; its mean is what one writes down.
defineProps<{ pieces: LogPlan['draws'] }>()
const emit = defineEmits<{ read: [piece: string, watts: number] }>()
const id = useId()
const chosen = ref('')
const frame = shallowRef<MeterFrame>()
const trouble = ref('')
const LOOK_MS = 700
const ask = async (what: () => Promise<MeterFrame>) => {
  try {
    frame.value = await what()
    trouble.value = ''
  } catch (error) {
    frame.value = undefined
    trouble.value = error instanceof ApiRefusal ? error.message : 'The meter does not answer.'
  }
}
const { pause, resume } = useIntervalFn(() => void ask(() => api.meter()), LOOK_MS, { immediate: false })
const plug = async (piece: string, part: string | undefined) => {
  chosen.value = piece
  pause()
  await ask(() => api.plugMeter(part ?? null))
  if (part) resume()
}
onBeforeUnmount(() => pause())
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-3 gap-y-2 rounded-lg border border-line bg-card px-3 py-2">
    <label class="label" :for="id">Battery meter (simulated) before</label>
    <select
      :id="id"
      class="field py-1"
      :value="chosen"
      @change="
        plug(
          ($event.target as HTMLSelectElement).value,
          pieces.find(({ piece }) => piece === ($event.target as HTMLSelectElement).value)?.partId,
        )
      "
    >
      <option value="">nothing</option>
      <option v-for="one in pieces" :key="one.piece" :value="one.piece">{{ shortName(one.name) }}</option>
    </select>
    <template v-if="frame?.part">
      <span data-given
        ><span class="fig">{{ watts(frame.watts) }}</span> at {{ volts(frame.volts) }}, mean
        <strong class="fig">{{ watts(frame.meanW) }}</strong></span
      >
      <button
        type="button"
        class="btn ml-auto py-0.5"
        :disabled="!frame.steady"
        @click="emit('read', chosen, frame.meanW)"
      >
        {{ frame.steady ? 'Take the mean' : 'wait ...' }}
      </button>
    </template>
    <span v-if="trouble" class="text-brick" role="alert">{{ trouble }}</span>
  </div>
</template>
