<script setup lang="ts">
import type { LogPlan, MarkLine } from '@zucchini/core/assess'
import { daySchema, learntOf, lessonsOf } from '@zucchini/core/log'
import { Check, Gauge } from '@lucide/vue'
import { useLocalStorage, watchDebounced } from '@vueuse/core'
import { computed, ref, shallowRef, useId, watch } from 'vue'
import type { FigureRef } from '../../stores/ask.ts'
import { useContext } from '../../stores/context.ts'
import { useField } from '../../stores/field.ts'
import { useRig } from '../../stores/rig.ts'
import { fill, grams, headline, holdWords, hours, hoursMinutes, shortName, signed, watts } from '../../wording.ts'
import { benchWorker } from '../../workers/client.ts'
import LogField from './LogField.vue'
import { dayOfDraft, emptyDraft, type Happening, happenings, type LogDraft, wrongFields } from './log-draft.ts'
import { happeningWords, shootOf } from './log-words.ts'
import MeterBox from './MeterBox.vue'
import PiecePick from './PiecePick.vue'

// A day's log in a minute: what happened, what was measured beside its plan, one line, and what the next mark would do.
const emit = defineEmits<{ kept: [] }>()
const store = useRig()
const context = useContext()
const field = useField()
const ids = { shoot: useId(), day: useId(), line: useId() }

const setups = computed(() => store.rig?.setups ?? [])
/** The set-ups the bag was packed for, where somebody has said so. */
const packed = useLocalStorage<readonly string[]>(() => `day ${store.rig?.id ?? ''}`, [])
const bagged = computed(() => packed.value.filter((id) => setups.value.some((setup) => setup.id === id)))
const fresh = (): LogDraft =>
  emptyDraft(
    store.assessment ? shootOf(store.assessment) : '',
    context.today,
    bagged.value.length > 0 ? bagged.value : setups.value.map(({ id }) => id),
  )
/** What is written so far outlives a closed page. */
const draft = useLocalStorage<LogDraft>(() => `log ${store.rig?.id ?? ''}`, fresh())
const change = (more: Partial<LogDraft>) => (draft.value = { ...draft.value, ...more })
const used = computed(() => draft.value.setups.filter((id) => setups.value.some((setup) => setup.id === id)))
const toggleSetup = (id: string) =>
  change({ setups: used.value.includes(id) ? used.value.filter((one) => one !== id) : [...used.value, id] })

const plan = shallowRef<LogPlan>()
watch(
  [() => store.rig, used],
  async ([rig, now]) => {
    if (rig) plan.value = now.length > 0 ? await benchWorker().logPlan(rig, [...now]) : undefined
  },
  { immediate: true },
)

const open = ref<Happening>()
const toggle = (happening: Happening, piece: string) => {
  const { happened } = draft.value
  const now = happened[happening]
  change({
    happened: { ...happened, [happening]: now.includes(piece) ? now.filter((one) => one !== piece) : [...now, piece] },
  })
}
const batteries = computed(() => new Set(plan.value?.runs.map(({ piece }) => piece)))
const pickable = computed(() => {
  const pieces = plan.value?.pieces ?? []
  if (open.value === 'ranOut') return pieces.filter(({ piece }) => batteries.value.has(piece))
  // What lies in the bag can be never used; to come loose or stand in the way it has to sit somewhere.
  return open.value === 'unused' ? pieces : pieces.filter(({ joint }) => joint)
})
const namesOf = (happening: Happening): string =>
  draft.value.happened[happening]
    .flatMap((id) => plan.value?.pieces.find(({ piece }) => piece === id)?.name ?? [])
    .map(shortName)
    .join(', ')

type Typed = 'gaps' | 'grams' | 'ready' | 'held' | 'runs' | 'draws'
const put = (name: Typed, id: string, text: string | undefined) =>
  change({ [name]: { ...draft.value[name], [id]: text ?? '' } })
const wrong = computed(() => wrongFields(draft.value))
const meter = ref(false)
/** Of the first set-up the figures stand there; of the others when somebody asks. */
const allFigures = ref(false)

/** The open set-up's figures can be asked how they come about. */
const asksOf = (figure: FigureRef, setup: string) =>
  store.assessment?.setupId === setup ? ([figure, store.assessment] as const) : undefined
const supportOf = (id: string) => setups.value.find((setup) => setup.id === id)?.support ?? ''
const told = computed(() => {
  if (!plan.value || used.value.length === 0 || wrong.value.size > 0) return undefined
  const parsed = daySchema.safeParse(dayOfDraft({ ...draft.value, setups: used.value }, plan.value, supportOf))
  return parsed.success ? parsed.data : undefined
})
/** Why it can not be kept yet. */
const missing = computed(() =>
  draft.value.shoot.trim() === ''
    ? 'Say which shoot it was.'
    : used.value.length === 0
      ? 'Say which set-ups were used.'
      : wrong.value.size > 0
        ? 'A figure can not be read; it is marked.'
        : draft.value.day > context.today
          ? 'The day lies in the future.'
          : '',
)

