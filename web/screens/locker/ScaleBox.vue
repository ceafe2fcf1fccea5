<script setup lang="ts">
import { placeSetup } from '@zucchini/core/assembly'
import { inHand } from '@zucchini/core/balance'
import { rigWeighing } from '@zucchini/core/locker'
import { useEventListener } from '@vueuse/core'
import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue'
import { api, ApiRefusal, type SavedPiece, type SavedRig, type ScaleFrame } from '../../api.ts'
import { useSettings } from '../../stores/settings.ts'
import { useContext } from '../../stores/context.ts'
import { grams, signed } from '../../wording.ts'
import type { Told } from '../../stores/told.ts'
import type { LockerRow } from './locker-rows.ts'
import { scaleFrameSchema, SCALE_STREAM } from '@zucchini/contract'

const props = defineProps<{ row: LockerRow | undefined; rigs: readonly SavedRig[] }>()
const emit = defineEmits<{ saved: [next: SavedPiece] }>()
const context = useContext()
const settings = useSettings()

const frame = shallowRef<ScaleFrame>()
const trouble = ref('')
const chosen = ref('')
const said = ref('')
let stream: EventSource | undefined

onMounted(() => {
  stream = new EventSource(SCALE_STREAM)
  stream.onmessage = ({ data }) => {
    const next = scaleFrameSchema.safeParse(JSON.parse(String(data)))
    if (next.success) frame.value = next.data
    else trouble.value = 'The scale sent something that makes no sense. Put the piece down once more.'
  }
  stream.onerror = () => (frame.value = undefined)
})
const close = () => stream?.close()
onBeforeUnmount(close)
useEventListener(window, 'pagehide', close)

const ask = async (what: () => Promise<ScaleFrame>) => {
  try {
    trouble.value = ''
    frame.value = await what()
  } catch (error) {
    trouble.value = error instanceof ApiRefusal ? error.message : 'The scale does not answer.'
  }
}
/** Each set-up of each rig that can be put on the scale whole. */
const setups = computed(() =>
  props.rigs.flatMap(({ rig }) => rig.setups.map((setup) => ({ key: `${rig.id}/${setup.id}`, rig, setup }))),
)
const whole = computed(() => {
  const found = setups.value.find(({ key }) => key === chosen.value)
  return found && context.catalogue
    ? placeSetup(found.rig, found.setup, context.catalogue).placed.filter(inHand)
    : undefined
})
const layPiece = () => {
  chosen.value = ''
  said.value = ''
  if (props.row) void ask(() => api.layOnScale([props.row?.piece.partId ?? '']))
}
const layRig = () => {
  said.value = ''
  if (whole.value) void ask(() => api.layOnScale(whole.value?.map(({ part }) => part.id) ?? []))
}
const keep = async () => {
  if (!props.row) return
  try {
    trouble.value = ''
    const before = props.row.massG
    const next = await api.weighPiece(props.row.piece.id, props.row.saved.revision)
    said.value = `Kept: ${grams(next.piece.measuredG ?? 0, settings.units)}, ${signed(Math.round((next.piece.measuredG ?? 0) - before), (g) => grams(g, settings.units))} against before.`
    emit('saved', next)
  } catch (error) {
    trouble.value = error instanceof ApiRefusal ? error.message : 'The scale does not answer. The old mass stays.'
  }
}
const onIt = computed(() => frame.value?.holds ?? [])
const holdsPiece = computed(
  () => props.row !== undefined && onIt.value.length === 1 && onIt.value[0] === props.row.piece.partId,
)
const verdict = computed(() => {
  const now = frame.value
  if (!whole.value || now?.grams === null || now === undefined || onIt.value.length < 2) return undefined
  return rigWeighing(
    whole.value.map(({ part }) => ({ name: part.name, massG: part.massG, measured: context.measured.has(part.id) })),
    now.grams,
  )
})
const weighTold = (): Told => ({
  id: 'weigh-in',
  title: 'Unexplained',
  value: signed(Math.round(verdict.value?.unexplainedG ?? 0), (g) => mass(g)),
  how: 'what the scale shows, less the sum of the pieces; explained when both may be off by so much together',
  formulas: ['Weigh-in', 'Source and error'],
  rows: (whole.value ?? []).map(({ part }) => ({
    name: part.name,
    value: mass(part.massG),
    note: context.measured.has(part.id) ? 'weighed' : 'by the datasheet',
  })),
})
const mass = (g: number) => grams(Math.round(g), settings.units)
</script>

