import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { z } from 'zod'
import { operatorSchema, type OperatorService } from './service.ts'

const answer = operatorSchema.extend({ calibrated: z.boolean() })

export const operatorRoutes =
  (operator: OperatorService): FastifyPluginCallbackZod =>
  (app, _, done) => {
    app.get('/api/operator', { schema: { summary: 'The operator’s strength', response: { 200: answer } } }, () => operator.get())
    app.put(
      '/api/operator',
      { schema: { summary: 'Keep what a timed hold showed', body: operatorSchema, response: { 200: answer } } },
      async ({ body }) => {
        await operator.set(body)
        return operator.get()
      },
    )
    app.delete('/api/operator', { schema: { summary: 'Back to the average adult', response: { 200: answer } } }, async () => {
      await operator.forget()
      return operator.get()
    })
    done()
  }
