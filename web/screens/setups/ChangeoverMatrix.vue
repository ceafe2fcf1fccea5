<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import type { Setup } from '@zucchini/core/assembly'
import { type Changeover, isCoinOnly } from '@zucchini/core/build-order'
import { computed } from 'vue'
import { hoursMinutes } from '../../wording.ts'

// From each set-up to each other: how long, with which tools. A press lays the two side by side.
export interface Side {
  readonly setup: Setup
  readonly assessment: Assessment
}
const props = defineProps<{
  sides: readonly Side[]
  between: (from: Side, to: Side) => Changeover
  picked: readonly string[]
}>()
const emit = defineEmits<{ pick: [from: string, to: string] }>()

const rows = computed(() =>
  props.sides.map((from) => ({
    from,
    cells: props.sides.map((to) => {
      const change = props.between(from, to)
      return { to, change, tools: change.tools.join(', '), coin: isCoinOnly(change) }
    }),
  })),
)
/** The longest way of all is drawn darkest. */
const longest = computed(() =>
  Math.max(1, ...rows.value.flatMap(({ cells }) => cells.map(({ change }) => change.seconds))),
)
const tint = (seconds: number) => ({
  background: `color-mix(in srgb, var(--blossom-tint) ${Math.round((seconds / longest.value) * 100)}%, transparent)`,
})
</script>

<template>
  <section
    class="relative overflow-x-auto rounded-xl border border-line bg-card px-4 py-3"
    aria-label="Every changeover"
  >
    <h2 class="font-semibold">From one to another</h2>
    <p class="label">Taken over in the field, leads and all; a press shows the steps. A ring: a coin is enough.</p>
    <table class="mt-2 border-separate border-spacing-1">
      <thead>
        <tr>
          <th class="label pr-2 text-left font-normal" scope="col">from \ to</th>
          <th v-for="{ setup } in sides" :key="setup.id" class="label px-1 pb-1 text-left font-normal" scope="col">
            {{ setup.name }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ from, cells } in rows" :key="from.setup.id">
          <th class="pr-3 text-left font-medium whitespace-nowrap" scope="row">{{ from.setup.name }}</th>
          <td v-for="{ to, change, tools, coin } in cells" :key="to.setup.id">
            <span v-if="to === from" class="label px-2" aria-hidden="true">–</span>
            <button
              v-else
              class="min-h-8 w-full min-w-24 rounded-md border px-2 py-1 text-left"
              :class="
                picked[0] === from.setup.id && picked[1] === to.setup.id
                  ? 'border-leaf'
                  : 'border-line hover:border-soft'
              "
              :style="tint(change.seconds)"
              data-given
              @click="emit('pick', from.setup.id, to.setup.id)"
            >
              <span class="sr-only">{{ from.setup.name }} to {{ to.setup.name }}: </span
              ><span class="fig">{{ hoursMinutes(change.seconds) }}</span>
              <span class="label tight block"
                ><span v-if="coin && tools" aria-hidden="true">◯ </span>{{ tools || 'by hand' }}</span
              >
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
