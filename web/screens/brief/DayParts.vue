<script setup lang="ts">
import { type Brief, dayLight, dayOf, type Phase, phaseKinds, phaseSchema, sceneIds } from '@zucchini/core/brief'
import { Plus, Trash2 } from '@lucide/vue'
import { computed, ref } from 'vue'
import { hours } from '../../wording.ts'
import { clock, sceneWords } from '../light/light-words.ts'

const props = defineProps<{ brief: Brief }>()
const emit = defineEmits<{ change: [phases: readonly Phase[]] }>()

const own = computed(() => props.brief.phases.length > 0)
const parts = computed(() => dayOf(props.brief))
const total = computed(() => parts.value.reduce((sum, { minutes }) => sum + minutes, 0))
const rolling = computed(() => parts.value.reduce((sum, { kind, minutes }) => sum + (kind === 'roll' ? minutes : 0), 0))
const wrong = ref('')
/** Parts for which the sun was named when it is down. */
const refused = computed(() => dayLight(props.brief).filter((light) => light.refused))
const kindWords = { off: 'switched off', setup: 'setting up', standby: 'waiting', roll: 'rolling' } as const
const MOST = 24

const change = (i: number, part: Partial<Phase>) => {
  const next = parts.value.map((phase, at) => (at === i ? { ...phase, ...part } : phase))
  const parsed = phaseSchema.safeParse(next[i])
  wrong.value = parsed.success ? '' : 'A part of the day has a name and 1 to 1,440 minutes.'
  if (parsed.success) emit('change', next)
}
/** The light of a part of the day; nothing chosen leaves it to the conditions and the hour. */
const light = (i: number, word: string) => {
  const scene = sceneIds.find((id) => id === word)
  const next = parts.value.map((phase, at): Phase => {
    if (at !== i) return phase
    const { scene: _, ...rest } = phase
    return scene ? { ...rest, scene } : rest
  })
  emit('change', next)
}
const add = () => emit('change', [...parts.value, { name: 'another scene', kind: 'roll', minutes: 20, mains: false }])
const remove = (i: number) =>
  emit(
    'change',
    parts.value.filter((_, at) => at !== i),
  )
</script>

<template>
  <fieldset>
    <legend class="label mb-1 flex w-full items-baseline">
      The day in its parts
      <span class="tight ml-2">{{ hours(total) }}, {{ hours(rolling) }} rolling</span>
      <button
        v-if="own"
        type="button"
        class="ml-auto underline decoration-line underline-offset-3 hover:text-ink"
        @click="emit('change', [])"
      >
        make it up from the hours
      </button>
    </legend>
    <ol class="flex flex-col gap-1">
      <li
        v-for="(phase, i) in parts"
        :key="i"
        class="grid grid-cols-[minmax(0,1fr)_84px_auto_28px] items-center gap-1.5 max-[639px]:border-b max-[639px]:border-line max-[639px]:pb-2 min-[640px]:grid-cols-[minmax(0,1fr)_112px_122px_80px_auto_28px]"
      >
        <input
          class="field min-w-0 py-0.5 max-[639px]:col-span-4"
          maxlength="40"
          :value.prop="phase.name"
          :aria-label="`Name of part ${i + 1}`"
          @change="change(i, { name: ($event.target as HTMLInputElement).value })"
        />
        <select
          class="field py-0.5"
          :value="phase.kind"
          :aria-label="`What the camera does in part ${i + 1}`"
          @change="change(i, { kind: ($event.target as HTMLSelectElement).value as Phase['kind'] })"
        >
          <option v-for="kind in phaseKinds" :key="kind" :value="kind">{{ kindWords[kind] }}</option>
        </select>
        <select
          class="field py-0.5 max-[639px]:col-span-3"
          :value="phase.scene ?? ''"
          :disabled="phase.kind === 'off'"
          :aria-label="`Light in part ${i + 1}`"
          @change="light(i, ($event.target as HTMLSelectElement).value)"
        >
          <option value="">by the hour</option>
          <option v-for="scene in sceneIds" :key="scene" :value="scene">{{ sceneWords[scene] }}</option>
        </select>
        <span class="flex items-center gap-1"
          ><input
            type="number"
            class="field fig w-14 py-0.5"
            min="1"
            max="1440"
            step="5"
            :value.prop="Math.round(phase.minutes)"
            :aria-label="`Minutes of part ${i + 1}`"
            @change="change(i, { minutes: Number(($event.target as HTMLInputElement).value) })"
          /><span class="label">min</span></span
        >
        <label class="label flex items-center gap-1.5 whitespace-nowrap"
          ><input
            type="checkbox"
            class="accent-leaf"
            :checked="phase.mains"
            @change="change(i, { mains: ($event.target as HTMLInputElement).checked })"
          />
          near a wall</label
        >
        <button
          type="button"
          class="rounded p-1 text-soft hover:text-brick"
          :aria-label="`Leave out part ${i + 1}`"
          @click="remove(i)"
        >
          <Trash2 class="size-4" aria-hidden="true" />
        </button>
      </li>
    </ol>
    <p v-if="wrong" class="mt-1 text-[12px] text-brick" role="alert">{{ wrong }}</p>
    <button type="button" class="btn mt-1.5 py-0.5" :disabled="parts.length >= MOST" @click="add">
      <Plus class="size-4" aria-hidden="true" /> another part
    </button>
    <p v-for="part in refused" :key="part.fromMin" class="mt-1 text-[12.5px] text-brick" role="alert">
      The sun is down all through “{{ part.phase.name }}”, {{ clock(part.fromMin) }} to {{ clock(part.toMin) }}. It is
      taken as {{ sceneWords[part.scene] }}; choose another light or another hour.
    </p>
  </fieldset>
</template>
