// npm start: everything from a bare checkout to a page you can open. Options: --fresh, --dev, --port N, --host H.
import { spawn } from 'node:child_process'
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { buildAll, root } from './build.mjs'
import { runDatabase } from './database.mjs'
import { checkDisk, checkNode, portIsFree } from './machine.mjs'
import { ensurePackages } from './packages.mjs'
import { fail, say, seconds, Stop } from './say.mjs'

const DEFAULT_PORT = 4310
const LOOPBACK = new Set(['127.0.0.1', 'localhost', '::1'])

const readOptions = (words) => {
  const options = { fresh: false, dev: false, port: Number(process.env.PORT ?? DEFAULT_PORT), host: process.env.HOST ?? '127.0.0.1' }
  for (let i = 0; i < words.length; i++) {
    if (words[i] === '--fresh') options.fresh = true
    else if (words[i] === '--dev') options.dev = true
    else if (words[i] === '--port') options.port = Number(words[++i])
    else if (words[i] === '--host') options.host = words[++i] ?? ''
    else throw new Stop(`"${words[i]}" is not an option here. Known: --fresh, --dev, --port N, --host H.`)
  }
  if (!Number.isInteger(options.port) || options.port < 1 || options.port > 65535)
    throw new Stop('The port must be a whole number from 1 to 65535, such as --port 4310.')
  if (!LOOPBACK.has(options.host) && (process.env.ZUCCHINI_PASSPHRASE ?? '').length < 12)
    throw new Stop(
      `Listening on ${options.host} lets other machines in. Set ZUCCHINI_PASSPHRASE to at least 12 characters first, or leave --host out.`,
    )
  return options
}

const stopChild = (child) =>
  new Promise((resolve) => {
    if (child.exitCode !== null || child.signalCode !== null) return resolve()
    child.once('exit', resolve)
    child.kill('SIGTERM')
  })

const run = async () => {
  const since = Date.now()
  checkNode()
  const options = readOptions(process.argv.slice(2))
  checkDisk(root)
  if (!(await portIsFree(options.port, options.host)))
    throw new Stop(
      `Port ${options.port} is taken, perhaps by another Zucchini. Stop that one, or choose another: npm start -- --port ${options.port + 1}`,
    )
  ensurePackages(root)
  const external = process.env.DATABASE_URL
  const database = external
    ? undefined
    : await runDatabase({ dir: join(root, '.data/db'), databases: ['zucchini'], wishedPort: Number(process.env.DB_PORT ?? 0) })
  const children = []
  let ending = false
  const end = async (code) => {
    if (ending) return
    ending = true
    say('\nStopping ...')
    await Promise.all(children.map(stopChild))
    await database?.stop()
    process.exit(code)
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void end(0))
  try {
    if (!options.dev) await buildAll()
    const env = {
      ...process.env,
      DATABASE_URL: external ?? database.url('zucchini'),
      PORT: String(options.port),
      HOST: options.host,
      ZUCCHINI_BACKUPS: process.env.ZUCCHINI_BACKUPS ?? join(root, '.data/backups'),
      ...(options.fresh ? { ZUCCHINI_FRESH: '1' } : {}),
    }
    const program = options.dev
      ? ['--import', 'tsx', join(root, 'server/main.ts')]
      : ['--enable-source-maps', join(root, 'server/dist/main.js')]
    const server = spawn(process.execPath, program, { env, stdio: ['ignore', 'inherit', 'inherit', 'ipc'], detached: true })
    children.push(server)
    server.once('exit', (code) => void end(code ?? 1))
    server.on('message', (message) => {
      if (message?.ready)
        say(
          `Zucchini is ready after ${seconds(since)}: ${options.dev ? 'API at ' : ''}http://${options.host}:${options.port}/\nCtrl-C stops it.`,
        )
    })
    if (options.dev) {
      const vite = join(root, 'node_modules/vite/bin/vite.js')
      if (!existsSync(vite)) throw new Stop('Vite is missing; run npm ci.')
      children.push(
        spawn(process.execPath, [vite], {
          cwd: join(root, 'web'),
          env: { ...env, API_PORT: String(options.port) },
          stdio: 'inherit',
          detached: true,
        }),
      )
    }
  } catch (error) {
    await database?.stop()
    throw error
  }
}

run().catch(fail)
