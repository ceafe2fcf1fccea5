import { z } from 'zod'
import { liftRig, type Rig, rigSchema, soundnessIssues } from '../assembly/index.ts'
import { type Catalogue, catalogueOf, type Part, partIssues, partSchema } from '../catalogue/index.ts'
import { type Issue, sortedJson, flatMap } from '../kernel/index.ts'

export const FILE_FORMAT = 'zucchini-rig-file'
export const FILE_VERSION = 6

/** The largest rig file that is read, characters. */
export const LONGEST_FILE = 2_000_000

/** A rig with every part it uses, so that the file stands alone. */
export const rigFileSchema = z.strictObject({
  format: z.literal(FILE_FORMAT),
  version: z.literal(FILE_VERSION),
  rig: rigSchema,
  parts: z.array(partSchema).max(400).readonly(),
  /** Limits the operator works by, by check and option, where they are not the usual ones. */
  limits: z.record(z.string().max(60), z.record(z.string().max(60), z.number())).optional(),
})
/** Limits as they travel: by check, then by option. */
export type FileLimits = NonNullable<z.infer<typeof rigFileSchema>['limits']>

/**
 * Writes a rig as a file: keys sorted, parts by id, two spaces, one line feed at the end, so that equal rigs give equal
 * bytes.
 * @param rig sound for this catalogue
 * @param limits the operator's own, so that whoever reads the file judges by the same
 */
export const writeRigFile = (rig: Rig, catalogue: Catalogue, limits: FileLimits = {}): string => {
  const used = [...new Set([...rig.kit, ...rig.brief.lenses].map(({ partId }) => partId))].sort()
  const parts = flatMap(used, (id): Part[] => {
    const part = catalogue.parts.get(id)
    return part ? [part] : []
  })
  const own = Object.keys(limits).length > 0 ? { limits } : {}
  return `${JSON.stringify(sortedJson({ format: FILE_FORMAT, version: FILE_VERSION, rig, parts, ...own }), null, 2)}\n`
}

/** What a file holds and what reading it in would do; nothing is changed by asking. */
export interface FileReport {
  readonly ok: boolean
  readonly rig?: Rig
  /** Parts the catalogue does not have yet. */
  readonly newParts: readonly Part[]
  /** Parts the catalogue knows with other data; the catalogue's own are kept. */
  readonly differing: readonly string[]
  /** Limits of whoever wrote it: they judge this file when it is assessed by itself, and never replace one's own. */
  readonly limits?: FileLimits
  readonly issues: readonly Issue[]
}

const refused = (issues: readonly Issue[]): FileReport => ({ ok: false, newParts: [], differing: [], issues })
const pathOf = (path: readonly PropertyKey[]): string =>
  path
    .map((key) => (typeof key === 'number' ? `[${key}]` : `.${String(key)}`))
    .join('')
    .replace(/^\./, '')

/**
 * Brings a file of an older version up to the present one: its rig is lifted; parts have only ever gained optional
 * fields.
 */
const liftFile = (data: unknown): unknown => {
  const { version } = claimed(data)
  if (typeof version !== 'number' || version >= FILE_VERSION || version < 1) return data
  const file = data as Record<string, unknown>
  return { ...file, version: FILE_VERSION, rig: liftRig(file['rig']) }
}

/** The version a file claims, before anything else of it is believed. */
const claimed = (data: unknown): { format: unknown; version: unknown } => {
  const object = data !== null && typeof data === 'object' ? (data as Record<string, unknown>) : {}
  return { format: object['format'], version: object['version'] }
}

/**
 * Reads a rig file against a catalogue. @returns a report with issues `file-too-long`, `not-json` (with the place),
 * `not-a-rig-file`, `file-too-new`, `not-as-expected` (path and the schema's words), or those of an unsound rig.
 */
export const readRigFile = (text: string, catalogue: Catalogue): FileReport => {
  if (text.length > LONGEST_FILE)
    return refused([{ code: 'file-too-long', path: '', numbers: { count: text.length, most: LONGEST_FILE } }])
  let data: unknown
  try {
    data = JSON.parse(text)
  } catch (error) {
    return refused([
      { code: 'not-json', path: '', names: { reason: error instanceof Error ? error.message.slice(0, 160) : '' } },
    ])
  }
  const { format, version } = claimed(data)
  if (format !== FILE_FORMAT)
    return refused([{ code: 'not-a-rig-file', path: 'format', names: { found: String(format).slice(0, 40) } }])
  if (typeof version === 'number' && version > FILE_VERSION)
    return refused([{ code: 'file-too-new', path: 'version', numbers: { version, known: FILE_VERSION } }])
  const parsed = rigFileSchema.safeParse(liftFile(data))
  if (!parsed.success)
    return refused(
      parsed.error.issues
        .slice(0, 40)
        .map((issue) => ({ code: 'not-as-expected', path: pathOf(issue.path), names: { reason: issue.message } })),
    )
  const { rig, parts, limits } = parsed.data
  const newParts = parts.filter((part) => !catalogue.parts.has(part.id))
  const differing = parts.filter((part) => {
    const own = catalogue.parts.get(part.id)
    return own !== undefined && JSON.stringify(sortedJson(own)) !== JSON.stringify(sortedJson(part))
  })
  const crooked = flatMap(newParts, (part) =>
    partIssues(part).map((issue) => ({ ...issue, path: `parts[${parts.indexOf(part)}].${issue.path}` })),
  )
  if (crooked.length > 0) return refused(crooked.slice(0, 40))
  const together = catalogueOf([...parts, ...catalogue.parts.values()])
  const issues = soundnessIssues(rig, together).map((issue) => ({ ...issue, path: `rig.${issue.path}` }))
  return issues.length > 0
    ? refused(issues)
    : { ok: true, rig, newParts, differing: differing.map(({ id }) => id), issues: [], ...(limits ? { limits } : {}) }
}
