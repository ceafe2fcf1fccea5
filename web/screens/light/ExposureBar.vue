<script setup lang="ts">
import { type Brief, type Light, lightSchema } from '@zucchini/core/brief'
import type { SensorOptics } from '@zucchini/core/catalogue'
import type { LightPlan } from '@zucchini/core/optics'
import { computed, ref } from 'vue'

const props = defineProps<{ brief: Brief; plan: LightPlan; sensor: SensorOptics | undefined }>()
const emit = defineEmits<{ change: [light: Light] }>()

const wrong = ref('')
const words: Readonly<Record<string, string>> = {
  fps: 'Frames in a second run from more than 0 to 1,000.',
  shutterDeg: 'A shutter opens more than 0 and at most 360 degrees.',
  stop: 'An f-number runs from 0.7 to 64; leave it empty for wide open.',
  iso: 'A sensitivity runs from 25 to 1,000,000; leave it empty for the camera’s own.',
}

/**
 * An empty field leaves it to the lens or the camera; a typed nought is refused, since there is no f/0 and no ISO 0.
 */
const change = (key: 'fps' | 'shutterDeg' | 'stop' | 'iso', event: Event) => {
  const field = event.target as HTMLInputElement
  const free = key === 'stop' || key === 'iso'
  const value = field.value === '' ? (free ? 0 : Number.NaN) : Number(field.value)
  const light = { ...props.brief.light, [key]: value }
  const ok = lightSchema.safeParse(light).success && (value !== 0 || field.value === '')
  wrong.value = ok ? '' : (words[key] ?? '')
  field.setAttribute('aria-invalid', String(!ok))
  if (ok) emit('change', light)
}
/** A figure nobody stated is told as what it is. */
const assumed = computed(() =>
  props.plan.assumed
    .map((one) =>
      one === 'iso'
        ? `ISO ${props.plan.setting.iso} is assumed: the camera states no native one`
        : `f/${props.plan.setting.fNumber} is assumed: no lens states how wide it opens`,
    )
    .join('; '),
)
const shown = (value: number): string => (value === 0 ? '' : String(value))
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-3 gap-y-1" role="group" aria-label="Exposure">
    <label class="label flex items-center gap-1"
      ><input
        type="number"
        class="field fig plain-number w-12 px-1.5 py-0.5 text-right text-[13px] text-ink"
        :value.prop="brief.light.fps"
        min="1"
        step="any"
        @change="change('fps', $event)"
      />
      fps</label
    >
    <label class="label flex items-center gap-1"
      >shutter<input
        type="number"
        class="field fig plain-number w-13 px-1.5 py-0.5 text-right text-[13px] text-ink"
        :value.prop="brief.light.shutterDeg"
        min="1"
        max="360"
        step="any"
        @change="change('shutterDeg', $event)"
      />°</label
    >
    <label class="label flex items-center gap-1"
      >f/<input
        type="number"
        class="field fig plain-number w-13 px-1.5 py-0.5 text-right text-[13px] text-ink"
        :value.prop="shown(brief.light.stop)"
        :placeholder="String(plan.setting.fNumber)"
        min="0.7"
        step="any"
        aria-label="f-number"
        @change="change('stop', $event)"
    /></label>
    <label class="label flex items-center gap-1"
      >ISO<input
        type="number"
        class="field fig plain-number w-18 px-1.5 py-0.5 text-right text-[13px] text-ink"
        :value.prop="shown(brief.light.iso)"
        :placeholder="String(plan.setting.iso)"
        min="25"
        step="any"
        list="native-isos"
        :title="sensor?.isos ? `Native: ${sensor.isos.join(', ')}` : 'Native sensitivities unknown'"
        @change="change('iso', $event)"
    /></label>
    <datalist id="native-isos"><option v-for="one in sensor?.isos ?? []" :key="one" :value="one" /></datalist>
    <p v-if="plan.assumed.length" class="basis-full text-right text-[12.5px] text-amber" data-testid="assumed">
      {{ assumed }}
    </p>
    <p v-if="wrong" class="basis-full text-[12.5px] text-brick" role="alert">{{ wrong }}</p>
  </div>
</template>
