<script setup lang="ts">
import { CARD_HEIGHT, CARD_WIDTH } from '@zucchini/core/assess'
import { levels } from '@zucchini/core/checks'
import { format, formatDistanceToNow, parseISO } from 'date-fns'
import { Plus, Trash2 } from '@lucide/vue'
import { computed, onUnmounted, ref, shallowRef } from 'vue'
import { RouterLink } from 'vue-router'
import { api, ApiRefusal, type BackupState, type ShelfEntry } from '../../api.ts'
import BreakLine from '../../drawing/BreakLine.vue'
import RigStrokes from '../../drawing/RigStrokes.vue'
import { useSettings } from '../../stores/settings.ts'
import LevelMark from '../../widgets/LevelMark.vue'
import TopBar from '../../widgets/TopBar.vue'
import { atLeast, grams, hours, money } from '../../wording.ts'
import NewRigDialog from './NewRigDialog.vue'
import ReadFileDialog from './ReadFileDialog.vue'
import { screensFrom } from '../list.ts'

/** Cards that are old are worked out anew meanwhile; so long between two looks, ms, and so many looks at most. */
const LOOK_AGAIN_MS = 600
const MOST_LOOKS = 50

const settings = useSettings()
const rigs = shallowRef<readonly ShelfEntry[]>()
const backups = shallowRef<BackupState>()
const trouble = ref('')
const making = ref(false)
const file = shallowRef<File>()
const chooseFile = (event: Event) => {
  const input = event.target as HTMLInputElement
  file.value = input.files?.[0]
  input.value = ''
}
const removed = shallowRef<ShelfEntry>()

let looks = 0
let timer: ReturnType<typeof setTimeout> | undefined
const load = async () => {
  clearTimeout(timer)
  try {
    rigs.value = (await api.shelf()).rigs
    trouble.value = ''
  } catch (error) {
    trouble.value =
      error instanceof ApiRefusal
        ? error.message
        : 'The server does not answer. Is it still running? Start it again and reload this page.'
  }
  if (rigs.value?.some(({ fresh }) => !fresh) && looks++ < MOST_LOOKS)
    timer = setTimeout(() => void load(), LOOK_AGAIN_MS)
}
const reload = () => {
  looks = 0
  return load()
}
void reload()
api.backups().then(
  (state) => (backups.value = state),
  () => undefined,
)
onUnmounted(() => clearTimeout(timer))

const cards = computed(
  () =>
    rigs.value?.map((entry) => ({
      entry,
      summary: entry.summary,
      counts: levels.map((level) => ({ level, n: entry.summary?.counts[level] ?? 0 })),
    })) ?? [],
)
/** What a card says of a rig, and the figure that it is. */
const figuresOf = (summary: NonNullable<ShelfEntry['summary']>) => [
  {
    figure: 'in-hand' as const,
    label: 'in the hand',
    said: atLeast(grams(summary.inHandG, settings.units), summary.unweighed),
    short: false,
  },
  {
    figure: 'to-buy' as const,
    label: 'still to buy',
    said: atLeast(money(summary.toBuyMinor, summary.currency), summary.unpriced),
    short: false,
  },
  {
    figure: 'runs' as const,
    label: 'runs',
    said: summary.runs ? hours(summary.runs.lastsMin) : '–',
    short: summary.runs !== null && !summary.runs.enough,
  },
]
const day = (date: string) => format(parseISO(date), 'EEEE d MMMM')
const backupTrouble = computed(() => {
  const state = backups.value
  if (!state?.failedOn) return ''
  const last = state.lastOn ? `The last backup is of ${day(state.lastOn)}` : 'There is no backup yet'
  return `${last}; none could be written since ${day(state.failedOn)}. Is there room, and may the folder be written? (${state.why ?? ''})`
})
const roomTrouble = computed(() => {
  const state = backups.value
  if (!state?.low || state.freeBytes === null) return ''
  return `The disk has ${Math.round(state.freeBytes / 1e6)} MB left. Make room soon; when it is full nothing more can be stored.`
})
const remove = async (entry: ShelfEntry) => {
  try {
    await api.putAway(entry.id, entry.revision)
    removed.value = entry
  } catch (error) {
    trouble.value =
      error instanceof ApiRefusal && error.code === 'saved-elsewhere'
        ? `“${entry.name}” was changed in another window just now, so it was not taken off the shelf. Look at it again first.`
        : error instanceof Error
          ? error.message
          : 'It could not be taken off the shelf.'
    const said = trouble.value
    await reload()
    trouble.value = said
    return
  }
  await reload()
}
const putBack = async () => {
  try {
    if (removed.value) await api.putBack(removed.value.id)
    removed.value = undefined
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'It could not be put back.'
  }
  await reload()
}
</script>

