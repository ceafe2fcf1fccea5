<script setup lang="ts">
import type { Brief, LensUse } from '@zucchini/core/brief'
import type { Part } from '@zucchini/core/catalogue'
import { Trash2 } from '@lucide/vue'
import { computed, ref } from 'vue'
import { useContext } from '../../stores/context.ts'

const props = defineProps<{ brief: Brief }>()
const emit = defineEmits<{ change: [part: Partial<Brief>] }>()
const context = useContext()

const MOST = 12
const wrong = ref('')
const owned = (part: Part) => (context.whole?.owned.get(part.id) ?? 0) > 0
/** Owned lenses first, each by its name. */
const known = computed(() =>
  [...(context.catalogue?.byRole.get('lens') ?? [])].sort(
    (a, b) => Number(owned(b)) - Number(owned(a)) || a.name.localeCompare(b.name),
  ),
)
const rows = computed(() =>
  props.brief.lenses.map((use) => ({ ...use, name: context.catalogue?.parts.get(use.partId)?.name ?? use.partId })),
)
const addable = computed(() => known.value.filter(({ id }) => !props.brief.lenses.some(({ partId }) => partId === id)))
const sum = computed(() => props.brief.lenses.reduce((all, { share }) => all + share, 0))

const set = (lenses: readonly LensUse[]) => emit('change', { lenses })
const share = (i: number, event: Event) => {
  const value = Number((event.target as HTMLInputElement).value || Number.NaN)
  const ok = value >= 0 && value <= 100
  wrong.value = ok ? '' : 'A share runs from 0 to 100 percent.'
  if (ok) set(props.brief.lenses.map((use, at) => (at === i ? { ...use, share: value } : use)))
}
const fields = (event: Event) => {
  const words = (event.target as HTMLInputElement).value.split(/[\s,;]+/).filter(Boolean)
  const values = words.map(Number)
  const ok = values.length <= MOST && values.every((value) => value >= 4 && value <= 2000)
  wrong.value = ok ? '' : 'Fields of view are focal lengths from 4 to 2,000 mm, twelve at most, such as 20, 35, 85.'
  if (ok) emit('change', { fieldsMm: values })
}
</script>

<template>
  <fieldset>
    <legend class="label mb-1 flex w-full items-baseline">
      Which lenses come along?
      <span v-if="brief.lenses.length" class="tight ml-2" :class="{ 'text-amber': Math.round(sum) !== 100 }"
        >{{ Math.round(sum) }} % of the shooting{{
          Math.round(sum) === 100 ? '' : '; shares are best 100 together'
        }}</span
      >
    </legend>
    <ul class="flex flex-col gap-1">
      <li
        v-for="(row, i) in rows"
        :key="row.partId"
        class="grid grid-cols-[minmax(0,1fr)_auto_28px] items-center gap-2"
        :data-lens-use="row.partId"
      >
        <span class="truncate">{{ row.name }}</span>
        <label class="label flex items-center gap-1"
          ><input
            type="number"
            class="field fig w-16 py-0.5 text-right text-ink"
            min="0"
            max="100"
            step="5"
            :value.prop="row.share"
            :aria-label="`Share of ${row.name}`"
            @change="share(i, $event)"
          />
          %</label
        >
        <button
          type="button"
          class="rounded p-1 text-soft hover:text-brick"
          :aria-label="`Leave ${row.name} at home`"
          @click="set(brief.lenses.filter((_, at) => at !== i))"
        >
          <Trash2 class="size-4" aria-hidden="true" />
        </button>
      </li>
    </ul>
    <p v-if="rows.length === 0" class="label">
      None chosen: the lenses that sit on the set-ups are taken, in equal shares.
    </p>
    <div class="mt-1.5 flex flex-wrap items-center gap-x-4 gap-y-1.5">
      <select
        class="field max-w-64 py-0.5"
        value=""
        aria-label="Take another lens along"
        :disabled="rows.length >= MOST"
        @change="
          set([
            ...brief.lenses,
            { partId: ($event.target as HTMLSelectElement).value, share: Math.max(0, 100 - Math.round(sum)) },
          ])
        "
      >
        <option value="" disabled>take another lens along</option>
        <option v-for="part in addable" :key="part.id" :value="part.id">
          {{ part.name }}{{ owned(part) ? ', owned' : '' }}
        </option>
      </select>
      <label class="flex items-center gap-2"
        ><span class="label">fields of view the film wants, mm</span
        ><input
          class="field fig w-36 py-0.5"
          :value.prop="brief.fieldsMm.join(', ')"
          placeholder="20, 35, 85"
          @change="fields"
        />
      </label>
    </div>
    <p v-if="wrong" class="mt-1 text-[12px] text-brick" role="alert">{{ wrong }}</p>
  </fieldset>
</template>
