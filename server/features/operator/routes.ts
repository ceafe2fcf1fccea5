import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { z } from 'zod'
import { operatorSchema, type OperatorService } from './service.ts'

const limits = z.record(z.string(), z.record(z.string(), z.number()))
const answer = operatorSchema.extend({ calibrated: z.boolean(), limits })
const name = z.string().min(1).max(60)

export const operatorRoutes =
  (operator: OperatorService): FastifyPluginCallbackZod =>
  (app, _, done) => {
    app.get(
      '/api/operator',
      { schema: { summary: 'The operator’s strength and limits', response: { 200: answer } } },
      () => operator.get(),
    )
    app.put(
      '/api/operator',
      { schema: { summary: 'Keep what a timed hold showed', body: operatorSchema, response: { 200: answer } } },
      async ({ body }) => {
        await operator.set(body)
        return operator.get()
      },
    )
    app.delete(
      '/api/operator',
      { schema: { summary: 'Back to the average adult', response: { 200: answer } } },
      async () => {
        await operator.forget()
        return operator.get()
      },
    )
    // One limit at a time, so that two pages never overwrite what the other has set.
    app.put(
      '/api/operator/limits/:check/:option',
      {
        schema: {
          summary: 'Set one limit, or go back to the usual one',
          params: z.strictObject({ check: name, option: name }),
          body: z.strictObject({ value: z.number().nullable() }),
          response: { 200: answer },
        },
      },
      async ({ params: { check, option }, body: { value } }) => {
        await operator.setLimit(check, option, value)
        return operator.get()
      },
    )
    done()
  }
