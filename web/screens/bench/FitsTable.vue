<script setup lang="ts">
import type { FigureId, Fit, Misfit } from '@zucchini/core/assess'
import { computed, nextTick, onBeforeUnmount, ref, useTemplateRef, watch } from 'vue'
import { useAsk } from '../../stores/ask.ts'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import { refusal, wordFilter } from '../../wording.ts'
import { useAsIf } from './as-if.ts'
import LevelMark from '../../widgets/LevelMark.vue'
import { buyCell, findingsCell, gainsOf, heightCell, massCell, tiltCell, type Tone } from './fit-rows.ts'

const props = defineProps<{
  fits: readonly Fit[]
  misfits: readonly Misfit[]
  filter: string
  showMisfits: boolean
  act: string
  compact?: boolean
}>()
const emit = defineEmits<{
  take: [row: Fit | Misfit]
  bridge: [row: Misfit]
  choose: [row: Fit | Misfit | undefined]
}>()
const bridgeWords = ({ bridge }: Misfit) => `with ${(bridge?.adapters ?? []).map(({ name }) => name).join(' + ')}`
const store = useRig()
const ask = useAsk()
const bench = useBench()
const asIf = useAsIf()
/** A figure of the row that one has chosen says how it is reckoned; of another row it chooses the row. */
const askOf = (row: number, fit: Fit, figure: FigureId) => {
  const tried = row === at.value && chosen.value === fit.part.id ? asIf(fit.commands) : undefined
  if (tried) ask.open(figure, tried)
  else choose(row)
}
const askChosen = () => {
  const row = all.value[at.value]
  if (!row || !('effect' in row)) return
  choose(at.value)
  askOf(at.value, row, row.effect.tiltToDeg === undefined ? 'in-hand' : 'hangs')
}
const list = useTemplateRef<HTMLElement>('list')

type SortKey = 'best' | 'mass' | 'buy' | 'tilt' | 'height'
const sortKey = ref<SortKey>('best')
const values: Record<Exclude<SortKey, 'best'>, (fit: Fit) => number> = {
  mass: (fit) => fit.effect.massG,
  buy: (fit) => fit.effect.toBuyMinor,
  tilt: (fit) => Math.abs(fit.effect.tiltToDeg ?? 0),
  height: (fit) => fit.effect.tallMm,
}
const matches = ({ part }: { part: Fit['part'] }) =>
  wordFilter(props.filter)(`${part.name} ${part.role} ${part.maker} ${part.provides.join(' ')}`)
/** So many rows stand on the page at first; a large catalogue has hundreds. */
const AT_ONCE = 100
const shown = ref(AT_ONCE)
const sorted = computed(() => {
  const key = sortKey.value
  const found = props.fits.filter(matches)
  return key === 'best' ? found : [...found].sort((a, b) => values[key](a) - values[key](b))
})
const rows = computed(() => sorted.value.slice(0, shown.value))
const refusedRows = computed(() => (props.showMisfits ? props.misfits.filter(matches) : []))
const all = computed<readonly (Fit | Misfit)[]>(() => [...rows.value, ...refusedRows.value])
const at = ref(0)
watch([() => props.filter, () => props.showMisfits], () => {
  ;[at.value, shown.value, chosen.value] = [0, AT_ONCE, '']
})
// More answers may come in after a row was chosen: the choice stays with its part. Nothing chosen yet: the best row.
const chosen = ref('')
watch(
  () => props.fits,
  () =>
    (at.value = chosen.value
      ? Math.max(
          0,
          all.value.findIndex(({ part }) => part.id === chosen.value),
        )
      : 0),
)
const choose = (row: number) => {
  at.value = row
  chosen.value = all.value[row]?.part.id ?? ''
}

// The part that is chosen is drawn where it would sit, as long as one chooses.
watch(
  () => (chosen.value ? all.value[at.value] : undefined),
  (row) => {
    if (row) bench.foresee(row.commands, 'effect' in row ? row.effect : undefined)
    else bench.forget()
    emit('choose', row)
  },
)
onBeforeUnmount(() => bench.forget())

const move = async (by: number) => {
  choose(Math.max(0, Math.min(all.value.length - 1, at.value + by)))
  await nextTick()
  list.value?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: 'nearest' })
}
const take = (row = all.value[at.value]) => {
  bench.forget()
  if (row) emit('take', row)
}
defineExpose({ move, take })

const tones: Record<Tone, string> = { better: 'text-leaf', worse: 'text-amber', same: 'text-soft' }
const toneOf = (cell: { tone: Tone; text: string }) =>
  cell.text.includes('+') && cell.text.includes('stop') ? 'text-brick' : tones[cell.tone]
const columns = computed(() =>
  props.compact
    ? 'grid-cols-[minmax(0,1fr)_50px_64px_46px_156px] max-md:grid-cols-[minmax(0,1fr)_54px_62px_92px]'
    : 'grid-cols-[minmax(0,1fr)_62px_74px_104px_62px_142px] max-md:grid-cols-[minmax(0,1fr)_54px_62px_92px]',
)
const tiltText = (fit: Fit) =>
  props.compact ? tiltCell(fit.effect).text.replace(/^.*→ /, '') : tiltCell(fit.effect).text
const fromWord = { kit: 'in the kit', owned: 'owned', catalogue: '' } as const
const head = [
  ['best', 'part'],
  ['mass', 'mass'],
  ['buy', 'to buy'],
  ['tilt', 'tilt'],
  ['height', 'height'],
] as const
const heads = computed(() => head.filter(([key]) => !props.compact || key !== 'height'))
</script>

