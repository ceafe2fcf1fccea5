import * as contract from '@zucchini/contract'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import type { OperatorService } from './service.ts'

export const operatorRoutes =
  (operator: OperatorService): FastifyPluginCallbackZod =>
  (app, _, done) => {
    app.get(contract.operator.path, { schema: contract.operator.schema }, () => operator.get())
    app.put(contract.setOperator.path, { schema: contract.setOperator.schema }, async ({ body }) => {
      await operator.set(body)
      return operator.get()
    })
    app.delete(contract.forgetOperator.path, { schema: contract.forgetOperator.schema }, async () => {
      await operator.forget()
      return operator.get()
    })
    // One limit at a time, so that two pages never overwrite what the other has set.
    app.put(
      contract.setLimit.path,
      {
        schema: contract.setLimit.schema,
      },
      async ({ params: { check, option }, body: { value } }) => {
        await operator.setLimit(check, option, value)
        return operator.get()
      },
    )
    done()
  }
