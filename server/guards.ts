import { timingSafeEqual } from 'node:crypto'
import type { FastifyInstance } from 'fastify'
import { Refusal } from './errors.ts'

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '[::1]'])

const nameOf = (host: string): string => host.replace(/:\d+$/, '')

/**
 * Turns away requests under a name that is not ours (a rebound DNS name) and edits sent by a foreign page.
 * @param hosts names this server answers to besides loopback
 */
export const installHostGuard = (app: FastifyInstance, hosts: readonly string[]): void => {
  const known = new Set([...LOOPBACK, ...hosts])
  app.addHook('onRequest', async ({ headers, method }) => {
    if (!known.has(nameOf(headers.host ?? ''))) throw new Refusal('wrong-place')
    if (method === 'GET' || method === 'HEAD' || headers.origin === undefined) return
    if (headers.origin !== `http://${headers.host}` && headers.origin !== `https://${headers.host}`) throw new Refusal('wrong-place')
  })
}

const same = (a: string, b: string): boolean => {
  const [x, y] = [Buffer.from(a), Buffer.from(b)]
  return x.length === y.length && timingSafeEqual(x, y)
}

/** Asks every visitor for the passphrase, by the browser's own dialogue (RFC 7617; any user name). */
export const installPassphrase = (app: FastifyInstance, passphrase: string): void => {
  app.addHook('onRequest', async ({ headers }, reply) => {
    const [scheme, code] = (headers.authorization ?? '').split(' ')
    const given = scheme === 'Basic' ? Buffer.from(code ?? '', 'base64').toString('utf8') : ''
    if (same(given.slice(given.indexOf(':') + 1), passphrase) && given.includes(':')) return
    reply.header('www-authenticate', 'Basic realm="Zucchini", charset="UTF-8"')
    throw new Refusal('passphrase-wanted')
  })
}
