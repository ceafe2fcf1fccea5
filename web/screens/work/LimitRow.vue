<script setup lang="ts">
import type { Limit } from '@zucchini/core/checks'
import type { Taught } from '@zucchini/core/log'
import { ref } from 'vue'
import { ApiRefusal } from '../../api.ts'
import { useContext } from '../../stores/context.ts'

const props = defineProps<{ limit: Limit; words: string; unit: string; shown?: Taught | undefined }>()
const context = useContext()
const wrong = ref('')
/** Money is kept in hundredths and shown in whole units. */
const hundredths = props.limit.unit === 'minor' ? 100 : 1

const set = async (value: number | null) => {
  wrong.value = ''
  if (value !== null && !Number.isFinite(value)) {
    wrong.value = 'Give a number.'
    return
  }
  try {
    await context.setLimit(props.limit.check, props.limit.option, value)
  } catch (error) {
    wrong.value = error instanceof ApiRefusal ? error.message : 'It could not be kept; try again when storage is back.'
  }
}
const typed = (event: Event) => {
  const { value } = event.target as HTMLInputElement
  return value.trim() === '' ? null : Math.round(Number(value.replace(',', '.')) * hundredths * 1e6) / 1e6
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
        <input
          class="field fig w-20 py-0.5"
          inputmode="decimal"
          :value.prop="limit.own === undefined ? '' : limit.own / hundredths"
          placeholder="usual"
          :aria-label="`${limit.title}, ${words}: my value`"
          :aria-invalid="wrong !== ''"
          @change="set(typed($event))"
        /><span class="label tight">{{ unit }}</span>
        <button v-if="limit.own !== undefined" type="button" class="btn py-0 text-[12.5px]" @click="set(null)">
          back to {{ limit.usual / hundredths }}
        </button>
      </span>
      <p v-if="shown" class="label mt-0.5" data-shown>
        {{ Math.round(shown.value) }} {{ unit }} by the watch, of {{ shown.times }}, last on {{ shown.last
        }}{{ limit.own === undefined ? ': counts' : '' }}
      </p>
      <p v-if="wrong" class="text-[12px] text-brick" role="alert">{{ wrong }}</p>
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
