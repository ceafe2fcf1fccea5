<script setup lang="ts">
import { type Mount, shoeLocks, standardOf, standards } from '@zucchini/core/catalogue'
import { X } from '@lucide/vue'
import { computed } from 'vue'
import MountGlyph from '../../widgets/MountGlyph.vue'
import { type Direction, directionName, directions, heightFor } from './part-draft.ts'
import NumberField from './NumberField.vue'
import VecField from './VecField.vue'

const props = defineProps<{ mount: Mount; n: number; picked: boolean }>()
const emit = defineEmits<{ change: [mount: Mount]; remove: []; pick: [] }>()
const change = (more: object) => emit('change', { ...props.mount, ...more })
const without = (key: keyof Mount) =>
  emit('change', Object.fromEntries(Object.entries(props.mount).filter(([name]) => name !== key)) as unknown as Mount)
const kind = computed(() => standardOf(props.mount.standard).kind)
const value = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value
const optional = (key: keyof Mount, to: number) =>
  Number.isFinite(to) && to !== 0 ? change({ [key]: to }) : without(key)
const face = (name: string) => {
  const out = directions[name as Direction]
  change({ out, up: heightFor(out) })
}
const slideWay = (name: string) =>
  name
    ? change({
        travel: {
          minMm: -10,
          maxMm: 10,
          stepMm: 1,
          ...props.mount.travel,
          along: directions[name as Direction],
        },
      })
    : without('travel')
</script>

