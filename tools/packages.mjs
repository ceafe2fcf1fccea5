import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { say, seconds, Stop } from './say.mjs'

/** Installs the locked packages when they are missing or the lock has changed since. */
export const ensurePackages = (root) => {
  const stamp = join(root, 'node_modules', '.zucchini-lock')
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return
  const since = Date.now()
  say('Installing packages ...')
  const done = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root, encoding: 'utf8', maxBuffer: 1 << 26 })
  if (done.status !== 0)
    throw new Stop(
      `The packages could not be installed. Check that the npm registry can be reached. npm's last words:\n${`${done.stdout ?? ''}${done.stderr ?? ''}`.trim().split('\n').slice(-8).join('\n')}`,
    )
  writeFileSync(stamp, lock)
  say(`  done in ${seconds(since)}`)
}
