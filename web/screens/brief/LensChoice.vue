<script setup lang="ts">
import { type Brief, briefSchema, type LensUse } from '@zucchini/core/brief'
import type { Part } from '@zucchini/core/catalogue'
import { computed } from 'vue'
import { z } from 'zod'
import { useContext } from '../../stores/context.ts'
import Field from '../../widgets/Field.vue'
import { useLiveForm } from '../../widgets/form.ts'
import LensUseRow from './LensUseRow.vue'

const props = defineProps<{ brief: Brief }>()
const emit = defineEmits<{ change: [part: Partial<Brief>] }>()
const context = useContext()

const MOST = 12
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
/** Focal lengths as they are written in a line. */
const figuresIn = (text: string): readonly number[] =>
  text
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map(Number)
useLiveForm(
  z.object({ fields: z.string().refine((text) => briefSchema.shape.fieldsMm.safeParse(figuresIn(text)).success) }),
  () => ({ fields: props.brief.fieldsMm.join(', ') }),
  ({ fields = '' }) => emit('change', { fieldsMm: figuresIn(fields) }),
  { fields: 'Fields of view are focal lengths from 4 to 2,000 mm, twelve at most, such as 20, 35, 85.' },
)
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
      <LensUseRow
        v-for="(row, i) in rows"
        :key="row.partId"
        :name="row.name"
        :use="row"
        @change="set(brief.lenses.map((use, at) => (at === i ? { ...use, share: $event } : use)))"
        @remove="set(brief.lenses.filter((_, at) => at !== i))"
      />
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
      <Field
        name="fields"
        label="fields of view the film wants, mm"
        labelled="beside"
        look="fig w-36"
        hint="20, 35, 85"
        :longest="120"
      />
    </div>
  </fieldset>
</template>
