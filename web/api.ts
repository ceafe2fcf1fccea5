import type { Limits } from '@zucchini/core/context'
import type { RigSummary } from '@zucchini/core/assess'
import type { Rig } from '@zucchini/core/assembly'
import type { Operator } from '@zucchini/core/balance'
import type { Part } from '@zucchini/core/catalogue'
import type { LockerPiece } from '@zucchini/core/locker'
import type { BillRules, Price, PriceView, Rate } from '@zucchini/core/money'

export interface SavedRig {
  readonly rig: Rig
  readonly revision: number
  readonly updatedAt: string
}

/** What a save says back: the page has the rig itself. */
export type Receipt = Omit<SavedRig, 'rig'>

/** A rig on the shelf, with what is known of it at a glance. */
export interface ShelfEntry {
  readonly id: string
  readonly name: string
  readonly revision: number
  readonly updatedAt: string
  readonly summary: RigSummary | null
  /** Why nothing could be worked out for it. */
  readonly why: string | null
  /** Does the summary belong to the rig and to what surrounds it as they are now? */
  readonly fresh: boolean
}
export interface HistoryEntry {
  readonly revision: number
  readonly note: string
  readonly savedAt: string
  readonly name: string | null
}
/** Where undo and redo lead through saved revisions, nearest first. */
export interface SavedLine {
  readonly undo: readonly number[]
  readonly redo: readonly number[]
}
/** The revision an edit grew from, or the one it is the same as after an undo or redo. */
export interface Descent {
  readonly grewFrom?: number
  readonly same?: number
}
/** How the backups that are written by themselves stand. */
export interface BackupState {
  readonly on: boolean
  readonly lastOn: string | null
  readonly failedOn: string | null
  readonly why: string | null
  /** Room left where everything is stored, bytes, and whether that is little. */
  readonly freeBytes: number | null
  readonly low: boolean
}

/** Who holds the rigs, and whether a timed hold says so. */
export interface OperatorAnswer extends Operator {
  readonly calibrated: boolean
  readonly limits: Limits
}

/** What every part costs today, and how it is reckoned. */
export interface PriceOverview {
  readonly today: string
  readonly home: string
  readonly rules: BillRules
  readonly feed: { readonly on: boolean; readonly seed: number }
  readonly rates: readonly Rate[]
  readonly views: readonly PriceView[]
  readonly watches: readonly { readonly partId: string; readonly belowMinor: number; readonly since: string }[]
  readonly notices: readonly { readonly partId: string; readonly belowMinor: number; readonly nowMinor: number }[]
}
export interface SavedPiece {
  readonly piece: LockerPiece
  readonly revision: number
}
export interface ScaleFrame {
  readonly simulated: true
  readonly plugged: boolean
  readonly grams: number | null
  readonly stable: boolean
  readonly holds: readonly string[]
}
/** What reading a table of pieces did, or would do. */
export interface TableAnswer {
  readonly ok: boolean
  readonly rows: number
  readonly added: number
  readonly changed: number
  readonly same: number
  readonly unknownColumns: readonly string[]
  readonly issues: readonly { readonly line: number; readonly column: string; readonly message: string }[]
}

/** What reading a rig file did, or would do. */
export interface FileAnswer {
  readonly ok: boolean
  readonly name: string
  readonly newParts: readonly string[]
  readonly differing: readonly string[]
  readonly limits: number
  readonly issues: readonly { readonly path: string; readonly message: string }[]
  readonly rigId: string
}

export interface RehearsalSample {
  readonly second: number
  readonly percents: Readonly<Record<string, number>>
  readonly watts: number
}

/** A simulated shoot day at one moment. */
export interface RehearsalFrame {
  readonly simulated: true
  readonly second: number
  readonly over: boolean
  readonly paused: boolean
  readonly speed: number
  readonly phase: {
    readonly name: string
    readonly kind: string
    readonly minutes: number
    readonly mains: boolean
  } | null
  readonly packs: readonly {
    readonly id: string
    readonly name: string
    readonly seat: string | null
    readonly percent: number
    readonly volts: number | null
    readonly watts: number
  }[]
  readonly pieces: readonly {
    readonly id: string
    readonly name: string
    readonly watts: number
    readonly dark: boolean
  }[]
  readonly swaps: number
  readonly usedWh: number
  readonly outWh: number
  readonly lostWh: number
  readonly storedWh: number
  readonly wallWh: number
  readonly disturbance: {
    readonly celsius: number
    readonly turnedUp: readonly string[]
    readonly forgotten: readonly string[]
  }
  readonly events: readonly { readonly second: number; readonly what: string; readonly name: string }[]
  /** Which beginning of the day this is; points for the chart that are new. */
  readonly run: number
  readonly samples: readonly RehearsalSample[]
}

