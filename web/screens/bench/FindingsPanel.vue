<script setup lang="ts">
import { type Assessment, cardsIn, type Line, type RepairOffer, type Way } from '@zucchini/core/assess'
import { type Family, type Finding, findingKey, levels, type Remedy } from '@zucchini/core/checks'
import { ChevronDown } from '@lucide/vue'
import { proxy } from 'comlink'
import { computed, ref, shallowRef, watch } from 'vue'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import LevelMark from '../../widgets/LevelMark.vue'
import type { ToldWays } from '../../workers/bench.worker.ts'
import { benchWorker } from '../../workers/client.ts'
import { fill, headline } from '../../wording.ts'
import { cardNumbers, distinctCures, keyOfCard, rangeWords, shortly } from './card-words.ts'
import CloseFits from './CloseFits.vue'
import FindingLine from './FindingLine.vue'
import RepairBox from './RepairBox.vue'

const props = defineProps<{
  assessment: Assessment
  /** The checks to tell about; all of them when left out. */
  only?: readonly Family[]
  title?: string
}>()
const store = useRig()
const bench = useBench()

const wanted = (finding: Finding) => props.only?.includes(finding.family) ?? true
const shown = computed(() => {
  const own = bench.station && props.assessment.stations.find(({ station }) => station === bench.station)
  return props.assessment.findings.filter((finding) =>
    props.only ? wanted(finding) : !own || own.findings.includes(finding),
  )
})
/** Numbers are those of all the cards: the drawing beside has the same. */
const numbers = computed(() => cardNumbers(cardsIn(props.assessment)))
const cards = computed(() =>
  cardsIn({ findings: shown.value, assembly: props.assessment.assembly }).map((card) => ({
    ...card,
    key: keyOfCard(card),
    n: numbers.value.get(keyOfCard(card)),
  })),
)
const count = computed(() =>
  levels
    .map((level) => ({ level, n: shown.value.filter((finding) => finding.level === level).length }))
    .filter(({ n }) => n > 0)
    .map(({ level, n }) => `${n} ${level}${n > 1 ? 's' : ''}`)
    .join(' · '),
)
const folded = computed(() => shown.value.length - cards.value.length)

/** Cards whose consequences are spread out. */
const open = ref<ReadonlySet<string>>(new Set())
const toggle = (key: string) => {
  const next = new Set(open.value)
  if (!next.delete(key)) next.add(key)
  open.value = next
}
const lowered = (words: string) => `${words[0]?.toLowerCase() ?? ''}${words.slice(1)}`
const briefly = (line: Line) => {
  const { text, numbers: figures, names } = line.finding
  const head = shortly(headline(fill(text, figures, names, store.style)).head)
  return [head, lowered(shortly(rangeWords(line, store.style)))].filter(Boolean).join('; ')
}

// Trying out cures is dear, so the worker does it. What was known of the same trouble stays until the new answer comes,
// so that
// nothing jumps.
const cures = shallowRef<ReadonlyMap<string, readonly Way[]>>()
/** The ways out of everything a line stands for. */
const curesOf = ({ all }: Line): readonly Way[] =>
  distinctCures(all.flatMap((finding) => cures.value?.get(findingKey(finding)) ?? []))
/** Somebody points at the list or is in it: then no row may move away under the hand. */
const isHeld = ref(false)
const repair = shallowRef<RepairOffer>()
const searching = ref(true)
let later: RepairOffer | undefined
watch(isHeld, (held) => {
  if (held || !later) return
  repair.value = later
  later = undefined
})
/** The first way out without a price, of the gravest card that has one; a key takes it. */
const firstOf = (ways: ToldWays['ways']): Remedy | undefined =>
  cardsIn(props.assessment)
    .flatMap(({ root }) => root.all)
    .flatMap((finding) => ways[props.assessment.findings.indexOf(finding)] ?? [])
    .find(({ as }) => as !== 'price')?.remedy
let asked = 0
watch(
  () => props.assessment,
  ({ findings, assembly }) => {
    const turn = ++asked
    const told = new Set<string>()
    searching.value = findings.length > 0
    repair.value = later = undefined
    if (!props.only) bench.firstWay = undefined
    if (findings.length === 0) cures.value = new Map()
    else
      void benchWorker().cures(
        assembly.rig,
        assembly.setup.id,
        proxy(({ ways, repair: offer, isDone }: ToldWays) => {
          if (turn !== asked) return
          const before = cures.value
          cures.value = new Map(
            findings.map((finding, i) => {
              const key = findingKey(finding)
              const known = before?.get(key)
              if (!ways[i]) return [key, known ?? []]
              // What was found for the rig as it was before is never kept beside what holds now.
              const still = isHeld.value && told.has(key) && known ? distinctCures([...known, ...ways[i]]) : ways[i]
              told.add(key)
              return [key, still]
            }),
          )
          searching.value = !isDone
          if (!props.only) bench.firstWay = firstOf(ways)
          // Nor may the box above push the rows down.
          if (!isHeld.value || !offer) repair.value = offer
          else later = offer
        }),
      )
  },
  { immediate: true },
)
/** On which cards what a repair clears stands. */
const repaired = computed(() => {
  const all = cardNumbers(cardsIn(props.assessment))
  return (repair.value?.cured ?? []).flatMap((finding) => all.get(findingKey(finding)) ?? [])
})
const look = (finding: Finding) => {
  const [first] = finding.parts
  if (first && props.assessment.assembly.byInstance.has(first)) bench.pickPiece(first)
}
</script>

