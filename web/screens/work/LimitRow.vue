<script setup lang="ts">
import type { Limit } from '@zucchini/core/checks'
import type { Taught } from '@zucchini/core/log'
import { z } from 'zod'
import { ApiRefusal } from '../../api.ts'
import { useContext } from '../../stores/context.ts'
import Field from '../../widgets/Field.vue'
import { useLiveForm } from '../../widgets/form.ts'

const props = defineProps<{ limit: Limit; words: string; unit: string; shown?: Taught | undefined }>()
const context = useContext()
/** Money is kept in hundredths and shown in whole units. */
const hundredths = props.limit.unit === 'minor' ? 100 : 1

const { refuse } = useLiveForm<{ own: number | null }>(
  z.object({ own: z.number().nullable() }),
  () => ({ own: props.limit.own === undefined ? null : props.limit.own / hundredths }),
  ({ own }) => void set(own ?? null),
  { own: 'Give a number.' },
)
const set = async (value: number | null) => {
  const kept = value === null ? null : Math.round(value * hundredths * 1e6) / 1e6
  try {
    await context.setLimit(props.limit.check, props.limit.option, kept)
    refuse('own', undefined)
  } catch (error) {
    refuse('own', error instanceof ApiRefusal ? error.message : 'It could not be kept; try again when storage is back.')
  }
}
</script>

<template>
  <tr
    class="border-b border-line align-top max-md:grid max-md:grid-cols-[1fr_auto] max-md:gap-x-3 max-md:py-1.5"
    :data-limit="`${limit.check} ${limit.option}`"
  >
    <th class="py-1.5 pr-3 text-left font-normal" scope="row">
      {{ limit.title }} <span class="label tight">{{ words }}</span>
    </th>
    <td data-given class="fig py-1.5 pr-4 text-right whitespace-nowrap max-md:pr-0">
      {{ limit.usual / hundredths }} <span class="label tight">{{ unit }}</span>
    </td>
    <td class="py-1 pr-2 max-md:col-span-2">
      <span class="flex items-center gap-1.5">
        <Field
          name="own"
          :label="`${limit.title}, ${words}: my value`"
          kind="number"
          labelled="heard"
          look="w-20"
          hint="usual"
          :unit="unit"
        />
        <button v-if="limit.own !== undefined" type="button" class="btn py-0 text-[12.5px]" @click="set(null)">
          back to {{ limit.usual / hundredths }}
        </button>
      </span>
      <p v-if="shown" class="label mt-0.5" data-shown>
        {{ Math.round(shown.value) }} {{ unit }} by the watch, of {{ shown.times }}, last on {{ shown.last
        }}{{ limit.own === undefined ? ': counts' : '' }}
      </p>
    </td>
    <td class="py-1.5 text-[12.5px] leading-snug text-soft max-md:col-span-2 max-md:py-0.5">
      <span
        v-if="limit.guess"
        class="mr-1.5 rounded border border-line px-1 text-[11.5px] text-amber"
        title="No derivation and no publication stands behind it"
        >our own guess</span
      >{{ limit.source }}
    </td>
  </tr>
</template>
