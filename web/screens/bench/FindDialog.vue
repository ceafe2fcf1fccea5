<script setup lang="ts">
import {
  Combobox,
  ComboboxInput,
  ComboboxOption,
  ComboboxOptions,
  Dialog,
  DialogPanel,
  DialogTitle,
} from '@headlessui/vue'
import { pointFor } from '@zucchini/core/assess'
import { freshId, offPlaceFor, offPlaceWords } from '@zucchini/core/assembly'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import { useContext } from '../../stores/context.ts'
import { reachable } from '../list.ts'
import { fill } from '../../wording.ts'
import { benchWorker } from '../../workers/client.ts'
import { BETWEEN, type Findable, findablesOf, OFF, search } from './findables.ts'

const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const store = useRig()
const bench = useBench()
const context = useContext()
const router = useRouter()
const query = ref('')
watch(
  () => props.open,
  () => (query.value = failed.value = ''),
)

const all = computed(() =>
  props.open && store.assessment && context.catalogue ? findablesOf(store.assessment, context.catalogue) : [],
)
const found = computed(() => search(all.value, query.value))
const placeOf = (name: string) =>
  reachable.some((screen) => screen.name === name && screen.path.includes(':id'))
    ? { name, params: { id: store.rig?.id }, query: { setup: store.setupId } }
    : { name }
const takeAlong = (partId: string) => {
  const part = context.catalogue?.parts.get(partId)
  if (!part || !store.rig || !store.setup) return
  const id = freshId(store.rig, partId)
  const at = offPlaceFor(part)
  const done = store.apply(
    [
      { do: 'add', instance: { id, partId, status: 'in' } },
      { do: 'stow', setup: store.setup.id, instance: id, at },
    ],
    `${part.name} ${offPlaceWords[at]}`,
  )
  if (done) bench.pickPiece(id)
}
/** Why nothing came of what was chosen; said in the dialog. */
const failed = ref('')
const putBetween = async (partId: string, title: string) => {
  if (!store.rig || !store.setup) return
  failed.value = ''
  const bundle = await benchWorker().placing(store.rig, store.setup.id, partId)
  if (!bundle) {
    failed.value = `Nothing in the catalogue makes a place for ${title} on this set-up.`
    return
  }
  emit('close')
  const { text, numbers, names, commands } = bundle.remedy
  if (!store.apply(commands, fill(text, numbers, names, store.style))) return
  const placed = commands.findLast((command) => command.do === 'place')
  if (placed?.do === 'place') bench.pickPiece(placed.joint.guest)
}
const go = (entry: Findable | null) => {
  if (entry?.target.startsWith(BETWEEN)) return putBetween(entry.target.slice(BETWEEN.length), entry.title)
  emit('close')
  if (!entry?.target) return
  if (entry.kind === 'piece') bench.pickPiece(entry.target)
  else if (entry.kind === 'set-up') store.setupId = entry.target
  else if (entry.kind === 'screen') void router.push(placeOf(entry.target))
  else if (entry.target.startsWith(OFF)) takeAlong(entry.target.slice(OFF.length))
  else {
    // Of the points that take a part, one where it does its work.
    const part = entry.kind === 'part' ? context.catalogue?.parts.get(entry.id.replace(/^part /, '')) : undefined
    const point = part && store.assessment && pointFor(store.assessment, part)
    bench.pickPoint(point ? `${point.piece.instance.id}/${point.mount.id}` : entry.target)
    bench.wanted = entry.kind === 'part' ? entry.title : ''
  }
}
</script>

<template>
  <Dialog :open="open" class="relative z-50" @close="$emit('close')">
    <div class="fixed inset-0 bg-black/30" aria-hidden="true" />
    <div class="fixed inset-0 flex items-start justify-center p-6 pt-[12vh]">
      <DialogPanel class="w-full max-w-xl overflow-hidden rounded-xl border border-line bg-card shadow-xl">
        <DialogTitle class="sr-only">Find a piece, a point, a part, a set-up or a screen</DialogTitle>
        <Combobox :model-value="null" @update:model-value="go">
          <ComboboxInput
            class="w-full border-b border-line bg-transparent px-4 py-3 text-[15px] outline-none"
            placeholder="A piece, an open point, a part, a set-up, a screen"
            aria-label="Find"
            autocomplete="off"
            @change="query = ($event.target as HTMLInputElement).value"
          />
          <ComboboxOptions static class="max-h-[50vh] overflow-y-auto p-1.5">
            <ComboboxOption v-for="entry in found" :key="entry.id" v-slot="{ active }" :value="entry" as="template">
              <li
                class="flex cursor-pointer items-baseline gap-3 rounded-md px-2.5 py-1.5"
                :class="{ 'bg-blossom-tint': active }"
              >
                <span class="truncate">{{ entry.title }}</span><span class="label tight truncate">{{ entry.note }}</span
                ><span class="label tight ml-auto shrink-0">{{ entry.kind }}</span>
              </li>
            </ComboboxOption>
            <li v-if="failed" class="px-2.5 py-2 text-amber" role="alert">{{ failed }}</li>
            <li v-if="found.length === 0" class="px-2.5 py-3 text-soft">
              Nothing of that name. Try a role, such as handle or microphone.
            </li>
          </ComboboxOptions>
        </Combobox>
      </DialogPanel>
    </div>
  </Dialog>
</template>