<template>
  <div
    ref="list"
    class="relative min-h-0 flex-1 overflow-y-auto"
    role="grid"
    aria-label="Parts that go here"
    :aria-rowcount="all.length"
    tabindex="0"
    @keydown.down.prevent="move(1)"
    @keydown.up.prevent="move(-1)"
    @keydown.enter.prevent="take()"
    @keydown.w.prevent="askChosen()"
  >
    <div
      role="row"
      class="tight sticky top-0 z-10 grid gap-2 border-b border-line bg-card px-1 py-1 text-[12.5px] text-soft"
      :class="columns"
    >
      <span
        v-for="[key, title] in heads"
        :key="key"
        role="columnheader"
        :class="[key === 'best' ? '' : 'text-right', { 'max-md:hidden': key === 'tilt' || key === 'height' }]"
        :aria-sort="sortKey === key ? 'ascending' : 'none'"
      >
        <button class="hover:text-ink" :class="{ 'font-semibold text-ink': sortKey === key }" @click="sortKey = key">
          {{ title }}{{ sortKey === key ? ' ↓' : '' }}
        </button>
      </span>
      <span role="columnheader" class="text-right">findings</span>
    </div>
    <div
      v-for="(fit, i) in rows"
      :key="fit.part.id"
      role="row"
      :aria-selected="i === at"
      :data-part="fit.part.id"
      class="grid cursor-pointer items-baseline gap-2 border-b max-md:min-h-11 max-md:items-center border-line px-1 py-[5px]"
      :class="[columns, i === at ? 'bg-blossom-tint' : 'hover:bg-paper']"
      @click="choose(i)"
      @dblclick="take(fit)"
    >
      <span role="gridcell" class="flex min-w-0 items-baseline gap-2"
        ><span class="truncate" :title="fit.part.name">{{ fit.part.name }}</span
        ><span v-if="fromWord[fit.from]" class="tag shrink-0">{{ fromWord[fit.from] }}</span
        ><span
          v-if="fit.isAstray"
          class="label tight shrink-0"
          title="It fits here and could not do its work here: it would stand where no hand holds it, or face the wrong way."
          >no use here</span
        ></span
      >
      <span
        role="gridcell"
        class="fig asks text-right font-normal!"
        data-figure="in-hand"
        @click.stop="askOf(i, fit, 'in-hand')"
        >{{ massCell(fit.effect, store.style) }}</span
      >
      <span
        role="gridcell"
        class="fig asks text-right font-normal!"
        data-figure="to-buy"
        @click.stop="askOf(i, fit, 'to-buy')"
        >{{ buyCell(fit.effect, store.style) }}</span
      >
      <span
        role="gridcell"
        class="fig asks text-right max-md:hidden"
        data-figure="hangs"
        @click.stop="askOf(i, fit, 'hangs')"
        :class="toneOf(tiltCell(fit.effect))"
        >{{ tiltText(fit) }}</span
      >
      <span
        v-if="!compact"
        role="gridcell"
        class="fig asks text-right max-md:hidden"
        data-figure="tall"
        @click.stop="askOf(i, fit, 'tall')"
        :class="toneOf(heightCell(fit.effect, store.style))"
        >{{ heightCell(fit.effect, store.style).text }}</span
      >
      <span role="gridcell" class="flex items-baseline justify-end gap-2">
        <span
          class="fig truncate"
          data-given
          :class="[toneOf(findingsCell(fit.effect)), { 'flex gap-1.5': compact }]"
          :title="findingsCell(fit.effect).text"
          ><template v-if="compact && gainsOf(fit.effect).length"
            ><span class="sr-only">{{ findingsCell(fit.effect).text }}</span
            ><span
              v-for="{ sign, n, level } in gainsOf(fit.effect)"
              :key="sign + level"
              class="inline-flex items-center gap-px"
              aria-hidden="true"
              >{{ sign }}{{ n }}<LevelMark :level="level" class="size-2.5!" /></span></template
          ><template v-else>{{ findingsCell(fit.effect).text }}</template></span
        >
        <button v-if="i === at" class="cure shrink-0" @click.stop="take(fit)">{{ act }}</button>
      </span>
    </div>
    <p v-if="sorted.length > rows.length" class="px-1 py-1.5 text-center">
      <button class="btn py-0" @click="shown += AT_ONCE">
        {{ Math.min(AT_ONCE, sorted.length - rows.length) }} more of {{ sorted.length - rows.length }}
      </button>
    </p>
    <div
      v-for="(misfit, i) in refusedRows"
      :key="misfit.part.id"
      role="row"
      :aria-selected="rows.length + i === at"
      :data-misfit="misfit.part.id"
      class="grid cursor-pointer grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)_auto] items-baseline gap-3 border-b max-md:grid-cols-1 max-md:gap-0 border-line px-1 py-[5px] text-soft"
      :class="rows.length + i === at ? 'bg-blossom-tint' : 'hover:bg-paper'"
      @click="choose(rows.length + i)"
      @dblclick="take(misfit)"
    >
      <span role="gridcell" class="truncate">{{ misfit.part.name }}</span>
      <span role="gridcell" class="tight truncate"
        ><span class="text-brick">won’t go on:</span> {{ refusal(misfit.issue, store.style) }}</span
      >
      <span role="gridcell"
        ><button
          v-if="misfit.bridge"
          class="cure mr-1.5 max-w-[190px] truncate align-bottom"
          :title="bridgeWords(misfit)"
          @click.stop="emit('bridge', misfit)"
        >
          {{ bridgeWords(misfit) }}</button
        ><button v-if="rows.length + i === at" class="btn px-2 py-0" @click.stop="take(misfit)">
          put on all the same
        </button></span
      >
    </div>
    <p v-if="all.length === 0" class="px-1 py-4 text-soft">
      {{ filter ? 'No part of that description goes here.' : 'Nothing in the catalogue goes here.' }}
    </p>
  </div>
</template>
