// Real processes for the trials: the whole program started on a data folder of its own, as a person would start it.
import { spawn } from 'node:child_process'
import { chmodSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { root } from '../build.mjs'
import { freePort } from '../machine.mjs'
import { alive, commandOf, wait } from '../processes.mjs'

const READY_WITHIN_MS = 90_000

export const scratch = (name) => {
  const dir = mkdtempSync(join(tmpdir(), `zucchini-trial-${name}-`))
  chmodSync(dir, 0o755)
  return { dir, remove: () => rmSync(dir, { recursive: true, force: true }) }
}

/** Every process whose command names this folder. */
export { startedWith as processesOf } from '../processes.mjs'

/**
 * Starts the program on a data folder. @returns at once; `ready` resolves to its address, or to undefined when it ended
 * before.
 */
export const start = async (data, args = [], env = {}) => {
  const port = await freePort()
  const child = spawn(process.execPath, [join(root, 'tools/start.mjs'), '--port', String(port), ...args], {
    cwd: root,
    env: { ...process.env, ...env, ZUCCHINI_DATA: data, PORT: '', DB_PORT: '', DATABASE_URL: env.DATABASE_URL ?? '' },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  const program = { child, port, address: `http://127.0.0.1:${port}`, output: '', code: undefined }
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (program.output += chunk))
  const exited = new Promise((resolve) =>
    child.once('exit', (code, signal) => {
      program.code = code ?? signal
      resolve()
    }),
  )
  program.exited = exited
  program.ready = (async () => {
    const until = Date.now() + READY_WITHIN_MS
    while (Date.now() < until && program.code === undefined && !program.output.includes('is ready after'))
      await wait(30)
    return program.output.includes('is ready after') ? program.address : undefined
  })()
  program.end = async (signal = 'SIGTERM') => {
    if (program.code !== undefined) return
    child.kill(signal)
    await exited
  }
  return program
}

/** Starts it and waits until it is ready. @throws with its output when it is not */
export const started = async (data, args, env) => {
  const program = await start(data, args, env)
  if (!(await program.ready)) throw new Error(`it did not start:\n${program.output}`)
  return program
}

/** Asks the program something. @returns its status and answer; status 0 when nobody answers */
export const ask = async (program, method, path, body) => {
  try {
    const response = await fetch(program.address + path, {
      method,
      ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
    })
    const text = await response.text()
    return {
      status: response.status,
      body: text && response.headers.get('content-type')?.includes('json') ? JSON.parse(text) : text,
    }
  } catch {
    return { status: 0, body: undefined }
  }
}

const RIG = 'winter-ferry-2'

/** The rig as it is stored now. */
export const rigNow = (program) => ask(program, 'GET', `/api/rigs/${RIG}`)

/** Saves an edit of the demo's rig. @returns the answer */
export const saveName = async (program, name) => {
  const { status, body } = await rigNow(program)
  if (status !== 200) return { status, body }
  return ask(program, 'PUT', `/api/rigs/${RIG}`, { base: body.revision, rig: { ...body.rig, name }, note: name })
}

/** The server and the database a program runs, found by their commands and folders. */
export const databaseOf = (data) => {
  try {
    const pid = Number(readFileSync(join(data, 'db/db.pid'), 'utf8').trim())
    return alive(pid) ? pid : undefined
  } catch {
    return undefined
  }
}
export const childrenOf = (pid) =>
  readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .map(Number)
    .filter((one) => {
      try {
        const stat = readFileSync(`/proc/${one}/stat`, 'utf8')
        return Number(stat.slice(stat.lastIndexOf(')') + 2).split(' ')[1]) === pid
      } catch {
        return false
      }
    })
export const serverOf = (program) =>
  childrenOf(program.child.pid).find((pid) => commandOf(pid).some((word) => word.endsWith('server/dist/main.js')))
