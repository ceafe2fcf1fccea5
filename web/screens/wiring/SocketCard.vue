<script setup lang="ts">
import type { LeadLine } from '@zucchini/core/assess'
import { connectors } from '@zucchini/core/catalogue'
import { X } from '@lucide/vue'
import { computed, shallowRef, watch } from 'vue'
import { useRig } from '../../stores/rig.ts'
import { benchWorker } from '../../workers/client.ts'
import { voltSpan } from '../../wording.ts'
import LeadLines from './LeadLines.vue'

const props = defineProps<{ instance: string; socket: string }>()
const emit = defineEmits<{ close: [] }>()
const store = useRig()

const piece = computed(() => store.assessment?.assembly.byInstance.get(props.instance))
const socket = computed(() => piece.value?.part.sockets?.find(({ id }) => id === props.socket))
const facts = computed(() => {
  const own = socket.value
  if (!own) return []
  return [
    ['connector', connectors[own.connector].title],
    ['works as', own.direction === 'both' ? 'input and output' : own.direction === 'in' ? 'input' : 'output'],
    ['for', own.carries?.join(', ') ?? 'not stated'],
    ...(own.volts ? [[own.direction === 'out' ? 'gives' : 'bears', voltSpan(own.volts)]] : []),
    ...(own.watts ? [['at most', `${own.watts} W`]] : []),
    ...(own.needsPack ? [['works', 'only while the pack is in']] : []),
    ...(own.feeds?.length ? [['mic feed', own.feeds.join(', ')]] : []),
  ]
})
const lines = shallowRef<readonly LeadLine[]>()
let asked = 0
watch(
  () => [store.rig, store.setup?.id, props.instance, props.socket] as const,
  async ([rig, setup, instance, id]) => {
    const turn = ++asked
    lines.value = undefined
    if (!rig || !setup) return
    const found = await benchWorker().plugs(rig, setup, instance, id)
    if (turn === asked) lines.value = found
  },
  { immediate: true },
)
const take = (line: LeadLine) => {
  if (store.apply(line.commands, `plug in ${line.name}`)) emit('close')
}
</script>

<template>
  <section aria-label="The socket in hand">
    <h2 class="flex items-start gap-2 border-b border-line pb-1 font-semibold">
      <span class="min-w-0">{{ piece?.part.name }}, {{ socket?.label ?? socket?.id }}</span>
      <button class="btn ml-auto px-1.5 py-0" aria-label="Close" @click="emit('close')"><X class="size-4" /></button>
    </h2>
    <dl>
      <div v-for="[title, value] in facts" :key="title" class="flex gap-3 border-b border-line py-1">
        <dt class="text-soft">{{ title }}</dt>
        <dd class="ml-auto text-right">{{ value }}</dd>
      </div>
    </dl>
    <h3 class="mt-3 border-b border-line pb-1 font-semibold">What goes in</h3>
    <LeadLines
      :lines="lines"
      act="plug in"
      ends
      empty="No lead of the kit, the locker or the catalogue joins this to a free socket here."
      @take="take"
    />
  </section>
</template>
