import { timingSafeEqual } from 'node:crypto'
import type { FastifyInstance } from 'fastify'
import { Refusal, refusalBody } from './errors.ts'

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
    if (headers.origin !== `http://${headers.host}` && headers.origin !== `https://${headers.host}`)
      throw new Refusal('wrong-place')
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

const SLOWEST_BODY_MS = 20_000
const BACKUPS = 'application/vnd.zucchini.backup'

/** Ends a request whose body trickles in. A backup may take its time: it is read as fast as the database takes it. */
export const installSlowBodyGuard = (app: FastifyInstance, slowestMs = SLOWEST_BODY_MS): void => {
  app.addHook('preParsing', (request, reply, payload, done) => {
    const hasBody =
      request.headers['content-length'] !== undefined || request.headers['transfer-encoding'] !== undefined
    if (hasBody && !request.headers['content-type']?.startsWith(BACKUPS)) {
      const timer = setTimeout(() => {
        // The answer first; what still trickles in is not waited for.
        reply.raw.once('finish', () => request.raw.destroy())
        void reply.status(408).header('connection', 'close').send(refusalBody('too-slow'))
      }, slowestMs)
      timer.unref()
      payload.once('end', () => clearTimeout(timer)).once('close', () => clearTimeout(timer))
    }
    done(null, payload)
  })
}
