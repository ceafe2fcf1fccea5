<script setup lang="ts">
import type { BuildPlan, Proof } from '@zucchini/core/assess'
import type { SheetStep } from '@zucchini/core/build-order'
import { type ViewId, viewIds, views } from '@zucchini/core/drawing'
import { Check, ChevronLeft, ChevronRight, Printer, Repeat2, Timer, Wrench } from '@lucide/vue'
import { useMediaQuery, useSwipe, useWakeLock } from '@vueuse/core'
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import { useLapWatch } from '../../field/watch.ts'
import type { FigureRef } from '../../stores/ask.ts'
import { useRig } from '../../stores/rig.ts'
import { useTicks } from '../../stores/ticks.ts'
import RigBar from '../../widgets/RigBar.vue'
import { save } from '../../save-file.ts'
import SetupTabs from '../../widgets/SetupTabs.vue'
import TakeOut from '../../widgets/TakeOut.vue'
import { benchWorker } from '../../workers/client.ts'
import { hoursMinutes } from '../../wording.ts'
import { useRigOfRoute } from '../rig-of-route.ts'
import StepCard from './StepCard.vue'
import { proofWords, stepKey, titleOf, toolsLine, toolsOf } from './step-words.ts'

// Putting a rig together with the hands: one step a view, its picture, its tool, a big tick; paper has them all.
const store = useRig()
const trouble = useRigOfRoute()
const plan = shallowRef<BuildPlan>()
const failed = ref(false)
const at = ref(0)
const isNarrow = useMediaQuery('(max-width: 767px)')

const key = computed(() => `${store.rig?.id ?? ''} ${store.setup?.id ?? ''}`)
const steps = computed(() => plan.value?.steps ?? [])
/** One begins where one left off. */
function begin(): void {
  const open = steps.value.findIndex((step) => !ticks.isDone(step))
  at.value = open < 0 ? steps.value.length : open
}
let asked = 0
/** The set-up whose steps stand here. */
let planned = ''
watch(
  () => store.assessment?.assembly,
  async (assembly) => {
    if (!assembly) return
    const turn = ++asked
    failed.value = false
    // Steps of another set-up are no steps of this one.
    if (key.value !== planned) plan.value = undefined
    try {
      const made = await benchWorker().build(assembly.rig, assembly.setup.id)
      if (turn !== asked) return
      plan.value = made
      if (key.value === planned) return
      planned = key.value
      begin()
      // Ticks of another machine may come a moment later.
      if (!kept.isKnown.value) watch(kept.isKnown, begin, { once: true })
    } catch {
      failed.value = turn === asked
    }
  },
  { immediate: true },
)
/** A tick belongs to a step as it is: set otherwise since then, it is open again. */
const kept = useTicks(
  () => store.told,
  () => `build ${store.setup?.id ?? ''}`,
  computed(() => steps.value.map(stepKey)),
)
const ticks = {
  isDone: (step: SheetStep) => kept.isDone(stepKey(step)),
  tick: (step: SheetStep, on: boolean) => void kept.tick(stepKey(step), on),
  clear: kept.clear,
}
const isProof = computed(() => at.value >= steps.value.length)
const { count } = kept
const left = computed(() => steps.value.reduce((sum, step) => sum + (ticks.isDone(step) ? 0 : step.seconds), 0))
const go = (to: number) => {
  at.value = Math.min(steps.value.length, Math.max(0, to))
  turned.value = undefined
}
const step = computed(() => steps.value[at.value])
const { runs: watchRuns, told: lapTold, lap } = useLapWatch(() => step.value)
const tick = () => {
  const now = step.value
  if (!now) return
  const on = !ticks.isDone(now)
  if (on) void lap(now)
  ticks.tick(now, on)
  if (on) go(at.value + 1)
}
const turned = ref<ViewId>()
const turn = () => {
  const now = viewIds.indexOf(turned.value ?? 'side')
  turned.value = viewIds[(now + 1) % viewIds.length]
}

