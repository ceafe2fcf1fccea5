<script setup lang="ts">
import { conditions, futureDates, type LockerPiece, pieceSchema } from '@zucchini/core/locker'
import { computed, ref, shallowRef } from 'vue'
import { RouterLink } from 'vue-router'
import { api, ApiRefusal, type SavedPiece } from '../../api.ts'
import { useSettings } from '../../stores/settings.ts'
import { grams, money } from '../../wording.ts'
import type { LockerRow } from './locker-rows.ts'
import { conditionWords, typedMoney } from './locker-words.ts'
import { pieceTold } from './worth.ts'

const props = defineProps<{ row: LockerRow; today: string }>()
const emit = defineEmits<{ saved: [next: SavedPiece]; gone: [piece: LockerPiece]; weigh: [] }>()
const settings = useSettings()

const draft = shallowRef<LockerPiece>(props.row.piece)
const wrong = ref<Readonly<Record<string, string>>>({})
const trouble = ref('')
const changed = computed(() => JSON.stringify(draft.value) !== JSON.stringify(props.row.piece))

const set = (more: Partial<LockerPiece>) => {
  draft.value = { ...draft.value, ...more }
}
const text = (event: Event) => (event.target as HTMLInputElement).value
const amount = (key: 'paidMinor' | 'insuredMinor' | 'soldMinor', event: Event) => {
  const value = typedMoney(text(event))
  const { [key]: _, ...rest } = wrong.value
  wrong.value = value === null ? { ...rest, [key]: 'An amount is 0 or more, such as 49.90.' } : rest
  if (value !== null) set({ [key]: value ?? null })
}
const shown = (minor: number | null) => (minor === null ? '' : (minor / 100).toFixed(2))
const day = (key: 'boughtOn' | 'lentOn' | 'endedOn' | 'usedOn', event: Event) => set({ [key]: text(event) || null })

const save = async () => {
  const parsed = pieceSchema.safeParse(draft.value)
  const future = parsed.success ? futureDates(parsed.data, props.today) : []
  const found = parsed.success
    ? {}
    : Object.fromEntries(parsed.error.issues.map((issue) => [String(issue.path[0] ?? ''), `${issue.message}.`]))
  wrong.value = {
    ...found,
    ...Object.fromEntries(future.map((key) => [key, `This day is still to come; today is ${props.today}.`])),
  }
  if (!parsed.success || future.length > 0) return
  try {
    trouble.value = ''
    emit('saved', await api.savePiece(parsed.data, props.row.saved.revision))
  } catch (error) {
    trouble.value = error instanceof ApiRefusal ? error.message : 'It could not be saved; it stays here until it can.'
  }
}
const remove = async () => {
  try {
    await api.removePiece(props.row.piece.id, props.row.saved.revision)
    emit('gone', props.row.piece)
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'It could not be taken out.'
  }
}
const state = (next: LockerPiece['state']) =>
  set(
    next === 'lent'
      ? { state: next, lentOn: draft.value.lentOn ?? props.today }
      : next === 'kept'
        ? { state: next, lentTo: '', lentOn: null, endedOn: null, soldMinor: null }
        : { state: next, endedOn: draft.value.endedOn ?? props.today },
  )
const states = [
  ['kept', 'kept'],
  ['lent', 'lent'],
  ['sold', 'sold'],
  ['retired', 'retired'],
] as const
</script>

