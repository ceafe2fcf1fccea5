<script setup lang="ts">
import { conditions, futureDates, type LockerPiece, pieceSchema } from '@zucchini/core/locker'
import { ref } from 'vue'
import { RouterLink } from 'vue-router'
import { api, ApiRefusal, type SavedPiece } from '../../api.ts'
import { useSettings } from '../../stores/settings.ts'
import { grams, money } from '../../wording.ts'
import type { LockerRow } from './locker-rows.ts'
import Field from '../../widgets/Field.vue'
import { useSchemaForm } from '../../widgets/form.ts'
import { conditionWords } from './locker-words.ts'
import { pieceTold } from './worth.ts'

const props = defineProps<{ row: LockerRow; today: string }>()
const emit = defineEmits<{ saved: [next: SavedPiece]; gone: [piece: LockerPiece]; weigh: [] }>()
const settings = useSettings()

const trouble = ref('')
const AMOUNT = 'An amount is 0 or more, such as 49.90.'
const { values, changed, submit, setFieldValue } = useSchemaForm<LockerPiece>(
  pieceSchema,
  props.row.piece,
  async (piece, refuse) => {
    const future = futureDates(piece, props.today)
    if (future.length > 0) {
      refuse(Object.fromEntries(future.map((key) => [key, `This day is still to come; today is ${props.today}.`])))
      return
    }
    try {
      trouble.value = ''
      emit('saved', await api.savePiece(piece, props.row.saved.revision))
    } catch (error) {
      trouble.value = error instanceof ApiRefusal ? error.message : 'It could not be saved; it stays here until it can.'
    }
  },
  { paidMinor: AMOUNT, insuredMinor: AMOUNT, soldMinor: AMOUNT, lentTo: 'Say to whom it is lent.' },
)
const remove = async () => {
  try {
    await api.removePiece(props.row.piece.id, props.row.saved.revision)
    emit('gone', props.row.piece)
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'It could not be taken out.'
  }
}
const set = (more: Partial<LockerPiece>) => {
  for (const [key, value] of Object.entries(more)) setFieldValue(key as keyof LockerPiece, value as never)
}
const state = (next: LockerPiece['state']) =>
  set(
    next === 'lent'
      ? { state: next, lentOn: values.lentOn ?? props.today }
      : next === 'kept'
        ? { state: next, lentTo: '', lentOn: null, endedOn: null, soldMinor: null }
        : { state: next, endedOn: values.endedOn ?? props.today },
  )
const states = [
  ['kept', 'kept'],
  ['lent', 'lent'],
  ['sold', 'sold'],
  ['retired', 'retired'],
] as const
const choices = conditions.map((one) => [one, conditionWords[one]] as const)
</script>

<template>
  <form class="flex flex-col gap-3" aria-label="Piece" novalidate @submit="submit">
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
        :class="values.state === id ? 'bg-leaf-tint font-semibold' : 'text-soft hover:text-ink'"
        :aria-pressed="values.state === id"
        @click="state(id)"
      >
        {{ word }}
      </button>
    </div>
    <div v-if="values.state === 'lent'" class="grid grid-cols-2 gap-2">
      <Field name="lentTo" label="lent to" />
      <Field name="lentOn" label="since" kind="date" :latest="today" />
    </div>
    <div v-if="values.state === 'sold' || values.state === 'retired'" class="grid grid-cols-2 gap-2">
      <Field name="endedOn" label="on" kind="date" :latest="today" />
      <Field v-if="values.state === 'sold'" name="soldMinor" label="for" kind="money" />
    </div>
    <div class="grid grid-cols-2 gap-2">
      <Field name="condition" label="condition" kind="choice" :choices="choices" />
      <Field name="place" label="kept in" />
      <Field name="boughtOn" label="bought on" kind="date" :latest="today" />
      <Field name="usedOn" label="last used" kind="date" :latest="today" />
      <Field name="paidMinor" :label="`paid, ${values.currency}`" kind="money" />
      <Field name="insuredMinor" label="insured for" kind="money" />
      <Field name="serial" label="serial" />
      <Field name="boughtFor" label="bought for" :longest="80" />
      <Field name="notes" label="notes" kind="notes" :longest="400" class="col-span-2" />
    </div>
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
