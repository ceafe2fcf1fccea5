import * as contract from '@zucchini/contract'
import type { Rig } from '@zucchini/core/assembly'
import type { Operator } from '@zucchini/core/balance'
import type { Part } from '@zucchini/core/catalogue'
import type { FieldEntry } from '@zucchini/core/log'
import type { LockerPiece } from '@zucchini/core/locker'
import type { Price, Rate } from '@zucchini/core/money'

export type {
  BackupState,
  Change as RehearsalChange,
  Descent,
  FileAnswer,
  MeterFrame,
  Frame as RehearsalFrame,
  HistoryEntry,
  OperatorAnswer,
  PairingAnswer,
  PhoneState,
  PriceOverview,
  Receipt,
  Sample as RehearsalSample,
  SavedLine,
  SavedPiece,
  SavedRig,
  ScaleFrame,
  ShelfEntry,
  TableAnswer,
} from '@zucchini/contract'

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

/** Where this browser's clock hangs: what counts as today is the operator's day. */
const timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone

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

type Values = Readonly<Record<string, string | number | undefined>>

/** The address with what stands for its places, and what is asked of it. */
const addressOf = (path: string, params: Values, query: Values): string => {
  const place = path.replaceAll(/:(\w+)/g, (_, name: string) => encodeURIComponent(String(params[name])))
  const asked = Object.entries(query).flatMap(([name, value]) =>
    value === undefined ? [] : [`${name}=${encodeURIComponent(String(value))}`],
  )
  return asked.length > 0 ? `${place}?${asked.join('&')}` : place
}

interface Sent {
  readonly params?: Values | undefined
  readonly query?: Values | undefined
  readonly body?: unknown
  readonly file?: Blob
}

const send = async ({ method, path, schema }: contract.Endpoint, given: Sent): Promise<Response> => {
  const address = addressOf(path, given.params ?? {}, given.query ?? {})
  const headers: Record<string, string> = { 'x-time-zone': timeZone }
  const [type] = schema.consumes ?? (given.body === undefined ? [] : ['application/json'])
  if (type) headers['content-type'] = type
  const body = given.file ?? (given.body === undefined ? null : JSON.stringify(given.body))
  return (await earlyAnswer(method, address)) ?? (await fetch(address, { method, headers, body }))
}

const refused = (status: number, answer: unknown): ApiRefusal => {
  const error = (answer as { error?: Record<string, unknown> & { code?: string; message?: string } }).error ?? {}
  const issues = (error['issues'] as { path: string; message: string }[] | undefined) ?? []
  const why = issues[0] ? ` ${issues[0].path ? `${issues[0].path}: ` : ''}${issues[0].message}.` : ''
  const message = `${error.message ?? 'The server gave no answer that makes sense.'}${why}`
  return new ApiRefusal(status, error.code ?? 'broken', message, error)
}

/**
 * Asks an address of the server. The answer is held to the contract, but for bytes the server has kept: those were
 * checked on their way in, and are many.
 * @throws {ApiRefusal} with the server's words
 */
const ask = async <const E extends contract.Endpoint>(
  endpoint: E,
  ...[given]: object extends contract.Given<E> ? [] : [contract.Given<E>]
): Promise<contract.Answer<E>> => {
  const response = await send(endpoint, (given ?? {}) as Sent)
  const answer: unknown = response.status === 204 ? null : await response.json().catch(() => ({}))
  if (!response.ok) throw refused(response.status, answer)
  if (endpoint.kept) return answer as contract.Answer<E>
  const held = endpoint.schema.response?.[response.status as 200]?.safeParse(answer)
  if (held?.success === false)
    throw new ApiRefusal(response.status, 'broken', 'The server gave an answer that makes no sense.', {
      issues: held.error.issues,
    })
  return held?.data as contract.Answer<E>
}

const yes = (sure: boolean): 'yes' | 'no' => (sure ? 'yes' : 'no')

