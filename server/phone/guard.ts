import type { TLSSocket } from 'node:tls'
import cookie from '@fastify/cookie'
import type { FastifyInstance } from 'fastify'
import { Refusal } from '../errors.ts'
import type { Pairing } from './pairing.ts'

export const COOKIE = 'zucchini-phone'
/** A phone is let in for so long without being paired anew. s */
export const COOKIE_S = 180 * 86_400

/** Where a phone becomes a known one; the only place that is open to a stranger. */
const OPEN = /^\/pair(?:\?|$)/

/**
 * Whoever comes over https comes from another machine, and must have been paired at the desk. What comes over plain http
 * comes from this machine.
 */
export const installPhoneGuard = async (app: FastifyInstance, pairing: Pairing): Promise<void> => {
  await app.register(cookie)
  app.addHook('onRequest', async (request) => {
    if (!(request.raw.socket as TLSSocket).encrypted || OPEN.test(request.url)) return
    if (!(await pairing.isPaired(request.cookies[COOKIE]))) throw new Refusal('not-paired')
  })
}
