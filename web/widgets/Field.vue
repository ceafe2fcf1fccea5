<script setup lang="ts">
import { useField } from 'vee-validate'
import { computed, ref, useId, watch } from 'vue'
import { useLive } from './form.ts'
import { oncePressed } from './pressed.ts'
import { typedMoney } from './typed-money.ts'

// One field of a form, by its name in the schema: its label, what is typed, and what is wrong with it, said to those who
// hear as well.
const props = withDefaults(
  defineProps<{
    name: string
    label: string
    kind?: 'text' | 'date' | 'month' | 'time' | 'money' | 'number' | 'choice' | 'notes' | 'switch'
    choices?: readonly (readonly [value: string, words: string])[]
    /** What may be typed among other things. */
    suggestions?: readonly string[]
    longest?: number
    latest?: string
    hint?: string
    /** What stands behind the figure. */
    unit?: string
    /** By how much the arrow keys change a figure. */
    step?: number
    disabled?: boolean
    /** Where one begins to type. */
    autofocus?: boolean
    /** Where the label stands; in a row of many it is only heard. */
    labelled?: 'above' | 'beside' | 'heard'
    /** How wide and how large, in classes. */
    look?: string
  }>(),
  {
    kind: 'text',
    choices: () => [],
    longest: 60,
    latest: undefined,
    hint: undefined,
    suggestions: () => [],
    unit: undefined,
    step: 1,
    labelled: 'above',
    look: 'w-full',
  },
)
const id = useId()
const form = useLive()
const { value, errorMessage, setTouched } = useField<string | number | boolean | null | undefined>(
  () => props.name,
  undefined,
  // A form that saves field by field says itself what is wrong.
  { validateOnValueUpdate: form === undefined },
)

/** What is said to be wrong; it comes and goes when nothing is pressed. */
const wrong = ref(errorMessage.value)
watch(errorMessage, () => oncePressed(() => (wrong.value = errorMessage.value)), { flush: 'sync' })

/** What was typed for an amount stays as it was typed while it is none. */
const typed = ref<string>()
const isFigure = computed(() => props.kind === 'money' || props.kind === 'number')
const shown = computed(() => {
  if (!isFigure.value) return value.value ?? ''
  if (typed.value !== undefined && Number.isNaN(value.value)) return typed.value
  if (typeof value.value !== 'number' || !Number.isFinite(value.value)) return ''
  return props.kind === 'money' ? (value.value / 100).toFixed(2) : String(value.value)
})
/** A figure as it is typed, with a comma or a point; null for what is none. */
const typedNumber = (text: string): number | undefined | null => {
  const plain = text.trim().replace(',', '.')
  if (plain === '') return undefined
  return Number.isFinite(Number(plain)) ? Number(plain) : null
}
const take = (next: string | number | boolean | null | undefined): void => {
  value.value = next
  form?.commit(props.name, next)
}
const set = (text: string) => {
  setTouched(true)
  if (isFigure.value) {
    const figure = props.kind === 'money' ? typedMoney(text) : typedNumber(text)
    typed.value = figure === null ? text : undefined
    // What is no amount is none that a schema lets through.
    take(figure === null ? Number.NaN : (figure ?? null))
  } else if (props.kind === 'choice') take(text || undefined)
  else take(props.kind === 'date' ? text || null : text)
}
/** Words are saved when the field is left, where each field is saved by itself. */
const typing = (text: string) => {
  if (props.kind !== 'text' && props.kind !== 'notes') return
  if (form) value.value = text
  else set(text)
}
const left = (text: string) => {
  if (form || (props.kind !== 'text' && props.kind !== 'notes')) set(text)
}
const stepped = (event: KeyboardEvent) => {
  const way = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0
  // Where figures are suggested, the arrows lead through those.
  if (way === 0 || props.kind !== 'number' || props.suggestions.length > 0) return
  event.preventDefault()
  const now = typedNumber(textOf(event)) ?? 0
  set(String(Math.round((now + way * props.step) * 1000) / 1000))
}
const textOf = (event: Event) => (event.target as HTMLInputElement).value
const typeOf = computed(() =>
  props.kind === 'date' || props.kind === 'month' || props.kind === 'time' ? props.kind : 'text',
)
const LOOK = 'field py-0.5 text-ink'
const around = computed(
  () => ({ above: '', beside: 'flex flex-wrap items-center gap-x-1.5', heard: 'contents' })[props.labelled],
)
const below = computed(() => (props.labelled === 'above' ? 'mt-0.5' : ''))
</script>

<template>
  <div v-if="kind === 'switch'" class="flex items-center gap-1.5">
    <input
      :id="id"
      type="checkbox"
      class="accent-leaf"
      :checked="value === true"
      :disabled="disabled"
      @change="take(($event.target as HTMLInputElement).checked)"
    />
    <label :for="id">{{ label }}</label>
  </div>
  <div v-else :class="around">
    <label :class="labelled === 'heard' ? 'sr-only' : 'label'" :for="id">{{ label }}</label>
    <select
      v-if="kind === 'choice'"
      :id="id"
      :class="[LOOK, below, look]"
      :value="value ?? ''"
      :disabled="disabled"
      :aria-invalid="wrong !== undefined"
      @change="set(textOf($event))"
    >
      <option v-for="[one, words] in choices" :key="one" :value="one">{{ words }}</option>
    </select>
    <textarea
      v-else-if="kind === 'notes'"
      :id="id"
      :class="[LOOK, below, look, 'min-h-12']"
      :maxlength="longest"
      :value.prop="String(shown)"
      :aria-invalid="wrong !== undefined"
      @input="typing(textOf($event))"
      @change="left(textOf($event))"
    />
    <span v-else :class="unit ? 'flex items-center gap-1.5' : 'contents'">
      <input
        :id="id"
        :class="[LOOK, below, look, { fig: isFigure }]"
        :type="typeOf"
        :inputmode="isFigure ? 'decimal' : undefined"
        :list="suggestions.length ? `${id}-among` : undefined"
        :placeholder="hint"
        :autofocus="autofocus"
        :disabled="disabled"
        :maxlength="kind === 'text' ? longest : undefined"
        :max="latest"
        :value.prop="shown"
        :aria-invalid="wrong !== undefined"
        :aria-describedby="wrong ? `${id}-wrong` : undefined"
        @input="typing(textOf($event))"
        @change="left(textOf($event))"
        @keydown="stepped"
      />
      <span v-if="unit" class="label">{{ unit }}</span>
      <datalist v-if="suggestions.length" :id="`${id}-among`">
        <option v-for="one in suggestions" :key="one" :value="one" />
      </datalist>
    </span>
    <p v-if="wrong" :id="`${id}-wrong`" class="w-full text-[12px] leading-snug text-brick" role="alert">
      {{ wrong }}
    </p>
  </div>
</template>
