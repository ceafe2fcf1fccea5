import { z } from 'zod'
import { type FieldEntry, fieldEntrySchema } from './entry.ts'

export const FIELD_FORMAT = 'zucchini-field'
export const FIELD_VERSION = 1
/** A day on paper has some hundred ticks; a file with more than this is none of ours. */
const MOST_ENTRIES = 5000

const fileSchema = z.strictObject({
  format: z.literal(FIELD_FORMAT),
  version: z.literal(FIELD_VERSION),
  entries: z.array(fieldEntrySchema).max(MOST_ENTRIES),
})

/** What was told on a page that stood alone, as a file to be read in where the program is. */
export const fieldFile = (entries: readonly FieldEntry[]): string =>
  JSON.stringify({ format: FIELD_FORMAT, version: FIELD_VERSION, entries }, null, 1)

/**
 * Reads such a file: all of it, or nothing with the first place that is wrong.
 * @example a file cut short gives `{ ok: false, path: '', message: 'this is not JSON, or it ends too early' }`
 */
export const readFieldFile = (
  text: string,
):
  | { readonly ok: true; readonly entries: readonly FieldEntry[] }
  | { readonly ok: false; readonly path: string; readonly message: string } => {
  let data: unknown
  try {
    data = JSON.parse(text)
  } catch {
    return { ok: false, path: '', message: 'this is not JSON, or it ends too early' }
  }
  const parsed = fileSchema.safeParse(data)
  if (parsed.success) return { ok: true, entries: parsed.data.entries }
  const [issue] = parsed.error.issues
  return { ok: false, path: issue?.path.map(String).join('.') ?? '', message: issue?.message ?? 'not as expected' }
}
