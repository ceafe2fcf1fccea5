<script setup lang="ts">
import { calendarOf, moneyOf, type PackLine, type PackList } from '@zucchini/core/assess'
import { writeCalendar } from '@zucchini/core/formats'
import { Check, Triangle } from '@lucide/vue'
import { useLocalStorage } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { useContext } from '../../stores/context.ts'
import { useRig } from '../../stores/rig.ts'
import { save } from '../../save-file.ts'
import { useTicks } from '../../stores/ticks.ts'
import RigBar from '../../widgets/RigBar.vue'
import TakeOut from '../../widgets/TakeOut.vue'
import { benchWorker } from '../../workers/client.ts'
import { grams } from '../../wording.ts'
import { useRigOfRoute } from '../rig-of-route.ts'
import { bagWords, groupTitles, isTight, isWarning, noteWords, packCsv, packPlaces, placesIn } from './pack-words.ts'

// The bag for the day: which set-ups are used, what goes in, where it lies now, and ticks that a dead phone keeps.
const store = useRig()
const context = useContext()
const trouble = useRigOfRoute()
const list = shallowRef<PackList>()
const failed = ref(false)

/** The set-ups of the day, in their order; all of them until somebody says otherwise. The first is packed built. */
const chosen = useLocalStorage<readonly string[]>(() => `day ${store.rig?.id ?? ''}`, [])
const setups = computed(() => store.rig?.setups ?? [])
const day = computed(() => {
  const known = chosen.value.filter((id) => setups.value.some((setup) => setup.id === id))
  return known.length > 0 ? known : setups.value.map(({ id }) => id)
})
const toggle = (id: string) => {
  const now = day.value
  const next = now.includes(id) ? now.filter((one) => one !== id) : [...now, id]
  if (next.length > 0) chosen.value = next
}
const packFirst = (id: string) => (chosen.value = [id, ...day.value.filter((one) => one !== id)])

let asked = 0
watch(
  [() => store.assessment, day],
  async ([assessment, ids]) => {
    if (!assessment) return
    const turn = ++asked
    failed.value = false
    try {
      const made = await benchWorker().pack(assessment.rig, ids)
      if (turn === asked) list.value = made
    } catch {
      failed.value = turn === asked
    }
  },
  { immediate: true },
)
const lines = computed(() => list.value?.lines ?? [])
const ticks = useTicks(
  () => store.told,
  () => 'pack',
  computed(() => lines.value.map(({ key }) => key)),
)
const { count } = ticks
const packedG = computed(() => lines.value.reduce((sum, line) => sum + (ticks.isDone(line.key) ? line.grams : 0), 0))
const stowed = computed(() => (list.value ? packPlaces(list.value) : []))
/** Where the locker says that a part lies. */
const places = computed(() => placesIn(context.pieces.map(({ piece }) => piece)))
const whereOf = ({ partId }: PackLine): string => places.value.get(partId ?? '') ?? ''
const sheet = (size: 'a4' | 'a5') => async () => {
  const { rig } = store
  if (!rig || !list.value) return
  const { packSheet } = await import('../../field/booklet.ts')
  save(
    `${rig.id}-pack-${size}.pdf`,
    await packSheet(size, rig.name, list.value, places.value, store.style),
    'application/pdf',
  )
}
const table = () => {
  if (store.rig && list.value)
    save(`${store.rig.id}-pack.csv`, packCsv(list.value, places.value, store.style), 'text/csv;charset=utf-8')
}
const calendar = async () => {
  const { rig, assessment } = store
  if (!rig || !assessment || !list.value || !context.whole) return
  const money = moneyOf(rig, context.whole, context.today.slice(0, 7))
  const text = await writeCalendar(rig.name, calendarOf(assessment, list.value, money), Date.now())
  save(`${rig.id}.ics`, text, 'text/calendar;charset=utf-8')
}
const papers = [
  { title: 'The list, A4, PDF', act: sheet('a4') },
  { title: 'The list, A5, PDF', act: sheet('a5') },
  { title: 'As a table, CSV', act: table },
  { title: 'Shoot, charging and buying, calendar', act: calendar },
]
</script>

