import { summarySchema } from '@zucchini/core/assess'
import { rigSchema } from '@zucchini/core/assembly'
import { idSchema } from '@zucchini/core/catalogue'
import { z } from 'zod'
import { digits, endpoint, nothing } from './endpoint.ts'

const params = z.object({ id: idSchema })
const note = z.string().max(200).default('')
const revision = z.int().min(1)

/** What a save says back: the page has the rig itself. */
export const receiptSchema = z.object({ revision: z.int(), updatedAt: z.string() })
export type Receipt = z.infer<typeof receiptSchema>

export const savedRigSchema = receiptSchema.extend({ rig: rigSchema })
export type SavedRig = z.infer<typeof savedRigSchema>

/** The revision an edit grew from, or the one it is the same as after an undo or redo. */
const descent = z.object({ grewFrom: revision.optional(), same: revision.optional() })
export type Descent = Readonly<z.infer<typeof descent>>

/** A rig on the shelf, with what is known of it at a glance. */
export const shelfEntrySchema = z.object({
  id: z.string(),
  name: z.string(),
  revision: z.int(),
  updatedAt: z.string(),
  summary: summarySchema.nullable(),
  /** Why nothing could be worked out for it. */
  why: z.string().nullable(),
  /** Does the summary belong to the rig and to what surrounds it as they are now? */
  fresh: z.boolean(),
})
export type ShelfEntry = z.infer<typeof shelfEntrySchema>

export const historyEntrySchema = z.object({
  revision: z.int(),
  note: z.string(),
  savedAt: z.string(),
  name: z.string().nullable(),
})
export type HistoryEntry = z.infer<typeof historyEntrySchema>

/** Where undo and redo lead through saved revisions, nearest first. */
export const savedLineSchema = z.object({ undo: z.array(z.int()).readonly(), redo: z.array(z.int()).readonly() })
export type SavedLine = z.infer<typeof savedLineSchema>

/** What reading a rig file did, or would do. */
export const fileAnswerSchema = z.object({
  ok: z.boolean(),
  name: z.string(),
  newParts: z.array(z.string()),
  differing: z.array(z.string()),
  limits: z.number(),
  issues: z.array(z.object({ path: z.string(), message: z.string() })),
  rigId: z.string(),
})
export type FileAnswer = z.infer<typeof fileAnswerSchema>

const oneRevision = params.extend({ revision: digits })

export const shelf = endpoint({
  method: 'GET',
  path: '/api/rigs',
  schema: { summary: 'The shelf: every rig with what is known of it at a glance, newest first' },
  kept: z.object({ rigs: z.array(shelfEntrySchema) }),
})
export const createRig = endpoint({
  method: 'POST',
  path: '/api/rigs',
  schema: {
    summary: 'Put a new rig on the shelf',
    body: z.strictObject({ rig: rigSchema, note }),
    response: { 201: savedRigSchema },
  },
})
export const oneRig = endpoint({
  method: 'GET',
  path: '/api/rigs/:id',
  schema: { summary: 'One rig, newest revision', params },
  kept: savedRigSchema,
})
export const saveRig = endpoint({
  method: 'PUT',
  path: '/api/rigs/:id',
  schema: {
    summary: 'Save over the revision the edit was made from',
    params,
    body: z.strictObject({ base: revision, rig: rigSchema, note, ...descent.shape }),
    response: { 200: receiptSchema },
  },
})
export const putAwayRig = endpoint({
  method: 'DELETE',
  path: '/api/rigs/:id',
  schema: {
    summary: 'Take a rig off the shelf, as it was when this was decided; its history stays',
    params,
    querystring: z.object({ base: digits }),
    response: { 204: nothing },
  },
})
export const putBackRig = endpoint({
  method: 'POST',
  path: '/api/rigs/:id/put-back',
  schema: { summary: 'Put a rig back on the shelf', params, response: { 200: savedRigSchema } },
})
export const revisions = endpoint({
  method: 'GET',
  path: '/api/rigs/:id/revisions',
  schema: {
    summary: 'The history of a rig, newest first, so many at once',
    params,
    querystring: z.object({ before: digits.optional() }),
    response: { 200: z.object({ revisions: z.array(historyEntrySchema), more: z.boolean() }) },
  },
})
export const line = endpoint({
  method: 'GET',
  path: '/api/rigs/:id/line',
  schema: {
    summary: 'Where undo and redo lead from the newest revision, nearest first',
    params,
    response: { 200: savedLineSchema },
  },
})
export const revisionOf = endpoint({
  method: 'GET',
  path: '/api/rigs/:id/revisions/:revision',
  schema: {
    summary: 'A rig as it was',
    params: oneRevision,
    response: { 200: historyEntrySchema.extend({ rig: rigSchema }) },
  },
})
export const nameRevision = endpoint({
  method: 'PUT',
  path: '/api/rigs/:id/revisions/:revision/name',
  schema: {
    summary: 'Give a revision a name, so that it always stays; null takes the name away',
    params: oneRevision,
    body: z.strictObject({ name: z.string().trim().min(1).max(80).nullable() }),
    response: { 204: nothing },
  },
})
export const rigFile = endpoint({
  method: 'GET',
  path: '/api/rigs/:id/file',
  schema: { summary: 'The rig as a file that stands alone', params },
})
export const readRigFile = endpoint({
  method: 'POST',
  path: '/api/rig-files',
  schema: {
    summary: 'Read a rig file; with dry it only says what would happen',
    body: z.strictObject({ text: z.string(), dry: z.boolean() }),
    response: { 200: fileAnswerSchema },
  },
})
