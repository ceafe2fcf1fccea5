<script setup lang="ts">
import { type FigureData, figureFeatures, roleIds, roles } from '@zucchini/core/catalogue'
import { featureWords, figureFrom } from './part-draft.ts'

/** How a part is drawn, where its role says too little. */
defineProps<{ figure: FigureData | undefined }>()
defineEmits<{ change: [figure: FigureData | undefined] }>()
</script>

<template>
  <label class="block"
    ><span class="label block">drawn like</span
    ><select
      class="field py-0.5"
      :value="figure?.like ?? ''"
      @change="$emit('change', figureFrom(figure, { like: ($event.target as HTMLSelectElement).value }))"
    >
      <option value="">what it is</option>
      <option value="solids">its bare solids</option>
      <option v-for="role in roleIds" :key="role" :value="role">{{ roles[role].title }}</option>
    </select></label
  >
  <label v-for="feature in figureFeatures" :key="feature" class="label flex items-center gap-1.5 pb-1"
    ><input
      type="checkbox"
      class="accent-leaf"
      :checked="figure?.features?.includes(feature) ?? false"
      @change="$emit('change', figureFrom(figure, { toggle: feature }))"
    />
    {{ featureWords[feature] }}</label
  >
</template>
