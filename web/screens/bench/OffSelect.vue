<script setup lang="ts">
import { type OffPlace, offPlaces, offPlaceWords } from '@zucchini/core/assembly'
import { useRig } from '../../stores/rig.ts'

/** Where a piece goes along without sitting on the rig; `otherwise` says what it does when it is off nowhere. */
const props = defineProps<{ instance: string; name: string; at: OffPlace | undefined; otherwise: string }>()
const store = useRig()

const put = (value: string) => {
  const at = offPlaces.find((place) => place === value)
  if (!store.setup || at === props.at) return
  const where = { setup: store.setup.id, instance: props.instance }
  if (at) store.apply([{ do: 'stow', ...where, at }], `${props.name} ${offPlaceWords[at]}`)
  else store.apply([{ do: 'take-off', ...where }], `${props.name} no longer off the rig`)
}
</script>

<template>
  <select
    class="field min-w-0 py-0.5"
    :value="at ?? ''"
    :aria-label="`Where ${name} goes along`"
    @change="put(($event.target as HTMLSelectElement).value)"
  >
    <option value="">{{ otherwise }}</option>
    <option v-for="place in offPlaces" :key="place" :value="place">{{ offPlaceWords[place] }}</option>
  </select>
</template>
