<script setup lang="ts">
import { offeredParts } from '@zucchini/core/catalogue'
import { type LockerPiece, newPiece, usageOf } from '@zucchini/core/locker'
import { X } from '@lucide/vue'
import { computed, defineAsyncComponent, onMounted, ref, shallowRef } from 'vue'
import { RouterLink } from 'vue-router'
import { api, type SavedPiece, type SavedRig } from '../../api.ts'
import { useContext } from '../../stores/context.ts'
import TopBar from '../../widgets/TopBar.vue'
import { money } from '../../wording.ts'
import LockerTools from './LockerTools.vue'
import { filtered, type LockerFilter, noFilter, placesOf, rowsOf, totalsOf } from './locker-rows.ts'
import { stateWords } from './locker-words.ts'
import PieceForm from './PieceForm.vue'
import PieceList from './PieceList.vue'
import ScaleBox from './ScaleBox.vue'
import { sumsTold } from './worth.ts'

/** The chart is no part of the first line. */
const ValueChart = defineAsyncComponent(() => import('./ValueChart.vue'))
const context = useContext()
const rigs = shallowRef<readonly SavedRig[]>([])
const trouble = ref('')
const filter = ref<LockerFilter>(noFilter)
const picked = ref('')
const panel = ref<'piece' | 'scale' | 'files'>('piece')
const adding = ref('')
/** The list of all parts is put in when somebody is about to choose from it. */
const choosing = ref(false)

const home = computed(() => context.money?.home ?? 'EUR')
const usage = computed(() => usageOf(rigs.value.map(({ rig }) => rig)))
const rows = computed(() =>
  context.catalogue ? rowsOf(context.pieces, context.catalogue, usage.value, context.today) : [],
)
const shown = computed(() => [...filtered(rows.value, filter.value)])
const places = computed(() => placesOf(rows.value))
const totals = computed(() => totalsOf(rows.value, home.value))
const sums = computed(() => sumsTold(rows.value, totals.value, home.value))
/** The chart is drawn anew only when a piece changes, not with every letter of a search. */
const pieces = computed(() => context.pieces.map(({ piece }) => piece))
const row = computed(() => rows.value.find(({ piece }) => piece.id === picked.value))

onMounted(async () => {
  try {
    await context.load()
    // Where pieces are used is looked up beside: the locker does not wait for it.
    const { rigs: entries } = await api.shelf()
    rigs.value = await Promise.all(entries.map(({ id }) => api.rig(id)))
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'The locker could not be read.'
  }
})
const set = (more: Partial<LockerFilter>) => (filter.value = { ...filter.value, ...more })
const takenOutName = computed(() => context.catalogue?.parts.get(takenOut.value?.partId ?? '')?.name ?? 'The piece')
const look = (id: string) => {
  picked.value = id
  panel.value = 'piece'
}
const saved = (next: SavedPiece) =>
  context.adoptPieces([...context.pieces.filter(({ piece }) => piece.id !== next.piece.id), next])
/** The piece that was taken out last: it can be put back as it was. */
const takenOut = shallowRef<LockerPiece>()
const gone = async (piece: LockerPiece) => {
  picked.value = ''
  takenOut.value = piece
  await context.adoptPieces(context.pieces.filter((one) => one.piece.id !== piece.id))
}
const putBack = async () => {
  if (!takenOut.value) return
  try {
    const back = await api.savePiece(takenOut.value, 0)
    takenOut.value = undefined
    await saved(back)
    look(back.piece.id)
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'It could not be put back.'
  }
}
/** A new piece of a part, with an id nothing has yet. */
const add = async (partId: string) => {
  adding.value = ''
  const taken = new Set(context.pieces.map(({ piece }) => piece.id))
  let n = 1
  while (taken.has(`${partId.slice(0, 58)}-${n}`)) n++
  try {
    const next = await api.savePiece(newPiece(`${partId.slice(0, 58)}-${n}`, partId, { currency: home.value }), 0)
    await saved(next)
    look(next.piece.id)
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'It could not be added.'
  }
}
const parts = computed(() =>
  [...(context.catalogue ? offeredParts(context.catalogue) : [])].sort((a, b) => a.name.localeCompare(b.name)),
)
const value = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value
const states = ['owned', 'kept', 'lent', 'sold', 'retired', 'all'] as const
</script>

