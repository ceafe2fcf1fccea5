<script setup lang="ts">
import { type Brief, dayLight, dayOf, type Phase } from '@zucchini/core/brief'
import { Plus } from '@lucide/vue'
import { computed } from 'vue'
import { hours } from '../../wording.ts'
import { clock, sceneWords } from '../light/light-words.ts'
import { useRowKeys } from '../../widgets/row-keys.ts'
import DayPartRow from './DayPartRow.vue'

const props = defineProps<{ brief: Brief }>()
const emit = defineEmits<{ change: [phases: readonly Phase[]] }>()

const own = computed(() => props.brief.phases.length > 0)
const parts = computed(() => dayOf(props.brief))
const total = computed(() => parts.value.reduce((sum, { minutes }) => sum + minutes, 0))
const rolling = computed(() => parts.value.reduce((sum, { kind, minutes }) => sum + (kind === 'roll' ? minutes : 0), 0))
/** Parts for which the sun was named when it is down. */
const refused = computed(() => dayLight(props.brief).filter((light) => light.refused))
const MOST = 24
/** What was refused in a part stays with it when another is left out. */
const { keys, leaveOut } = useRowKeys(() => parts.value)

const change = (i: number, phase: Phase) =>
  emit(
    'change',
    parts.value.map((old, at) => (at === i ? phase : old)),
  )
const add = () => emit('change', [...parts.value, { name: 'another scene', kind: 'roll', minutes: 20, mains: false }])
const remove = (i: number) => {
  leaveOut(i)
  emit(
    'change',
    parts.value.filter((_, at) => at !== i),
  )
}
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
      <DayPartRow
        v-for="(phase, i) in parts"
        :key="keys[i] ?? i"
        :phase="phase"
        :n="i + 1"
        @change="change(i, $event)"
        @remove="remove(i)"
      />
    </ol>
    <button type="button" class="btn mt-1.5 py-0.5" :disabled="parts.length >= MOST" @click="add">
      <Plus class="size-4" aria-hidden="true" /> another part
    </button>
    <p v-for="part in refused" :key="part.fromMin" class="mt-1 text-[12.5px] text-brick" role="alert">
      The sun is down all through “{{ part.phase.name }}”, {{ clock(part.fromMin) }} to {{ clock(part.toMin) }}. It is
      taken as {{ sceneWords[part.scene] }}; choose another light or another hour.
    </p>
  </fieldset>
</template>
