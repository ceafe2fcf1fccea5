import { mkdtempSync, rmSync, statSync } from 'node:fs'
import { get as getPlain } from 'node:http'
import { request as httpsRequest } from 'node:https'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { X509Certificate } from 'node:crypto'
import type { FastifyInstance } from 'fastify'
import { buildApp } from './app.ts'
import { certificatesIn, type Certificates } from './phone/authority.ts'
import { openPhoneDoors, type PhoneDoors } from './phone/listeners.ts'
import { CODE_MS, Pairing } from './phone/pairing.ts'
import { type Kit, startKit } from './testing/kit.ts'

const NAME = 'desk.test'
const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo
      probe.close(() => resolve(port))
    })
  })

let kit: Kit
let dir: string
let certificates: Certificates
let doors: PhoneDoors
let app: FastifyInstance
let securePort: number
let guidePort: number
let clock = Date.parse('2026-11-26T10:00:00Z')
beforeAll(async () => {
  kit = await startKit()
  dir = mkdtempSync(join(tmpdir(), 'zucchini-phone-'))
  certificates = await certificatesIn(dir, [NAME, '127.0.0.1'])
  ;[securePort, guidePort] = [await freePort(), await freePort()]
  const phone = { hosts: [NAME], securePort, guidePort }
  app = (await buildApp({ db: kit.db, hosts: [NAME], phone, now: () => new Date(clock) })).app
  doors = await openPhoneDoors(app, certificates, { host: '127.0.0.1', ...phone })
})
afterAll(async () => {
  await doors.close()
  await app.close()
  await kit.close()
  rmSync(dir, { recursive: true })
})

interface Answer {
  readonly status: number
  readonly headers: Readonly<Record<string, string | string[] | undefined>>
  readonly text: string
}
/** A real request over TLS by a phone that trusts the authority, under the machine's name. */
const fromPhone = (
  path: string,
  more: { cookie?: string; accept?: string; origin?: string; method?: string; host?: string } = {},
) =>
  new Promise<Answer>((resolve, reject) => {
    const asked = httpsRequest(
      {
        host: '127.0.0.1',
        port: securePort,
        path,
        method: more.method ?? 'GET',
        ca: certificates.authority,
        servername: NAME,
        headers: {
          host: `${more.host ?? NAME}:${securePort}`,
          ...(more.cookie ? { cookie: more.cookie } : {}),
          ...(more.accept ? { accept: more.accept } : {}),
          ...(more.origin ? { origin: more.origin } : {}),
        },
      },
      (answer) => {
        let text = ''
        answer.on('data', (piece: Buffer) => (text += piece.toString()))
        answer.on('end', () => resolve({ status: answer.statusCode ?? 0, headers: answer.headers, text }))
      },
    )
    asked.on('error', reject)
    asked.end()
  })

test('the certificate is of this machine’s own authority, for its names, and browsers take its length', () => {
  const [authority, own] = [new X509Certificate(certificates.authority), new X509Certificate(certificates.certificate)]
  expect(authority.ca).toBe(true)
  expect(own.ca).toBe(false)
  expect(own.verify(authority.publicKey)).toBe(true)
  expect([own.checkHost(NAME), own.checkIP('127.0.0.1'), own.checkHost('elsewhere.test')]).toEqual([
    NAME,
    '127.0.0.1',
    undefined,
  ])
  const days = (Date.parse(own.validTo) - Date.parse(own.validFrom)) / 86_400_000
  expect(days).toBeLessThanOrEqual(398)
  for (const name of ['authority.key', 'server.key']) expect(statSync(join(dir, name)).mode & 0o077).toBe(0)
})

test('it stays as it is until a name is new or it soon ends; the authority stays', async () => {
  expect(await certificatesIn(dir, [NAME])).toEqual(certificates)
  const other = mkdtempSync(join(tmpdir(), 'zucchini-phone-'))
  try {
    const first = await certificatesIn(other, ['10.0.0.5'])
    const moved = await certificatesIn(other, ['10.0.0.9'])
    expect(moved.authority).toBe(first.authority)
    expect(new X509Certificate(moved.certificate).checkIP('10.0.0.9')).toBe('10.0.0.9')
    const later = await certificatesIn(other, ['10.0.0.9'], new Date(Date.now() + 380 * 86_400_000))
    expect(later.certificate).not.toBe(moved.certificate)
    expect(later.authority).toBe(first.authority)
  } finally {
    rmSync(other, { recursive: true })
  }
})

