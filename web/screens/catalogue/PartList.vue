<script setup lang="ts">
import { type Part, roles } from '@zucchini/core/catalogue'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { computed, useTemplateRef, watch } from 'vue'
import { RouterLink } from 'vue-router'
import PartThumb from '../../drawing/PartThumb.vue'
import { useContext } from '../../stores/context.ts'
import { useSettings } from '../../stores/settings.ts'
import { partGrams, partPrice } from '../../wording.ts'

// The parts of the catalogue, each with its picture; only those in sight are on the page.
const props = defineProps<{ parts: readonly Part[]; picked: string | undefined }>()
const context = useContext()
const settings = useSettings()
const ROW_PX = 54
const region = useTemplateRef<HTMLElement>('region')
const virtual = useVirtualizer(
  computed(() => ({
    count: props.parts.length,
    getScrollElement: () => region.value,
    estimateSize: () => ROW_PX,
    overscan: 6,
  })),
)
const rows = computed(() =>
  virtual.value.getVirtualItems().flatMap(({ index, start }) => {
    const row = props.parts[index]
    return row ? [{ row, start }] : []
  }),
)
watch(
  () => props.parts,
  () => virtual.value.scrollToOffset(0),
)
</script>

<template>
  <div ref="region" class="min-h-0 flex-1 overflow-y-auto" tabindex="-1" role="region" aria-label="Parts">
    <ul class="relative" :style="{ height: `${virtual.getTotalSize()}px` }">
      <li
        v-for="{ row, start } in rows"
        :key="row.id"
        class="absolute inset-x-0"
        :style="{ height: `${ROW_PX}px`, transform: `translateY(${start}px)` }"
      >
        <RouterLink
          :to="{ name: 'part', params: { part: row.id } }"
          class="grid h-full grid-cols-[52px_minmax(0,1fr)_58px_78px] items-center gap-2 border-b border-line px-3 hover:bg-leaf-tint"
          :class="{ 'bg-leaf-tint': row.id === picked }"
          :aria-current="row.id === picked ? 'true' : undefined"
          :data-part="row.id"
        >
          <PartThumb :part="row" />
          <span class="min-w-0"
            ><span class="block truncate" :title="row.name">{{ row.name }}</span
            ><span class="label tight"
              >{{ roles[row.role].title }}<span v-if="context.owned.get(row.id)" class="tag ml-1.5">owned</span
              ><span v-if="context.own.has(row.id)" class="tag ml-1.5">mine</span></span
            ></span
          >
          <span class="fig text-right" data-given>{{ partGrams(row, settings.units) }}</span>
          <span class="fig text-right" data-given>{{ partPrice(row, context.money?.home ?? 'EUR') }}</span>
        </RouterLink>
      </li>
    </ul>
    <p v-if="context.catalogue && parts.length === 0" class="p-6 text-center text-soft">
      Nothing is like that. Loosen the filter, or enter the part yourself.
    </p>
  </div>
</template>
