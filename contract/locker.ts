import { idSchema } from '@zucchini/core/catalogue'
import { pieceSchema } from '@zucchini/core/locker'
import { z } from 'zod'
import { digits, endpoint, nothing, yesOrNo } from './endpoint.ts'

const pieces = z.int().min(0).max(99)
const params = z.object({ id: idSchema })

export const savedPieceSchema = z.object({ piece: pieceSchema, revision: z.int() })
export type SavedPiece = z.infer<typeof savedPieceSchema>

/** What reading a table of pieces did, or would do. */
export const tableAnswerSchema = z.object({
  ok: z.boolean(),
  rows: z.int(),
  added: z.int(),
  changed: z.int(),
  same: z.int(),
  unknownColumns: z.array(z.string()),
  issues: z.array(z.object({ line: z.int(), column: z.string(), message: z.string() })),
})
export type TableAnswer = z.infer<typeof tableAnswerSchema>

export const owned = endpoint({
  method: 'GET',
  path: '/api/locker',
  schema: {
    summary: 'Pieces owned, by part',
    response: { 200: z.object({ pieces: z.record(z.string(), z.int()) }) },
  },
})
export const setOwned = endpoint({
  method: 'PUT',
  path: '/api/locker/:part',
  schema: {
    summary: 'Set how many pieces of a part are owned',
    params: z.object({ part: idSchema }),
    body: z.strictObject({ was: pieces, pieces }),
    response: { 200: z.object({ pieces }) },
  },
})
export const allPieces = endpoint({
  method: 'GET',
  path: '/api/locker/pieces',
  schema: { summary: 'Every piece with all that is known of it' },
  kept: z.object({ today: z.string(), pieces: z.array(savedPieceSchema) }),
})
export const savePiece = endpoint({
  method: 'PUT',
  path: '/api/locker/pieces/:id',
  schema: {
    summary: 'Save a piece over the revision it was made from; 0 for a new one',
    params,
    body: z.strictObject({ base: z.int().min(0), piece: pieceSchema }),
    response: { 200: savedPieceSchema },
  },
})
export const removePiece = endpoint({
  method: 'DELETE',
  path: '/api/locker/pieces/:id',
  schema: {
    summary: 'Take a piece out for good, as if it had never been there',
    params,
    querystring: z.object({ base: digits }),
    response: { 204: nothing },
  },
})
export const weighPiece = endpoint({
  method: 'POST',
  path: '/api/locker/pieces/:id/weigh',
  schema: {
    summary: 'Keep what the scale shows as the mass of a piece; an unsteady or missing scale changes nothing',
    params,
    body: z.strictObject({ base: z.int().min(1) }),
    response: { 200: savedPieceSchema },
  },
})
export const lockerTable = endpoint({
  method: 'GET',
  path: '/api/locker.csv',
  schema: { summary: 'The locker as CSV' },
})
export const readLockerTable = endpoint({
  method: 'POST',
  path: '/api/locker.csv',
  schema: {
    summary: 'Read pieces from CSV; with dry it only says what would happen',
    consumes: ['text/csv'],
    querystring: z.object({
      dry: yesOrNo.default('yes'),
      currency: z
        .string()
        .regex(/^[A-Z]{3}$/)
        .default('EUR'),
    }),
    response: { 200: tableAnswerSchema },
  },
})
