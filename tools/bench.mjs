// npm run bench: medians and p95 of what has to be quick. Numbers are told, never asserted.
import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { bundleFor, root } from './build.mjs'
import { ensurePackages } from './packages.mjs'
import { fail } from './say.mjs'

try {
  ensurePackages(root)
  // Bundled as it is shipped: a loader for tests keeps the names of functions, and that alone takes a third more time.
  await bundleFor({ 'bench-core': join(root, 'tools/bench-core.ts') }, join(root, 'tools/dist'))
  const bundle = join(root, 'tools/dist/bench-core.js')
  const run = (...args) =>
    spawnSync(process.execPath, ['--enable-source-maps', bundle, ...args], {
      cwd: root,
      stdio: ['inherit', args.length > 0 ? 'inherit' : 'pipe', 'inherit'],
      encoding: 'utf8',
    })
  // `npm run bench -- candidate` times one thing; without a name all of them are, each in a process of its own.
  const only = process.argv.slice(2)
  const sections = only.length > 0 ? only : run().stdout.trim().split(' ')
  let failed = 0
  for (const section of sections) {
    const status = run(section).status ?? 1
    failed ||= status
  }
  if (only.length > 0) process.exit(failed)
  const server = spawnSync(process.execPath, [join(root, 'tools/bench-server.mjs')], { cwd: root, stdio: 'inherit' })
  const page = spawnSync(process.execPath, [join(root, 'tools/bench-page.mjs')], { cwd: root, stdio: 'inherit' })
  process.exit(failed || server.status || page.status || 0)
} catch (error) {
  fail(error)
}
