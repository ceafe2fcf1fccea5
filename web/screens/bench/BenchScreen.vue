<script setup lang="ts">
import { type Assessment, figureIds, judgingOf } from '@zucchini/core/assess'
import { useEventListener } from '@vueuse/core'
import { CircleHelp, History, Redo2, Search, Undo2 } from '@lucide/vue'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import SetupTabs from '../../widgets/SetupTabs.vue'
import BrokenBox from '../../widgets/BrokenBox.vue'
import RigNotices from '../../widgets/RigNotices.vue'
import TopBar from '../../widgets/TopBar.vue'
import { useAfterPaint, useTaskLater } from './after-paint.ts'
import { useBenchKeys } from './bench-keys.ts'
import FigureSheet from './FigureSheet.vue'
import FindDialog from './FindDialog.vue'
import FindingsPanel from './FindingsPanel.vue'
import FitsHere from './FitsHere.vue'
import GlassStation from './GlassStation.vue'
import HistoryDialog from './HistoryDialog.vue'
import KitTable from './KitTable.vue'
import PieceCard from './PieceCard.vue'
import RigDrawing from './RigDrawing.vue'
import SaveState from './SaveState.vue'
import ScalesPanel from './ScalesPanel.vue'
import ShortcutsDialog from './ShortcutsDialog.vue'
import StationsRail from './StationsRail.vue'

const route = useRoute()
const router = useRouter()
const store = useRig()
const bench = useBench()
const finding = ref(false)
const helping = ref(false)
const remembering = ref(false)
const trouble = ref('')
const fits = useTemplateRef<InstanceType<typeof FitsHere>>('fits')
/** What the rules say is asked once the drawing is painted: a slide is seen at once, its findings a frame later. */
const isSameSetup = (one: Assessment, other: Assessment): boolean =>
  one.rig.id === other.rig.id && one.setupId === other.setupId
const judged = useAfterPaint(() => store.assessment, isSameSetup, judgingOf)
/** The lists say it first, its signs on the drawing follow. */
const signed = useTaskLater(() => judged.value, isSameSetup)

const word = (name: string) => (typeof route.query[name] === 'string' ? route.query[name] : '')
const open = async (id: string) => {
  trouble.value = ''
  bench.dropAll()
  try {
    await store.open(id)
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'The rig could not be opened.'
    return
  }
  store.setupId = word('setup')
  bench.setView(word('view'))
  if (word('point')) bench.pickPoint(word('point'))
  else if (word('piece')) bench.pickPiece(word('piece'))
  bench.figure = figureIds.find((id) => id === word('figure'))
}
watch(
  () => route.params['id'],
  (id) => void (typeof id === 'string' && open(id)),
  { immediate: true },
)
watch(
  [() => store.setup?.id, () => (bench.turning ? 'turntable' : bench.view), () => bench.pointKey, () => bench.pieceId],
  ([setup, view, point, piece]) => {
    if (!store.rig || route.name !== 'bench') return
    void router.replace({
      query: {
        ...(setup ? { setup } : {}),
        ...(view === 'side' ? {} : { view }),
        ...(point ? { point } : {}),
        ...(piece ? { piece } : {}),
      },
    })
  },
)
useEventListener(window, 'focus', () => void store.look())
useBenchKeys({
  find: () => (finding.value = true),
  help: () => (helping.value = true),
  focusFits: () => void nextTick(() => fits.value?.focus()),
})
const rigId = computed(() => (typeof route.params['id'] === 'string' ? route.params['id'] : undefined))
// Places are the same for one rig, whatever is edited: a link that is given a new one looks it up anew.
const shownId = computed(() => store.rig?.id)
const shownName = computed(() => store.rig?.name)
const toBrief = computed(() => ({ name: 'brief', params: { id: shownId.value } }))
const toSetups = computed(() => ({ name: 'setups', params: { id: shownId.value } }))
</script>

