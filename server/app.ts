import { existsSync } from 'node:fs'
import { join } from 'node:path'
import helmet from '@fastify/helmet'
import rateLimit from '@fastify/rate-limit'
import fastifyStatic from '@fastify/static'
import swagger from '@fastify/swagger'
import fastify, { type FastifyInstance, type FastifyReply } from 'fastify'
import {
  jsonSchemaTransform,
  serializerCompiler,
  validatorCompiler,
  type ZodTypeProvider,
} from 'fastify-type-provider-zod'
import type { DataSource } from 'typeorm'
import { answerClientFault, installErrors, Refusal, refusalBody } from './errors.ts'
import { catalogueRoutes } from './features/catalogue/routes.ts'
import { OwnPartService } from './features/catalogue/own-parts.ts'
import { CatalogueService } from './features/catalogue/service.ts'
import { fieldRoutes } from './features/field/routes.ts'
import { FieldService } from './features/field/service.ts'
import { healthRoutes } from './features/health/routes.ts'
import { backupRoutes } from './features/backup/routes.ts'
import { Nightly } from './features/backup/nightly.ts'
import { BackupService } from './features/backup/service.ts'
import { LockerCsv } from './features/locker/csv.ts'
import { lockerRoutes } from './features/locker/routes.ts'
import { LockerService } from './features/locker/service.ts'
import { meterRoutes } from './features/meter/routes.ts'
import { MeterService } from './features/meter/service.ts'
import { operatorRoutes } from './features/operator/routes.ts'
import { OperatorService } from './features/operator/service.ts'
import { type PhoneAddresses, phoneRoutes } from './features/phone/routes.ts'
import { priceRoutes } from './features/prices/routes.ts'
import { PriceService } from './features/prices/service.ts'
import { scaleRoutes } from './features/scale/routes.ts'
import { ScaleService } from './features/scale/service.ts'
import { rehearsalRoutes } from './features/rehearsals/routes.ts'
import { RehearsalService } from './features/rehearsals/service.ts'
import { RigFileService } from './features/rigs/files.ts'
import { RigHistory } from './features/rigs/history.ts'
import { rigRoutes } from './features/rigs/routes.ts'
import { RigService } from './features/rigs/service.ts'
import { ShelfService } from './features/rigs/shelf.ts'
import { Surroundings } from './features/rigs/surroundings.ts'
import { installHostGuard, installPassphrase, installSlowBodyGuard } from './guards.ts'
import { installPhoneGuard } from './phone/guard.ts'
import { Pairing } from './phone/pairing.ts'
import { installOperatorDay } from './operator-day.ts'
import { Worlds } from './versions.ts'
import { Pool } from './work/pool.ts'

const BODY_LIMIT = 2 * 1024 * 1024
const REQUESTS_A_MINUTE = 3000
const SLOWEST_HEAD_MS = 15_000

export interface AppOptions {
  readonly db: DataSource
  /** The built pages; none in tests of the API. */
  readonly webDir?: string
  readonly hosts?: readonly string[]
  readonly passphrase?: string
  readonly log?: boolean
  /** The time of day, for tests that need another. */
  readonly now?: () => Date
  /** Milliseconds that pass for the simulated scale. */
  readonly clock?: () => number
  /** Where backups go by themselves; none in most tests. */
  readonly backupDirs?: readonly string[]
  /** How many requests one address may make in a minute. */
  readonly requestsAMinute?: number
  /** Where phones find this machine, when they are let in. */
  readonly phone?: PhoneAddresses | undefined
  /** How long a body may take to come in, ms. */
  readonly slowestBodyMs?: number
}

/** The server, and what else of it somebody may want to wait for. */
export interface Built {
  readonly app: FastifyInstance
  readonly shelf: ShelfService
  readonly history: RigHistory
  readonly nightly: Nightly
}

const csp = {
  defaultSrc: ["'self'"],
  scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
  styleSrc: ["'self'", "'unsafe-inline'"],
  imgSrc: ["'self'", 'data:'],
  fontSrc: ["'self'"],
  workerSrc: ["'self'"],
  connectSrc: ["'self'"],
  objectSrc: ["'none'"],
  frameAncestors: ["'none'"],
  baseUri: ["'none'"],
  formAction: ["'self'"],
  upgradeInsecureRequests: null,
}