const page = ref<HTMLElement | null>(null)
useSwipe(page, {
  threshold: 60,
  onSwipeEnd: (_, direction) => {
    if (direction === 'left') go(at.value + 1)
    if (direction === 'right') go(at.value - 1)
  },
})
// The screen stays awake while somebody builds, where the browser lets it.
const wake = useWakeLock()
watch(step, (now) => {
  if (now && !wake.isActive.value && wake.isSupported.value) void wake.request('screen').catch(() => undefined)
})
const keys = (event: KeyboardEvent) => {
  if (event.target instanceof HTMLInputElement || event.altKey || event.ctrlKey || event.metaKey) return
  if (event.key === 'ArrowRight') go(at.value + 1)
  else if (event.key === 'ArrowLeft') go(at.value - 1)
  else return
  event.preventDefault()
}
/** How the figures that are to be expected come about. */
const asks: Readonly<Partial<Record<Proof['what'], FigureRef>>> = { weigh: 'in-hand', hang: 'hangs' }
const isPrinting = ref(false)
const print = async () => {
  isPrinting.value = true
  await nextTick()
  window.print()
  isPrinting.value = false
}
const booklet = (size: 'a4' | 'a5') => async () => {
  const [{ assessment, rig }, made] = [store, plan.value]
  if (!assessment || !rig || !made) return
  const { buildBooklet } = await import('../../field/booklet.ts')
  const pdf = await buildBooklet(size, rig.name, assessment.assembly, made, store.style)
  save(`${rig.id}-${assessment.setupId}-build-${size}.pdf`, pdf, 'application/pdf')
}
const papers = [
  { title: 'A booklet, A5, PDF: a step a page', act: booklet('a5') },
  { title: 'All steps on A4, PDF', act: booklet('a4') },
]
const tools = computed(() => toolsOf(plan.value ?? { places: [], toolChanges: 0 }))
</script>

