import type { FastifyReply, FastifyRequest } from 'fastify'

/** An answer that is kept as bytes, with a short name for its contents. */
export interface KeptAnswer {
  readonly tag: string
  readonly bytes: Buffer
}

/**
 * Sends a kept answer as it is, or 304 to a browser that has it already. It was checked on its way in; nothing is
 * checked or written again.
 */
export const sendKept = (request: FastifyRequest, reply: FastifyReply, { tag, bytes }: KeptAnswer): FastifyReply => {
  const etag = `"${tag}"`
  reply.header('etag', etag).header('cache-control', 'no-cache')
  if (request.headers['if-none-match'] === etag) return reply.status(304).send()
  return reply.header('content-type', 'application/json; charset=utf-8').send(bytes)
}
