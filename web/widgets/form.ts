import { type TypedSchema, useForm } from 'vee-validate'
import { computed, inject, type InjectionKey, provide, watch } from 'vue'
import { z } from 'zod'

/** What a field says when its schema refuses it, by the field's name; else the schema's own words. */
export type FieldWords = Readonly<Record<string, string>>

/** A figure that has to be typed: the field begins empty, and empty it is refused. */
export const typedIn = (schema: z.ZodType<number>): z.ZodType<number | null> =>
  schema.nullable().refine((value) => value !== null)

/** A figure that is none, 0, when nothing is typed. */
export const orNothing = (schema: z.ZodType<number>): z.ZodType<number> =>
  z.preprocess((value) => value ?? 0, schema) as z.ZodType<number>

/**
 * A Zod schema as a form takes it: everything is checked, and each complaint stands at the field it is about. A form
 * given the schema itself would check nothing and say so nowhere.
 */
export const formSchema = <T extends object>(schema: z.ZodType<T>, words: FieldWords = {}): TypedSchema<T, T> => ({
  __type: 'VVTypedSchema',
  parse: (values) => {
    const parsed = schema.safeParse(values)
    if (parsed.success) return Promise.resolve({ value: parsed.data, errors: [] })
    const errors = parsed.error.issues.map(({ path, message }) => {
      const name = path.map(String).join('.')
      return { path: name, errors: [words[name] ?? `${message}.`] }
    })
    return Promise.resolve({ errors })
  },
})

/**
 * A form over a schema: its fields are `Field.vue` by name.
 * @param save is only called with what the schema lets through
 */
export const useSchemaForm = <T extends object>(
  schema: z.ZodType<T>,
  start: T,
  save: (values: T, refuse: (errors: Partial<Record<keyof T & string, string>>) => void) => Promise<void>,
  words: FieldWords = {},
) => {
  const form = useForm<T, T>({
    validationSchema: formSchema(schema, words),
    initialValues: { ...start } as never,
    // What is put away for now is still part of what is saved.
    keepValuesOnUnmount: true,
  })
  const changed = computed(() => JSON.stringify(form.values) !== JSON.stringify(start))
  const submit = form.handleSubmit((values) => save(values, (errors) => form.setErrors(errors as never)))
  return { ...form, changed, submit }
}

/** What a form that saves field by field tells its fields. */
interface Live {
  /** Takes in what was typed in a field, or says at the field why not. */
  readonly commit: (name: string, value: unknown) => void
}
const live: InjectionKey<Live> = Symbol('a form that saves each field as it is left')
/** The form a field belongs to, where that saves each field as it is left. */
export const useLive = (): Live | undefined => inject(live, undefined)

/**
 * A form without a button: each field is saved as it is left, when all of it still makes sense with it; what does not
 * stays as it was typed, with the reason at its field, and nothing else is held up by it. What changes elsewhere (an undo,
 * another tab) is shown at once.
 * @param current what is saved now
 * @param save is only called with one change that the schema lets through, as the schema reads it
 */
export const useLiveForm = <T extends object>(
  schema: z.ZodType<T>,
  current: () => T,
  save: (change: Partial<T>) => void,
  words: FieldWords = {},
) => {
  const form = useForm<T, T>({ initialValues: { ...current() } as never })
  const refuse = (name: string, why: string | undefined) => form.setFieldError(name as never, why)
  const show = (name: string, value: unknown) => form.setFieldValue(name as never, value as never, false)
  const commit = (name: string, value: unknown): void => {
    const parsed = schema.safeParse({ ...current(), [name]: value })
    const [issue] = parsed.error?.issues ?? []
    refuse(name, issue && (words[name] ?? words[String(issue.path[0])] ?? `${issue.message}.`))
    if (!parsed.success) return
    const taken = parsed.data[name as keyof T]
    show(name, taken)
    save({ [name]: taken } as Partial<T>)
  }
  watch(current, (now, before) => {
    // What is being typed in a field stays while something else is changed.
    for (const [name, value] of Object.entries(now))
      if (value !== before[name as keyof T]) {
        show(name, value)
        refuse(name, undefined)
      }
  })
  provide(live, { commit })
  return { commit, refuse, show }
}
