import * as contract from '@zucchini/contract'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { Refusal } from '../../errors.ts'
import { COOKIE, COOKIE_S } from '../../phone/guard.ts'
import type { Pairing } from '../../phone/pairing.ts'

/** Under which names and ports phones find this machine. */
export interface PhoneAddresses {
  readonly hosts: readonly string[]
  readonly securePort: number
  readonly guidePort: number
}

export const phoneRoutes =
  (pairing: Pairing, addresses: PhoneAddresses | undefined): FastifyPluginCallbackZod =>
  (app, _, done) => {
    app.get(contract.phone.path, { schema: contract.phone.schema }, async () => ({
      on: addresses !== undefined,
      guides: (addresses?.hosts ?? []).map((host) => `http://${host}:${addresses?.guidePort}/`),
      paired: await pairing.count(),
    }))
    app.post(contract.newPairing.path, { schema: contract.newPairing.schema }, async (_request, reply) => {
      if (!addresses) throw new Refusal('phones-off')
      const { code, until } = pairing.newCode()
      return reply.status(201).send({
        addresses: addresses.hosts.map((host) => `https://${host}:${addresses.securePort}/pair?code=${code}`),
        until: new Date(until).toISOString(),
      })
    })
    app.delete(contract.forgetPhones.path, { schema: contract.forgetPhones.schema }, async (_request, reply) => {
      await pairing.forgetAll()
      return reply.status(204).send(null)
    })
    app.get(contract.pairPhone.path, { schema: contract.pairPhone.schema }, async ({ query: { code } }, reply) => {
      const token = await pairing.redeem(code)
      if (!token) throw new Refusal('code-spent')
      return reply
        .setCookie(COOKIE, token, { path: '/', httpOnly: true, secure: true, sameSite: 'lax', maxAge: COOKIE_S })
        .redirect('/')
    })
    done()
  }
