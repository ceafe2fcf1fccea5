<script setup lang="ts">
import { looks, type Solid } from '@zucchini/core/catalogue'
import { X } from '@lucide/vue'
import { type Direction, directionName, directions } from './part-draft.ts'
import NumberField from './NumberField.vue'
import VecField from './VecField.vue'

const props = defineProps<{ solid: Solid; n: number }>()
const emit = defineEmits<{ change: [solid: Solid]; remove: [] }>()
const change = (more: object) => emit('change', { ...props.solid, ...more })
const lookWords: Record<string, string> = {
  plain: 'plain',
  metal: 'metal',
  grip: 'grip',
  ribs: 'ribbed',
  glass: 'glass',
  screen: 'screen',
  foam: 'foam',
  knob: 'knob',
  detail: 'detail',
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-2.5 gap-y-1.5 border-b border-line py-2" :data-solid="n">
    <strong class="w-[62px] shrink-0">{{ solid.kind === 'box' ? 'Box' : solid.bore ? 'Ring' : 'Bar' }} {{ n }}</strong>
    <span class="flex items-center gap-1.5"
      ><span class="label">middle</span
      ><VecField :value="solid.centre" :name="`Solid ${n}, middle`" @change="change({ centre: $event })"
    /></span>
    <span v-if="solid.kind === 'box'" class="flex items-center gap-1.5"
      ><span class="label">wide, tall, deep</span
      ><VecField
        :value="solid.size"
        :name="`Solid ${n}`"
        :axes="['width', 'height', 'depth']"
        @change="change({ size: $event })"
    /></span>
    <template v-else>
      <span class="flex items-center gap-1.5"
        ><span class="label">radius</span
        ><NumberField :value="solid.radius" :name="`Solid ${n}, radius (mm)`" @change="change({ radius: $event })"
      /></span>
      <span class="flex items-center gap-1.5"
        ><span class="label">length</span
        ><NumberField :value="solid.length" :name="`Solid ${n}, length (mm)`" @change="change({ length: $event })"
      /></span>
      <span class="flex items-center gap-1.5" title="The free radius of a ring; 0 for a solid bar"
        ><span class="label">hole</span
        ><NumberField
          :value="solid.bore ?? 0"
          :name="`Solid ${n}, radius of its hole (mm)`"
          @change="change({ bore: $event > 0 ? $event : undefined })"
      /></span>
      <label class="flex items-center gap-1.5"
        ><span class="label">along</span
        ><select
          class="field py-0.5"
          :value="directionName(solid.axis) ?? ''"
          @change="change({ axis: directions[($event.target as HTMLSelectElement).value as Direction] })"
        >
          <option v-if="!directionName(solid.axis)" value="" disabled>slanted</option>
          <option v-for="(_, name) in directions" :key="name" :value="name">{{ name }}</option>
        </select></label
      >
    </template>
    <select
      class="field py-0.5"
      :value="solid.look ?? 'plain'"
      :aria-label="`Look of solid ${n}`"
      @change="change({ look: ($event.target as HTMLSelectElement).value })"
    >
      <option v-for="look in looks" :key="look" :value="look">{{ lookWords[look] }}</option>
    </select>
    <label class="flex items-center gap-1.5"
      ><input
        type="checkbox"
        class="accent-leaf"
        :checked="solid.matter === 'soft'"
        @change="change({ matter: ($event.target as HTMLInputElement).checked ? 'soft' : 'body' })"
      />
      soft</label
    >
    <button type="button" class="btn ml-auto px-1.5 py-0.5" :aria-label="`Remove solid ${n}`" @click="$emit('remove')">
      <X class="size-3.5" />
    </button>
  </div>
</template>
