import { type TypedSchema, useForm } from 'vee-validate'
import { computed } from 'vue'
import type { z } from 'zod'

/** What a field says when its schema refuses it, by the field's name; else the schema's own words. */
export type FieldWords = Readonly<Record<string, string>>

/** A figure that has to be typed: the field begins empty, and empty it is refused. */
export const typedIn = (schema: z.ZodType<number>): z.ZodType<number | null> =>
  schema.nullable().refine((value) => value !== null)

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