/** What the next mark would do: worked out a moment after the last tap. */
const lines = shallowRef<readonly MarkLine[]>([])
let asked = 0
watchDebounced(
  [told, () => field.all],
  async ([log]) => {
    const { rig, told: of } = store
    if (!rig || !of || !log) return
    const turn = ++asked
    const id = '00000000-0000-4000-8000-000000000000'
    const now = [...field.all, { id, rigId: rig.id, revision: of.revision, at: new Date().toISOString(), what: log }]
    const found = await benchWorker().markLines(rig, learntOf(lessonsOf(now)))
    if (turn === asked) lines.value = found
  },
  { debounce: 350, immediate: true },
)
const lineWords = ({ finding, way }: MarkLine): { readonly head: string; readonly does: string } => ({
  head: headline(fill(finding.text, finding.numbers, finding.names, store.style)).head,
  does: way
    ? `${fill(way.remedy.text, way.remedy.numbers, way.remedy.names, store.style)} (${signed(Math.round(way.effect.massG), (g) => grams(g, store.style.units))})`
    : 'nothing found that holds without a price',
})

const isKeeping = ref(false)
const keep = async () => {
  const { told: of } = store
  if (!told.value || !of || missing.value !== '' || isKeeping.value) return
  isKeeping.value = true
  try {
    await field.tell(of, of.revision, told.value)
    draft.value = fresh()
    open.value = undefined
    emit('kept')
  } finally {
    isKeeping.value = false
  }
}
</script>

