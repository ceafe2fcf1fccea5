import type { Rig } from '@zucchini/core/assembly'
import type { Operator } from '@zucchini/core/balance'
import type { Part } from '@zucchini/core/catalogue'

export interface SavedRig {
  readonly rig: Rig
  readonly revision: number
  readonly updatedAt: string
}

/** Who holds the rigs, and whether a timed hold says so. */
export interface OperatorAnswer extends Operator {
  readonly calibrated: boolean
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

const call = async <T>(method: string, path: string, body?: unknown): Promise<T> => {
  const response = await fetch(`/api${path}`, {
    method,
    ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
  })
  if (response.status === 204) return undefined as T
  const answer: unknown = await response.json().catch(() => ({}))
  if (response.ok) return answer as T
  const error = (answer as { error?: Record<string, unknown> & { code?: string; message?: string } }).error ?? {}
  throw new ApiRefusal(response.status, error.code ?? 'broken', error.message ?? 'The server gave no answer that makes sense.', error)
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
  locker: () => call<{ pieces: Record<string, number> }>('GET', '/locker'),
  setOwned: (part: string, was: number, pieces: number) => call<{ pieces: number }>('PUT', `/locker/${id(part)}`, { was, pieces }),
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
