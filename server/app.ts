import { existsSync } from 'node:fs'
import { join } from 'node:path'
import helmet from '@fastify/helmet'
import rateLimit from '@fastify/rate-limit'
import fastifyStatic from '@fastify/static'
import swagger from '@fastify/swagger'
import fastify, { type FastifyInstance } from 'fastify'
import { jsonSchemaTransform, serializerCompiler, validatorCompiler, type ZodTypeProvider } from 'fastify-type-provider-zod'
import type { DataSource } from 'typeorm'
import { errorTable, installErrors } from './errors.ts'
import { catalogueRoutes } from './features/catalogue/routes.ts'
import { OwnPartService } from './features/catalogue/own-parts.ts'
import { CatalogueService } from './features/catalogue/service.ts'
import { healthRoutes } from './features/health/routes.ts'
import { backupRoutes } from './features/backup/routes.ts'
import { BackupService } from './features/backup/service.ts'
import { LockerCsv } from './features/locker/csv.ts'
import { lockerRoutes } from './features/locker/routes.ts'
import { LockerService } from './features/locker/service.ts'
import { operatorRoutes } from './features/operator/routes.ts'
import { OperatorService } from './features/operator/service.ts'
import { priceRoutes } from './features/prices/routes.ts'
import { PriceService } from './features/prices/service.ts'
import { scaleRoutes } from './features/scale/routes.ts'
import { ScaleService } from './features/scale/service.ts'
import { rehearsalRoutes } from './features/rehearsals/routes.ts'
import { RehearsalService } from './features/rehearsals/service.ts'
import { RigFileService } from './features/rigs/files.ts'
import { rigRoutes } from './features/rigs/routes.ts'
import { RigService } from './features/rigs/service.ts'
import { installHostGuard, installPassphrase } from './guards.ts'

const BODY_LIMIT = 2 * 1024 * 1024
const REQUESTS_A_MINUTE = 3000

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
    setHeaders: (reply, path) =>
      void reply.setHeader('cache-control', path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache'),
  })
  app.get('/*', { schema: { hide: true } }, async (request, reply) => {
    if (request.url.startsWith('/api/') || /\.\w+$/.test(request.url.split('?')[0] ?? ''))
      return reply.status(404).send({ error: { code: 'not-found', message: errorTable['not-found'][1], path: request.url } })
    return reply.header('cache-control', 'no-cache').sendFile('index.html')
  })
}

/** Builds the server around an open database. It does not listen; tests inject requests. */
export const buildApp = async ({ db, webDir, hosts = [], passphrase, log = false, now, clock }: AppOptions): Promise<FastifyInstance> => {
  const app = fastify({
    logger: log ? { level: 'warn' } : false,
    bodyLimit: BODY_LIMIT,
    forceCloseConnections: true,
    routerOptions: { maxParamLength: 100 },
  }).withTypeProvider<ZodTypeProvider>()
  app.setValidatorCompiler(validatorCompiler)
  app.setSerializerCompiler(serializerCompiler)
  installErrors(app)
  installHostGuard(app, hosts)
  if (passphrase) installPassphrase(app, passphrase)
  await app.register(helmet, {
    contentSecurityPolicy: { useDefaults: false, directives: csp },
    strictTransportSecurity: false,
    crossOriginEmbedderPolicy: false,
  })
  await app.register(rateLimit, { max: REQUESTS_A_MINUTE, timeWindow: '1 minute' })
  await app.register(swagger, {
    openapi: { info: { title: 'Zucchini', version: '1', description: 'Rigs, parts and the locker.' } },
    transform: jsonSchemaTransform,
  })
  const catalogue = new CatalogueService(db)
  await app.register(healthRoutes(db))
  await app.register(catalogueRoutes(catalogue, new OwnPartService(db, catalogue)))
  await app.register(operatorRoutes(new OperatorService(db)))
  const locker = new LockerService(db, now)
  await app.register(lockerRoutes(locker, new LockerCsv(locker, catalogue)))
  await app.register(scaleRoutes(new ScaleService(catalogue, clock), locker))
  const prices = new PriceService(db, catalogue, now)
  await app.register(priceRoutes(prices))
  await app.register(
    backupRoutes(new BackupService(db), () => {
      prices.forget()
      catalogue.refresh()
    }),
  )
  await app.register(rehearsalRoutes(new RehearsalService(catalogue)))
  const rigs = new RigService(db, catalogue)
  await app.register(rigRoutes(rigs, new RigFileService(db, rigs, catalogue)))
  app.get('/api/openapi.json', { schema: { hide: true } }, async () => app.swagger())
  if (webDir && existsSync(join(webDir, 'index.html'))) await servePages(app, webDir)
  return app
}