<template>
  <TopBar>
    <nav class="flex items-baseline gap-4" aria-label="Places">
      <span class="font-semibold" aria-current="page">Shelf</span>
      <RouterLink
        v-for="place in screensFrom('shelf')"
        :key="place.name"
        :to="{ name: place.name }"
        :title="place.note"
        class="text-soft hover:text-ink"
        >{{ place.title }}</RouterLink
      >
    </nav>
    <template #end
      ><label class="btn cursor-pointer has-focus-visible:outline-2 has-focus-visible:outline-leaf"
        >Read a file<input
          type="file"
          accept=".json,application/json"
          class="sr-only"
          aria-label="Read a rig file"
          @change="chooseFile"
      /></label>
      <button class="btn btn-do" @click="making = true">
        <Plus class="size-4" aria-hidden="true" /> New rig
      </button></template
    >
  </TopBar>
  <main class="mx-auto max-w-6xl px-6 py-6">
    <h1 class="text-xl font-semibold">Shelf</h1>
    <p class="mt-0.5 text-soft">
      Every rig as it stands: what it weighs, what it still costs, and the worst that is known about it.
    </p>
    <p v-if="trouble" class="mt-4 rounded-lg border border-brick px-4 py-3" role="alert">
      {{ trouble }} <button class="btn ml-2" @click="reload">Try again</button>
    </p>
    <p v-if="removed" class="mt-4 rounded-lg bg-blossom-tint px-4 py-2" role="status">
      “{{ removed.name }}” is off the shelf, with its history.
      <button class="btn ml-2 py-0.5" @click="putBack">Put it back</button>
    </p>
    <p
      v-if="backupTrouble"
      class="mt-4 rounded-lg border border-amber bg-blossom-tint px-4 py-2"
      role="alert"
      data-testid="backup-trouble"
    >
      {{ backupTrouble }}
    </p>
    <p v-if="roomTrouble" class="mt-4 rounded-lg border border-amber bg-blossom-tint px-4 py-2" role="alert">
      {{ roomTrouble }}
    </p>
    <ul class="mt-5 grid grid-cols-1 gap-5 min-[760px]:grid-cols-2 min-[1100px]:grid-cols-3">
      <li
        v-for="{ entry, summary, counts } in cards"
        :key="entry.id"
        :data-card="entry.id"
        class="group relative flex flex-col rounded-xl border border-line bg-card hover:border-soft"
      >
        <RouterLink
          :to="{ name: 'bench', params: { id: entry.id } }"
          class="flex flex-1 flex-col rounded-xl"
          :data-rig="entry.id"
          :data-fresh="entry.fresh"
        >
          <span class="grid h-[236px] place-items-center border-b border-line">
            <svg
              v-if="summary"
              :viewBox="`0 0 ${CARD_WIDTH} ${CARD_HEIGHT}`"
              class="h-auto w-full"
              :class="{ 'opacity-45': !entry.fresh }"
              role="img"
              aria-label="Side elevation"
            >
              <RigStrokes :strokes="summary.strokes" :hatch-id="`card-${entry.id}`" thin class="pointer-events-none" />
              <BreakLine v-if="summary.cut" :width="CARD_WIDTH" :y="CARD_HEIGHT - 9" :height="CARD_HEIGHT" />
            </svg>
            <span v-else-if="entry.why" class="px-6 text-center">
              <strong class="block">This card could not be worked out.</strong>
              <span class="label">{{ entry.why }} Open the rig: its history and its file are whole.</span>
            </span>
            <span v-else class="label">being worked out ...</span>
          </span>
          <span class="px-4 pt-3 text-[15px] font-semibold">{{ entry.name }}</span>
        </RouterLink>
        <p
          v-if="summary"
          class="mt-1 grid grid-cols-[1fr_1.15fr_1fr_auto] gap-2 px-4"
          :class="{ 'text-soft': !entry.fresh }"
        >
          <RouterLink
            v-for="one in figuresOf(summary)"
            :key="one.figure"
            :to="{ name: 'bench', params: { id: entry.id }, query: { figure: one.figure } }"
            class="asks rounded"
            :data-asks="one.figure"
            title="How it is reckoned, on the bench"
            ><span class="label block">{{ one.label }}</span
            ><span class="fig text-[16px]" :class="{ 'text-brick': one.short }">{{ one.said }}</span></RouterLink
          >
          <span data-given
            ><span class="label block">set-ups</span><span class="fig text-[16px]">{{ summary.setups }}</span></span
          >
        </p>
        <RouterLink v-if="summary" :to="{ name: 'bench', params: { id: entry.id } }" class="flex flex-col">
          <span class="sr-only">Findings of {{ entry.name }}:</span>
          <span class="mt-2.5 flex items-center gap-3 border-t border-line px-4 py-2.5">
            <template v-if="summary">
              <template v-for="{ level, n } in counts" :key="level">
                <span v-if="n > 0" class="flex items-center gap-1.5"
                  ><LevelMark :level="level" />{{ n }} {{ level }}{{ n > 1 ? 's' : '' }}</span
                >
              </template>
              <span v-if="counts.every(({ n }) => n === 0)" class="flex items-center gap-1.5"
                ><LevelMark level="ok" />nothing to say</span
              >
            </template>
            <span v-if="!entry.fresh" class="label ml-auto" role="status">{{
              summary ? 'as it was, being worked out anew' : ''
            }}</span>
          </span>
        </RouterLink>
        <span class="label flex items-center px-4 pb-2.5">
          {{ formatDistanceToNow(new Date(entry.updatedAt), { addSuffix: true }) }}, revision {{ entry.revision }}
          <RouterLink
            :to="{ name: 'brief', params: { id: entry.id } }"
            class="ml-auto underline decoration-line underline-offset-3 hover:decoration-ink"
            >brief</RouterLink
          >
          <a
            class="ml-3 underline decoration-line underline-offset-3 hover:decoration-ink"
            :href="`/api/rigs/${entry.id}/file`"
            :download="`${entry.id}.rig.json`"
            >file</a
          >
          <button
            class="ml-3 rounded p-1 hover:text-brick"
            :aria-label="`Take ${entry.name} off the shelf`"
            title="Take off the shelf; it can be put back"
            @click="remove(entry)"
          >
            <Trash2 class="size-4" aria-hidden="true" />
          </button>
        </span>
      </li>
      <li v-if="rigs && cards.length === 0" class="rounded-xl border border-dashed border-line p-8 text-soft">
        <p class="font-semibold text-ink">The shelf is empty</p>
        <p class="mt-1">
          Start with the camera you have and the shoot it is for. The bench then shows what fits on it, what it weighs
          and what it still costs.
        </p>
        <button class="btn btn-do mt-3" @click="making = true">New rig</button>
      </li>
    </ul>
    <ReadFileDialog :file="file" @close="file = undefined" />
    <NewRigDialog :open="making" @close="making = false" />
  </main>
</template>
