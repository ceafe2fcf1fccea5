<script setup lang="ts">
import { type Brief, lightSchema, type Place, sunTimesOf, towns } from '@zucchini/core/brief'
import { computed, ref } from 'vue'
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
const number = (event: Event) => (text(event) === '' ? Number.NaN : Number(text(event)))
const place = computed(() => props.brief.light.place)
const changePlace = (part: Partial<Place>, words: string) => change({ place: { ...place.value, ...part } }, words)

/** A town of the list brings its degrees and its clocks along; any other name is only a name. */
const goTo = (name: string) => {
  const town = towns.find((one) => one.name.toLowerCase() === name.trim().toLowerCase())
  changePlace(town ?? { name: name.trim() }, 'A place has a name of at most 60 letters.')
}
const zones = Intl.supportedValuesOf('timeZone')

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
      <label class="label flex items-center gap-1.5"
        >day
        <input
          type="date"
          class="field py-0.5 text-[13px] text-ink"
          :value.prop="brief.light.date"
          @change="change({ date: text($event) }, 'Give a day, such as 2026-11-17.')"
      /></label>
      <label class="label flex items-center gap-1.5"
        >begins
        <input
          type="time"
          class="field py-0.5 text-[13px] text-ink"
          :value.prop="clock(brief.light.startMin)"
          @change="change({ startMin: minuteOf(text($event)) ?? Number.NaN }, 'Give a time of day, such as 11:45.')"
      /></label>
      <label class="label flex items-center gap-1.5"
        >place
        <input
          class="field w-56 py-0.5 text-[13px] text-ink"
          list="towns"
          maxlength="60"
          placeholder="a town, or any name"
          :value.prop="place.name"
          @change="goTo(text($event))"
      /></label>
      <datalist id="towns"><option v-for="town in towns" :key="town.name" :value="town.name" /></datalist>
      <label class="label flex items-center gap-1.5" title="North of the equator is positive"
        >latitude
        <input
          type="number"
          class="field fig w-20 py-0.5 text-[13px] text-ink"
          step="0.01"
          :value.prop="place.latitudeDeg"
          @change="changePlace({ latitudeDeg: number($event) }, 'A latitude runs from −90 (south) to 90 (north).')"
        />°</label
      >
      <label class="label flex items-center gap-1.5" title="East of Greenwich is positive"
        >longitude
        <input
          type="number"
          class="field fig w-21 py-0.5 text-[13px] text-ink"
          step="0.01"
          :value.prop="place.longitudeDeg"
          @change="changePlace({ longitudeDeg: number($event) }, 'A longitude runs from −180 (west) to 180 (east).')"
        />°</label
      >
      <label class="label flex items-center gap-1.5"
        >clocks
        <input
          class="field w-44 py-0.5 text-[13px] text-ink"
          list="zones"
          :value.prop="place.zone"
          @change="
            changePlace(
              { zone: text($event).trim() },
              'Choose the time zone whose clocks count there, such as Europe/Lisbon.',
            )
          "
      /></label>
      <datalist id="zones"><option v-for="zone in zones" :key="zone" :value="zone" /></datalist>
    </div>
    <p v-if="wrong" class="mt-1 text-[12px] text-brick" role="alert">{{ wrong }}</p>
    <p class="label mt-1" data-testid="sun-times">{{ sun }}</p>
  </fieldset>
</template>
