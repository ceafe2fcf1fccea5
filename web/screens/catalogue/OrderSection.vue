<script setup lang="ts">
import { type Part, type Role, roleIds, roles } from '@zucchini/core/catalogue'
import { computed } from 'vue'

// What the maker says of putting it together, and which tools it is.
const props = defineProps<{ part: Part }>()
const emit = defineEmits<{ change: [more: Partial<Part>] }>()

type Order = NonNullable<Part['order']>
const order = computed<Order>(() => props.part.order ?? {})
/** Points on which something sits: what goes on first can only go on there. */
const points = computed(() => props.part.mounts.filter(({ side, carries }) => side === 'holds' || carries === true))
const textOf = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value.trim()

/** What says nothing is not stated. */
const set = (more: Order) => {
  const next = { ...order.value, ...more }
  const stated: Order = {
    ...(next.joinedBefore?.length ? { joinedBefore: next.joinedBefore } : {}),
    ...(next.offFirst?.length ? { offFirst: next.offFirst } : {}),
    ...(next.faceUp ? { faceUp: next.faceUp } : {}),
  }
  const { order: _, ...rest } = props.part
  emit('change', Object.keys(stated).length > 0 ? { order: stated } : rest)
}
const joined = (id: string, on: boolean) => {
  const now = order.value.joinedBefore ?? []
  set({ joinedBefore: on ? [...now, id] : now.filter((one) => one !== id) })
}
const off = (role: string) => {
  const found = roleIds.find((id) => id === role)
  if (found) set({ offFirst: [...new Set([...(order.value.offFirst ?? []), found])] })
}
const notOff = (role: Role) => set({ offFirst: (order.value.offFirst ?? []).filter((one) => one !== role) })
const tools = (event: Event) => {
  const serves = textOf(event)
    .split(',')
    .map((one) => one.trim())
    .filter(Boolean)
  const { serves: _, ...rest } = props.part
  emit('change', serves.length > 0 ? { serves } : rest)
}
</script>

<template>
  <section class="mt-4" aria-label="Order and tools">
    <h2 class="border-b border-line pb-1 font-semibold">
      Order and tools <span class="label font-normal">as its maker states it</span>
    </h2>
    <div class="flex flex-wrap items-center gap-x-5 gap-y-2 py-2">
      <label class="flex items-center gap-1.5"
        ><span class="label">what is up when it sits right</span
        ><input
          class="field w-36 py-0.5"
          maxlength="40"
          placeholder="the arrow"
          :value.prop="order.faceUp ?? ''"
          @change="set({ faceUp: textOf($event) })"
      /></label>
      <label class="flex items-center gap-1.5"
        ><span class="label">tools it is, or holds</span
        ><input
          class="field w-44 py-0.5"
          maxlength="200"
          placeholder="4 mm key, coin"
          :value.prop="(part.serves ?? []).join(', ')"
          @change="tools"
      /></label>
      <label class="flex items-center gap-1.5"
        ><span class="label">off while it goes on</span
        ><select class="field py-0.5" value="" @change="off(textOf($event))">
          <option value="">choose</option>
          <option v-for="id in roleIds" :key="id" :value="id">{{ roles[id].title }}</option>
        </select></label
      >
      <button
        v-for="role in order.offFirst ?? []"
        :key="role"
        type="button"
        class="btn py-0"
        :aria-label="`${roles[role].title}: not off any more`"
        @click="notOff(role)"
      >
        {{ roles[role].title }} <span aria-hidden="true">×</span>
      </button>
    </div>
    <fieldset v-if="points.length" class="flex flex-wrap gap-x-4 gap-y-1 pb-2">
      <legend class="label">filled before it goes on, for later nobody gets at them</legend>
      <label v-for="mount in points" :key="mount.id" class="flex items-center gap-1.5"
        ><input
          type="checkbox"
          class="accent-leaf"
          :checked="order.joinedBefore?.includes(mount.id) === true"
          @change="joined(mount.id, ($event.target as HTMLInputElement).checked)"
        />
        {{ mount.label ?? mount.id }}</label
      >
    </fieldset>
  </section>
</template>
