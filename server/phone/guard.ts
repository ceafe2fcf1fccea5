import type { TLSSocket } from 'node:tls'
import cookie from '@fastify/cookie'
import type { FastifyInstance } from 'fastify'
import { Refusal } from '../errors.ts'
import type { Pairing } from './pairing.ts'

export const COOKIE = 'zucchini-phone'
/** A phone is let in for so long without being paired anew. s */
export const COOKIE_S = 180 * 86_400

const NOT_PAIRED = `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Zucchini</title><style>body{margin:0 auto;max-width:30rem;padding:2rem 1.25rem;background:#f4f2ea;color:#20261f;font:17px/1.5 system-ui,sans-serif}</style></head><body><h1>Not paired yet</h1><p>This phone is not paired with the program at the desk.</p><p>Open <strong>Phone</strong> there, make a code and scan it with this phone’s camera. A code is good once and for ten minutes.</p></body></html>`

/** Where a phone becomes a known one; the only place that is open to a stranger. */
const OPEN = /^\/pair(?:\?|$)/

/**
 * Whoever comes over https comes from another machine, and must have been paired at the desk. What comes over plain http
 * comes from this machine.
 */
export const installPhoneGuard = async (app: FastifyInstance, pairing: Pairing): Promise<void> => {
  await app.register(cookie)
  app.addHook('onRequest', async (request, reply) => {
    if (!(request.raw.socket as TLSSocket).encrypted || OPEN.test(request.url)) return
    if (await pairing.isPaired(request.cookies[COOKIE])) return
    // Somebody who looks at it gets a page, a program its answer.
    if (request.method === 'GET' && request.headers.accept?.includes('text/html'))
      return reply.status(401).header('cache-control', 'no-store').type('text/html; charset=utf-8').send(NOT_PAIRED)
    throw new Refusal('not-paired')
  })
}