<template>
  <div class="flex h-full min-h-0 flex-col" @keydown="keys">
    <RigBar here="Build" />
    <p v-if="trouble" class="p-8" role="alert">{{ trouble }}</p>
    <p v-else-if="failed" class="p-8" role="alert">
      The order could not be worked out. Go back to the bench: a finding there names what is wrong.
    </p>
    <main v-else-if="plan && store.assessment" class="min-h-0 flex-1 overflow-y-auto" data-build>
      <div class="mx-auto max-w-6xl px-4 pt-2 md:px-6 md:pt-4 print:hidden"><SetupTabs /></div>
      <div class="mx-auto grid max-w-6xl md:grid-cols-[270px_minmax(0,1fr)] md:gap-6 md:px-6 md:py-4 print:hidden">
        <nav class="hidden min-w-0 md:block" aria-label="Steps">
          <h1 class="text-xl font-semibold">Build, {{ store.setup?.name }}</h1>
          <p class="label mt-0.5">
            <span v-ask="['set-up', store.assessment]">{{ steps.length }} steps, {{ hoursMinutes(plan.seconds) }}</span
            ><template v-if="tools.changes">; {{ tools.changes }}</template>
          </p>
          <ul class="mt-1.5" aria-label="Tools">
            <li v-for="one in tools.lines" :key="one.tool" class="flex items-baseline gap-2 py-0.5">
              <Wrench class="size-3.5 shrink-0 self-center text-soft" aria-hidden="true" />
              <span class="whitespace-nowrap">{{ one.tool }}</span>
              <span class="label tight" :class="{ 'text-amber!': one.isMissing }">{{ one.where }}</span>
            </li>
            <li v-if="tools.lines.length === 0" class="label">no tools</li>
          </ul>
          <ol class="mt-3">
            <li v-for="(one, i) in steps" :key="i">
              <button
                class="step-row"
                :class="{ here: i === at }"
                :aria-current="i === at ? 'step' : undefined"
                @click="go(i)"
              >
                <span class="tick" :class="{ on: ticks.isDone(one) }"
                  ><Check v-if="ticks.isDone(one)" class="size-3.5" aria-label="done" /><template v-else>{{
                    i + 1
                  }}</template></span
                >
                <span class="min-w-0 truncate" :class="{ 'text-soft': ticks.isDone(one) }">{{ titleOf(one) }}</span>
                <span class="fig ml-auto whitespace-nowrap text-soft" data-given>{{ one.seconds }} s</span>
              </button>
            </li>
            <li>
              <button class="step-row" :class="{ here: isProof }" @click="go(steps.length)">
                <span class="tick">?</span><span>What to try at the end</span>
              </button>
            </li>
          </ol>
          <div class="mt-3 flex flex-wrap gap-2">
            <button class="btn" @click="print"><Printer class="size-4" aria-hidden="true" /> Print all steps</button>
            <TakeOut :items="papers" />
            <button v-if="count > 0" class="btn" @click="ticks.clear()">Begin anew</button>
          </div>
        </nav>

        <section ref="page" class="flex min-w-0 flex-col md:rounded-xl md:border md:border-line" aria-label="This step">
          <div class="flex gap-1 px-4 pt-3" aria-hidden="true">
            <span
              v-for="(one, i) in steps"
              :key="i"
              class="h-1 flex-1 rounded-full"
              :class="i === at ? 'bg-blossom' : ticks.isDone(one) ? 'bg-leaf' : 'bg-track'"
            />
          </div>
          <p class="flex items-center px-4 pt-1.5">
            <span v-if="!isProof"
              ><strong>Step {{ at + 1 }}</strong> of {{ steps.length }}</span
            ><strong v-else>All on</strong>
            <span class="label ml-1.5">{{ left > 0 ? `${hoursMinutes(left)} left` : 'nothing left to do' }}</span>
            <button
              v-if="!isProof"
              class="label ml-auto flex min-h-6 items-center gap-1 underline decoration-dotted"
              :aria-pressed="watchRuns"
              @click="watchRuns = !watchRuns"
            >
              <Timer class="size-4" :class="{ 'text-leaf': watchRuns }" aria-hidden="true" />{{
                watchRuns ? 'the watch runs' : 'time it'
              }}
            </button>
            <button v-if="!isProof" class="label ml-4 min-h-6 underline decoration-dotted" @click="turn">
              {{ turned ? `seen: ${views[turned].title.toLowerCase()}` : 'turn it' }}
            </button>
          </p>
          <p v-if="lapTold" class="label px-4" role="status">{{ lapTold }}</p>
          <div
            v-if="plan.knots.length || plan.unfit.length || plan.against.length"
            class="mx-4 mt-2 rounded-lg border border-brick px-3 py-2"
            role="alert"
          >
            <p v-for="knot in plan.knots" :key="knot.instance">
              <strong>{{ knot.name }} can't be put on.</strong>
              {{ knot.by.join(' and ') || 'Its joint' }} stands in its way, whatever goes first.
            </p>
            <p v-for="(one, i) in plan.against" :key="`${one.instance} ${i}`">
              <strong>{{ one.name }} and {{ one.after }}</strong> go on in the other order than their maker wants;
              nothing here allows that one. Tape what they pass.
            </p>
            <p v-for="piece in plan.unfit" :key="piece.instance">
              <strong>{{ piece.name }} is left out here.</strong> It, or what it sits on, does not go on: see the
              findings on the bench.
            </p>
          </div>
          <StepCard
            v-if="!isProof"
            :assembly="store.assessment.assembly"
            :steps="steps"
            :at="at"
            :width="isNarrow ? 390 : 760"
            :height="isNarrow ? 262 : 290"
            :view="turned"
            :places="plan.places"
          />
          <div v-else class="px-4 pb-2">
            <h2 class="mt-2 text-lg font-semibold">What to try now</h2>
            <ol class="mt-1">
              <li v-for="(proof, i) in plan.proofs" :key="i" class="border-t border-line py-2.5">
                <p class="text-[15px]">{{ proofWords(proof, store.style).do }}</p>
                <p v-if="asks[proof.what]" v-ask="[asks[proof.what], store.assessment]" class="font-semibold">
                  {{ proofWords(proof, store.style).expect }}
                </p>
                <p v-else class="font-semibold">{{ proofWords(proof, store.style).expect }}</p>
              </li>
            </ol>
            <p class="label mt-2">
              Figures come from the parts as they are known. Where the rig answers otherwise, trust the rig, and look
              for what sits elsewhere than drawn.
            </p>
          </div>
          <div class="bar">
            <button class="side" aria-label="The step before" :disabled="at === 0" @click="go(at - 1)">
              <ChevronLeft class="size-5" aria-hidden="true" />
            </button>
            <button v-if="step" class="big" :class="{ done: ticks.isDone(step) }" @click="tick">
              <Check class="size-6" aria-hidden="true" />
              {{ ticks.isDone(step) ? 'Done; take the tick back' : step.do === 'join' ? 'On, and it holds' : 'Done' }}
            </button>
            <button v-else class="big" @click="go(0)">See it all again</button>
            <button class="side" aria-label="The next step" :disabled="isProof" @click="go(at + 1)">
              <ChevronRight class="size-5" aria-hidden="true" />
            </button>
          </div>
          <p v-if="(store.rig?.setups.length ?? 0) > 1" class="px-4 pb-3">
            <RouterLink
              class="label inline-flex min-h-6 items-center gap-1 underline decoration-dotted"
              :to="{ path: `/rigs/${store.rig?.id}/set-ups`, query: { from: store.setup?.id } }"
              ><Repeat2 class="size-4" aria-hidden="true" /> It stands already: change over to another
              set-up</RouterLink
            >
          </p>
        </section>
      </div>

      <div v-if="isPrinting" class="hidden print:block" data-booklet>
        <h1 class="text-xl font-semibold">{{ store.rig?.name }}: {{ store.setup?.name }}</h1>
        <p>{{ steps.length }} steps, {{ hoursMinutes(plan.seconds) }}; {{ toolsLine(plan) }}</p>
        <section v-for="(one, i) in steps" :key="i" class="sheet">
          <p class="mt-2">
            <strong>{{ i + 1 }}</strong> of {{ steps.length }}
          </p>
          <StepCard
            :assembly="store.assessment.assembly"
            :steps="steps"
            :at="i"
            :width="620"
            :height="330"
            :places="plan.places"
          />
          <p class="px-4 pt-2">☐ {{ titleOf(one) }}</p>
        </section>
        <section class="sheet">
          <h2 class="text-lg font-semibold">What to try at the end</h2>
          <p v-for="(proof, i) in plan.proofs" :key="i" class="mt-1">
            ☐ {{ proofWords(proof, store.style).do }} <strong>{{ proofWords(proof, store.style).expect }}</strong>
          </p>
        </section>
      </div>
    </main>
    <p v-else class="label p-8" role="status">working out the order ...</p>
  </div>
</template>

<style scoped>
.step-row {
  display: flex;
  width: 100%;
  align-items: center;
  gap: 0.6rem;
  border-top: 1px solid var(--line);
  padding: 0.35rem 0.4rem;
  text-align: left;
}
.step-row.here {
  background: var(--leaf-tint);
}
.bar {
  position: sticky;
  bottom: 0;
  display: grid;
  grid-template-columns: 52px minmax(0, 1fr) 52px;
  gap: 9px;
  margin-top: auto;
  background: var(--paper);
  padding: 14px 16px;
}
.side,
.big {
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 0.7rem;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--card);
  min-height: 56px;
}
.side:disabled {
  opacity: 0.4;
}
.big {
  border-color: transparent;
  background: var(--leaf);
  color: var(--on-leaf);
  font-size: 17px;
  font-weight: 600;
}
.big.done {
  border-color: var(--leaf);
  background: var(--leaf-tint);
  color: var(--leaf);
}
@media (max-width: 767px) {
  .side,
  .big {
    min-height: 72px;
  }
}
.sheet {
  break-inside: avoid;
}
</style>
