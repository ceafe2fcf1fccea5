import { z } from 'zod'
import { idSchema } from '../catalogue/index.ts'
import { daysBetween } from '../kernel/index.ts'

export const conditions = ['new', 'good', 'worn', 'faulty'] as const
export const pieceStates = ['kept', 'lent', 'sold', 'retired'] as const

const text = (max: number) => z.string().trim().max(max)
const money = z.int().min(0, 'money can not be less than nothing').max(1e9)
const day = z.iso.date()

/** One owned piece of gear; several of one part are several of these. */
export const pieceSchema = z
  .strictObject({
    id: idSchema,
    partId: idSchema,
    state: z.enum(pieceStates),
    condition: z.enum(conditions),
    /** Where it is kept: a drawer, a bag, a studio. */
    place: text(60),
    serial: text(60),
    boughtOn: day.nullable(),
    boughtFor: text(80),
    paidMinor: money.nullable(),
    insuredMinor: money.nullable(),
    currency: z.string().regex(/^[A-Z]{3}$/, 'use a three-letter currency code such as EUR'),
    notes: text(400),
    /** What the scale said, and when. */
    measuredG: z.number().positive().max(60_000).nullable(),
    measuredOn: day.nullable(),
    lentTo: text(60),
    lentOn: day.nullable(),
    /** When it was sold or retired, and for how much it went. */
    endedOn: day.nullable(),
    soldMinor: money.nullable(),
    /** The last shoot it was on. */
    usedOn: day.nullable(),
  })
  .refine((p) => p.state !== 'lent' || p.lentTo !== '', { path: ['lentTo'], error: 'say to whom it is lent' })
export type LockerPiece = z.infer<typeof pieceSchema>
export type PieceState = LockerPiece['state']

export const newPiece = (id: string, partId: string, more: Partial<LockerPiece> = {}): LockerPiece => ({
  id,
  partId,
  state: 'kept',
  condition: 'good',
  place: '',
  serial: '',
  boughtOn: null,
  boughtFor: '',
  paidMinor: null,
  insuredMinor: null,
  currency: 'EUR',
  notes: '',
  measuredG: null,
  measuredOn: null,
  lentTo: '',
  lentOn: null,
  endedOn: null,
  soldMinor: null,
  usedOn: null,
  ...more,
})

/**
 * Dates of a piece that lie in the future; they are refused, since nobody has bought, lent or sold anything tomorrow.
 */
export const futureDates = (
  piece: LockerPiece,
  today: string,
): readonly ('boughtOn' | 'lentOn' | 'endedOn' | 'measuredOn' | 'usedOn')[] =>
  (['boughtOn', 'lentOn', 'endedOn', 'measuredOn', 'usedOn'] as const).filter((key) => (piece[key] ?? '') > today)

/** Do two pieces say the same, whatever the order of their fields? */
export const samePiece = (a: LockerPiece, b: LockerPiece): boolean =>
  (Object.keys(a) as (keyof LockerPiece)[]).every((key) => a[key] === b[key])

/** Is it still the operator's? What is lent comes back. */
export const isOwned = ({ state }: Pick<LockerPiece, 'state'>): boolean => state === 'kept' || state === 'lent'

/** Unused for longer than this, a piece might as well be sold. days */
export const IDLE_DAYS = 365

/**
 * Has nothing been done with it for a year? Judged by its last shoot, or else by the day it was bought; unknown days do
 * not accuse.
 */
export const isIdle = (piece: LockerPiece, today: string): boolean => {
  const since = piece.usedOn ?? piece.boughtOn
  return isOwned(piece) && since !== null && daysBetween(since, today) > IDLE_DAYS
}