<template>
  <div class="flex h-full min-h-0 flex-col overflow-hidden">
    <TopBar>
      <nav class="flex min-w-0 items-baseline gap-1.5" aria-label="Where you are">
        <RouterLink to="/" class="text-soft hover:text-ink">Shelf</RouterLink><span class="text-soft">/ Locker</span>
      </nav>
    </TopBar>
    <p v-if="trouble" class="border-b border-line bg-blossom-tint px-4 py-1.5" role="alert">{{ trouble }}</p>
    <p v-if="takenOut" class="flex items-center gap-3 border-b border-line bg-leaf-tint px-4 py-1.5" role="status">
      <span>{{ takenOutName }} is out of the locker, with what was known of it.</span>
      <button class="btn py-0" @click="putBack">Put it back</button>
      <button class="btn ml-auto px-1 py-0" aria-label="Put this line away" @click="takenOut = undefined">
        <X class="size-3.5" />
      </button>
    </p>
    <main v-if="context.catalogue" class="flex min-h-0 flex-1">
      <div class="flex min-w-0 flex-1 flex-col">
        <div class="flex flex-wrap items-center gap-x-2.5 gap-y-1.5 border-b border-line px-4 py-2">
          <h1 class="sr-only">Locker</h1>
          <input
            class="field w-44 py-0.5"
            type="search"
            placeholder="name, place, serial, note"
            aria-label="Search the locker"
            :value="filter.words"
            @input="set({ words: value($event) })"
          />
          <select
            class="field py-0.5"
            aria-label="State"
            :value="filter.state"
            @change="set({ state: value($event) as LockerFilter['state'] })"
          >
            <option v-for="state in states" :key="state" :value="state">{{ stateWords[state] }}</option>
          </select>
          <select class="field py-0.5" aria-label="Place" :value="filter.place" @change="set({ place: value($event) })">
            <option value="">every place</option>
            <option v-for="[place, count] in places" :key="place" :value="place">{{ place }} ({{ count }})</option>
          </select>
          <label class="flex items-center gap-1.5"
            ><input
              type="checkbox"
              class="accent-leaf"
              :checked="filter.idle"
              @change="set({ idle: ($event.target as HTMLInputElement).checked })"
            />
            unused for a year</label
          >
          <span class="ml-auto flex gap-1.5">
            <select
              v-model="adding"
              class="field max-w-32 py-0.5"
              aria-label="Add a piece of"
              @pointerenter="choosing = true"
              @focus="choosing = true"
              @change="add(adding)"
            >
              <option value="" disabled>add a piece of …</option>
              <template v-if="choosing">
                <option v-for="part in parts" :key="part.id" :value="part.id">{{ part.name }}</option>
              </template>
            </select>
            <button class="btn py-0.5" :aria-pressed="panel === 'scale'" @click="panel = 'scale'">Weigh</button>
            <button class="btn py-0.5" :aria-pressed="panel === 'files'" @click="panel = 'files'">Files</button>
          </span>
        </div>
        <PieceList :rows="shown" :total="rows.length" :picked="picked" @look="look" />
        <div class="grid h-[196px] shrink-0 grid-cols-[226px_minmax(0,1fr)] border-t border-line bg-card">
          <div class="border-r border-line px-4 pt-2.5">
            <dl class="flex flex-col gap-1">
              <div class="flex items-baseline">
                <dt class="label">pieces</dt>
                <dd class="fig ml-auto" data-given>{{ totals.pieces }}</dd>
              </div>
              <div v-ask="['paid', { tell: sums.paid }]" class="flex items-baseline">
                <dt class="label">paid</dt>
                <dd class="fig ml-auto">{{ money(totals.paidMinor, home) }}</dd>
              </div>
              <div v-ask="['worth', { tell: sums.worth }]" class="flex items-baseline">
                <dt class="label">worth about</dt>
                <dd class="fig ml-auto" data-testid="worth">{{ money(totals.valueMinor, home) }}</dd>
              </div>
              <div v-ask="['insured', { tell: sums.insured }]" class="flex items-baseline">
                <dt class="label">insured for</dt>
                <dd class="fig ml-auto">{{ money(totals.insuredMinor, home) }}</dd>
              </div>
              <div class="flex items-baseline">
                <dt class="label">unused for a year</dt>
                <dd class="fig ml-auto" data-given>{{ totals.idle }}</dd>
              </div>
              <div class="flex items-baseline">
                <dt class="label">lent</dt>
                <dd class="fig ml-auto" data-given>{{ totals.lent }}</dd>
              </div>
            </dl>
            <p v-if="totals.unpriced" class="label tight">{{ totals.unpriced }} without a price are not in the sums.</p>
          </div>
          <section class="flex min-w-0 flex-col px-4 pt-2 pb-1" aria-label="Worth over time">
            <h2 class="font-semibold">
              Worth over time <span class="label font-normal">an estimate: about a fifth less each year</span>
            </h2>
            <ValueChart class="flex-1" :pieces="pieces" :today="context.today" :currency="home" />
          </section>
        </div>
      </div>
      <aside
        class="flex w-[340px] shrink-0 flex-col gap-4 overflow-y-auto border-l border-line bg-card px-4 py-3"
        aria-label="The piece in hand"
      >
        <ScaleBox v-if="panel === 'scale'" :row="row" :rigs="rigs" @saved="saved" />
        <LockerTools v-else-if="panel === 'files'" :currency="home" />
        <PieceForm
          v-else-if="row"
          :key="`${row.piece.id} ${row.saved.revision}`"
          :row="row"
          :today="context.today"
          @saved="saved"
          @gone="gone"
          @weigh="panel = 'scale'"
        />
        <p v-else class="label">Pick a piece to see and change what is known of it.</p>
      </aside>
    </main>
    <p v-else-if="!trouble" class="grid flex-1 place-items-center text-soft">Opening the locker ...</p>
  </div>
</template>
