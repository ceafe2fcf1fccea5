<script setup lang="ts">
import { type Brief, lightSchema, type Place, placeSchema, sunTimesOf, towns } from '@zucchini/core/brief'
import { computed } from 'vue'
import { z } from 'zod'
import Field from '../../widgets/Field.vue'
import { useLiveForm } from '../../widgets/form.ts'
import { clock, minuteOf } from '../light/light-words.ts'

const props = defineProps<{ brief: Brief }>()
const emit = defineEmits<{ change: [part: Partial<Brief>] }>()

const place = computed(() => props.brief.light.place)
const change = (part: Partial<Brief['light']>) => emit('change', { light: { ...props.brief.light, ...part } })

/** A town of the list brings its degrees and its clocks along; any other name is only a name. */
const placeNamed = (name: string): Partial<Place> =>
  towns.find((one) => one.name.toLowerCase() === name.toLowerCase()) ?? { name }

/** Fields as people read them: the clock for the minutes since midnight. */
const schema = z.object({
  date: lightSchema.shape.date,
  begins: z.string().refine((text) => minuteOf(text) !== undefined),
  ...placeSchema.shape,
  zone: z.string().trim().pipe(placeSchema.shape.zone),
})
useLiveForm(
  schema,
  () => ({ date: props.brief.light.date, begins: clock(props.brief.light.startMin), ...place.value }),
  ({ date, begins, name, ...where }) => {
    if (date !== undefined) change({ date })
    else if (begins !== undefined) change({ startMin: minuteOf(begins) ?? props.brief.light.startMin })
    else change({ place: { ...place.value, ...(name === undefined ? where : placeNamed(name)) } })
  },
  {
    date: 'Give a day, such as 2026-11-17.',
    begins: 'Give a time of day, such as 11:45.',
    name: 'A place has a name of at most 60 letters.',
    latitudeDeg: 'A latitude runs from −90 (south) to 90 (north).',
    longitudeDeg: 'A longitude runs from −180 (west) to 180 (east).',
    zone: 'Choose the time zone whose clocks count there, such as Europe/Lisbon.',
  },
)
const zones = Intl.supportedValuesOf('timeZone')
const townNames = towns.map(({ name }) => name)

const sun = computed(() => {
  const { rise, set, dawn, dusk } = sunTimesOf(props.brief.light.date, place.value)
  if (rise !== undefined && set !== undefined)
    return `The sun is up from ${clock(rise)} to ${clock(set)}${dusk === undefined ? '' : `; the last light goes at ${clock(dusk)}`}.`
  if (dawn !== undefined && dusk !== undefined)
    return `The sun does not rise; there is twilight from ${clock(dawn)} to ${clock(dusk)}.`
  return 'The sun neither rises nor sets on this day.'
})
</script>

<template>
  <fieldset>
    <legend class="label mb-1">When and where, for the height of the sun?</legend>
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1.5">
      <Field name="date" label="day" kind="date" labelled="beside" look="text-[13px]" />
      <Field name="begins" label="begins" kind="time" labelled="beside" look="text-[13px]" />
      <Field
        name="name"
        label="place"
        labelled="beside"
        look="w-56 text-[13px]"
        hint="a town, or any name"
        :suggestions="townNames"
      />
      <Field
        name="latitudeDeg"
        label="latitude"
        kind="number"
        labelled="beside"
        look="w-20 text-[13px]"
        unit="°"
        title="North of the equator is positive"
      />
      <Field
        name="longitudeDeg"
        label="longitude"
        kind="number"
        labelled="beside"
        look="w-21 text-[13px]"
        unit="°"
        title="East of Greenwich is positive"
      />
      <Field name="zone" label="clocks" labelled="beside" look="w-44 text-[13px]" :suggestions="zones" />
    </div>
    <p class="label mt-1" data-testid="sun-times">{{ sun }}</p>
  </fieldset>
</template>
