<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import { adviceFor, type Brief, lightOf, type Need, needsOf, sceneEv, unmet } from '@zucchini/core/brief'
import { capabilities, type Capability, capabilityIds } from '@zucchini/core/catalogue'
import { computed } from 'vue'
import type { Told } from '../../stores/told.ts'
import LevelMark from '../../widgets/LevelMark.vue'
import { ev, sceneWords } from '../light/light-words.ts'

const props = defineProps<{ assessment: Assessment; brief: Brief }>()
const emit = defineEmits<{ change: [part: Partial<Brief>] }>()

const camera = computed(() => props.assessment.assembly.placed[0]?.part)
const needs = computed(() => needsOf(props.brief))
const lacks = computed(() => (camera.value ? unmet(needs.value, [camera.value]) : []))
const advice = computed(() => adviceFor(props.brief))
const light = computed(() => lightOf(props.brief))
/** What the light to expect is made of. */
const lightTold = (): Told => ({
  id: 'light-to-expect',
  title: 'Light to expect',
  value: `${ev(light.value.lowEv)} to ${ev(light.value.highEv)}`,
  how: 'the darkest and the brightest scene that the parts of the day and the conditions suggest, at ISO 100',
  formulas: ['Exposure', 'The light of the day'],
  rows: light.value.scenes.map((scene) => ({ name: sceneWords[scene], value: ev(sceneEv[scene]) })),
})
const skipped = computed(() => capabilityIds.filter((id) => props.brief.wishes[id] === 'skip'))
const addable = computed(() =>
  capabilityIds.filter((id) => !needs.value.some((need) => need.capability === id) && !skipped.value.includes(id)),
)
const met = (need: Need) => !props.assessment.unmet.some(({ capability }) => capability === need.capability)

const wish = (capability: Capability, value: 'want' | 'skip' | undefined) => {
  const { [capability]: _, ...rest } = props.brief.wishes
  emit('change', { wishes: value ? { ...rest, [capability]: value } : rest })
}
const upper = (text: string) => text[0]?.toUpperCase() + text.slice(1)
const tone = { 'worth it': 'text-leaf', 'if it earns its place': 'text-soft', 'leave out': 'text-amber' } as const
</script>

<template>
  <section
    class="flex flex-col gap-5 border-line bg-card px-7 py-6 min-[900px]:overflow-y-auto min-[900px]:border-l"
    aria-label="What follows from it"
    aria-live="polite"
  >
    <div>
      <h2 class="font-semibold">
        The {{ camera?.name }} lacks
        {{ lacks.length === 0 ? 'nothing for this' : `${lacks.length} of ${needs.length} things this job asks for` }}
      </h2>
      <ul class="mt-2">
        <li
          v-for="need in lacks"
          :key="need.capability"
          class="flex items-baseline gap-2.5 border-b border-line py-1.5"
          :data-lack="need.capability"
        >
          <LevelMark :level="met(need) ? 'ok' : 'risk'" />
          <span class="min-w-0 flex-1"
            ><strong class="font-semibold">{{ upper(capabilities[need.capability].title) }}</strong
            ><span class="label"> – {{ need.because.reason }}</span></span
          >
          <span class="label tight shrink-0">{{ met(need) ? 'the rig has it' : 'still missing' }}</span>
          <button
            class="label shrink-0 underline decoration-line underline-offset-3 hover:decoration-ink"
            :aria-label="`Do without ${capabilities[need.capability].title}`"
            @click="wish(need.capability, need.because.from === 'operator' ? undefined : 'skip')"
          >
            do without
          </button>
        </li>
      </ul>
      <p v-if="skipped.length" class="label mt-2">
        Done without:
        <button
          v-for="id in skipped"
          :key="id"
          class="mr-2 underline decoration-line underline-offset-3 hover:decoration-ink"
          @click="wish(id, undefined)"
        >
          {{ capabilities[id].title }}
        </button>
      </p>
      <label class="label mt-2 flex items-center gap-2"
        >Ask for more
        <select
          class="field py-0.5"
          value=""
          @change="wish(($event.target as HTMLSelectElement).value as Capability, 'want')"
        >
          <option value="" disabled>choose</option>
          <option v-for="id in addable" :key="id" :value="id">{{ capabilities[id].title }}</option>
        </select>
      </label>
    </div>
    <div>
      <h2 class="font-semibold">What each station deserves</h2>
      <dl class="mt-2 grid grid-cols-[72px_138px_minmax(0,1fr)] gap-y-1">
        <template v-for="entry in advice" :key="entry.station">
          <dt class="font-medium">{{ upper(entry.station) }}</dt>
          <dd :class="tone[entry.verdict]" class="tight font-semibold">{{ entry.verdict }}</dd>
          <dd class="label">{{ entry.reason }}</dd>
        </template>
      </dl>
      <p class="label mt-2">A starting point from the kind of shoot. Nothing is locked.</p>
    </div>
    <div>
      <h2 class="font-semibold">Light to expect</h2>
      <p v-ask="['light-to-expect', { tell: lightTold }]" class="mt-1">
        From <span class="fig">{{ ev(light.lowEv) }}</span> to <span class="fig">{{ ev(light.highEv) }}</span> at ISO
        100, <span class="fig">{{ Math.round((light.highEv - light.lowEv) * 10) / 10 }}</span> stops apart
        <span class="label">({{ light.scenes.map((scene) => sceneWords[scene]).join(', ') }})</span>
      </p>
    </div>
    <p
      v-if="brief.conditions.includes('flight') || brief.conditions.includes('spray')"
      class="label border-l-2 border-blossom pl-3"
    >
      <template v-if="brief.conditions.includes('flight')"
        >Spare lithium packs travel in the cabin with their terminals covered; ask the airline and the regulator about
        sizes and numbers.
      </template>
      <template v-if="brief.conditions.includes('spray')"
        >Over water, tether what can fall, and follow the crew’s and local rules.</template
      >
    </p>
  </section>
</template>
