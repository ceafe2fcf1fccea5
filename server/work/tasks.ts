import { type Context } from '@zucchini/core/context'
import { type RigSummary, contextOf, type ContextSources, summaryOf } from '@zucchini/core/assess'
import { liftRig, type Rig } from '@zucchini/core/assembly'
import { catalogueOf, type Part } from '@zucchini/core/catalogue'
import { decodeText, type LineIssue, type LockerReport, readLockerCsv } from '@zucchini/core/formats'

// What is too heavy for the thread that answers requests. Runs in a worker; see pool.ts.

/** A shelf card to be worked out. The surroundings are sent once for each key and then kept. */
export interface CardTask {
  readonly key: string
  readonly sources?: ContextSources
  readonly rig: unknown
}
export type CardAnswer =
  | { readonly ok: true; readonly summary: RigSummary }
  | { readonly ok: false; readonly why: string }
  | 'send-the-sources'

let known: { readonly key: string; readonly shelf: Context } | undefined

export const card = ({ key, sources, rig }: CardTask): CardAnswer => {
  if (known?.key !== key) {
    if (!sources) return 'send-the-sources'
    known = { key, shelf: contextOf(sources) }
  }
  try {
    return { ok: true, summary: summaryOf(liftRig(rig) as Rig, known.shelf) }
  } catch (error) {
    return { ok: false, why: error instanceof Error ? error.message.slice(0, 300) : String(error) }
  }
}

export interface TableTask {
  readonly bytes: Uint8Array
  readonly parts: readonly Part[]
  readonly today: string
  readonly known: readonly string[]
  readonly currency: string
}

/** Reads a table of pieces. */
export const table = ({ bytes, parts, today, known: ids, currency }: TableTask): LockerReport => {
  const text = decodeText(bytes)
  const wrong: LineIssue = { line: 1, column: '', code: 'wrong-encoding', path: '' }
  if (!text.ok) return { ok: false, rows: 0, pieces: [], unknownColumns: [], issues: [wrong] }
  return readLockerCsv(text.value, catalogueOf(parts), today, new Set(ids), currency)
}
