<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { computed, toRef, useTemplateRef, watch } from 'vue'
import { useSettings } from '../../stores/settings.ts'
import { useTable, type Column } from '../../widgets/table.ts'
import SortHeads from '../../widgets/SortHeads.vue'
import { grams, money } from '../../wording.ts'
import type { LockerRow } from './locker-rows.ts'
import { conditionWords } from './locker-words.ts'

// The pieces of the locker: any number of them, of which only those in sight are on the page.
const props = defineProps<{ rows: readonly LockerRow[]; total: number; picked: string }>()
defineEmits<{ look: [id: string] }>()
const settings = useSettings()

const columns: readonly Column<LockerRow>[] = [
  { id: 'name', title: 'pieces', value: ({ name }) => name.toLowerCase() },
  { id: 'is', title: 'is', value: ({ piece }) => Object.keys(conditionWords).indexOf(piece.condition) },
  { id: 'place', title: 'kept in', value: ({ piece }) => piece.place || undefined },
  { id: 'used', title: 'last used', value: ({ piece }) => piece.usedOn ?? undefined },
  { id: 'mass', title: 'mass', value: ({ massG }) => massG, right: true },
  { id: 'worth', title: 'worth about', value: ({ valueMinor }) => valueMinor, right: true },
  { id: 'rigs', title: 'in rigs', value: ({ usage }) => usage.length },
]
const { sorted, sorting, sortBy } = useTable(toRef(props, 'rows'), columns)
const GRID = 'grid grid-cols-[minmax(0,1fr)_62px_104px_92px_78px_92px_120px] gap-3 px-4'
const ROW_PX = 34
const region = useTemplateRef<HTMLElement>('region')
const virtual = useVirtualizer(
  computed(() => ({
    count: sorted.value.length,
    getScrollElement: () => region.value,
    estimateSize: () => ROW_PX,
    overscan: 8,
  })),
)
const list = computed(() =>
  virtual.value.getVirtualItems().flatMap(({ index, start }) => {
    const one = sorted.value[index]
    return one ? [{ one, start }] : []
  }),
)
watch(sorting, () => virtual.value.scrollToOffset(0))
</script>

<template>
  <SortHeads :columns="columns" :sorting="sorting" :class="[GRID, 'border-b border-line py-1']" @sort="sortBy">
    <template #name>{{ rows.length }} of {{ total }} pieces</template>
  </SortHeads>
  <div ref="region" class="min-h-0 flex-1 overflow-y-auto" tabindex="-1" role="region" aria-label="Pieces">
    <ul class="relative" :style="{ height: `${virtual.getTotalSize()}px` }">
      <li
        v-for="{ one, start } in list"
        :key="one.piece.id"
        class="absolute inset-x-0"
        :style="{ height: `${ROW_PX}px`, transform: `translateY(${start}px)` }"
      >
        <button
          :class="[
            GRID,
            'h-full w-full items-center border-b border-line text-left hover:bg-card',
            { 'bg-leaf-tint': one.piece.id === picked },
          ]"
          :aria-pressed="one.piece.id === picked"
          :data-piece="one.piece.id"
          @click="$emit('look', one.piece.id)"
        >
          <span class="truncate"
            >{{ one.name
            }}<span v-if="one.piece.state !== 'kept'" class="tag ml-2">{{
              one.piece.state === 'lent' ? `lent to ${one.piece.lentTo}` : one.piece.state
            }}</span></span
          >
          <span
            class="label tight"
            :class="{
              'text-amber!': one.piece.condition === 'worn',
              'text-brick!': one.piece.condition === 'faulty',
            }"
            >{{ conditionWords[one.piece.condition] }}</span
          >
          <span class="label tight truncate">{{ one.piece.place || '–' }}</span>
          <span class="label tight" :class="{ 'text-amber!': one.idle }"
            >{{ one.piece.usedOn ?? '–' }}{{ one.idle ? ' ▲' : '' }}</span
          >
          <span
            class="fig text-right font-normal!"
            data-given
            :title="one.measured ? `weighed on ${one.piece.measuredOn ?? ''}` : 'from the datasheet'"
            >{{ grams(one.massG, settings.units) }}{{ one.measured ? '' : ' ~' }}</span
          >
          <span class="fig text-right font-normal!" data-figure="piece-worth">{{
            one.valueMinor === undefined ? '–' : money(one.valueMinor, one.piece.currency)
          }}</span>
          <span
            class="label tight truncate"
            :title="
              one.usage.map(({ rigName, setups }) => `${rigName}: ${setups.join(', ') || 'in the bag'}`).join('\n')
            "
            >{{
              one.usage.length === 0 ? 'none' : one.usage.map(({ rigName }) => rigName.replace('The ', '')).join(', ')
            }}</span
          >
        </button>
      </li>
    </ul>
    <p v-if="rows.length === 0" class="p-6 text-soft">
      {{
        total === 0
          ? 'Nothing is owned yet. Add a piece of a part, or read a table under Files.'
          : 'Nothing is like that.'
      }}
    </p>
  </div>
</template>
