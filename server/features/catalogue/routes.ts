import { idSchema, partSchema } from '@zucchini/core/catalogue'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { z } from 'zod'
import { Refusal } from '../../errors.ts'
import type { CatalogueService } from './service.ts'

export const catalogueRoutes =
  (catalogue: CatalogueService): FastifyPluginCallbackZod =>
  (app, _, done) => {
    // No response schema: these parts were checked on their way in, and checking 20,000 of them again is slow.
    app.get('/api/catalogue', { schema: { summary: 'All known parts; answers 304 when the tag still holds' } }, async (request, reply) => {
      const tag = `"${await catalogue.tag()}"`
      reply.header('etag', tag).header('cache-control', 'no-cache')
      if (request.headers['if-none-match'] === tag) return reply.status(304).send()
      return { parts: await catalogue.parts() }
    })

    app.get(
      '/api/catalogue/:id',
      { schema: { summary: 'One part', params: z.object({ id: idSchema }), response: { 200: partSchema } } },
      async ({ params: { id } }) => {
        const part = (await catalogue.catalogue()).parts.get(id)
        if (!part) throw new Refusal('part-unknown')
        return part
      },
    )
    done()
  }