<template>
  <section class="flex min-h-0 flex-1 flex-col" aria-label="Findings">
    <h2 class="flex items-baseline border-b border-line pb-1.5 text-[13px] font-semibold">
      {{ title ?? (bench.station ? `Findings, ${bench.station}` : 'Findings') }}
      <span class="ml-auto text-[12.5px]" aria-live="polite" data-testid="finding-count">{{ count || 'none' }}</span>
    </h2>
    <p v-if="!cures && shown.length > 0" class="label py-1" role="status">looking for ways out ...</p>
    <p v-else-if="folded > 0" class="label py-1">
      {{ cards.length }} card{{ cards.length > 1 ? 's' : '' }}, {{ folded }} folded in under what
      {{ folded > 1 ? 'they follow' : 'it follows' }} from
    </p>
    <ol
      class="relative min-h-0 flex-1 overflow-y-auto pr-1"
      tabindex="-1"
      :data-searching="searching || undefined"
      @pointerenter="isHeld = true"
      @pointerleave="isHeld = false"
      @focusin="isHeld = true"
      @focusout="isHeld = false"
    >
      <li v-if="repair && !only && !bench.station">
        <RepairBox :assessment="assessment" :offer="repair" :numbers="repaired" />
      </li>
      <template v-for="(card, i) in cards" :key="card.key">
        <li v-if="card.of !== 'piece' && card.of !== cards[i - 1]?.of" class="label pt-2.5">
          {{ card.of === 'whole' ? 'Not about one piece' : 'Worth a word' }}
        </li>
        <li class="border-b border-line py-2.5" data-card :data-root="card.root.finding.check">
          <div class="flex gap-2.5" :data-check="card.root.finding.check" :data-level="card.root.finding.level">
            <span class="mt-1 flex flex-col items-center gap-0.5"
              ><LevelMark :level="card.root.finding.level" /><span class="tight text-[11px] text-soft">{{
                card.n
              }}</span></span
            >
            <div class="min-w-0">
              <FindingLine :line="card.root" :cures="curesOf(card.root)" @look="look" />
            </div>
          </div>
          <template v-if="card.follows.length > 0">
            <button
              class="mt-1.5 ml-[22px] flex w-[calc(100%-22px)] items-start gap-1.5 rounded-md py-0.5 text-left text-[12.5px] text-soft hover:text-ink"
              :aria-expanded="open.has(card.key)"
              @click="toggle(card.key)"
            >
              <span class="flex min-w-0 flex-wrap gap-x-3 gap-y-0.5">
                <template v-if="!open.has(card.key)">
                  <span
                    v-for="line in card.follows"
                    :key="findingKey(line.finding)"
                    class="inline-flex min-w-0 items-baseline gap-1"
                    :data-check="line.finding.check"
                    :data-level="line.finding.level"
                    ><LevelMark :level="line.finding.level" class="size-2.5!" /><span
                      ><span class="sr-only">{{ line.finding.level }}: </span>{{ briefly(line) }}</span
                    ></span
                  >
                </template>
                <template v-else>less</template>
              </span>
              <ChevronDown
                class="mt-0.5 ml-auto size-3.5 shrink-0 transition-transform"
                :class="{ 'rotate-180': open.has(card.key) }"
                aria-hidden="true"
              />
            </button>
            <ul v-if="open.has(card.key)" class="ml-[22px] border-l border-line pl-3">
              <li
                v-for="line in card.follows"
                :key="findingKey(line.finding)"
                class="flex gap-2 py-1.5"
                :data-check="line.finding.check"
                :data-level="line.finding.level"
              >
                <LevelMark :level="line.finding.level" class="mt-1" />
                <div class="min-w-0"><FindingLine :line="line" :cures="curesOf(line)" @look="look" /></div>
              </li>
            </ul>
          </template>
        </li>
      </template>
      <li v-if="shown.length === 0" class="py-4 text-soft">
        {{
          only || bench.station
            ? 'Nothing to mend here.'
            : 'Nothing to say. Balance it on a finger and shake it before you leave.'
        }}
      </li>
    </ol>
    <CloseFits v-if="!only && !bench.station" :assessment="assessment" />
  </section>
</template>
