<script setup lang="ts">
import { useField } from 'vee-validate'
import { computed, ref, useId } from 'vue'
import { typedMoney } from './typed-money.ts'

// One field of a form, by its name in the schema: its label, what is typed, and what is wrong with it, said to those who
// hear as well.
const props = withDefaults(
  defineProps<{
    name: string
    label: string
    kind?: 'text' | 'date' | 'money' | 'number' | 'choice' | 'notes' | 'switch'
    choices?: readonly (readonly [value: string, words: string])[]
    longest?: number
    latest?: string
    hint?: string
    disabled?: boolean
    /** Where one begins to type. */
    autofocus?: boolean
  }>(),
  { kind: 'text', choices: () => [], longest: 60, latest: undefined, hint: undefined },
)
const id = useId()
const { value, errorMessage, setTouched } = useField<string | number | boolean | null>(() => props.name)

/** What was typed for an amount stays as it was typed while it is none. */
const typed = ref<string>()
const shown = computed(() => {
  if (props.kind !== 'money' && props.kind !== 'number') return value.value ?? ''
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
const set = (text: string) => {
  setTouched(true)
  if (props.kind === 'money' || props.kind === 'number') {
    const figure = props.kind === 'money' ? typedMoney(text) : typedNumber(text)
    typed.value = figure === null ? text : undefined
    // What is no amount is none that a schema lets through.
    value.value = figure === null ? Number.NaN : (figure ?? null)
  } else value.value = props.kind === 'date' ? text || null : text
}
const textOf = (event: Event) => (event.target as HTMLInputElement).value
const isFigure = computed(() => props.kind === 'money' || props.kind === 'number')
const LOOK = 'field mt-0.5 w-full py-0.5 text-ink'
</script>

<template>
  <div v-if="kind === 'switch'" class="flex items-center gap-1.5">
    <input
      :id="id"
      type="checkbox"
      class="accent-leaf"
      :checked="value === true"
      :disabled="disabled"
      @change="value = ($event.target as HTMLInputElement).checked"
    />
    <label :for="id">{{ label }}</label>
  </div>
  <div v-else>
    <label class="label" :for="id">{{ label }}</label>
    <select
      v-if="kind === 'choice'"
      :id="id"
      :class="LOOK"
      :value="value"
      :aria-invalid="errorMessage !== undefined"
      @change="set(textOf($event))"
    >
      <option v-for="[one, words] in choices" :key="one" :value="one">{{ words }}</option>
    </select>
    <textarea
      v-else-if="kind === 'notes'"
      :id="id"
      :class="[LOOK, 'min-h-12']"
      :maxlength="longest"
      :value="String(shown)"
      :aria-invalid="errorMessage !== undefined"
      @input="set(textOf($event))"
    />
    <input
      v-else
      :id="id"
      :class="[LOOK, { fig: isFigure }]"
      :type="kind === 'date' ? 'date' : 'text'"
      :inputmode="isFigure ? 'decimal' : undefined"
      :placeholder="hint"
      :autofocus="autofocus"
      :disabled="disabled"
      :maxlength="kind === 'text' ? longest : undefined"
      :max="latest"
      :value.prop="shown"
      :aria-invalid="errorMessage !== undefined"
      :aria-describedby="errorMessage ? `${id}-wrong` : undefined"
      @input="kind === 'text' && set(textOf($event))"
      @change="kind !== 'text' && set(textOf($event))"
    />
    <p v-if="errorMessage" :id="`${id}-wrong`" class="text-[12px] text-brick" role="alert">{{ errorMessage }}</p>
  </div>
</template>
