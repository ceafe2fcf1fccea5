import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join, relative, sep } from 'node:path'
import { fileURLToPath } from 'node:url'
import { packFiles } from './packed.mjs'
import { fail, say, seconds, Stop } from './say.mjs'

export const root = dirname(dirname(fileURLToPath(import.meta.url)))

const SOURCES = [
  'contract',
  'core',
  'demo',
  'server',
  'web',
  'package-lock.json',
  'tools/build.mjs',
  'tools/packed.mjs',
]
const SKIPPED = new Set(['node_modules', 'dist'])

const filesUnder = (path) =>
  statSync(path).isDirectory()
    ? readdirSync(path)
        .filter((name) => !SKIPPED.has(name))
        .flatMap((name) => filesUnder(join(path, name)))
    : [path]

/** A fingerprint of everything the build reads, so that an unchanged tree is not built again. */
const sourceStamp = () => {
  const hash = createHash('sha256')
  for (const source of SOURCES)
    for (const file of filesUnder(join(root, source)).sort())
      if (!file.endsWith('.test.ts')) hash.update(file).update(readFileSync(file))
  return hash.digest('hex')
}

/** Bundles programs for Node, the workspaces in them. @param entryPoints by the name of what comes out */
export const bundleFor = async (entryPoints, outdir) => {
  const { build } = await import('esbuild')
  await build({
    entryPoints,
    outdir,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    sourcemap: true,
    logLevel: 'warning',
    plugins: [
      {
        name: 'workspaces',
        setup: ({ onResolve }) => {
          onResolve({ filter: /^@zucchini\/contract$/ }, () => ({ path: join(root, 'contract/index.ts') }))
          onResolve({ filter: /^@zucchini\/(core|demo)\// }, ({ path }) => {
            const [, room, ...rest] = path.split('/')
            return { path: join(root, room, ...rest, 'index.ts') }
          })
        },
      },
    ],
  })
}

/** What the browser asks for only where something is wrong with the program, and what is no part of it. */
const NOT_STORED = /\.map$|^service-worker\.js$/

/**
 * Builds what stands between the pages and the network, with the list of all files of the program in it. Names of assets
 * carry their fingerprint; the others get one.
 */
const buildServiceWorker = async () => {
  const { build } = await import('esbuild')
  const dist = join(root, 'web/dist')
  const files = filesUnder(dist)
    .map((path) => [relative(dist, path).split(sep).join('/'), path])
    .filter(([name]) => !NOT_STORED.test(name))
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([name, path]) => ({
      url: `/${name}`,
      revision: name.startsWith('assets/') ? null : createHash('sha256').update(readFileSync(path)).digest('hex'),
    }))
  await build({
    entryPoints: { 'service-worker': join(root, 'web/field/service-worker.ts') },
    outdir: dist,
    bundle: true,
    format: 'iife',
    target: 'es2022',
    minify: true,
    logLevel: 'warning',
    define: { __FILES__: JSON.stringify(files), 'process.env.NODE_ENV': '"production"' },
  })
}

const stampFile = join(root, 'server/dist/.built')
/** Is what was built of the sources as they are now? */
export const isBuilt = (stamp = sourceStamp()) =>
  existsSync(stampFile) && readFileSync(stampFile, 'utf8') === stamp && existsSync(join(root, 'web/dist/index.html'))

/** Builds web and server into their dist folders; does nothing when they are up to date. */
export const buildAll = async ({ force = false } = {}) => {
  const stamp = sourceStamp()
  if (!force && isBuilt(stamp)) return false
  const since = Date.now()
  say('Building ...')
  const web = spawnSync(
    process.execPath,
    [join(root, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'],
    {
      cwd: join(root, 'web'),
      encoding: 'utf8',
    },
  )
  if (web.status !== 0) throw new Stop(`The web app does not build:\n${web.stdout}${web.stderr}`)
  await buildServiceWorker()
  packFiles(join(root, 'web/dist'))
  await bundleFor(
    { main: join(root, 'server/main.ts'), tasks: join(root, 'server/work/tasks.ts') },
    join(root, 'server/dist'),
  )
  mkdirSync(dirname(stampFile), { recursive: true })
  writeFileSync(stampFile, stamp)
  say(`  done in ${seconds(since)}`)
  return true
}

if (process.argv[1] === fileURLToPath(import.meta.url)) buildAll({ force: true }).catch(fail)
