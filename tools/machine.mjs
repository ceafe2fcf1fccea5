import { spawnSync } from 'node:child_process'
import { accessSync, constants, existsSync, statfsSync } from 'node:fs'
import { createServer } from 'node:net'
import { say, seconds, Stop } from './say.mjs'

const NODE_WANTED = [20, 19]

export const isRoot = () => process.getuid?.() === 0

/** @throws {Stop} when this Node is too old to run the program. */
export const checkNode = (version = process.versions.node) => {
  const [major, minor] = version.split('.').map(Number)
  if (major > NODE_WANTED[0] || (major === NODE_WANTED[0] && minor >= NODE_WANTED[1])) return
  throw new Stop(`Node ${version} is too old. Install Node ${NODE_WANTED.join('.')} or newer and run this again.`)
}

/** @throws {Stop} when the disk holding `dir` has less room than is wanted, bytes. */
export const checkDisk = (dir, wanted) => {
  const { bavail, bsize } = statfsSync(dir)
  const free = bavail * bsize
  if (free >= wanted) return
  const mb = (bytes) => `${Math.round(bytes / 1e6)} MB`
  throw new Stop(`The disk with ${dir} has ${mb(free)} free; ${mb(wanted)} are wanted. Make room and run this again.`)
}

const onPath = (program) =>
  ['/usr/local/sbin', '/usr/local/bin', '/usr/sbin', '/usr/bin', ...(process.env.PATH ?? '').split(':')]
    .map((dir) => `${dir}/${program}`)
    .find((path) => existsSync(path))

/**
 * Finds a program, installing the Debian packages that bring it when it is missing and we may.
 * @returns its path. @throws {Stop} when it is missing and can't be installed.
 */
export const ensureProgram = (program, packages) => {
  const found = onPath(program)
  if (found) return found
  const wanted = packages.join(' ')
  if (!isRoot())
    throw new Stop(
      `${program} is missing and only root can install it. Run: sudo apt-get install --no-install-recommends ${wanted}`,
    )
  const since = Date.now()
  say(`Installing ${wanted} ...`)
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  const install = () =>
    spawnSync('apt-get', ['install', '-y', '-q', '--no-install-recommends', ...packages], {
      env,
      encoding: 'utf8',
      maxBuffer: 1 << 26,
    })
  let done = install()
  if (done.status !== 0) {
    spawnSync('apt-get', ['update', '-q'], { env, stdio: 'ignore' })
    done = install()
  }
  const path = onPath(program)
  if (!path) {
    const last = `${done.stdout ?? ''}${done.stderr ?? ''}${done.error?.message ?? ''}`
      .trim()
      .split('\n')
      .slice(-6)
      .join('\n')
    throw new Stop(`${wanted} could not be installed. The installer's last words:\n${last}`)
  }
  say(`  done in ${seconds(since)}`)
  return path
}

/** Resolves to true when nothing listens on host:port. */
export const portIsFree = (port, host = '127.0.0.1') =>
  new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, host, () => probe.close(() => resolve(true)))
  })

/** A port nobody uses now: the wished one if it is free, else one of the system's choice. */
export const freePort = async (wished) => {
  if (wished && (await portIsFree(wished))) return wished
  return new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', reject)
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => resolve(port))
    })
  })
}

export const canWrite = (path) => {
  try {
    accessSync(path, constants.W_OK)
    return true
  } catch {
    return false
  }
}

/** Can a user who is neither owner nor group of them walk through every folder above `path`? */
export const everyoneMayPass = (path, stat) => {
  for (let dir = path; dir !== '/'; dir = dir.slice(0, dir.lastIndexOf('/')) || '/')
    if (!(stat(dir).mode & 0o001)) return false
  return true
}
