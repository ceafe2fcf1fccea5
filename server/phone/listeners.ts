import { createServer as createHttp, type IncomingMessage, type Server, type ServerResponse } from 'node:http'
import { createServer as createHttps } from 'node:https'
import { networkInterfaces } from 'node:os'
import type { FastifyInstance } from 'fastify'
import type { Certificates } from './authority.ts'

/** Addresses of this machine on its networks. */
export const ownAddresses = (): readonly string[] =>
  Object.values(networkInterfaces()).flatMap((list) =>
    (list ?? []).flatMap(({ family, internal, address }) => (family === 'IPv4' && !internal ? [address] : [])),
  )

const GUIDE = `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Zucchini on this phone</title><style>body{margin:0 auto;max-width:34rem;padding:1rem 1.25rem 3rem;background:#f4f2ea;color:#20261f;font:16px/1.5 system-ui,sans-serif}h1{font-size:1.4rem}li{margin:.7rem 0}a.do{display:block;margin:1rem 0;border-radius:12px;background:#2f6b3c;padding:1.1rem;color:#fbfaf5;text-align:center;font-weight:600;text-decoration:none}p.s{color:#5d6458}</style></head><body><h1>Once on this phone</h1><p>Browsers keep a page for days without a network, and the screen awake, only over https. For that the phone has to know the machine at the desk.</p><a class="do" href="/authority.crt">1. Load its certificate</a><ol start="2"><li><strong>Android:</strong> Settings, Security, More, Encryption and credentials, Install a certificate, CA certificate; choose the file.</li><li><strong>iPhone, iPad:</strong> Settings, Profile loaded, Install; then General, About, Certificate trust settings, and switch it on.</li><li>Back at the desk, scan the second code. It lets this phone in, once.</li></ol><p class="s">The certificate was made on your own machine and vouches for nothing else. It stays in a folder there that only you read; whoever had its key could pretend to be any site to this phone, so take it off again when you no longer need it: in the same place where you put it.</p><p class="s">If the phone refuses it, use the page that stands alone instead: Log, “Take the sheets along”.</p></body></html>`

const guideHandler =
  ({ authority }: Certificates) =>
  (request: IncomingMessage, reply: ServerResponse): void => {
    const common = {
      'cache-control': 'no-store',
      'x-content-type-options': 'nosniff',
      'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'",
    }
    if (request.url === '/authority.crt') {
      reply.writeHead(200, { ...common, 'content-type': 'application/x-x509-ca-cert' })
      reply.end(authority)
    } else if (request.url === '/') {
      reply.writeHead(200, { ...common, 'content-type': 'text/html; charset=utf-8' })
      reply.end(GUIDE)
    } else {
      reply.writeHead(404, common)
      reply.end()
    }
  }

export interface PhoneDoors {
  readonly close: () => Promise<void>
}

const listening = (server: Server, port: number, host: string): Promise<void> =>
  new Promise((resolve, reject) => {
    server.once('error', reject)
    server.listen(port, host, () => {
      server.off('error', reject)
      resolve()
    })
  })

/** A head that takes longer comes from nobody who means well. ms */
const SLOWEST_HEAD_MS = 15_000

/**
 * Opens the doors for phones: the program itself over https, and over plain http one page that says how the phone comes
 * to trust it. Requests over https go the same way as all others.
 */
export const openPhoneDoors = async (
  app: FastifyInstance,
  certificates: Certificates,
  { host, securePort, guidePort }: { readonly host: string; readonly securePort: number; readonly guidePort: number },
): Promise<PhoneDoors> => {
  await app.ready()
  const secure = createHttps(
    { key: certificates.key, cert: certificates.certificate, minVersion: 'TLSv1.2', headersTimeout: SLOWEST_HEAD_MS },
    (request, reply) => app.routing(request, reply),
  )
  const guide = createHttp(guideHandler(certificates))
  await listening(secure, securePort, host)
  await listening(guide, guidePort, host)
  const closed = (server: Server) =>
    new Promise<void>((resolve) => {
      server.close(() => resolve())
      server.closeAllConnections()
    })
  return { close: async () => void (await Promise.all([closed(secure), closed(guide)])) }
}
