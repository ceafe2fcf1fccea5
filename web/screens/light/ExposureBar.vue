<script setup lang="ts">
import { type Brief, type Light, lightSchema } from '@zucchini/core/brief'
import type { SensorOptics } from '@zucchini/core/catalogue'
import type { LightPlan } from '@zucchini/core/optics'
import { computed } from 'vue'
import { z } from 'zod'
import Field from '../../widgets/Field.vue'
import { useLiveForm } from '../../widgets/form.ts'

const props = defineProps<{ brief: Brief; plan: LightPlan; sensor: SensorOptics | undefined }>()
const emit = defineEmits<{ change: [light: Light] }>()

const { shape } = lightSchema
/** Left empty it is left to the lens or the camera; a typed nought is refused, since there is no f/0 and no ISO 0. */
const orFree = (schema: z.ZodType<number>) => z.union([z.null(), schema.refine((value) => value !== 0)])
useLiveForm(
  z.object({ fps: shape.fps, shutterDeg: shape.shutterDeg, stop: orFree(shape.stop), iso: orFree(shape.iso) }),
  () => {
    const { fps, shutterDeg, stop, iso } = props.brief.light
    return { fps, shutterDeg, stop: stop || null, iso: iso || null }
  },
  ({ stop, iso, ...more }) =>
    emit('change', {
      ...props.brief.light,
      ...more,
      ...(stop === undefined ? {} : { stop: stop ?? 0 }),
      ...(iso === undefined ? {} : { iso: iso ?? 0 }),
    }),
  {
    fps: 'Frames in a second run from more than 0 to 1,000.',
    shutterDeg: 'A shutter opens more than 0 and at most 360 degrees.',
    stop: 'An f-number runs from 0.7 to 64; leave it empty for wide open.',
    iso: 'A sensitivity runs from 25 to 1,000,000; leave it empty for the camera’s own.',
  },
)
const NARROW = 'w-13 px-1.5 text-right text-[13px]'
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
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-3 gap-y-1" role="group" aria-label="Exposure">
    <Field name="fps" label="fps" kind="number" labelled="beside" :look="NARROW" />
    <Field name="shutterDeg" label="shutter" kind="number" labelled="beside" :look="NARROW" unit="°" />
    <Field
      name="stop"
      label="f-number"
      kind="number"
      labelled="beside"
      :look="NARROW"
      :hint="String(plan.setting.fNumber)"
      :step="0.1"
    />
    <Field
      name="iso"
      label="ISO"
      kind="number"
      labelled="beside"
      look="w-18 px-1.5 text-right text-[13px]"
      :hint="String(plan.setting.iso)"
      :step="100"
      :suggestions="(sensor?.isos ?? []).map(String)"
      :title="sensor?.isos ? `Native: ${sensor.isos.join(', ')}` : 'Native sensitivities unknown'"
    />
    <p v-if="plan.assumed.length" class="basis-full text-right text-[12.5px] text-amber" data-testid="assumed">
      {{ assumed }}
    </p>
  </div>
</template>
