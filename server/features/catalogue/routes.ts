import { idSchema, partSchema } from '@zucchini/core/catalogue'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { z } from 'zod'
import { Refusal } from '../../errors.ts'
import { sendKept } from '../../kept-answers.ts'
import { type OwnPartService, partTag } from './own-parts.ts'
import type { CatalogueService } from './service.ts'

export const catalogueRoutes =
  (catalogue: CatalogueService, own: OwnPartService): FastifyPluginCallbackZod =>
  (app, _, done) => {
    // No response schema: these parts were checked on their way in, and checking 20,000 of them again is slow.
    app.get(
      '/api/catalogue',
      { schema: { summary: 'All known parts; answers 304 when the tag still holds' } },
      async (request, reply) => {
        const { tag, bytes } = await catalogue.held()
        return sendKept(request, reply, { tag, bytes })
      },
    )

    app.get(
      '/api/catalogue/:id',
      { schema: { summary: 'One part', params: z.object({ id: idSchema }), response: { 200: partSchema } } },
      async ({ params: { id } }) => {
        const part = (await catalogue.catalogue()).parts.get(id)
        if (!part) throw new Refusal('part-unknown')
        return part
      },
    )
    app.put(
      '/api/catalogue/:id',
      {
        schema: {
          summary: 'Store a part of one’s own, new or over the data it was made from',
          params: z.object({ id: idSchema }),
          body: z.strictObject({ part: partSchema, was: z.string().max(32).nullable() }),
          response: { 200: z.object({ tag: z.string() }) },
        },
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
      '/api/catalogue/:id/tag',
      {
        schema: {
          summary: 'The name of a part’s present data',
          params: z.object({ id: idSchema }),
          response: { 200: z.object({ tag: z.string() }) },
        },
      },
      async ({ params: { id } }) => {
        const part = (await catalogue.catalogue()).parts.get(id)
        if (!part) throw new Refusal('part-unknown')
        return { tag: partTag(part) }
      },
    )

    app.delete(
      '/api/catalogue/:id',
      {
        schema: {
          summary: 'Take a part of one’s own out of the catalogue',
          params: z.object({ id: idSchema }),
          querystring: z.object({ was: z.string().min(1).max(32) }),
          response: { 204: z.null() },
        },
      },
      async ({ params: { id }, query: { was } }, reply) => {
        await own.remove(id, was)
        return reply.status(204).send(null)
      },
    )

    app.post(
      '/api/catalogue/:id/bring-back',
      {
        schema: {
          summary: 'Put a part that was taken out back into the catalogue',
          params: z.object({ id: idSchema }),
          response: { 204: z.null() },
        },
      },
      async ({ params: { id } }, reply) => {
        await own.bringBack(id)
        return reply.status(204).send(null)
      },
    )
    done()
  }