<template>
  <form class="flex flex-col gap-4" novalidate @submit.prevent="keep">
    <div class="grid grid-cols-[minmax(0,1fr)_150px] gap-3">
      <div>
        <label class="label" :for="ids.shoot">Which shoot?</label>
        <input
          :id="ids.shoot"
          class="field mt-0.5 w-full py-1.5"
          maxlength="80"
          :value="draft.shoot"
          @input="change({ shoot: ($event.target as HTMLInputElement).value })"
        />
      </div>
      <div>
        <label class="label" :for="ids.day">Day</label>
        <input
          :id="ids.day"
          type="date"
          class="field mt-0.5 w-full py-1.5"
          :max="context.today"
          :value.prop="draft.day"
          @change="change({ day: ($event.target as HTMLInputElement).value || context.today })"
        />
      </div>
    </div>

    <fieldset>
      <legend class="label">Which set-ups were used?</legend>
      <div class="mt-1 flex flex-wrap gap-1.5">
        <button
          v-for="setup in setups"
          :key="setup.id"
          type="button"
          class="min-h-11 rounded-full border px-3.5"
          :class="used.includes(setup.id) ? 'border-leaf bg-leaf-tint font-semibold' : 'border-line text-soft'"
          :aria-pressed="used.includes(setup.id)"
          @click="toggleSetup(setup.id)"
        >
          {{ setup.name }}
        </button>
      </div>
    </fieldset>

    <fieldset>
      <legend class="label">What happened?</legend>
      <div class="mt-1 flex flex-wrap gap-1.5">
        <button
          v-for="one in happenings"
          :key="one"
          type="button"
          class="min-h-12 max-w-full rounded-full border px-4 text-left"
          :class="
            draft.happened[one].length
              ? 'border-leaf bg-leaf-tint font-semibold'
              : open === one
                ? 'border-leaf'
                : 'border-line bg-card'
          "
          :aria-expanded="open === one"
          :data-happening="one"
          @click="open = open === one ? undefined : one"
        >
          {{ happeningWords[one] }}<template v-if="draft.happened[one].length">: {{ namesOf(one) }}</template>
        </button>
      </div>
      <div v-if="open && plan" class="mt-2 border-l-2 border-leaf pl-3">
        <p class="label">
          {{
            open === 'gaps'
              ? 'Everything else went on as said. Which did not, and how much stayed open?'
              : open === 'unused'
                ? 'Carried the whole day and never reached for:'
                : open === 'ranOut'
                  ? 'Which battery?'
                  : 'Which piece? Those that pull most at their joint stand first.'
          }}
        </p>
        <PiecePick
          :label="happeningWords[open]"
          :pieces="pickable"
          :chosen="draft.happened[open]"
          @toggle="toggle(open, $event)"
        />
        <div v-if="open === 'gaps' && draft.happened.gaps.length" class="mt-2 grid grid-cols-2 gap-2">
          <LogField
            v-for="id in draft.happened.gaps"
            :key="id"
            :label="shortName(plan.pieces.find(({ piece }) => piece === id)?.name ?? id)"
            plan="mm that stayed open"
            hint="1.5"
            :wrong="wrong.has(`gaps ${id}`)"
            :model-value="draft.gaps[id] ?? ''"
            @update:model-value="put('gaps', id, $event)"
          />
        </div>
      </div>
    </fieldset>

    <fieldset v-if="plan">
      <legend class="label">Really measured? What was not, leave empty.</legend>
      <div class="mt-1 grid grid-cols-2 gap-2 min-[560px]:grid-cols-3">
        <LogField
          v-for="run in plan.runs"
          :key="run.piece"
          :label="`${shortName(run.name)} lasted`"
          :plan="`plan ${hours(run.minutes)}, all on`"
          hint="1:05"
          :wrong="wrong.has(`runs ${run.piece}`)"
          :model-value="draft.runs[run.piece] ?? ''"
          @update:model-value="put('runs', run.piece, $event)"
        />
        <template v-for="setup in allFigures ? plan.setups : plan.setups.slice(0, 1)" :key="setup.id">
          <LogField
            :label="`${setup.name} ready in`"
            :plan="`plan ${hoursMinutes(Math.round(setup.seconds))}`"
            hint="5:05"
            :asks="asksOf('set-up', setup.id)"
            :wrong="wrong.has(`ready ${setup.id}`)"
            :model-value="draft.ready[setup.id] ?? ''"
            @update:model-value="put('ready', setup.id, $event)"
          />
          <LogField
            :label="`${setup.name} weighed, g`"
            :plan="`plan ${grams(setup.grams, store.style.units)}`"
            :hint="String(Math.round(setup.grams))"
            :asks="asksOf('in-hand', setup.id)"
            :wrong="wrong.has(`grams ${setup.id}`)"
            :model-value="draft.grams[setup.id] ?? ''"
            @update:model-value="put('grams', setup.id, $event)"
          />
          <LogField
            v-if="setup.heldMin !== undefined"
            :label="`${setup.name} held, min`"
            :plan="`plan ${holdWords(setup.heldMin)}`"
            hint="2.5"
            :asks="asksOf('held', setup.id)"
            :wrong="wrong.has(`held ${setup.id}`)"
            :model-value="draft.held[setup.id] ?? ''"
            @update:model-value="put('held', setup.id, $event)"
          />
        </template>
      </div>
      <div class="mt-2 flex flex-wrap gap-2">
        <button v-if="plan.setups.length > 1 && !allFigures" type="button" class="btn" @click="allFigures = true">
          Of the other set-ups too
        </button>
        <button type="button" class="btn" :aria-expanded="meter" @click="meter = !meter">
          <Gauge class="size-4" aria-hidden="true" /> What pieces draw
        </button>
      </div>
      <div v-if="meter" class="mt-2">
        <MeterBox :pieces="plan.draws" @read="(piece, value) => put('draws', piece, String(value))" />
        <div class="mt-2 grid grid-cols-2 gap-2 min-[560px]:grid-cols-3">
          <LogField
            v-for="one in plan.draws"
            :key="one.piece"
            :label="`${shortName(one.name)} drew, W`"
            :plan="`plan ${watts(one.watts)}`"
            :hint="String(one.watts)"
            :wrong="wrong.has(`draws ${one.piece}`)"
            :model-value="draft.draws[one.piece] ?? ''"
            @update:model-value="put('draws', one.piece, $event)"
          />
        </div>
      </div>
    </fieldset>

    <div>
      <label class="label" :for="ids.line">In one line</label>
      <input
        :id="ids.line"
        class="field mt-0.5 w-full py-1.5"
        maxlength="280"
        placeholder="what you would tell the next one"
        :value="draft.line"
        @input="change({ line: ($event.target as HTMLInputElement).value })"
      />
    </div>

    <div v-if="lines.length" class="rounded-lg border border-line bg-card px-3.5 py-3" data-next-mark>
      <p class="font-semibold">The next mark would look at</p>
      <ul class="mt-1">
        <li v-for="(one, i) in lines" :key="i" class="mt-1 leading-snug">
          {{ lineWords(one).head }} <span class="block text-soft">{{ lineWords(one).does }}</span>
        </li>
      </ul>
    </div>

    <div>
      <button class="keep" :disabled="missing !== '' || !told || isKeeping">
        <Check class="size-6" aria-hidden="true" /> Keep the log
      </button>
      <p class="label mt-1.5 text-center" role="status">
        {{ missing || 'Kept on this machine now, sent when there is a network.' }}
      </p>
    </div>
  </form>
</template>

<style scoped>
.keep {
  display: flex;
  width: 100%;
  min-height: 72px;
  align-items: center;
  justify-content: center;
  gap: 0.7rem;
  border-radius: 12px;
  background: var(--leaf);
  color: var(--on-leaf);
  font-size: 17px;
  font-weight: 600;
}
.keep:disabled {
  background: var(--track);
  color: var(--soft);
}
</style>
