import { z } from 'zod'
import { idSchema } from '../catalogue/index.ts'

const text = (max: number) => z.string().trim().max(max)
const day = z.iso.date()
const minutes = z.number().min(0).max(6000)

/** A joint by what it joins: the same on every rig and mark where these two parts meet at these two points. */
export const jointKeySchema = z.strictObject({
  guest: idSchema,
  guestMount: idSchema,
  host: idSchema,
  hostMount: idSchema,
})
export type JointKey = z.infer<typeof jointKeySchema>

/** A piece of the rig's kit, and which part it is: the part stays known when the piece has left the rig. */
const pieceRef = { piece: idSchema, partId: idSchema }

/** What a day can be measured by, beside what was planned. */
export const measurables = ['grams', 'ready', 'held', 'run', 'draw'] as const
export type Measurable = (typeof measurables)[number]

const measuredSchema = z.discriminatedUnion('what', [
  /** What the set-up weighed, g. */
  z.strictObject({
    what: z.literal('grams'),
    setup: idSchema,
    value: z.number().min(1).max(60_000),
    planned: z.number().min(0).max(60_000),
  }),
  /** Until the set-up was ready, s. */
  z.strictObject({
    what: z.literal('ready'),
    setup: idSchema,
    value: z.number().min(1).max(36_000),
    planned: z.number().min(0).max(36_000),
  }),
  /** How long it was held still until the arm hurt, minutes; and the strength at the shoulder that this speaks of. */
  z.strictObject({
    what: z.literal('held'),
    setup: idSchema,
    value: z.number().min(0.1).max(60),
    planned: z.number().min(0).max(600),
    strengthNm: z.number().min(5).max(300).optional(),
  }),
  /** How long a battery lasted with everything on, minutes; and how long a new one would have by the plan. */
  z.strictObject({ what: z.literal('run'), ...pieceRef, value: minutes, asNew: minutes }),
  /** What a piece drew, W. */
  z.strictObject({
    what: z.literal('draw'),
    ...pieceRef,
    value: z.number().min(0.05).max(500),
    planned: z.number().min(0).max(500),
  }),
])
export type Measured = z.infer<typeof measuredSchema>

const pieces = z.array(z.strictObject(pieceRef)).max(200).readonly()
const joints = z
  .array(z.strictObject({ ...pieceRef, joint: jointKeySchema }))
  .max(60)
  .readonly()

/** A day's log: what happened, in a minute. */
export const daySchema = z.strictObject({
  kind: z.literal('day'),
  shoot: text(80).min(1, 'say which shoot it was'),
  day,
  setups: z.array(idSchema).max(24).readonly(),
  /** Every part that was along; what is named nowhere else was used. */
  carried: z.array(idSchema).max(400).readonly(),
  loose: joints,
  ranOut: pieces,
  /** With where it sat: the same part somewhere else may be in nobody's way. */
  inTheWay: joints,
  unused: pieces,
  /** Everything else went on as said; these did not, by so many mm. */
  gaps: z
    .array(z.strictObject({ ...pieceRef, joint: jointKeySchema, gapMm: z.number().min(0).max(300) }))
    .max(60)
    .readonly(),
  measured: z.array(measuredSchema).max(60).readonly(),
  line: text(280),
})
export type DayLog = z.infer<typeof daySchema>

/** A tick on a list, set or taken back. */
const tickSchema = z.strictObject({
  kind: z.literal('tick'),
  list: text(160).min(1),
  key: text(2000).min(1),
  on: z.boolean(),
})
/** A list begun anew: every tick before is gone. */
const clearSchema = z.strictObject({ kind: z.literal('clear'), list: text(160).min(1) })
/** So long one joint of a kind, or a lead, took by the watch. */
const lapSchema = z.strictObject({
  kind: z.literal('lap'),
  /** A mounting standard by its name, such as `thread-1/4`, or `lead`. */
  joint: text(60).min(1),
  seconds: z.number().min(0.5).max(900),
  day,
})
/** The operator's word on something learnt: it holds, or it is not to be used. */
const wordSchema = z.strictObject({ kind: z.literal('word'), lesson: text(300).min(1), holds: z.boolean() })

/** One thing told from the field. It is written once, never changed, and has its id from where it was made. */
export const fieldEntrySchema = z.strictObject({
  id: z.uuid(),
  rigId: idSchema,
  /** The revision of the rig it speaks of. */
  revision: z.int().min(1),
  at: z.iso.datetime({ precision: 3 }),
  what: z.discriminatedUnion('kind', [tickSchema, clearSchema, lapSchema, daySchema, wordSchema]),
})
export type FieldEntry = z.infer<typeof fieldEntrySchema>
export type Told = FieldEntry['what']

/** In the order in which they were told; of one moment by their ids, so that every reader has the same order. */
export const inOrder = (entries: Iterable<FieldEntry>): readonly FieldEntry[] =>
  [...entries].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0))

/**
 * The ticks of a list as the entries leave them; an entry that comes twice counts once.
 * @param list its name @returns the keys that are ticked
 */
export const ticksOf = (entries: Iterable<FieldEntry>, list: string): ReadonlySet<string> => {
  const ticked = new Set<string>()
  for (const { what } of inOrder(entries)) {
    if (what.kind === 'clear' && what.list === list) ticked.clear()
    if (what.kind !== 'tick' || what.list !== list) continue
    if (what.on) ticked.add(what.key)
    else ticked.delete(what.key)
  }
  return ticked
}
