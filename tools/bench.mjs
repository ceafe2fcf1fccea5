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
  const core = spawnSync(process.execPath, ['--enable-source-maps', join(root, 'tools/dist/bench-core.js')], {
    cwd: root,
    stdio: 'inherit',
  })
  const server = spawnSync(process.execPath, [join(root, 'tools/bench-server.mjs')], { cwd: root, stdio: 'inherit' })
  const page = spawnSync(process.execPath, [join(root, 'tools/bench-page.mjs')], { cwd: root, stdio: 'inherit' })
  process.exit(core.status || server.status || page.status || 0)
} catch (error) {
  fail(error)
}
