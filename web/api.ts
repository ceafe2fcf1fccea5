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

/** Who holds the rigs, and whether a timed hold says so. */
export interface OperatorAnswer extends Operator {
  readonly calibrated: boolean
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
  readonly phase: { readonly name: string; readonly kind: string; readonly minutes: number; readonly mains: boolean } | null
  readonly packs: readonly {
    readonly id: string
    readonly name: string
    readonly seat: string | null
    readonly percent: number
    readonly volts: number | null
    readonly watts: number
  }[]
  readonly pieces: readonly { readonly id: string; readonly name: string; readonly watts: number; readonly dark: boolean }[]
  readonly swaps: number
  readonly usedWh: number
  readonly outWh: number
  readonly lostWh: number
  readonly storedWh: number
  readonly wallWh: number
  readonly disturbance: { readonly celsius: number; readonly turnedUp: readonly string[]; readonly forgotten: readonly string[] }
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
  send<T>(method, path, body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } })

/** Sends a file as it is. */
const sendFile = async <T>(path: string, body: Blob, type: string): Promise<T> =>
  send<T>('POST', path, { body, headers: { 'content-type': type } })

const send = async <T>(method: string, path: string, more: RequestInit): Promise<T> => {
  const response = await fetch(`/api${path}`, { method, ...more })
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
  catalogue: () => call<{ parts: Part[]; own: string[] }>('GET', '/catalogue'),
  partTag: (part: string) => call<{ tag: string }>('GET', `/catalogue/${id(part)}/tag`),
  savePart: (part: Part, was: string | null) => call<{ tag: string }>('PUT', `/catalogue/${id(part.id)}`, { part, was }),
  removePart: (part: string) => call<void>('DELETE', `/catalogue/${id(part)}`),
  operator: () => call<OperatorAnswer>('GET', '/operator'),
  setOperator: (arm: Operator) => call<OperatorAnswer>('PUT', '/operator', arm),
  forgetOperator: () => call<OperatorAnswer>('DELETE', '/operator'),
  setOwned: (part: string, was: number, pieces: number) => call<{ pieces: number }>('PUT', `/locker/${id(part)}`, { was, pieces }),
  pieces: () => call<{ today: string; pieces: SavedPiece[] }>('GET', '/locker/pieces'),
  savePiece: (piece: LockerPiece, base: number) => call<SavedPiece>('PUT', `/locker/pieces/${id(piece.id)}`, { base, piece }),
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
  reckon: (reckoning: Pick<PriceOverview, 'home' | 'rules' | 'feed'>) => call<PriceOverview>('PUT', '/prices/reckoning', reckoning),
  watchPrice: (part: string, belowMinor: number | null) => call<PriceOverview>('PUT', `/prices/watches/${id(part)}`, { belowMinor }),
  restore: (file: Blob, dry: boolean) =>
    sendFile<{ rows: Record<string, number> }>(`/restore?dry=${dry ? 'yes' : 'no'}&replace=yes`, file, 'application/vnd.zucchini.backup'),
  rigs: () => call<{ rigs: SavedRig[] }>('GET', '/rigs'),
  rig: (rig: string) => call<SavedRig>('GET', `/rigs/${id(rig)}`),
  create: (rig: Rig, note: string) => call<SavedRig>('POST', '/rigs', { rig, note }),
  save: (rig: Rig, base: number, note: string) => call<SavedRig>('PUT', `/rigs/${id(rig.id)}`, { base, rig, note }),
  remove: (rig: string) => call<void>('DELETE', `/rigs/${id(rig)}`),
  readFile: (text: string, dry: boolean) => call<FileAnswer>('POST', '/rig-files', { text, dry }),
  rehearse: (rig: Rig, setup: string, speed: number) =>
    call<{ id: string; frame: RehearsalFrame }>('POST', '/rehearsals', { rig, setup, speed }),
  changeRehearsal: (rehearsal: string, change: RehearsalChange) => call<RehearsalFrame>('POST', `/rehearsals/${id(rehearsal)}`, change),
  stopRehearsal: (rehearsal: string) => call<void>('DELETE', `/rehearsals/${id(rehearsal)}`),
  putBack: (rig: string) => call<SavedRig>('POST', `/rigs/${id(rig)}/put-back`),
}