<template>
  <div class="flex h-full min-h-0 flex-col">
    <RigBar here="Pack" />
    <p v-if="trouble" class="p-8" role="alert">{{ trouble }}</p>
    <p v-else-if="failed" class="p-8" role="alert">
      The list could not be made. Go back to the bench: a finding there names what is wrong.
    </p>
    <main v-else-if="list" class="min-h-0 flex-1 overflow-y-auto">
      <div class="mx-auto max-w-3xl px-4 py-4">
        <h1 class="text-xl font-semibold">Pack</h1>
        <p class="label mt-0.5">Which set-ups are used that day? The first goes into the bag built.</p>
        <div class="mt-2 flex flex-wrap gap-1.5" role="group" aria-label="Set-ups of the day">
          <button
            v-for="setup in setups"
            :key="setup.id"
            class="min-h-11 rounded-full border px-3.5"
            :class="day.includes(setup.id) ? 'border-leaf bg-leaf-tint font-semibold' : 'border-line text-soft'"
            :aria-pressed="day.includes(setup.id)"
            @click="toggle(setup.id)"
            @dblclick="packFirst(setup.id)"
          >
            {{ setup.name }}<span v-if="day[0] === setup.id" class="label tight ml-1.5">built</span>
          </button>
        </div>
        <p v-if="day.length > 1" class="mt-1.5">
          <label class="label" for="built">Packed built:</label>
          <select
            id="built"
            class="field ml-1.5 py-0.5"
            :value="day[0]"
            @change="packFirst(($event.target as HTMLSelectElement).value)"
          >
            <option v-for="id in day" :key="id" :value="id">{{ setups.find((one) => one.id === id)?.name }}</option>
          </select>
        </p>

        <div class="sticky top-0 z-10 mt-3 flex flex-wrap items-baseline gap-x-4 border-b border-line bg-paper py-2">
          <strong class="text-[15px]" data-testid="packed">{{ count }} of {{ lines.length }} in</strong>
          <span v-ask="['fact mass', store.assessment]"
            >{{ grams(packedG, store.style.units) }} of {{ grams(list.grams, store.style.units) }}</span
          >
          <TakeOut class="ml-auto" :items="papers" />
          <button
            v-if="count > 0"
            class="label min-h-6 underline decoration-dotted print:hidden"
            @click="ticks.clear()"
          >
            Unpack all
          </button>
        </div>
        <template v-for="place in stowed" :key="place.key">
          <h2 v-if="place.title" class="mt-5 text-base font-semibold">{{ place.title }}</h2>
          <p v-if="place.bag" :class="isTight(place.bag) ? 'text-amber' : 'label'" data-bag>
            <Triangle v-if="isTight(place.bag)" class="mr-1 inline size-3 fill-current" aria-label="look here" />{{
              bagWords(place.bag, store.style)
            }}; an estimate by the boxes round things: try it before the day.
          </p>
          <section
            v-for="{ group, lines: own, grams: sum } in place.groups"
            :key="group"
            class="mt-3"
            :aria-label="groupTitles[group]"
          >
            <h3 class="flex items-baseline text-[15px] font-semibold">
              {{ groupTitles[group] }}
              <span v-if="sum > 0" class="fig ml-auto" data-given>{{ grams(sum, store.style.units) }}</span>
            </h3>
            <ul class="mt-1">
              <li v-for="line in own" :key="line.key" class="border-t border-line">
                <button
                  class="flex min-h-14 w-full items-center gap-3.5 py-2 text-left"
                  :aria-pressed="ticks.isDone(line.key)"
                  :data-pack-line="line.key"
                  @click="ticks.tick(line.key, !ticks.isDone(line.key))"
                >
                  <span class="tick tick-big" :class="{ on: ticks.isDone(line.key) }">
                    <Check v-if="ticks.isDone(line.key)" class="size-5" aria-hidden="true" />
                  </span>
                  <span class="min-w-0 flex-1" :class="{ 'text-soft': ticks.isDone(line.key) }">
                    <span class="block font-semibold" :class="{ 'font-normal!': ticks.isDone(line.key) }"
                      >{{ line.name }}<template v-if="line.count > 1"> × {{ line.count }}</template></span
                    >
                    <span class="label block">
                      <span v-if="whereOf(line)"
                        >{{ whereOf(line) }}<template v-if="line.notes.length">; </template></span
                      >
                      <template v-for="(one, i) in line.notes" :key="i"
                        ><span :class="{ 'text-amber': isWarning(one) }"
                          ><Triangle
                            v-if="isWarning(one)"
                            class="mr-1 inline size-3 fill-current"
                            aria-label="look here"
                          />{{ noteWords(one, store.style) }}</span
                        ><template v-if="i + 1 < line.notes.length">; </template></template
                      >
                    </span>
                  </span>
                  <span v-if="line.grams > 0" class="fig" data-given>{{ grams(line.grams, store.style.units) }}</span>
                </button>
              </li>
            </ul>
          </section>
        </template>
        <p v-if="list.home.length" class="label mt-5 border-t border-line pt-2">
          Stays at home, for no set-up of the day uses it: {{ list.home.join(', ') }}.
        </p>
        <p class="label mt-2">
          Batteries: the maker’s and the airline’s word goes before any list. Loose ones travel in the hand luggage,
          their ends covered.
        </p>
      </div>
    </main>
    <p v-else class="label p-8" role="status">making the list ...</p>
  </div>
</template>