const servePages = async (app: FastifyInstance, webDir: string): Promise<void> => {
  await app.register(fastifyStatic, {
    root: webDir,
    wildcard: false,
    index: false,
    // Packed copies lie beside what was built; they are no pages of their own.
    preCompressed: true,
    globIgnore: ['**/*.gz'],
    // Its own header would come after the one below, and say that nothing may be kept.
    cacheControl: false,
    setHeaders: (reply, path) => {
      reply.setHeader('vary', 'accept-encoding')
      reply.setHeader('cache-control', path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache')
    },
  })
  app.get('/*', { schema: { hide: true } }, async (request, reply) => {
    if (request.url.startsWith('/api/') || /\.\w+$/.test(request.url.split('?')[0] ?? ''))
      return reply.status(404).send(refusalBody('not-found', { path: request.url }))
    return reply.header('cache-control', 'no-cache').sendFile('index.html')
  })
}

/** Builds the server around an open database. It does not listen; tests inject requests. */
export const buildApp = async (options: AppOptions): Promise<Built> => {
  const { db, webDir, hosts = [], passphrase, log = false, now, clock, backupDirs = [], slowestBodyMs } = options
  const app = fastify({
    logger: log ? { level: 'warn' } : false,
    bodyLimit: BODY_LIMIT,
    forceCloseConnections: true,
    routerOptions: { maxParamLength: 100 },
    // A whole request may take its time, a large backup does; its head and an ordinary body may not.
    requestTimeout: 0,
    http: { headersTimeout: SLOWEST_HEAD_MS },
    clientErrorHandler: answerClientFault,
    frameworkErrors: (_error, request, reply) => {
      void (reply as FastifyReply).status(400).send(refusalBody('bad-address', { path: request.url.slice(0, 200) }))
    },
  }).withTypeProvider<ZodTypeProvider>()
  app.setValidatorCompiler(validatorCompiler)
  app.setSerializerCompiler(serializerCompiler)
  installErrors(app)
  installOperatorDay(app)
  installHostGuard(app, hosts)
  if (passphrase) installPassphrase(app, passphrase)
  const pairing = new Pairing(db, () => (now?.() ?? new Date()).getTime())
  await installPhoneGuard(app, pairing)
  installSlowBodyGuard(app, slowestBodyMs)
  await app.register(helmet, {
    contentSecurityPolicy: { useDefaults: false, directives: csp },
    strictTransportSecurity: false,
    crossOriginEmbedderPolicy: false,
  })
  await app.register(rateLimit, {
    max: options.requestsAMinute ?? REQUESTS_A_MINUTE,
    timeWindow: '1 minute',
    errorResponseBuilder: () => new Refusal('too-many'),
  })
  await app.register(swagger, {
    openapi: { info: { title: 'Zucchini', version: '1', description: 'Rigs, parts and the locker.' } },
    transform: jsonSchemaTransform,
  })
  const worlds = new Worlds(db)
  const pool = new Pool()
  const catalogue = new CatalogueService(db, worlds)
  const operator = new OperatorService(db)
  const locker = new LockerService(db, worlds, now)
  const prices = new PriceService(db, catalogue, worlds, now)
  const history = new RigHistory(db)
  const rigs = new RigService(db, catalogue, history, worlds, now)
  const field = new FieldService(db, worlds)
  const around = new Surroundings({ catalogue, locker, prices, operator, field })
  const shelf = new ShelfService(db, worlds, pool, around, now)
  const backup = new BackupService(db)
  const nightly = new Nightly(backup, backupDirs, () => history.thin(now?.() ?? new Date()), now)
  await app.register(healthRoutes(db))
  await app.register(catalogueRoutes(catalogue, new OwnPartService(db, catalogue)))
  await app.register(operatorRoutes(operator))
  await app.register(lockerRoutes(locker, new LockerCsv(locker, catalogue, pool)))
  await app.register(scaleRoutes(new ScaleService(catalogue, clock), locker))
  await app.register(meterRoutes(new MeterService(catalogue, clock)))
  await app.register(phoneRoutes(pairing, options.phone))
  await app.register(priceRoutes(prices))
  await app.register(backupRoutes(backup, nightly))
  await app.register(fieldRoutes(field, rigs))
  await app.register(rehearsalRoutes(new RehearsalService(db, catalogue)))
  await app.register(rigRoutes({ rigs, shelf, history, files: new RigFileService(db, rigs, catalogue, operator) }))
  app.get('/api/openapi.json', { schema: { hide: true } }, async () => app.swagger())
  if (webDir && existsSync(join(webDir, 'index.html'))) await servePages(app, webDir)
  app.addHook('onClose', async () => {
    shelf.close()
    await nightly.stop()
    await shelf.settled()
    await pool.close()
  })
  return { app, shelf, history, nightly }
}
