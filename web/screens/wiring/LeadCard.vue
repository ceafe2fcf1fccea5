<script setup lang="ts">
import type { LeadLine } from '@zucchini/core/assess'
import type { Run } from '@zucchini/core/cabling'
import { connectors, type Part } from '@zucchini/core/catalogue'
import { X } from '@lucide/vue'
import { computed, shallowRef, watch } from 'vue'
import { useContext } from '../../stores/context.ts'
import { useRig } from '../../stores/rig.ts'
import { benchWorker } from '../../workers/client.ts'
import { millimetres, partGrams, voltSpan } from '../../wording.ts'
import LeadLines from './LeadLines.vue'
import { saverCommands, saversFor } from './savers.ts'

const props = defineProps<{ run: Run }>()
const emit = defineEmits<{ close: [] }>()
const store = useRig()
const context = useContext()

const mm = (value: number) => millimetres(Math.round(value), store.style.units)
const assessment = computed(() => store.assessment)
const feed = computed(() => assessment.value?.facts.network.feeds.find(({ link }) => link === props.run.link))
const place = (end: Run['from']) =>
  `${end.piece.part.name}, ${end.socket.label ?? connectors[end.socket.connector].title}`
const facts = computed(() => [
  ['from', place(props.run.from)],
  ['to', place(props.run.to)],
  [
    'along the rig',
    `${mm(props.run.pathMm)}${props.run.loopMm > 0 ? ` and ${mm(props.run.loopMm)} slack for what moves` : ''}`,
  ],
  ['reaches', `${mm(props.run.reachMm)}${props.run.cable.coil ? ', a spring lead' : ''}`],
  [props.run.spareMm < 0 ? 'missing' : 'hangs over', mm(Math.abs(props.run.spareMm))],
  ...(feed.value?.volts ? [['voltage', voltSpan(feed.value.volts)]] : []),
  ...(feed.value && Number.isFinite(feed.value.limitW) ? [['gives at most', `${feed.value.limitW} W`]] : []),
  ['weighs', partGrams(props.run.part, store.style.units)],
])
const holders = computed(() => assessment.value?.assembly.placed.filter(({ part }) => part.holdsCable) ?? [])
const through = (id: string, on: boolean) => {
  const { link } = props.run
  const list = on ? [...link.through, id] : link.through.filter((other) => other !== id)
  if (store.setup)
    store.apply([{ do: 'link', setup: store.setup.id, link: { ...link, through: list } }], `lay ${props.run.part.name}`)
}
/** Port savers and couplers that go into the socket at an end, those at hand first. */
const saversAt = (end: 'from' | 'to'): readonly Part[] =>
  saversFor(context.catalogue, props.run[end].coupler?.own.connector ?? props.run[end].socket.connector, context.owned)
const couple = (end: 'from' | 'to', partId: string) => {
  if (!store.rig || !store.setup) return
  const commands = saverCommands(store.rig, store.setup.id, props.run.link, end, partId)
  store.apply(commands, partId ? `a port saver on ${props.run.part.name}` : `no port saver on ${props.run.part.name}`)
}
const unplug = () => {
  if (
    store.setup &&
    store.apply([{ do: 'unlink', setup: store.setup.id, cable: props.run.link.cable }], `unplug ${props.run.part.name}`)
  )
    emit('close')
}

const others = shallowRef<readonly LeadLine[]>()
let asked = 0
watch(
  () => [props.run.link, store.rig] as const,
  async ([link, rig]) => {
    const turn = ++asked
    const setup = store.setup?.id
    if (!rig || !setup) return
    // What else would go between these two sockets: asked of a rig without this lead.
    const bare = {
      ...rig,
      setups: rig.setups.map((own) =>
        own.id === setup ? { ...own, links: own.links.filter((other) => other !== link) } : own,
      ),
    }
    const found = await benchWorker().plugs(bare, setup, link.from.instance, link.from.socket)
    if (turn === asked)
      others.value = found.filter(
        ({ partId, commands }) =>
          partId !== props.run.part.id &&
          commands.some(
            (command) =>
              command.do === 'link' &&
              [command.link.to, command.link.from].some((end) => end.instance === link.to.instance),
          ),
      )
  },
  { immediate: true },
)
const swap = (line: LeadLine) => {
  if (!store.setup) return
  const first = { do: 'unlink', setup: store.setup.id, cable: props.run.link.cable } as const
  if (store.apply([first, ...line.commands], `swap ${props.run.part.name} for ${line.name}`)) emit('close')
}
</script>

<template>
  <section aria-label="The lead in hand">
    <h2 class="flex items-start gap-2 border-b border-line pb-1 font-semibold">
      <span class="min-w-0">{{ run.part.name }}</span>
      <button class="btn ml-auto px-1.5 py-0" aria-label="Close" @click="emit('close')"><X class="size-4" /></button>
    </h2>
    <dl v-ask="['fact leads', assessment]">
      <div v-for="[title, value] in facts" :key="title" class="flex gap-3 border-b border-line py-1">
        <dt class="shrink-0 text-soft">{{ title }}</dt>
        <dd
          class="ml-auto text-right"
          :class="{ fig: title !== 'from' && title !== 'to', 'text-brick': title === 'missing' }"
        >
          {{ value }}
        </dd>
      </div>
    </dl>
    <fieldset v-if="holders.length" class="mt-2">
      <legend class="label">held on its way by</legend>
      <label v-for="piece in holders" :key="piece.instance.id" class="flex items-center gap-2"
        ><input
          type="checkbox"
          class="accent-leaf"
          :checked="run.link.through.includes(piece.instance.id)"
          @change="through(piece.instance.id, ($event.target as HTMLInputElement).checked)"
        />{{ piece.part.name }}</label
      >
    </fieldset>
    <template v-for="end in ['from', 'to'] as const" :key="end">
      <label v-if="saversAt(end).length" class="mt-2 flex items-center gap-2">
        <span class="label shrink-0">between, {{ end === 'from' ? 'at its start' : 'at its end' }}</span>
        <select
          class="field min-w-0 flex-1 py-0.5"
          :value="run[end].coupler?.part.id ?? ''"
          :aria-label="`Port saver or coupler ${end === 'from' ? 'at its start' : 'at its end'}`"
          @change="couple(end, ($event.target as HTMLSelectElement).value)"
        >
          <option value="">nothing</option>
          <option v-for="part in saversAt(end)" :key="part.id" :value="part.id">{{ part.name }}</option>
        </select>
      </label>
    </template>
    <p v-if="!run.clear" class="label mt-2">The way is an estimate: it could not be laid clear of everything.</p>
    <button class="btn mt-2" @click="unplug">Unplug</button>
    <h3 class="mt-3 border-b border-line pb-1 font-semibold">Instead</h3>
    <LeadLines :lines="others" act="swap" empty="No other lead goes between these two sockets." @take="swap" />
  </section>
</template>