<template>
  <section class="flex flex-col gap-3" aria-label="Weigh-in">
    <h2 class="font-semibold">Weigh-in <span class="label font-normal">a simulated scale</span></h2>
    <div
      class="rounded-xl border border-line bg-paper px-4 py-3 text-center"
      role="status"
      data-testid="scale"
      :data-stable="frame?.stable ?? false"
    >
      <p data-given class="fig text-[34px] leading-none" :class="frame?.stable ? '' : 'text-soft'">
        {{ frame?.plugged === false ? 'no scale' : frame?.grams == null ? '…' : grams(frame.grams, settings.units) }}
      </p>
      <p class="label mt-1">
        {{
          frame?.plugged === false
            ? 'The plug is out. What was weighed before stays.'
            : !frame
              ? 'The scale does not answer.'
              : frame.stable
                ? 'steady'
                : 'swinging …'
        }}
      </p>
    </div>
    <div class="flex flex-wrap gap-1.5">
      <button class="btn py-0.5" :disabled="!row" @click="layPiece">
        Lay {{ row ? 'this piece' : 'a picked piece' }} on it
      </button>
      <button class="btn py-0.5" @click="ask(() => api.layOnScale([]))">Take all off</button>
      <button class="btn py-0.5" :disabled="!frame?.stable" @click="ask(api.tareScale)">Tare</button>
      <button class="btn py-0.5" @click="ask(() => api.plugScale(frame?.plugged === false))">
        {{ frame?.plugged === false ? 'Plug in' : 'Pull the plug' }}
      </button>
    </div>
    <div v-if="row" class="border-t border-line pt-2">
      <p class="leading-snug">
        {{ row.name }}: <span class="fig" data-given>{{ mass(row.massG) }}</span>
        <span class="label ml-1.5">{{ row.measured ? 'weighed' : 'by the datasheet' }}</span>
      </p>
      <p v-if="holdsPiece && frame?.stable && frame.grams !== null" class="label">
        The scale says {{ signed(Math.round(frame.grams - row.massG), (g) => mass(g)) }}.
      </p>
      <button class="btn btn-do mt-1.5 py-0.5" :disabled="!holdsPiece || !frame?.stable" @click="keep">
        Keep what it shows
      </button>
    </div>
    <p v-else class="label">Pick a piece in the list to weigh it.</p>
    <p v-if="said" class="text-leaf" role="status">{{ said }}</p>
    <p v-if="trouble" class="text-brick" role="alert">{{ trouble }}</p>
    <div class="border-t border-line pt-2">
      <h3 class="font-semibold">A whole rig</h3>
      <div class="mt-1 flex gap-1.5">
        <select v-model="chosen" class="field min-w-0 flex-1 py-0.5" aria-label="Rig and set-up">
          <option value="" disabled>rig and set-up</option>
          <option v-for="one in setups" :key="one.key" :value="one.key">
            {{ one.rig.name }}, {{ one.setup.name }}
          </option>
        </select>
        <button class="btn py-0.5" :disabled="!whole" @click="layRig">Weigh</button>
      </div>
      <div v-if="verdict" class="mt-2" data-testid="rig-weighing">
        <dl v-ask="['weigh-in', { tell: weighTold }]">
          <div class="flex items-baseline border-b border-line py-0.5">
            <dt class="label">sum of its pieces</dt>
            <dd class="fig ml-auto">{{ mass(verdict.sumG) }}</dd>
          </div>
          <div class="flex items-baseline border-b border-line py-0.5">
            <dt class="label">on the scale</dt>
            <dd class="fig ml-auto">{{ mass(verdict.scaleG) }}</dd>
          </div>
          <div class="flex items-baseline border-b border-line py-0.5">
            <dt class="label">unexplained</dt>
            <dd class="fig ml-auto" :class="verdict.explained ? '' : 'text-amber'">
              {{ signed(Math.round(verdict.unexplainedG), (g) => mass(g)) }}
            </dd>
          </div>
        </dl>
        <p class="label mt-1">
          {{
            verdict.explained
              ? `Within what ${verdict.unweighed.length} datasheets may be off by, ${mass(verdict.allowedG)}.`
              : `More than datasheets are off by, ${mass(verdict.allowedG)}: something is on it that is not in the plan, or the other way round.`
          }}
          <template v-if="verdict.unweighed.length">
            Not weighed yet, the heaviest first:
            {{
              verdict.unweighed
                .slice(0, 4)
                .map(({ name }) => name)
                .join(', ')
            }}.</template
          >
        </p>
      </div>
    </div>
  </section>
</template>