<template>
  <div class="relative flex h-full min-h-0 flex-col overflow-hidden">
    <TopBar>
      <nav class="flex min-w-0 items-baseline gap-1.5" aria-label="Where you are">
        <RouterLink to="/" class="text-soft hover:text-ink">Shelf</RouterLink><span class="text-soft">/</span>
        <RouterLink v-if="shownId" :to="toBrief" class="truncate font-semibold hover:underline" title="To the brief">{{
          shownName
        }}</RouterLink>
      </nav>
      <SetupTabs v-if="shownId">
        <RouterLink
          :to="toSetups"
          class="rounded-lg px-2 py-1 text-soft hover:text-ink"
          title="All set-ups side by side"
          >all …</RouterLink
        >
      </SetupTabs>
      <template #end>
        <SaveState />
        <button class="btn px-2" :disabled="!store.canUndo" title="Undo (Ctrl Z)" @click="void store.undo()">
          <Undo2 class="size-4" aria-hidden="true" /><span class="max-[1360px]:sr-only">Undo</span>
        </button>
        <button
          class="btn px-1.5"
          :disabled="!store.canRedo"
          title="Redo (Ctrl Shift Z)"
          aria-label="Redo"
          @click="void store.redo()"
        >
          <Redo2 class="size-4" aria-hidden="true" />
        </button>
        <button
          class="btn px-1.5"
          title="History"
          aria-label="History"
          :disabled="!shownId"
          @click="remembering = true"
        >
          <History class="size-4" aria-hidden="true" />
        </button>
        <button class="btn px-2" title="Find (/)" @click="finding = true">
          <Search class="size-4" aria-hidden="true" /> <span class="key border-0 bg-transparent px-0">/</span
          ><span class="sr-only">Find</span>
        </button>
        <button class="btn px-1.5 max-md:hidden" title="Keys (?)" aria-label="Keys" @click="helping = true">
          <CircleHelp class="size-4" aria-hidden="true" />
        </button>
      </template>
    </TopBar>
    <RigNotices />
    <main v-if="store.assessment" class="flex min-h-0 flex-1 max-md:flex-col max-md:overflow-y-auto">
      <h1 class="sr-only">Bench: {{ shownName }}</h1>
      <StationsRail :stations="(judged ?? store.assessment).stations" />
      <div class="flex min-w-0 flex-1 flex-col max-md:contents">
        <RigDrawing
          :assessment="store.assessment"
          :judged="signed"
          class="flex-1 max-md:order-1 max-md:h-[min(118vw,540px)] max-md:flex-none"
        />
        <div
          class="flex h-[224px] shrink-0 border-t border-line bg-card max-md:order-3 max-md:h-auto max-md:min-h-[220px] max-md:flex-col"
          data-testid="in-hand-panel"
        >
          <FigureSheet
            v-if="bench.figure"
            :assessment="store.assessment"
            :figure="bench.figure"
            @close="bench.figure = undefined"
          />
          <FitsHere v-else-if="bench.point" ref="fits" :point="bench.point" />
          <PieceCard v-else-if="bench.piece" :piece="bench.piece" />
          <template v-else>
            <KitTable :assessment="store.assessment" />
            <GlassStation v-if="bench.station === 'glass'" :assessment="store.assessment" />
          </template>
        </div>
      </div>
      <aside
        class="flex w-[312px] shrink-0 flex-col gap-3 border-l border-line bg-card px-4 pt-3 max-md:order-2 max-md:w-full max-md:border-t max-md:border-l-0"
        aria-label="Scales and findings"
      >
        <ScalesPanel :assessment="store.assessment" />
        <FindingsPanel :assessment="judged ?? store.assessment" />
      </aside>
    </main>
    <main v-else-if="trouble || store.trouble" class="min-h-0 flex-1 overflow-y-auto">
      <BrokenBox
        title="This rig could not be opened"
        :words="trouble || store.trouble"
        :rig-id="rigId"
        @again="rigId && open(rigId)"
      />
    </main>
    <main v-else class="grid flex-1 place-items-center text-soft"><p>Laying out the parts ...</p></main>
    <FindDialog :open="finding" @close="finding = false" />
    <HistoryDialog :open="remembering" @close="remembering = false" />
    <ShortcutsDialog :open="helping" @close="helping = false" />
  </div>
</template>