export const api = {
  catalogue: () => ask(contract.catalogue),
  partTag: (part: string) => ask(contract.partTag, { params: { id: part } }),
  savePart: (part: Part, was: string | null) =>
    ask(contract.savePart, { params: { id: part.id }, body: { part, was } }),
  removePart: (part: string, was: string) => ask(contract.removePart, { params: { id: part }, query: { was } }),
  bringPartBack: (part: string) => ask(contract.bringPartBack, { params: { id: part } }),
  operator: () => ask(contract.operator),
  setOperator: (arm: Operator) => ask(contract.setOperator, { body: arm }),
  setLimit: (check: string, option: string, value: number | null) =>
    ask(contract.setLimit, { params: { check, option }, body: { value } }),
  forgetOperator: () => ask(contract.forgetOperator),
  setOwned: (part: string, was: number, pieces: number) =>
    ask(contract.setOwned, { params: { part }, body: { was, pieces } }),
  pieces: () => ask(contract.allPieces),
  savePiece: (piece: LockerPiece, base: number) =>
    ask(contract.savePiece, { params: { id: piece.id }, body: { base, piece } }),
  removePiece: (piece: string, base: number) => ask(contract.removePiece, { params: { id: piece }, query: { base } }),
  weighPiece: (piece: string, base: number) => ask(contract.weighPiece, { params: { id: piece }, body: { base } }),
  readTable: (file: Blob, dry: boolean, currency: string) =>
    ask(contract.readLockerTable, { query: { dry: yes(dry), currency }, file }),
  layOnScale: (parts: readonly string[]) => ask(contract.layOnScale, { body: { parts } }),
  tareScale: () => ask(contract.tareScale),
  plugScale: (plugged: boolean) => ask(contract.plugScale, { body: { plugged } }),
  prices: () => ask(contract.prices),
  pricesOf: (part: string) => ask(contract.pricesOf, { params: { part } }),
  addPrice: (price: Omit<Price, 'source'>) => ask(contract.addPrice, { body: price }),
  removePrice: (price: string) => ask(contract.removePrice, { params: { id: price } }),
  addRate: (rate: Rate) => ask(contract.addRate, { body: rate }),
  reckon: (reckoning: contract.Reckoning) => ask(contract.setReckoning, { body: reckoning }),
  watchPrice: (part: string, belowMinor: number | null) =>
    ask(contract.watchPrice, { params: { part }, body: { belowMinor } }),
  restore: (file: Blob, dry: boolean) => ask(contract.restore, { query: { dry: yes(dry), replace: 'yes' }, file }),
  backups: () => ask(contract.backups),
  shelf: () => ask(contract.shelf),
  rig: (rig: string) => ask(contract.oneRig, { params: { id: rig } }),
  create: (rig: Rig, note: string) => ask(contract.createRig, { body: { rig, note } }),
  save: (rig: Rig, base: number, note: string, descent: contract.Descent = {}) =>
    ask(contract.saveRig, { params: { id: rig.id }, body: { base, rig, note, ...descent } }),
  putAway: (rig: string, base: number) => ask(contract.putAwayRig, { params: { id: rig }, query: { base } }),
  line: (rig: string) => ask(contract.line, { params: { id: rig } }),
  revisions: (rig: string, before?: number) => ask(contract.revisions, { params: { id: rig }, query: { before } }),
  revision: (rig: string, revision: number) => ask(contract.revisionOf, { params: { id: rig, revision } }),
  nameRevision: (rig: string, revision: number, name: string | null) =>
    ask(contract.nameRevision, { params: { id: rig, revision }, body: { name } }),
  readFile: (text: string, dry: boolean) => ask(contract.readRigFile, { body: { text, dry } }),
  rehearse: (rig: Rig, setup: string, speed: number) => ask(contract.startRehearsal, { body: { rig, setup, speed } }),
  changeRehearsal: (rehearsal: string, change: contract.Change) =>
    ask(contract.changeRehearsal, { params: { id: rehearsal }, body: change }),
  stopRehearsal: (rehearsal: string) => ask(contract.stopRehearsal, { params: { id: rehearsal } }),
  phone: () => ask(contract.phone),
  newPairing: () => ask(contract.newPairing),
  forgetPhones: () => ask(contract.forgetPhones),
  meter: () => ask(contract.readMeter),
  plugMeter: (part: string | null) => ask(contract.plugMeter, { body: { part } }),
  tellField: (entries: readonly FieldEntry[]) => ask(contract.tellField, { body: { entries } }),
  taught: () => ask(contract.taught),
  ticksOf: (rig: string) => ask(contract.ticksOfRig, { params: { id: rig } }),
  putBack: (rig: string) => ask(contract.putBackRig, { params: { id: rig } }),
}