/** What can be changed while a rehearsal plays. */
export interface RehearsalChange {
  readonly paused?: boolean
  readonly speed?: number
  readonly again?: boolean
  readonly celsius?: number
  readonly turnedUp?: readonly string[]
  readonly forgotten?: readonly string[]
}

/** What the server said no to: its code, its words, and whatever else it sent along. */
export class ApiRefusal extends Error {
  readonly status: number
  readonly code: string
  readonly more: Readonly<Record<string, unknown>>
  constructor(status: number, code: string, message: string, more: Readonly<Record<string, unknown>>) {
    super(message)
    this.status = status
    this.code = code
    this.more = more
  }
}

const call = async <T>(method: string, path: string, body?: unknown): Promise<T> =>
  send<T>(
    method,
    path,
    body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } },
  )

/** Where this browser's clock hangs: what counts as today is the operator's day. */
const timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone

/** Sends a file as it is. */
const sendFile = async <T>(path: string, body: Blob, type: string): Promise<T> =>
  send<T>('POST', path, { body, headers: { 'content-type': type } })

/** Answers that were asked for before the program was there; each is taken once. */
const early = (globalThis as { zucchiniEarly?: Map<string, Promise<Response | undefined>> }).zucchiniEarly
/** Who asks later than this wants to know how things are now. ms */
const EARLY_MS = 10_000
if (early) setTimeout(() => early.clear(), EARLY_MS)
const earlyAnswer = (method: string, path: string): Promise<Response | undefined> | undefined => {
  if (method !== 'GET') {
    // From the first change on they would be old.
    early?.clear()
    return undefined
  }
  const answer = early?.get(path)
  early?.delete(path)
  return answer
}

const send = async <T>(method: string, path: string, more: RequestInit): Promise<T> => {
  const headers = { ...(more.headers as Record<string, string> | undefined), 'x-time-zone': timeZone }
  const response = (await earlyAnswer(method, path)) ?? (await fetch(`/api${path}`, { method, ...more, headers }))
  if (response.status === 204) return undefined as T
  const answer: unknown = await response.json().catch(() => ({}))
  if (response.ok) return answer as T
  const error = (answer as { error?: Record<string, unknown> & { code?: string; message?: string } }).error ?? {}
  const issues = (error['issues'] as { path: string; message: string }[] | undefined) ?? []
  const why = issues[0] ? ` ${issues[0].path ? `${issues[0].path}: ` : ''}${issues[0].message}.` : ''
  throw new ApiRefusal(
    response.status,
    error.code ?? 'broken',
    `${error.message ?? 'The server gave no answer that makes sense.'}${why}`,
    error,
  )
}

const id = encodeURIComponent

