<script setup lang="ts">
import { type Brief, lightSchema } from '@zucchini/core/brief'
import { ref } from 'vue'
import { clock, minuteOf } from '../light/light-words.ts'

const props = defineProps<{ brief: Brief }>()
const emit = defineEmits<{ change: [part: Partial<Brief>] }>()
const wrong = ref('')

const change = (part: Partial<Brief['light']>, words: string) => {
  const light = { ...props.brief.light, ...part }
  const ok = lightSchema.safeParse(light).success
  wrong.value = ok ? '' : words
  if (ok) emit('change', { light })
}
const text = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <fieldset>
    <legend class="label mb-1">When and where, for the height of the sun?</legend>
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1.5">
      <label class="label flex items-center gap-1.5"
        >day
        <input
          type="date"
          class="field py-0.5 text-[13px] text-ink"
          :value="brief.light.date"
          @change="change({ date: text($event) }, 'Give a day, such as 2026-11-17.')"
      /></label>
      <label class="label flex items-center gap-1.5"
        >begins
        <input
          type="time"
          class="field py-0.5 text-[13px] text-ink"
          :value="clock(brief.light.startMin)"
          @change="change({ startMin: minuteOf(text($event)) ?? Number.NaN }, 'Give a time of day, such as 11:45.')"
      /></label>
      <label class="label flex items-center gap-1.5"
        >latitude
        <input
          type="number"
          class="field fig w-18 py-0.5 text-[13px] text-ink"
          step="0.5"
          :value="brief.light.latitudeDeg"
          @change="
            change(
              { latitudeDeg: text($event) === '' ? Number.NaN : Number(text($event)) },
              'A latitude runs from −90 (south) to 90 (north).',
            )
          "
        />°</label
      >
    </div>
    <p v-if="wrong" class="mt-1 text-[12px] text-brick" role="alert">{{ wrong }}</p>
  </fieldset>
</template>
