<script setup lang="ts">
import {
  type Cable,
  type Carried,
  carried,
  connectorIds,
  connectors,
  type Part,
  plugAngles,
  type Power,
  type Socket,
  isUnknown,
  nowKnown,
  nowUnknown,
} from '@zucchini/core/catalogue'
import { Plus } from '@lucide/vue'
import { computed } from 'vue'
import OptionalField from './OptionalField.vue'
import { newCable, newSocket, newStore } from './part-draft.ts'
import SocketRow from './SocketRow.vue'

const props = defineProps<{ part: Part }>()
const emit = defineEmits<{ change: [more: Partial<Part>] }>()

const isLead = computed(() => props.part.role.endsWith('-cable'))
const isBattery = computed(() => props.part.role === 'battery')
const power = computed<Power>(() => props.part.power ?? {})
const store = computed(() => power.value.store)
const cable = computed<Cable>(() => props.part.cable ?? newCable())

/** What is left empty is not stated: the figure goes out of the part. */
const draw = (key: 'drawW' | 'standbyW' | 'fullW' | 'ownMin' | 'chargesW', value: number | undefined) => {
  const { [key]: _, ...rest } = power.value
  emit('change', { power: value === undefined ? rest : { ...rest, [key]: value } })
}
const askDraw = (unknown: boolean) =>
  emit('change', unknown ? nowUnknown(props.part, 'drawW') : nowKnown(props.part, 'drawW'))
const hold = (more: Partial<NonNullable<Power['store']>>) =>
  emit('change', { power: { ...power.value, store: { ...(store.value ?? newStore()), ...more } } })
const lead = (more: Partial<Cable>) => emit('change', { cable: { ...cable.value, ...more } })
const pass = (what: Carried, on: boolean) =>
  lead({ carries: on ? [...cable.value.carries, what] : cable.value.carries.filter((own) => own !== what) })
const sockets = (list: readonly Socket[]) => emit('change', { sockets: [...list] })
const freeSocket = () => {
  const known = new Set([...(props.part.sockets ?? []), ...props.part.mounts].map(({ id }) => id))
  let n = (props.part.sockets?.length ?? 0) + 1
  while (known.has(`socket-${n}`)) n++
  return newSocket(`socket-${n}`)
}
const value = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value
const figures = [
  ['drawW', 'draws, W'],
  ['standbyW', 'waiting, W'],
  ['fullW', 'turned up, W'],
  ['ownMin', 'own battery, min'],
  ['chargesW', 'charges a bay with, W'],
] as const
</script>

<template>
  <section v-if="isLead" class="mt-4" aria-label="Lead">
    <h2 class="border-b border-line pb-1 font-semibold">
      Lead <span class="label font-normal">its two plugs, its length, what it passes</span>
    </h2>
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1.5 py-2">
      <span v-for="end in ['a', 'b'] as const" :key="end" class="flex items-center gap-1.5">
        <span class="label">{{ end === 'a' ? 'one end' : 'other end' }}</span>
        <select
          class="field py-0.5"
          :value="cable[end].connector"
          :aria-label="`${end === 'a' ? 'One' : 'Other'} end, connector`"
          @change="lead({ [end]: { ...cable[end], connector: value($event) } })"
        >
          <option v-for="id in connectorIds" :key="id" :value="id">{{ connectors[id].title }}</option>
        </select>
        <select
          class="field py-0.5"
          :value="cable[end].angle"
          :aria-label="`${end === 'a' ? 'One' : 'Other'} end, angle`"
          @change="lead({ [end]: { ...cable[end], angle: value($event) } })"
        >
          <option v-for="angle in plugAngles" :key="angle" :value="angle">{{ angle }}</option>
        </select>
      </span>
      <OptionalField
        label="length, mm"
        name="Length of the lead (mm)"
        :value="cable.lengthMm"
        @change="lead({ lengthMm: $event ?? NaN })"
      />
      <OptionalField
        label="thick, mm"
        name="Thickness of the lead (mm)"
        :value="cable.thickMm"
        @change="lead({ thickMm: $event ?? NaN })"
      />
      <label class="flex items-center gap-1.5"
        ><input
          type="checkbox"
          class="accent-leaf"
          :checked="cable.coil ?? false"
          @change="lead({ coil: ($event.target as HTMLInputElement).checked })"
        />
        spring lead</label
      >
      <label v-for="what in carried" :key="what" class="flex items-center gap-1.5"
        ><input
          type="checkbox"
          class="accent-leaf"
          :checked="cable.carries.includes(what)"
          @change="pass(what, ($event.target as HTMLInputElement).checked)"
        />{{ what }}</label
      >
    </div>
  </section>
  <template v-else>
    <section class="mt-4" aria-label="Power">
      <h2 class="border-b border-line pb-1 font-semibold">
        Power <span class="label font-normal">leave empty what does not apply</span>
      </h2>
      <label v-if="!isBattery" class="label flex items-center gap-1.5 pt-1.5"
        ><input
          type="checkbox"
          class="accent-leaf"
          :checked="isUnknown(part, 'drawW')"
          @change="askDraw(($event.target as HTMLInputElement).checked)"
        />it draws power, and nobody knows how much</label
      >
      <div class="flex flex-wrap items-center gap-x-4 gap-y-1.5 py-2">
        <template v-if="isBattery">
          <OptionalField
            label="holds, Wh"
            name="Holds (Wh)"
            :value="store?.capacityWh"
            @change="hold({ capacityWh: $event ?? NaN })"
          />
          <OptionalField
            label="empty, V"
            name="Lowest voltage (V)"
            :value="store?.volts.min"
            @change="hold({ volts: { max: store?.volts.max ?? 8.4, min: $event ?? NaN } })"
          />
          <OptionalField
            label="full, V"
            name="Highest voltage (V)"
            :value="store?.volts.max"
            @change="hold({ volts: { min: store?.volts.min ?? 6, max: $event ?? NaN } })"
          />
          <OptionalField
            label="gives at most, W"
            name="Gives at most (W)"
            :value="store?.maxW"
            @change="hold({ maxW: $event ?? NaN })"
          />
          <label class="flex items-center gap-1.5"
            ><input
              type="checkbox"
              class="accent-leaf"
              :checked="store?.gauge ?? false"
              @change="hold({ gauge: ($event.target as HTMLInputElement).checked })"
            />
            has a gauge</label
          >
        </template>
        <OptionalField
          v-for="[key, label] in figures"
          v-else
          :key="key"
          :label="label"
          :name="label"
          :value="power[key]"
          @change="draw(key, $event)"
        />
      </div>
    </section>
    <section class="mt-4" aria-label="Sockets">
      <h2 class="flex items-center gap-2 border-b border-line pb-1 font-semibold">
        Sockets <span class="label font-normal">where a plug goes in, and what goes through it</span>
        <button type="button" class="btn ml-auto py-0" @click="sockets([...(part.sockets ?? []), freeSocket()])">
          <Plus class="size-3.5" aria-hidden="true" /> socket
        </button>
      </h2>
      <SocketRow
        v-for="(socket, i) in part.sockets ?? []"
        :key="socket.id"
        :socket="socket"
        :n="i + 1"
        @change="sockets((part.sockets ?? []).map((old, at) => (at === i ? $event : old)))"
        @remove="sockets((part.sockets ?? []).filter((_, at) => at !== i))"
      />
    </section>
  </template>
</template>
