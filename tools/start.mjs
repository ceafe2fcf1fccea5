// npm start: everything from a bare checkout to a page you can open. Options: --fresh, --dev, --phone, --port N,
// --host H, --restore FILE.
import { spawn } from 'node:child_process'
import { existsSync, readdirSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { buildAll, isBuilt, root } from './build.mjs'
import { runDatabase, setAside } from './database.mjs'
import { installationOf, lockFolder } from './folder-lock.mjs'
import { checkDisk, checkNode, portIsFree } from './machine.mjs'
import { ensurePackages, packagesAreThere } from './packages.mjs'
import { endProcess } from './processes.mjs'
import { fail, say, seconds, Stop } from './say.mjs'

const DEFAULT_PORT = 4310
const LOOPBACK = new Set(['127.0.0.1', 'localhost', '::1'])
/**
 * Room that is asked for, bytes: packages and the build where they are missing, an empty database, or just room to
 * work.
 */
const ROOM = { packages: 900e6, build: 60e6, newDatabase: 250e6, work: 60e6 }

const readOptions = (words) => {
  const options = {
    fresh: false,
    dev: false,
    phone: false,
    restore: undefined,
    port: Number(process.env.PORT || DEFAULT_PORT),
    host: process.env.HOST ?? '127.0.0.1',
  }
  for (let i = 0; i < words.length; i++) {
    if (words[i] === '--fresh') options.fresh = true
    else if (words[i] === '--dev') options.dev = true
    else if (words[i] === '--phone') options.phone = true
    else if (words[i] === '--port') options.port = Number(words[++i])
    else if (words[i] === '--host') options.host = words[++i] ?? ''
    else if (words[i] === '--restore') options.restore = resolve(words[++i] ?? '')
    else
      throw new Stop(
        `"${words[i]}" is not an option here. Known: --fresh, --dev, --phone, --port N, --host H, --restore FILE.`,
      )
  }
  if (!Number.isInteger(options.port) || options.port < 1 || options.port > 65535)
    throw new Stop('The port must be a whole number from 1 to 65535, such as --port 4310.')
  if (options.restore && !existsSync(options.restore)) throw new Stop(`There is no backup ${options.restore}.`)
  if (options.restore && options.fresh)
    throw new Stop('--fresh and --restore do not go together: one loads the demo, the other a backup.')
  if (!LOOPBACK.has(options.host) && (process.env.ZUCCHINI_PASSPHRASE ?? '').length < 12)
    throw new Stop(
      `Listening on ${options.host} lets other machines in. Set ZUCCHINI_PASSPHRASE to at least 12 characters first, or leave --host out.`,
    )
  return options
}

/** The newest dated backup, for who has to bring one back. */
const newestBackup = (dir) => {
  const names = existsSync(dir)
    ? readdirSync(dir).filter((name) => /^zucchini-\d{4}-\d\d-\d\d(-\d+)?\.jsonl?$/.test(name))
    : []
  return names.sort().at(-1)
}

const helpWith = (backups) => {
  const name = newestBackup(backups)
  return name
    ? `If its files are damaged, the newest backup brings everything back as it was then (what lies there now is set aside, not deleted):\n  npm start -- --restore ${join(backups, name)}`
    : `There is no backup in ${backups} yet. The files in the folder are untouched; copy them before trying anything.`
}

// What was started, so that a signal at any moment ends all of it and nothing else.
const started = { lock: undefined, database: undefined, databasePid: undefined, children: [] }
let ending = false
const end = async (code) => {
  if (ending) return
  ending = true
  say('\nStopping ...')
  await Promise.all(
    started.children.map((child) => (child.exitCode === null ? endProcess(child.pid, 20_000) : undefined)),
  )
  if (started.database) await started.database.stop()
  else if (started.databasePid) await endProcess(started.databasePid, 30_000)
  started.lock?.release()
  process.exit(code)
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void end(0))

const openDatabase = async (data, backups, options) => {
  const dir = join(data, 'db')
  const run = () =>
    runDatabase({
      dir,
      databases: ['zucchini'],
      wishedPort: Number(process.env.DB_PORT ?? 0),
      help: options.restore ? '' : helpWith(backups),
      started: (pid) => (started.databasePid = pid),
    })
  try {
    return await run()
  } catch (error) {
    if (!options.restore || !(error instanceof Stop)) throw error
    const aside = setAside(dir, new Date().toISOString().slice(0, 19).replaceAll(':', ''))
    say(`The database does not come up; its files are set aside in ${aside}.`)
    return run()
  }
}

const run = async () => {
  const since = Date.now()
  checkNode()
  const options = readOptions(process.argv.slice(2))
  const data = resolve(process.env.ZUCCHINI_DATA ?? join(root, '.data'))
  const backups = process.env.ZUCCHINI_BACKUPS ?? join(data, 'backups')
  started.lock = lockFolder(data)
  const room = (packagesAreThere(root) ? 0 : ROOM.packages) + (options.dev || isBuilt() ? 0 : ROOM.build)
  if (room > 0) checkDisk(root, room)
  const external = process.env.DATABASE_URL
  if (!external) checkDisk(data, existsSync(join(data, 'db/data/mysql')) ? ROOM.work : ROOM.newDatabase)
  if (!(await portIsFree(options.port, options.host)))
    throw new Stop(
      `Port ${options.port} is taken, perhaps by another Zucchini. Stop that one, or choose another: npm start -- --port ${options.port + 1}`,
    )
  if (options.phone)
    for (const port of [options.port + 1, options.port + 2])
      if (!(await portIsFree(port, '0.0.0.0')))
        throw new Stop(
          `Port ${port}, which phones would come by, is taken. Choose others: npm start -- --phone --port ${options.port + 10}`,
        )
  ensurePackages(root)
  started.database = external ? undefined : await openDatabase(data, backups, options)
  started.database?.watch((what) =>
    say(
      what === 'down'
        ? 'The database has ended. It is being started again; edits wait in the browser meanwhile.'
        : what === 'up'
          ? 'The database is back.'
          : what === 'no room'
            ? 'The disk is full. The database is started again as soon as there is room.'
            : 'The database does not come back yet; trying again.',
    ),
  )
  if (!options.dev) await buildAll()
  const env = {
    ...process.env,
    DATABASE_URL: external || started.database.url('zucchini'),
    PORT: String(options.port),
    HOST: options.host,
    ZUCCHINI_DATA: data,
    ZUCCHINI_BACKUPS: backups,
    ZUCCHINI_INSTALLATION: installationOf(data),
    ZUCCHINI_OWN_DATABASE: external ? '' : '1',
    ...(options.phone ? { ZUCCHINI_PHONE_PORT: String(options.port + 1) } : {}),
    ...(options.fresh ? { ZUCCHINI_FRESH: '1' } : {}),
    ...(options.restore ? { ZUCCHINI_RESTORE: options.restore } : {}),
  }
  const program = options.dev
    ? ['--import', 'tsx', join(root, 'server/main.ts')]
    : ['--enable-source-maps', join(root, 'server/dist/main.js')]
  if (ending) return
  const server = spawn(process.execPath, program, {
    env,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    detached: true,
  })
  started.children.push(server)
  server.once('exit', (code) => void end(code ?? 1))
  server.on('message', (message) => {
    if (!message?.ready) return
    const address = `http://${options.host}:${options.port}/`
    started.lock.tell(address)
    say(
      `Zucchini is ready after ${seconds(since)}: ${options.dev ? 'API at ' : ''}${address}\n${options.phone ? `Phones: open ${address}phone at this desk and follow it.\n` : ''}Ctrl-C stops it.`,
    )
  })
  if (options.dev) {
    const vite = join(root, 'node_modules/vite/bin/vite.js')
    if (!existsSync(vite)) throw new Stop('Vite is missing; run npm ci.')
    started.children.push(
      spawn(process.execPath, [vite], {
        cwd: join(root, 'web'),
        env: { ...env, API_PORT: String(options.port) },
        stdio: 'inherit',
        detached: true,
      }),
    )
  }
}

run().catch(async (error) => {
  if (ending) return
  ending = true
  await Promise.all(started.children.map((child) => endProcess(child.pid, 10_000)))
  if (started.database) await started.database.stop()
  started.lock?.release()
  fail(error)
})