<template>
  <form class="flex flex-col gap-3" aria-label="Piece" novalidate @submit.prevent="save">
    <header>
      <h2 class="leading-tight font-semibold">{{ row.name }}</h2>
      <p class="label">
        {{ row.piece.id }} ·
        <RouterLink
          class="underline decoration-line underline-offset-3 hover:text-ink"
          :to="{ name: 'part', params: { part: row.piece.partId } }"
          >in the catalogue</RouterLink
        >
      </p>
    </header>
    <div class="flex gap-1" role="group" aria-label="State">
      <button
        v-for="[id, word] in states"
        :key="id"
        type="button"
        class="rounded-lg px-2.5 py-0.5"
        :class="draft.state === id ? 'bg-leaf-tint font-semibold' : 'text-soft hover:text-ink'"
        :aria-pressed="draft.state === id"
        @click="state(id)"
      >
        {{ word }}
      </button>
    </div>
    <div v-if="draft.state === 'lent'" class="grid grid-cols-2 gap-2">
      <label class="label"
        >lent to<input
          class="field mt-0.5 w-full py-0.5 text-ink"
          :value="draft.lentTo"
          maxlength="60"
          @input="set({ lentTo: text($event) })"
      /></label>
      <label class="label"
        >since<input
          type="date"
          class="field mt-0.5 w-full py-0.5 text-ink"
          :value.prop="draft.lentOn ?? ''"
          :max="today"
          @change="day('lentOn', $event)"
      /></label>
      <p v-if="wrong['lentTo']" class="col-span-2 text-[12px] text-brick" role="alert">Say to whom it is lent.</p>
    </div>
    <div v-if="draft.state === 'sold' || draft.state === 'retired'" class="grid grid-cols-2 gap-2">
      <label class="label"
        >on<input
          type="date"
          class="field mt-0.5 w-full py-0.5 text-ink"
          :value.prop="draft.endedOn ?? ''"
          :max="today"
          @change="day('endedOn', $event)"
      /></label>
      <label v-if="draft.state === 'sold'" class="label"
        >for<input
          class="field fig mt-0.5 w-full py-0.5 text-ink"
          inputmode="decimal"
          :value.prop="shown(draft.soldMinor)"
          @change="amount('soldMinor', $event)"
      /></label>
    </div>
    <div class="grid grid-cols-2 gap-2">
      <label class="label"
        >condition
        <select
          class="field mt-0.5 w-full py-0.5 text-ink"
          :value="draft.condition"
          @change="set({ condition: text($event) as LockerPiece['condition'] })"
        >
          <option v-for="one in conditions" :key="one" :value="one">{{ conditionWords[one] }}</option>
        </select></label
      >
      <label class="label"
        >kept in<input
          class="field mt-0.5 w-full py-0.5 text-ink"
          :value="draft.place"
          maxlength="60"
          @input="set({ place: text($event) })"
      /></label>
      <label class="label"
        >bought on<input
          type="date"
          class="field mt-0.5 w-full py-0.5 text-ink"
          :value.prop="draft.boughtOn ?? ''"
          :max="today"
          @change="day('boughtOn', $event)"
      /></label>
      <label class="label"
        >last used<input
          type="date"
          class="field mt-0.5 w-full py-0.5 text-ink"
          :value.prop="draft.usedOn ?? ''"
          :max="today"
          @change="day('usedOn', $event)"
      /></label>
      <label class="label"
        >paid, {{ draft.currency
        }}<input
          class="field fig mt-0.5 w-full py-0.5 text-ink"
          inputmode="decimal"
          :value.prop="shown(draft.paidMinor)"
          :aria-invalid="Boolean(wrong['paidMinor'])"
          @change="amount('paidMinor', $event)"
      /></label>
      <label class="label"
        >insured for<input
          class="field fig mt-0.5 w-full py-0.5 text-ink"
          inputmode="decimal"
          :value.prop="shown(draft.insuredMinor)"
          @change="amount('insuredMinor', $event)"
      /></label>
      <label class="label"
        >serial<input
          class="field mt-0.5 w-full py-0.5 text-ink"
          :value="draft.serial"
          maxlength="60"
          @input="set({ serial: text($event) })"
      /></label>
      <label class="label"
        >bought for<input
          class="field mt-0.5 w-full py-0.5 text-ink"
          :value="draft.boughtFor"
          maxlength="80"
          @input="set({ boughtFor: text($event) })"
      /></label>
      <label class="label col-span-2"
        >notes<textarea
          class="field mt-0.5 min-h-12 w-full py-0.5 text-ink"
          maxlength="400"
          :value="draft.notes"
          @input="set({ notes: text($event) })"
        />
      </label>
    </div>
    <p v-for="(words, key) in wrong" v-show="key !== 'lentTo'" :key="key" class="text-[12px] text-brick" role="alert">
      {{ words }}
    </p>
    <p v-if="trouble" class="text-[12.5px] text-brick" role="alert">{{ trouble }}</p>
    <div class="flex gap-1.5">
      <button class="btn btn-do py-0.5" :disabled="!changed">Save</button>
      <button type="button" class="btn py-0.5" @click="$emit('weigh')">Weigh it</button>
      <button type="button" class="btn ml-auto py-0.5" @click="remove">Take out</button>
    </div>
    <dl class="border-t border-line pt-2">
      <div class="flex items-baseline py-0.5">
        <dt class="label">{{ row.measured ? `weighed on ${row.piece.measuredOn ?? ''}` : 'by the datasheet' }}</dt>
        <dd class="fig ml-auto" data-given>{{ grams(row.massG, settings.units) }}</dd>
      </div>
      <div
        v-if="row.valueMinor !== undefined"
        v-ask="['piece-worth', { tell: () => pieceTold(row) }]"
        class="flex items-baseline py-0.5"
      >
        <dt class="label">worth about</dt>
        <dd class="fig ml-auto">{{ money(row.valueMinor, row.piece.currency) }}</dd>
      </div>
    </dl>
    <section v-if="row.usage.length" aria-label="Used in">
      <h3 class="label">used in</h3>
      <p v-for="one in row.usage" :key="one.rigId">
        <RouterLink
          class="underline decoration-line underline-offset-3 hover:decoration-ink"
          :to="{ name: 'bench', params: { id: one.rigId } }"
          >{{ one.rigName }}</RouterLink
        >
        <span class="label ml-2">{{ one.setups.join(', ') || 'in the bag' }}</span>
      </p>
    </section>
  </form>
</template>