export const api = {
  catalogue: () => call<{ parts: Part[]; own: string[]; gone: Part[] }>('GET', '/catalogue'),
  partTag: (part: string) => call<{ tag: string }>('GET', `/catalogue/${id(part)}/tag`),
  savePart: (part: Part, was: string | null) =>
    call<{ tag: string }>('PUT', `/catalogue/${id(part.id)}`, { part, was }),
  removePart: (part: string, was: string) => call<void>('DELETE', `/catalogue/${id(part)}?was=${id(was)}`),
  bringPartBack: (part: string) => call<void>('POST', `/catalogue/${id(part)}/bring-back`),
  operator: () => call<OperatorAnswer>('GET', '/operator'),
  setOperator: (arm: Operator) => call<OperatorAnswer>('PUT', '/operator', arm),
  setLimit: (check: string, option: string, value: number | null) =>
    call<OperatorAnswer>('PUT', `/operator/limits/${encodeURIComponent(check)}/${encodeURIComponent(option)}`, {
      value,
    }),
  forgetOperator: () => call<OperatorAnswer>('DELETE', '/operator'),
  setOwned: (part: string, was: number, pieces: number) =>
    call<{ pieces: number }>('PUT', `/locker/${id(part)}`, { was, pieces }),
  pieces: () => call<{ today: string; pieces: SavedPiece[] }>('GET', '/locker/pieces'),
  savePiece: (piece: LockerPiece, base: number) =>
    call<SavedPiece>('PUT', `/locker/pieces/${id(piece.id)}`, { base, piece }),
  removePiece: (piece: string, base: number) => call<void>('DELETE', `/locker/pieces/${id(piece)}?base=${base}`),
  weighPiece: (piece: string, base: number) => call<SavedPiece>('POST', `/locker/pieces/${id(piece)}/weigh`, { base }),
  readTable: (file: Blob, dry: boolean, currency: string) =>
    sendFile<TableAnswer>(`/locker.csv?dry=${dry ? 'yes' : 'no'}&currency=${currency}`, file, 'text/csv'),
  layOnScale: (parts: readonly string[]) => call<ScaleFrame>('POST', '/scale/load', { parts }),
  tareScale: () => call<ScaleFrame>('POST', '/scale/tare'),
  plugScale: (plugged: boolean) => call<ScaleFrame>('POST', '/scale/plug', { plugged }),
  prices: () => call<PriceOverview>('GET', '/prices'),
  pricesOf: (part: string) => call<{ prices: (Price & { id: string })[] }>('GET', `/prices/of/${id(part)}`),
  addPrice: (price: Omit<Price, 'source'>) => call<PriceOverview>('POST', '/prices', price),
  removePrice: (price: string) => call<PriceOverview>('DELETE', `/prices/${id(price)}`),
  addRate: (rate: Rate) => call<PriceOverview>('POST', '/prices/rates', rate),
  reckon: (reckoning: Pick<PriceOverview, 'home' | 'rules' | 'feed'>) =>
    call<PriceOverview>('PUT', '/prices/reckoning', reckoning),
  watchPrice: (part: string, belowMinor: number | null) =>
    call<PriceOverview>('PUT', `/prices/watches/${id(part)}`, { belowMinor }),
  restore: (file: Blob, dry: boolean) =>
    sendFile<{ rows: Record<string, number>; safetyCopy: string | null }>(
      `/restore?dry=${dry ? 'yes' : 'no'}&replace=yes`,
      file,
      'application/vnd.zucchini.backup',
    ),
  backups: () => call<BackupState>('GET', '/backups'),
  shelf: () => call<{ rigs: ShelfEntry[] }>('GET', '/rigs'),
  rig: (rig: string) => call<SavedRig>('GET', `/rigs/${id(rig)}`),
  create: (rig: Rig, note: string) => call<SavedRig>('POST', '/rigs', { rig, note }),
  save: (rig: Rig, base: number, note: string, descent: Descent = {}) =>
    call<Receipt>('PUT', `/rigs/${id(rig.id)}`, { base, rig, note, ...descent }),
  putAway: (rig: string, base: number) => call<void>('DELETE', `/rigs/${id(rig)}?base=${base}`),
  line: (rig: string) => call<SavedLine>('GET', `/rigs/${id(rig)}/line`),
  revisions: (rig: string, before?: number) =>
    call<{ revisions: HistoryEntry[]; more: boolean }>(
      'GET',
      `/rigs/${id(rig)}/revisions${before === undefined ? '' : `?before=${before}`}`,
    ),
  revision: (rig: string, revision: number) =>
    call<HistoryEntry & { rig: Rig }>('GET', `/rigs/${id(rig)}/revisions/${revision}`),
  nameRevision: (rig: string, revision: number, name: string | null) =>
    call<void>('PUT', `/rigs/${id(rig)}/revisions/${revision}/name`, { name }),
  readFile: (text: string, dry: boolean) => call<FileAnswer>('POST', '/rig-files', { text, dry }),
  rehearse: (rig: Rig, setup: string, speed: number) =>
    call<{ id: string; frame: RehearsalFrame }>('POST', '/rehearsals', { rig, setup, speed }),
  changeRehearsal: (rehearsal: string, change: RehearsalChange) =>
    call<RehearsalFrame>('POST', `/rehearsals/${id(rehearsal)}`, change),
  stopRehearsal: (rehearsal: string) => call<void>('DELETE', `/rehearsals/${id(rehearsal)}`),
  putBack: (rig: string) => call<SavedRig>('POST', `/rigs/${id(rig)}/put-back`),
}
