import * as contract from '@zucchini/contract'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { Refusal } from '../../errors.ts'
import { sendKept } from '../../kept-answers.ts'
import { type OwnPartService, partTag } from './own-parts.ts'
import type { CatalogueService } from './service.ts'

export const catalogueRoutes =
  (catalogue: CatalogueService, own: OwnPartService): FastifyPluginCallbackZod =>
  (app, _, done) => {
    // No response schema: these parts were checked on their way in, and checking 20,000 of them again is slow.
    app.get(contract.catalogue.path, { schema: contract.catalogue.schema }, async (request, reply) => {
      const { tag, bytes } = await catalogue.held()
      return sendKept(request, reply, { tag, bytes })
    })

    app.get(contract.onePart.path, { schema: contract.onePart.schema }, async ({ params: { id } }) => {
      const part = (await catalogue.catalogue()).parts.get(id)
      if (!part) throw new Refusal('part-unknown')
      return part
    })
    app.put(
      contract.savePart.path,
      {
        schema: contract.savePart.schema,
      },
      async ({ params: { id }, body: { part, was } }) => {
        if (part.id !== id)
          throw new Refusal('malformed', {
            issues: [{ path: 'part.id', message: `must be "${id}", as in the address` }],
          })
        return { tag: await own.save(part, was) }
      },
    )

    app.get(
      contract.partTag.path,
      {
        schema: contract.partTag.schema,
      },
      async ({ params: { id } }) => {
        const part = (await catalogue.catalogue()).parts.get(id)
        if (!part) throw new Refusal('part-unknown')
        return { tag: partTag(part) }
      },
    )

    app.delete(
      contract.removePart.path,
      {
        schema: contract.removePart.schema,
      },
      async ({ params: { id }, query: { was } }, reply) => {
        await own.remove(id, was)
        return reply.status(204).send(null)
      },
    )

    app.post(
      contract.bringPartBack.path,
      {
        schema: contract.bringPartBack.schema,
      },
      async ({ params: { id } }, reply) => {
        await own.bringBack(id)
        return reply.status(204).send(null)
      },
    )
    done()
  }
