import { z } from 'zod'
import { endpoint } from './endpoint.ts'

/** The operator's arm. */
export const operatorSchema = z.strictObject({
  strengthNm: z.number().min(5).max(300),
  armMassG: z.number().min(500).max(12_000),
})

const limits = z.record(z.string(), z.record(z.string(), z.number()))
/** Who holds the rigs, whether a timed hold says so, and the own limits. */
export const operatorAnswerSchema = z.object({ ...operatorSchema.shape, calibrated: z.boolean(), limits })
export type OperatorAnswer = z.infer<typeof operatorAnswerSchema>

const name = z.string().min(1).max(60)
const path = '/api/operator'

export const operator = endpoint({
  method: 'GET',
  path,
  schema: { summary: 'The operator’s strength and limits', response: { 200: operatorAnswerSchema } },
})
export const setOperator = endpoint({
  method: 'PUT',
  path,
  schema: {
    summary: 'Keep what a timed hold showed',
    body: operatorSchema,
    response: { 200: operatorAnswerSchema },
  },
})
export const forgetOperator = endpoint({
  method: 'DELETE',
  path,
  schema: { summary: 'Back to the average adult', response: { 200: operatorAnswerSchema } },
})
export const setLimit = endpoint({
  method: 'PUT',
  path: '/api/operator/limits/:check/:option',
  schema: {
    summary: 'Set one limit, or go back to the usual one',
    params: z.strictObject({ check: name, option: name }),
    body: z.strictObject({ value: z.number().nullable() }),
    response: { 200: operatorAnswerSchema },
  },
})