<template>
  <div
    class="flex flex-wrap items-center gap-x-2.5 gap-y-1.5 border-b border-line py-2"
    :class="{ 'bg-blossom-tint': picked }"
    :data-mount="mount.id"
    @focusin="$emit('pick')"
  >
    <svg viewBox="-9 -9 18 18" class="size-5 shrink-0 text-leaf" aria-hidden="true">
      <MountGlyph :glyph="standardOf(mount.standard).glyph" />
    </svg>
    <input
      class="field w-[86px] py-0.5"
      :value="mount.id"
      maxlength="64"
      :aria-label="`Mount ${n}, short name`"
      @input="change({ id: value($event) })"
    />
    <select
      class="field py-0.5"
      :value="mount.standard"
      :aria-label="`Mount ${n}, standard`"
      @change="change({ standard: value($event) })"
    >
      <option v-for="standard in standards" :key="standard.id" :value="standard.id">{{ standard.title }}</option>
    </select>
    <select
      class="field py-0.5"
      :value="mount.side"
      :aria-label="`Mount ${n}, which half`"
      @change="change({ side: value($event) })"
    >
      <option value="holds">{{ standardOf(mount.standard).ends.holds }} (holds)</option>
      <option value="sits">{{ standardOf(mount.standard).ends.sits }} (sits)</option>
    </select>
    <span class="flex items-center gap-1.5"
      ><span class="label">at</span
      ><VecField :value="mount.at" :name="`Mount ${n}, place`" @change="change({ at: $event })"
    /></span>
    <label class="flex items-center gap-1.5"
      ><span class="label">faces</span
      ><select
        class="field py-0.5"
        :value="directionName(mount.out) ?? ''"
        :aria-label="`Mount ${n}, faces`"
        @change="face(value($event))"
      >
        <option v-if="!directionName(mount.out)" value="" disabled>slanted</option>
        <option v-for="(_, name) in directions" :key="name" :value="name">{{ name }}</option>
      </select></label
    >
    <label class="flex items-center gap-1.5"
      ><span class="label">slides</span
      ><select
        class="field py-0.5"
        :value="mount.travel ? (directionName(mount.travel.along) ?? '') : ''"
        :aria-label="`Mount ${n}, slides`"
        @change="slideWay(value($event))"
      >
        <option value="">not</option>
        <option v-for="(_, name) in directions" :key="name" :value="name">{{ name }}</option>
      </select></label
    >
    <span v-if="mount.travel" class="flex items-center gap-1"
      ><NumberField
        :value="mount.travel.minMm"
        :name="`Mount ${n}, slides from (mm)`"
        @change="change({ travel: { ...mount.travel, minMm: $event } })" /><span class="label">to</span
      ><NumberField
        :value="mount.travel.maxMm"
        :name="`Mount ${n}, slides to (mm)`"
        @change="change({ travel: { ...mount.travel, maxMm: $event } })"
    /></span>
    <span class="flex items-center gap-1.5"
      ><span class="label">long</span
      ><NumberField
        :value="mount.lengthMm ?? NaN"
        :name="`Mount ${n}, length (mm), if it is a rail or clamp`"
        @change="optional('lengthMm', $event)"
    /></span>
    <span class="flex items-center gap-1.5"
      ><span class="label">takes g</span
      ><NumberField
        :value="mount.limitG ?? NaN"
        :name="`Mount ${n}, rating (g), if the maker gives one`"
        @change="optional('limitG', $event)"
    /></span>
    <label class="flex items-center gap-1.5"
      ><span class="label">family</span
      ><input
        class="field w-[86px] py-0.5"
        :value="mount.family ?? ''"
        maxlength="40"
        :aria-label="`Mount ${n}, family or size`"
        @input="value($event) ? change({ family: value($event) }) : without('family')"
    /></label>
    <span v-if="kind === 'bayonet'" class="flex items-center gap-1.5"
      ><span class="label">flange</span
      ><NumberField
        :value="mount.flangeMm ?? NaN"
        :name="`Mount ${n}, flange distance from the sensor (mm)`"
        @change="optional('flangeMm', $event)"
    /></span>
    <span
      v-if="(kind === 'ring' && mount.side === 'holds') || (kind === 'gear' && mount.side === 'sits')"
      class="flex items-center gap-1.5"
      ><span class="label">across</span
      ><NumberField
        :value="mount.odMm ?? NaN"
        :name="`Mount ${n}, outer diameter (mm)`"
        @change="optional('odMm', $event)"
    /></span>
    <span v-if="kind === 'ring' && mount.side === 'sits'" class="flex items-center gap-1"
      ><span class="label">closes on</span
      ><NumberField
        :value="mount.closesOn?.minMm ?? NaN"
        :name="`Mount ${n}, closes on at least (mm)`"
        @change="change({ closesOn: { maxMm: $event, ...mount.closesOn, minMm: $event } })" /><span class="label"
        >to</span
      ><NumberField
        :value="mount.closesOn?.maxMm ?? NaN"
        :name="`Mount ${n}, closes on at most (mm)`"
        @change="change({ closesOn: { minMm: $event, ...mount.closesOn, maxMm: $event } })"
    /></span>
    <span v-if="kind === 'pad'" class="flex items-center gap-1"
      ><span class="label">flat over</span
      ><NumberField
        :value="mount.faceMm?.[0] ?? NaN"
        :name="`Mount ${n}, how wide it is flat (mm)`"
        @change="change({ faceMm: [$event, mount.faceMm?.[1] ?? $event] })" /><span class="label">by</span
      ><NumberField
        :value="mount.faceMm?.[1] ?? NaN"
        :name="`Mount ${n}, how tall it is flat (mm)`"
        @change="change({ faceMm: [mount.faceMm?.[0] ?? $event, $event] })"
    /></span>
    <label v-if="kind === 'shoe' && mount.side === 'sits'" class="flex items-center gap-1.5"
      ><span class="label">kept by</span
      ><select
        class="field py-0.5"
        :value="mount.lock ?? ''"
        :aria-label="`Mount ${n}, what keeps it in its shoe`"
        @change="value($event) ? change({ lock: value($event) }) : without('lock')"
      >
        <option value="">the springs of the shoe</option>
        <option v-for="lock in shoeLocks" :key="lock" :value="lock">a {{ lock }}</option>
      </select></label
    >
    <label v-if="kind === 'shoe'" class="flex items-center gap-1.5"
      ><input
        type="checkbox"
        class="accent-leaf"
        :checked="mount.sound ?? false"
        @change="($event.target as HTMLInputElement).checked ? change({ sound: true }) : without('sound')"
      />
      passes sound</label
    >
    <label class="flex items-center gap-1.5"
      ><input
        type="checkbox"
        class="accent-leaf"
        :checked="mount.antiTwist ?? false"
        @change="($event.target as HTMLInputElement).checked ? change({ antiTwist: true }) : without('antiTwist')"
      />
      can not turn</label
    >
    <button type="button" class="btn ml-auto px-1.5 py-0.5" :aria-label="`Remove mount ${n}`" @click="$emit('remove')">
      <X class="size-3.5" />
    </button>
  </div>
</template>