test('a stranger sees nothing over https, and nobody else’s name is answered', async () => {
  for (const path of ['/', '/api/rigs', '/api/backup', '/api/phone'])
    expect(await fromPhone(path)).toMatchObject({ status: 401, text: expect.stringContaining('not-paired') as string })
  expect((await fromPhone('/api/rigs', { cookie: 'zucchini-phone=guess' })).status).toBe(401)
  // Somebody who looks at it is told in words what to do.
  const looked = await fromPhone('/', { accept: 'text/html' })
  expect([looked.status, looked.text.includes('make a code and scan it')]).toEqual([401, true])
  expect((await fromPhone('/api/rigs', { host: 'elsewhere.test' })).status).toBe(403)
})

test('a code lets one phone in, once and for ten minutes; its cookie then does, until it is forgotten', async () => {
  const desk = await app.inject({ method: 'POST', url: '/api/phone/codes', headers: { host: '127.0.0.1' } })
  const [address] = desk.json<{ addresses: string[] }>().addresses
  const path = address?.slice(address.indexOf('/pair')) ?? ''
  expect(address).toMatch(new RegExp(`^https://${NAME}:${securePort}/pair\\?code=[0-9a-f]{32}$`))
  expect((await fromPhone('/pair?code=' + '0'.repeat(32))).status).toBe(403)
  expect((await fromPhone('/pair?code=short')).status).toBe(400)
  const paired = await fromPhone(path)
  expect([paired.status, paired.headers['location']]).toEqual([302, '/'])
  const set = String(paired.headers['set-cookie'])
  expect(set).toMatch(/HttpOnly/)
  expect(set).toMatch(/Secure/)
  const cookie = set.slice(0, set.indexOf(';'))
  expect((await fromPhone('/api/rigs', { cookie })).status).toBe(200)
  // The same code again, and an edit sent by a foreign page.
  expect((await fromPhone(path)).status).toBe(403)
  expect((await fromPhone('/api/phone', { cookie, method: 'DELETE', origin: 'https://elsewhere.test' })).status).toBe(
    403,
  )
  expect(
    (await fromPhone('/api/phone', { cookie, method: 'DELETE', origin: `https://${NAME}:${securePort}` })).status,
  ).toBe(204)
  expect((await fromPhone('/api/rigs', { cookie })).status).toBe(401)
})

test('a code ends after ten minutes, and with the next one', async () => {
  const pairing = new Pairing(kit.db, () => clock)
  const first = pairing.newCode()
  clock += CODE_MS + 1
  expect(await pairing.redeem(first.code)).toBeUndefined()
  const second = pairing.newCode()
  const third = pairing.newCode()
  expect(await pairing.redeem(second.code)).toBeUndefined()
  expect(await pairing.redeem(third.code)).toMatch(/^[0-9a-f]{64}$/)
})

test('over plain http there is the page that says how, the certificate, and nothing else', async () => {
  const plain = (path: string) =>
    new Promise<Answer>((resolve, reject) => {
      getPlain({ host: '127.0.0.1', port: guidePort, path }, (answer) => {
        let text = ''
        answer.on('data', (piece: Buffer) => (text += piece.toString()))
        answer.on('end', () => resolve({ status: answer.statusCode ?? 0, headers: answer.headers, text }))
      }).on('error', reject)
    })
  expect((await plain('/')).text).toContain('Load its certificate')
  expect((await plain('/authority.crt')).text).toBe(certificates.authority)
  expect((await plain('/authority.key')).status).toBe(404)
  expect((await plain('/api/rigs')).status).toBe(404)
  expect((await plain('/')).text + certificates.certificate).not.toContain('PRIVATE KEY')
})
